package velvetcrock.core.batch;

/** Why something came to its end. */
public enum Ending {
  /** Used up. */
  USED_UP,
  /** Rancid. */
  RANCID,
  /** Musty or mouldy. */
  MUSTY,
  /** Cloudy. */
  CLOUDY,
  /** Fizzing or sour. */
  FIZZ,
  /** Past its date. */
  PAST_DATE,
  /** Broken or spilled. */
  SPILLED,
  /** For another reason. */
  OTHER;

  /** Whether only a bottle comes to it: herb and oil in a jar are thrown out for other reasons. */
  public boolean ofBottlesAlone() {
    return this == USED_UP || this == PAST_DATE;
  }
}
