package velvetcrock.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Ageing;
import velvetcrock.core.heat.HeatStatistics;
import velvetcrock.core.heat.HeatStatistics.Band;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.FiguresInText;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.outlook.Comparison;
import velvetcrock.core.outlook.PlanOrder;
import velvetcrock.core.outlook.Want;

/** The reckonings that run while somebody types, and those that go over long traces. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CoreBenchmark {
  private static final int POINTS = 100_000;
  private static final int TEXTS = 8;
  private static final String[] TYPED = {
    "60 g",
    "1 1/2 cups",
    "⅔ cup",
    "2 tbsp + 1 tsp",
    "8 fl oz",
    "2–3 cups",
    "half a cup",
    "1 lb 2 oz"
  };

  private static final int PHRASES = 12;

  /** Among the longest that people say. */
  private static final String[] SAID = {
    "three quarters of a cup",
    "around seven ounces",
    "a spoonful of each",
    "between two and three cups",
    "a cup and a half",
    "about 2 to 3 cups",
    "a heaped tablespoon",
    "1 cup plus 2 tablespoons",
    "a pound and eight ounces",
    "one hundred and twenty grams",
    "1 cup (about 240 ml)",
    "just under three quarters of a cup"
  };

  private final Catalogue catalogue = Catalogue.shipped();
  private final Cautions cautions = Cautions.shipped();
  private final Charger charger = new Charger(catalogue);
  private final CarrierBlend olive = CarrierBlend.of(catalogue.carrier("olive"));
  private final MeasureReader reader = new MeasureReader(Kitchen.US);
  private final ChargeOrder order =
      new ChargeOrder(
          List.of(
              HerbPortion.usual(
                  catalogue.herb("yarrow"), Part.FLOWER, Cut.CUT, HerbState.DRIED, 60)),
          olive,
          new Ratio.WeightToVolume(5),
          Optional.of(catalogue.jar("jar-500")),
          12);
  private final LocalDate today = LocalDate.of(2026, 11, 2);
  private final PlanOrder plan =
      new PlanOrder(
          new Want.Oil(250),
          today.plusDays(60),
          catalogue.herb("yarrow"),
          Part.FLOWER,
          HerbState.DRIED,
          Cut.CUT,
          List.of(new CarrierDates(catalogue.carrier("olive"), 1, null, null, null)),
          Arrays.asList(Method.values()),
          OptionalDouble.empty(),
          Purpose.SKIN,
          today);
  private final Trace trace = noisy();

  /** A minute-by-minute trace around 43 °C with the noise of a cheap probe. */
  private static Trace noisy() {
    SplittableRandom random = new SplittableRandom(7);
    List<Trace.Point> points = new ArrayList<>(POINTS);
    for (int i = 0; i < POINTS; i++) {
      double swing = 4 * Math.sin(i / 40.0);
      points.add(new Trace.Point(i / 60.0, 43 + swing + 0.4 * random.nextDouble()));
    }
    return new Trace(points);
  }

  private static final int TEXTS_OF_A_PAGE = 600;
  private static final List<String> ON_A_PAGE =
      List.of(
          "Shelf",
          "Of the daisy family: people allergic to it react to its oil too.",
          "300 ml of oil covers it",
          "December 19–January 23, 2027",
          "2–2¾ cups, squeezed by hand; 5 batches of yours taught it",
          "When, if not now");
  private final FiguresInText figures = new FiguresInText(Kitchen.US);

  @Benchmark
  public Charge charge() {
    return charger.reckon(order);
  }

  @Benchmark
  public Comparison planOfEightMethods() {
    return Comparison.of(plan, catalogue, cautions);
  }

  @Benchmark
  @OperationsPerInvocation(TEXTS)
  public void measure(Blackhole hole) {
    for (String text : TYPED) {
      hole.consume(reader.read(text));
    }
  }

  @Benchmark
  @OperationsPerInvocation(PHRASES)
  public void phrases(Blackhole hole) {
    for (String text : SAID) {
      hole.consume(reader.readAny(text));
    }
  }

  /** The texts of a long page, a third of them with a figure. */
  @Benchmark
  public int figuresOfAPage() {
    int found = 0;
    for (int i = 0; i < TEXTS_OF_A_PAGE; i++) {
      found += figures.in(ON_A_PAGE.get(i % ON_A_PAGE.size())).size();
    }
    return found;
  }

  @Benchmark
  public HeatStatistics statisticsOf100k() {
    return HeatStatistics.of(trace, Band.WARM, 60);
  }

  @Benchmark
  public double ageingOf100k() {
    return Ageing.hours(trace);
  }

  @Benchmark
  public Pull pullOf100k() {
    return Pull.of(
        List.of(new Pull.Leg(trace, Agitation.DAILY)), olive, new Pull.Herb(Cut.CUT, null, false));
  }

  /** The least that a pass can cost: every point read and one exp taken a segment. */
  @Benchmark
  public double lowerBoundOf100k() {
    double sum = 0;
    for (Trace.Point point : trace.points()) {
      sum += point.hours() * Math.exp(0.0693 * (point.celsius() - 20));
    }
    return sum;
  }

  /** The same with the three guesses of a pull, each with its own exp. */
  @Benchmark
  public double lowerBoundOfThreeGuesses() {
    double sum = 0;
    for (Trace.Point point : trace.points()) {
      for (int guess = 0; guess < 3; guess++) {
        sum += point.hours() * Math.exp((0.06 + 0.01 * guess) * (point.celsius() - 20));
      }
    }
    return sum;
  }
}
