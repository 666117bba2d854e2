package velvetcrock.core.extraction;

import static velvetcrock.core.Figures.plain;

import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;

/**
 * Relative pull, 0 to 1: E = w·(1 − exp(−∫k_w dt)) + (1 − w)·(1 − exp(−∫k_d dt)), a quick wash from
 * broken cells and a slow diffusion (So and MacDonald 1986), both at a pace that follows the oil's
 * mobility μ(T) = (T_K/293.15)·(84/η(T))·1.15^((T−20)/10). Anchored on cut dried herb in olive oil
 * at 20 °C, shaken daily: 0.90 at 35 days. An estimate for comparing ways; it is as wide as its
 * guesses.
 *
 * @param pull the estimate
 * @param course what it is made of
 * @param range from every guess at its one end to every guess at its other, in quadrature
 * @param guesses the pull under each guess, in one order for all
 */
public record Pull(
    double pull, Course course, Range range, List<Double> guesses, Reckoning reckoning) {
  private static final Pull NOTHING =
      new Pull(
          0,
          new Course(0, 0, 0),
          Range.exactly(0),
          Collections.nCopies(8, 0.0),
          Reckoning.writer().done());
  private static final double WASH_PER_DAY = Math.log(10) / 0.25;
  private static final double DIFFUSION_PER_DAY = Math.log(7) / 35;
  private static final double SPIRIT_PACE = 1.5;
  private static final double SPIRIT_WASH = 0.35;
  private static final double RATE_WITHIN = 2;
  private static final double WASH_WITHIN = 0.5;
  private static final double LEAST_APART = 0.01;
  private static final double WEAK_BELOW = 0.35;
  private static final double FAIR_TO = 0.6;
  private static final double GOOD_TO = 0.85;

  /**
   * What a pull is made of.
   *
   * @param washed what broken cells gave at once, of all
   * @param slow what is left to slow diffusion, of all
   * @param theta the model’s own time, ∫k_d dt, before anything that was learned
   */
  public record Course(double washed, double slow, double theta) {
    /** The pull if the herb gave so many times as fast as the model has it. */
    public double at(double speed) {
      return Math.min(1, washed + slow * -Math.expm1(-speed * theta));
    }
  }

  /** A stretch of time: its temperatures and how the herb was moved. */
  public record Leg(Trace trace, Agitation agitation) {}

  /**
   * The herb that is drawn.
   *
   * @param part null where it is not known; its pace is then 1
   * @param spirit whether it was dampened with spirit first
   * @param speed how fast it gives here
   */
  public record Herb(Cut cut, @Nullable Part part, boolean spirit, Speed speed) {
    /** One of which nothing was learned. */
    public Herb(Cut cut, @Nullable Part part, boolean spirit) {
      this(cut, part, spirit, Speed.UNKNOWN);
    }
  }

  /** How much that is, in words. */
  public enum Strength {
    /** Under 0.35. */
    WEAK("weak"),
    /** To 0.6. */
    FAIR("fair"),
    /** To 0.85. */
    GOOD("good"),
    /** Above. */
    NEARLY_ALL("nearly all that time can give");

    private final String words;

    Strength(String words) {
      this.words = words;
    }

    /** In words. */
    public String words() {
      return words;
    }

    /** Of a pull. */
    public static Strength of(double pull) {
      if (pull < WEAK_BELOW) {
        return WEAK;
      }
      return pull <= FAIR_TO ? FAIR : pull <= GOOD_TO ? GOOD : NEARLY_ALL;
    }
  }

  /**
   * Reckons the pull of one or more stretches after one another. Hours below the mix's setting
   * point draw nothing.
   *
   * @param legs at least one
   * @param assumed whether the temperatures are assumed, and may be 8 °C off
   * @throws velvetcrock.core.Refused at {@code trace} where all of it lies below the setting point
   */
  public static Pull of(List<Leg> legs, CarrierBlend carriers, Herb herb, boolean assumed) {
    Problems problems = new Problems();
    double melted = carriers.meltedAboveC();
    problems.require(
        legs.stream().allMatch(l -> l.trace().points().isEmpty())
            || legs.stream().anyMatch(l -> l.trace().reaches(melted)),
        "trace",
        () ->
            "Below " + plain(melted) + " °C some of it is solid, and a solid fat does not infuse.");
    problems.refuseIfAny();

    Guessing guessing = new Guessing(carriers, herb.part());
    Ensemble drawn = Ensemble.NOTHING;
    for (Leg leg : legs) {
      drawn = drawn.plus(guessing.over(leg.trace(), assumed).moved(leg.agitation()));
    }
    return of(drawn, legs.stream().mapToDouble(l -> l.trace().hours()).sum(), herb);
  }

  /** The same of temperatures that were read or are planned. */
  public static Pull of(List<Leg> legs, CarrierBlend carriers, Herb herb) {
    return of(legs, carriers, herb, false);
  }

  /** Nothing is drawn, because the oil is solid. */
  public static Pull nothing() {
    return NOTHING;
  }

  /** From time at the pace of olive oil at 20 °C. */
  static Pull of(Ensemble drawn, double hours, Herb herb) {
    double quick =
        herb.spirit() ? wash(herb.cut()) + SPIRIT_WASH * (1 - wash(herb.cut())) : wash(herb.cut());
    double usualPace = pace(herb.cut()) * (herb.spirit() ? SPIRIT_PACE : 1);
    Speed speed = herb.speed();
    double pace = usualPace * speed.factor();
    Drawn middle = drawn.middle();
    double washed = washed(middle, quick, 1);
    double diffused = diffused(middle, quick, pace);

    Reckoning.Writer lines = Reckoning.writer();
    lines.line(
        "Days at the pace of olive oil at 20 °C",
        "∫ mobility dt over " + plain(hours) + " h",
        middle.washDays(),
        "days",
        Standing.ESTIMATE);
    lines.line(
        "Washed from broken cells",
        plain(quick) + " of all is within quick reach",
        washed,
        "",
        Standing.ESTIMATE);
    lines.line(
        "Extracted slowly",
        plain(1 - quick)
            + " of all, by cut × "
            + plain(pace)
            + ", by the part and by how it was moved",
        diffused,
        "",
        Standing.ESTIMATE);
    if (speed.moves()) {
      lines.line(
          "Your own speed",
          "learned from the colours of " + speed.jars() + " jars; it multiplies the slow part",
          speed.range(),
          "",
          Standing.MEASURED);
    }
    double pull = Math.min(1, washed + diffused);
    lines.line("Pull", plain(washed) + " + " + plain(diffused), pull, "", Standing.ESTIMATE);
    List<Double> guesses =
        List.of(
            pull(middle, quick, usualPace * speed.range().low(), 1 / RATE_WITHIN),
            pull(middle, quick, usualPace * speed.range().high(), RATE_WITHIN),
            pull(drawn.slower(), quick, pace, 1),
            pull(drawn.faster(), quick, pace, 1),
            pull(middle, quick * (1 - WASH_WITHIN), pace, 1),
            pull(middle, Math.min(1, quick * (1 + WASH_WITHIN)), pace, 1),
            pull(drawn.coldest(), quick, pace, 1),
            pull(drawn.hottest(), quick, pace, 1));
    Range range = around(pull, guesses);
    lines.line(
        "Pull, at the least and at the most",
        "both rates halved or doubled, warmth doing less or more, what is within quick reach",
        range,
        "",
        Standing.ESTIMATE);
    Course course =
        new Course(washed, 1 - quick, DIFFUSION_PER_DAY * usualPace * middle.diffusionDays());
    return new Pull(pull, course, range, guesses, lines.done());
  }

  private static double washed(Drawn drawn, double quick, double rates) {
    return quick * -Math.expm1(-WASH_PER_DAY * rates * drawn.washDays());
  }

  private static double diffused(Drawn drawn, double quick, double pace) {
    return (1 - quick) * -Math.expm1(-DIFFUSION_PER_DAY * pace * drawn.diffusionDays());
  }

  private static double pull(Drawn drawn, double quick, double pace, double washRates) {
    return Math.min(1, washed(drawn, quick, washRates) + diffused(drawn, quick, pace));
  }

  /** Moves up and down, each by itself in quadrature. */
  private static Range around(double pull, List<Double> guesses) {
    double down = 0;
    double up = 0;
    for (double guess : guesses) {
      double move = guess - pull;
      down += move < 0 ? move * move : 0;
      up += move > 0 ? move * move : 0;
    }
    return new Range(Math.max(0, pull - Math.sqrt(down)), Math.min(1, pull + Math.sqrt(up)));
  }

  /** The model’s own time, ∫k_d dt, before anything that was learned. */
  public double theta() {
    return course.theta();
  }

  /** How much it is, in words. */
  public Strength strength() {
    return Strength.of(pull);
  }

  /**
   * Whether it can be told apart from another: under every guess the same one of the two is the
   * stronger, by a hundredth of all at least.
   */
  public boolean toldApartFrom(Pull other) {
    boolean more = pull > other.pull;
    for (int i = 0; i < guesses.size(); i++) {
      double apart = guesses.get(i) - other.guesses.get(i);
      if ((more ? apart : -apart) < LEAST_APART) {
        return false;
      }
    }
    return true;
  }

  private static double wash(Cut cut) {
    return switch (cut) {
      case WHOLE -> 0.15;
      case CUT -> 0.30;
      case GROUND -> 0.45;
      case POWDER -> 0.60;
    };
  }

  private static double pace(Cut cut) {
    return switch (cut) {
      case WHOLE -> 0.6;
      case CUT -> 1;
      case GROUND -> 1.6;
      case POWDER -> 2.4;
    };
  }
}
