package velvetcrock.batch;

import velvetcrock.core.care.Task.Kind;
import velvetcrock.web.Beside;

/** The timers that go with a task: how they are called, and how long they run. */
public final class TimerWords {
  private TimerWords() {}

  /** What the time is for. */
  public static String reason(Kind kind) {
    return kind == Kind.STRAIN ? "let it drip" : "let it cool";
  }

  /** What the timer is called while it runs. */
  public static String name(Kind kind, String code) {
    return (kind == Kind.STRAIN ? "Dripping, " : "Cooling, ") + code;
  }

  /** The same as a timer of a step. */
  public static Beside.Timer beside(Kind kind, String code) {
    return new Beside.Timer(name(kind, code), kind.timerMinutes() + " min", kind.timerMinutes());
  }
}
