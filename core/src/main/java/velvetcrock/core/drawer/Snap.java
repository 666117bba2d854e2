package velvetcrock.core.drawer;

/** What a dried herb does when it is bent. */
public enum Snap {
  /** Leaves crumble and stems snap: dry. */
  CRUMBLES,
  /** Leathery: bends without breaking; not dry. */
  LEATHERY,
  /** Soft: far from dry. */
  SOFT
}
