package velvetcrock.core.batch;

/** What is left behind. */
public enum Leaving {
  /** Sediment, with the oil in it. */
  SEDIMENT,
  /** A layer of water. */
  WATER,
  /** Film wiped off vessels, cloth and filter. */
  FILM
}
