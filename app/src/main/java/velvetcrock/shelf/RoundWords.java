package velvetcrock.shelf;

import velvetcrock.core.care.Task.Kind;

/** What the round says of its timers. */
final class RoundWords {
  private RoundWords() {}

  /** What the time is for. */
  static String timerFor(Kind kind) {
    return kind == Kind.STRAIN ? "let it drip" : "let it cool";
  }

  /** What the timer is called. */
  static String timerName(Kind kind, String code) {
    return (kind == Kind.STRAIN ? "Dripping, " : "Cooling, ") + code;
  }
}
