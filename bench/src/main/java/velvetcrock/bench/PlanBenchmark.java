package velvetcrock.bench;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.diary.Diary;
import velvetcrock.core.diary.House;
import velvetcrock.core.diary.Job;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Hours;
import velvetcrock.core.outlook.Outlook;
import velvetcrock.core.outlook.Supply;
import velvetcrock.core.outlook.Timetable;
import velvetcrock.core.outlook.Want;
import velvetcrock.core.outlook.WantOrder;
import velvetcrock.core.outlook.WhatIf;

/** Working back from a want, moving a what-if, and settling many plans in one kitchen. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class PlanBenchmark {
  private static final int WANTS = 40;
  private static final int APPLIANCES = 10;
  private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 2, 9, 0);

  private final Catalogue catalogue = Catalogue.shipped();
  private final Cautions cautions = Cautions.shipped();
  private final WantOrder order = order();
  private final WhatIf.Setting setting = setting();
  private final House house = house();
  private final List<Job> jobs = jobs();

  private WantOrder order() {
    return new WantOrder(
        new Want.Tins(12, 30, Firmness.SALVE),
        LocalDate.of(2026, 12, 12),
        catalogue.herb("yarrow"),
        catalogue.herb("yarrow").bestPart(),
        Cut.CUT,
        List.of(new CarrierDates(catalogue.carrier("olive"), 1, null, null, null)),
        Set.of(),
        Supply.anything(catalogue.jars().stream().map(JarChoice.Free::enough).toList()),
        Hours.USUAL,
        OptionalDouble.empty(),
        NOW);
  }

  private WhatIf.Setting setting() {
    return new WhatIf.Setting(
        HerbPortion.usual(
            catalogue.herb("yarrow"),
            catalogue.herb("yarrow").bestPart(),
            Cut.CUT,
            HerbState.DRIED,
            60),
        List.of(new CarrierDates(catalogue.carrier("olive"), 1, null, null, null)),
        8,
        43,
        6,
        Agitation.DAILY,
        Light.DARK,
        false,
        Optional.of(catalogue.jars().iterator().next()),
        Use.SKIN,
        NOW.toLocalDate());
  }

  private static House house() {
    List<House.Heater> heaters = new ArrayList<>();
    Appliance[] kinds = {
      Appliance.SLOW_COOKER, Appliance.GAS_RING, Appliance.GAS_RING, Appliance.ELECTRIC_PLATE
    };
    for (int i = 0; i < APPLIANCES; i++) {
      heaters.add(new House.Heater("h" + i, "heater " + i, kinds[i % kinds.length], 2));
    }
    return new House(heaters, Map.of("half", 9, "litre", 9), List.of(), Hours.USUAL);
  }

  /** Wants that all fall into one fortnight, so that they clash. */
  private static List<Job> jobs() {
    SplittableRandom random = new SplittableRandom(7);
    Method[] methods = {Method.COLD, Method.WARM, Method.SIMMER, Method.CROCK, Method.SOLAR};
    List<Job> jobs = new ArrayList<>();
    for (int i = 0; i < WANTS; i++) {
      Method method = methods[random.nextInt(methods.length)];
      LocalDateTime wished = NOW.plusDays(1 + random.nextInt(14)).plusHours(random.nextInt(8));
      Timetable alone =
          Timetable.from(wished, method, method.usualHours(), Timetable.Making.NONE, Hours.USUAL)
              .orElseThrow();
      jobs.add(
          new Job(
              "p" + i,
              method,
              method.usualHours(),
              Timetable.Making.NONE,
              Map.of(random.nextBoolean() ? "half" : "litre", 1),
              alone.begins(),
              alone.ready().plus(Duration.ofDays(30))));
    }
    return jobs;
  }

  /** A dozen tins by every way. */
  @Benchmark
  public Outlook oneWant() {
    return Outlook.of(order, catalogue, cautions, List.of());
  }

  /** A slider moved. */
  @Benchmark
  public WhatIf whatIf() {
    return WhatIf.of(setting, catalogue, List.of());
  }

  /** Forty wants with ten appliances. */
  @Benchmark
  public Diary.Settled settle() {
    return new Diary(house, NOW).settle(jobs);
  }
}
