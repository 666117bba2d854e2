package velvetcrock.core.batch;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;

/**
 * Folds a log into the state of its batch: the only place where a state comes from. Each kind of
 * entry says itself what it does, by way of the part that it is about: the jar, the heat, what was
 * strained, or the bottles.
 */
public final class BatchLog {
  /** More than this share of what went in cannot come out, however wet the herb. */
  private static final double MOST_OUT_OF_IN = 1.25;

  /** A measuring jug is read within this. */
  private static final double MEASURING = 1.02;

  /** Less than this is none, ml. */
  private static final double EMPTY_ML = 5;

  private @Nullable Charged charge;
  private final JarLog jar = new JarLog();
  private final HeatLog heat = new HeatLog();
  private final StrainingLog straining = new StrainingLog();
  private final BottlesLog bottles = new BottlesLog();
  private BatchState.Colours colours = BatchState.Colours.none();
  private @Nullable Instant endedAt;
  private @Nullable Ending endedBecause;

  private BatchLog() {}

  /**
   * Folds a log.
   *
   * @param entries in any order
   * @return the state that they amount to
   * @throws Refused if the log could not have happened, at the field that makes it so
   */
  public static BatchState fold(List<Entry<BatchEvent>> entries) {
    return fold(new Log<>(entries));
  }

  /** The same. */
  public static BatchState fold(Log<BatchEvent> log) {
    BatchLog fold = new BatchLog();
    log.counting().forEach(e -> e.event().applyTo(fold, e.at()));
    return fold.state(log.replaced().size(), log.entries().size());
  }

  private BatchState state(int corrections, int entries) {
    if (charge == null) {
      throw new Refused(
          "replaces", "The charging itself stays in the log. Throw the batch out instead.");
    }
    return new BatchState(
        status(),
        charge,
        jar.state(),
        heat.heat(),
        colours,
        straining.state(),
        bottles.all(),
        endedAt == null ? null : new BatchState.End(endedAt, endedBecause),
        corrections,
        entries);
  }

  private Status status() {
    if (straining.strained() == null) {
      return endedAt != null
          ? Status.THROWN_OUT
          : jar.notPoured() ? Status.RESTING : Status.INFUSING;
    }
    if (bottles.none()) {
      return straining.usedMl() > 0 && straining.leftMl(0) < EMPTY_ML
          ? Status.FINISHED
          : Status.STRAINED;
    }
    return bottles.allGone() ? Status.FINISHED : Status.BOTTLED;
  }

  /** The jar, while it is one. */
  JarLog jar() {
    stillAJar();
    return jar;
  }

  /** What is done on the heat, while it is a jar. */
  HeatLog heat() {
    stillAJar();
    return heat;
  }

  /**
   * What was strained.
   *
   * @param then what is to be done once it is
   */
  StrainingLog straining(String then) {
    require(straining.strained() != null, "kind", "Strain it first, then " + then + ".");
    return straining;
  }

  BottlesLog bottles() {
    return bottles;
  }

  void charged(Charged event, Instant at) {
    require(charge == null, "kind", "It has been charged already.");
    charge = event;
    jar.charged(event, at);
  }

  void coloured(Coloured event, Instant at) {
    require(endedAt == null, "at", "It was thrown out before that.");
    require(
        event.plain() || !jar.notPoured(), "kind", "Pour the oil first, then look at its colour.");
    colours = colours.and(event, at);
  }

  /** The oil was looked at, in its jar or after the cloth, until it is bottled. */
  void oilLooked(OilLooked event, Instant at) {
    require(endedAt == null, "at", "It was thrown out before that.");
    require(bottles.none(), "at", "It was bottled before that.");
    jar.oilLooked(event, at);
  }

  void stoodClear() {
    straining("let it settle").clear();
    jar.stoodClear();
  }

  void marc(double massG) {
    StrainingLog strained = straining("weigh the marc");
    bounded(massG);
    strained.marc(massG);
  }

  /** What stays behind weighs no more than all that went in. */
  private void bounded(double massG) {
    SpiritIn spirit = charge.manner().spirit();
    double mostG =
        charge.herbMassG().high()
            + charge.oil().oilMl().high()
            + jar.toppedUpMl()
            + (spirit == null ? 0 : spirit.massG());
    require(
        massG <= mostG,
        "massG",
        "At most about "
            + Math.round(mostG)
            + " g went in: "
            + Math.round(massG)
            + " g of it cannot be left.");
  }

  void left(Decanted event) {
    StrainingLog strained = straining("decant");
    bounded(event.massG());
    strained.left(event);
    if (event.what() == Leaving.WATER) {
      jar.waterPouredOff();
    }
  }

  void thrownOut(Ending reason, Instant at) {
    stillAJar();
    heat.end(at);
    endedAt = at;
    endedBecause = reason;
  }

  void strained(Strained event, Instant at) {
    require(endedAt == null, "at", "It was thrown out before that.");
    require(straining.strained() == null, "kind", "It has been strained already.");
    require(!jar.notPoured(), "kind", "It rests in spirit and has had no oil yet.");
    require(event.oilMl() > 0, "amount", "What came out is above 0.");
    Range inMl = jar.pouredMl() == null ? charge.oil().oilMl() : Range.exactly(jar.pouredMl());
    double mostMl = (inMl.high() + jar.toppedUpMl()) * MOST_OUT_OF_IN;
    require(
        event.oilMl() <= mostMl,
        "amount",
        "More came out than went in: at most about "
            + Math.round(mostMl)
            + " ml can. Check number and unit.");
    require(
        event.oilMl() <= (inMl.high() + jar.toppedUpMl()) * MEASURING || event.how().sure(),
        "amount",
        "That is more than the "
            + Math.round(inMl.high() + jar.toppedUpMl())
            + " ml that went in. Measure again; if it is so, water has come with the oil: say that"
            + " you are sure.");
    heat.end(at);
    straining.strained(event, at);
  }

  void bottled(Bottled event, Instant at) {
    Strained out = straining.strained();
    if (out == null) {
      throw new Refused("kind", "Strain it before bottling.");
    }
    bottles.fill(event, at, out.oilMl(), straining.usedMl());
  }

  void givenBack(GivenBack event, Instant at) {
    require(event.ml() > 0, "amount", "What comes back is above 0.");
    if (event.bottle() == null) {
      straining.givenBack(event.ml());
    } else {
      bottles.givenBack(event.bottle(), event.ml(), at);
    }
  }

  private void stillAJar() {
    require(endedAt == null, "at", "It was thrown out before that.");
    require(straining.strained() == null, "at", "It was strained before that.");
  }

  static void require(boolean rule, String field, String message) {
    if (!rule) {
      throw new Refused(field, message);
    }
  }
}
