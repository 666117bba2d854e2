package velvetcrock.kitchen;

import velvetcrock.core.Problems;

/** Names that a household gives. */
final class Named {
  private static final int LONGEST_NAME = 60;

  private Named() {}

  /** A name without blanks around it; a problem at its field where it is none or too long. */
  static String of(Problems problems, String field, String name) {
    String trimmed = name.strip();
    problems.require(!trimmed.isEmpty(), field, "Give it a name.");
    problems.require(
        trimmed.length() <= LONGEST_NAME,
        field,
        "A name has at most " + LONGEST_NAME + " letters.");
    return trimmed;
  }
}
