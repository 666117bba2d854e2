package velvetcrock.core.materia;

/** How much of its own water a herb still holds when it goes into the jar. */
public enum HerbState {
  /** Crisp: leaves crumble and stems snap. */
  DRIED,
  /** Part of its water lost. */
  WILTED,
  /** As picked. */
  FRESH
}
