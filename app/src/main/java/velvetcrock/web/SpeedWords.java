package velvetcrock.web;

import velvetcrock.core.materia.Speed;

/** What is told of how fast a herb gives here. */
public final class SpeedWords {
  private SpeedWords() {}

  /** After the pull that it moves; empty where nothing moves it. */
  public static String after(Speed speed, Formats fmt) {
    return speed.moves() ? "; " + moves(speed, fmt) : "";
  }

  /** By what it is moved and how far. */
  public static String moves(Speed speed, Formats fmt) {
    return "the colours of "
        + speed.jars()
        + " jars of yours make it "
        + fmt.number(speed.factor(), 1)
        + " times as fast ("
        + fmt.number(speed.range().low(), 1)
        + "–"
        + fmt.number(speed.range().high(), 1)
        + ")";
  }
}
