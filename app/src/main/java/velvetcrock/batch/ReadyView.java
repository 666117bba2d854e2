package velvetcrock.batch;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Observations;
import velvetcrock.core.care.Readiness;
import velvetcrock.core.care.Readiness.Aspect;
import velvetcrock.core.care.Readiness.Says;
import velvetcrock.core.care.Readiness.Sign;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.jar.Window;
import velvetcrock.web.Formats;
import velvetcrock.web.SpeedWords;

/**
 * Whether it is ready, and why.
 *
 * @param lead the verdict in words
 * @param mood how it is shown
 * @param why the signs, one a line
 */
record ReadyView(String lead, String mood, List<Line> why) {
  /**
   * A sign.
   *
   * @param mark ✓ for straining, ✗ against it, ○ neither, ? nobody looked
   * @param says the same in a word
   */
  record Line(String mark, String says, String name, String words) {}

  /** What is known of a batch when it is judged. */
  record Basis(
      BatchRecord batch, BatchReckoning reckoning, PotHeat heat, Instant now, Formats fmt) {
    BatchState state() {
      return batch.state();
    }

    Window.Served served() {
      return reckoning.served(batch.readHours(), now);
    }
  }

  /** Judges a batch; null for what is not infusing. */
  static @Nullable ReadyView of(Basis known) {
    if (known.batch().state().status() != BatchState.Status.INFUSING) {
      return null;
    }
    return of(
        Readiness.of(
            known.state(),
            known.reckoning(),
            known.served(),
            known.fmt().today(),
            known.fmt().zone()),
        known);
  }

  private static ReadyView of(Readiness ready, Basis known) {
    List<Line> lines = new ArrayList<>();
    for (Sign sign : ready.signs()) {
      lines.add(
          new Line(mark(sign.says()), says(sign.says()), name(sign.aspect()), words(sign, known)));
    }
    lines.add(new Line("○", "told, not counted", "Extracted", pull(known)));
    return switch (ready.verdict()) {
      case WAIT -> new ReadyView("Not yet: wait", "resting", lines);
      case READY -> new ReadyView("Ready to strain", "ready", lines);
      case OVERDUE -> new ReadyView("Overdue: strain it", "over", lines);
      case LOST -> new ReadyView("Lost: throw it out", "stop", lines);
    };
  }

  private static String mark(Says says) {
    return switch (says) {
      case YES -> "✓";
      case NO -> "✗";
      case EITHER -> "○";
      case UNKNOWN -> "?";
    };
  }

  private static String says(Says says) {
    return switch (says) {
      case YES -> "for straining";
      case NO -> "for waiting";
      case EITHER -> "neither way";
      case UNKNOWN -> "not known";
    };
  }

  private static String name(Aspect aspect) {
    return switch (aspect) {
      case TIME -> "Time";
      case WATER -> "Water";
      case COLOUR -> "Colour";
      case HERB -> "Herb";
      case SMELL -> "Smell";
    };
  }

  private static String words(Sign sign, Basis known) {
    return switch (sign.aspect()) {
      case TIME -> time(known);
      case WATER -> water(known);
      case COLOUR -> colour(known);
      case HERB -> herb(known.state().seen(), sign.says());
      case SMELL -> smell(known.state().seen());
    };
  }

  private static String time(Basis known) {
    Formats fmt = known.fmt();
    Window window = known.reckoning().window(fmt.zone());
    if (window.byHours()) {
      String usual =
          "usual are " + fmt.time(window.earliest()) + " to " + fmt.time(window.latest());
      return known.served().begun()
          ? fmt.time(known.served().hours()) + " on the heat; " + usual
          : "not on the heat yet; " + usual;
    }
    return "day "
        + Math.round(window.at(fmt.today(), known.served()))
        + "; its window is days "
        + Math.round(window.earliest())
        + " to "
        + Math.round(window.latest());
  }

  private static String water(Basis known) {
    BatchReckoning.Leaving leaving = known.reckoning().leaving().orElseThrow();
    return leaving.done()
        ? "what had to leave has left"
        : "about " + known.fmt().g(leaving.leftG()) + " of water or spirit has still to leave";
  }

  private static String pull(Basis known) {
    Pull pull = known.heat().pull(known.now());
    Formats fmt = known.fmt();
    double gain = Readiness.gain(known.state(), known.heat(), known.now());
    String more = known.state().charge().method().heated() ? "another hour" : "another week";
    return fmt.pull(pull)
        + SpeedWords.after(known.reckoning().speed(), fmt)
        + "; "
        + more
        + (gain < 0.005 ? " adds next to nothing" : " adds " + fmt.percent(gain));
  }

  private static String colour(Basis known) {
    List<ColourStory.Look> looks = known.reckoning().colour().looks();
    if (looks.isEmpty()) {
      return "nobody has noted it yet";
    }
    if (looks.size() == 1) {
      return "seen once; look again in some days";
    }
    return Boolean.TRUE.equals(known.reckoning().colour().settled().orElse(null))
        ? "settled: the last two looks are alike"
        : "still changing: the last two looks differ";
  }

  private static String herb(Observations seen, Says says) {
    if (says == Says.UNKNOWN) {
      return "nobody has said how it looks";
    }
    if (Boolean.TRUE.equals(seen.translucent())) {
      return "gone translucent";
    }
    return Boolean.TRUE.equals(seen.crisp())
        ? "gone crisp"
        : seen.bubbles() == Bubbles.FEW ? "bubbles still rise" : "as it went in";
  }

  private static String smell(Observations seen) {
    return seen.scent() == null
        ? "nobody has smelled it yet"
        : switch (Objects.requireNonNull(seen.scent())) {
          case NONE -> "no scent of the herb yet";
          case FAINT -> "a faint scent of the herb";
          case CLEAR -> "a clear scent of the herb";
          case STRONG -> "a strong scent of the herb";
        };
  }
}
