package velvetcrock.core.caution;

/** What a rule is about; the words of {@code rules.csv} in small letters. */
public enum About {
  /** What is to be charged. */
  PLAN,
  /** The label of a bottle. */
  LABEL,
  /** A best-before. */
  KEEPING,
  /** A jar that stands. */
  JAR,
  /** A pot on the heat. */
  POT,
  /** A course of temperatures. */
  TRACE,
  /** The spirit step. */
  SPIRIT,
  /** What is made of an oil. */
  PRODUCT,
  /** What lies in the drawer. */
  LOT,
  /** Plans beside each other. */
  OUTLOOK
}
