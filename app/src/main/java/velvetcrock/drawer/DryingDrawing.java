package velvetcrock.drawer;

import static velvetcrock.web.Coordinates.n;

import java.time.Instant;
import java.util.function.DoubleUnaryOperator;
import velvetcrock.core.Range;
import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.Snap;
import velvetcrock.web.Coordinates;
import velvetcrock.web.Formats;

/**
 * A load's weight over time: what was weighed, the curve through it and on, when it should be dry.
 * In a frame of 300 by 110; the weight goes from fresh at the top to dry matter at the bottom.
 *
 * @param fitted the curve up to now
 * @param ahead the curve from now on
 * @param dots the weighings
 * @param goalY where it is dry
 * @param rangeX from when it may be dry
 * @param rangeWidth until when
 * @param nowX where now is
 * @param topX where that the herb was fresh is said, clear of the line of now
 * @param top the fresh weight in words
 * @param goal the dry weight in words
 * @param end the end of the time line in words
 * @param words all of it in words
 */
record DryingDrawing(
    String fitted,
    String ahead,
    String dots,
    double goalY,
    double rangeX,
    double rangeWidth,
    double nowX,
    double topX,
    String top,
    String goal,
    String end,
    String words) {
  private static final double WIDTH = 300;
  private static final double HEIGHT = 110;
  private static final int STEPS = 24;
  private static final double DOT = 3.6;
  private static final double LABEL_WIDTH = 90;
  private static final double LABEL_GAP = 8;
  private static final double ROOM = 1.08;

  static DryingDrawing of(Drying drying, Instant now, Formats fmt) {
    double nowHours = drying.hoursAt(now);
    // What crumbles is dry, whatever the scale expects.
    Range dry = drying.snap() == Snap.CRUMBLES ? Range.exactly(nowHours) : drying.dryAtHours();
    double span = Math.max(dry.high(), nowHours) * ROOM;
    Scale scale = new Scale(span, drying.dryMatterG(), drying.begun().freshG());
    StringBuilder dots = new StringBuilder(Coordinates.dot(0, 0, DOT));
    drying
        .hours()
        .forEach(w -> dots.append(Coordinates.dot(scale.x(w.hours()), scale.y(w.massG()), DOT)));
    double target = drying.targetG();
    DoubleUnaryOperator mass = drying.massByHours();
    String words =
        fmt.g(drying.begun().freshG())
            + " fresh, "
            + fmt.g(drying.massG())
            + " now, dry at "
            + fmt.g(target)
            + ", "
            + fmt.hours(dry)
            + " after it was begun";
    return new DryingDrawing(
        curve(mass, scale, 0, Math.min(nowHours, span)),
        curve(mass, scale, Math.min(nowHours, span), span),
        dots.toString(),
        rounded(scale.y(target)),
        rounded(scale.x(dry.low())),
        rounded(Math.max(2, scale.x(dry.high()) - scale.x(dry.low()))),
        rounded(scale.x(nowHours)),
        rounded(scale.x(nowHours) < LABEL_WIDTH ? scale.x(nowHours) + LABEL_GAP : LABEL_GAP),
        fmt.g(drying.begun().freshG()),
        "dry: " + fmt.g(target),
        fmt.hours(span),
        words);
  }

  private record Scale(double span, double dryG, double freshG) {
    double x(double hours) {
      return Math.min(WIDTH, WIDTH * hours / span);
    }

    double y(double massG) {
      return HEIGHT * (freshG - massG) / (freshG - dryG);
    }
  }

  private static String curve(DoubleUnaryOperator mass, Scale scale, double from, double to) {
    StringBuilder path = new StringBuilder();
    for (int i = 0; i <= STEPS; i++) {
      double hours = from + (to - from) * i / STEPS;
      path.append(i == 0 ? "M" : "L")
          .append(n(scale.x(hours)))
          .append(" ")
          .append(n(scale.y(mass.applyAsDouble(hours))));
    }
    return path.toString();
  }

  private static double rounded(double value) {
    return Math.round(value * 10) / 10.0;
  }
}
