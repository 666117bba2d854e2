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
  OTHER
}
