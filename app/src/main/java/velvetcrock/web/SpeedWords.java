package velvetcrock.web;

import velvetcrock.core.materia.Speed;

/** What is told of how fast a herb gives here. */
public final class SpeedWords {
  private SpeedWords() {}

  /** After the pull that it moves; empty where nothing moves it. */
  public static String after(Speed speed, Formats fmt) {
    return speed.moves() ? "; " + moves(speed, fmt) : "";
  }

  /** What was seen of it, where that is too little to move anything. */
  public static String seen(Speed speed) {
    return learnedOf(speed)
        + ", of the "
        + Speed.MOVES_FROM
        + " jars or trials that it takes to move what is said to be extracted";
  }

  private static String learnedOf(Speed speed) {
    String jars =
        speed.jars() == 0
            ? ""
            : "the colours of "
                + speed.jars()
                + (speed.jars() == 1 ? " jar" : " jars")
                + " of yours";
    String trials =
        speed.trials() == 0
            ? ""
            : speed.trials() + (speed.trials() == 1 ? " trial" : " trials") + " judged blind";
    return jars + (jars.isEmpty() || trials.isEmpty() ? "" : " and ") + trials;
  }

  /** By what it is moved and how far. */
  public static String moves(Speed speed, Formats fmt) {
    return learnedOf(speed)
        + " make it "
        + fmt.number(speed.factor(), 1)
        + " times as fast ("
        + fmt.number(speed.range().low(), 1)
        + "–"
        + fmt.number(speed.range().high(), 1)
        + ")";
  }
}
