package velvetcrock.core.diary;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Hours;
import velvetcrock.core.outlook.Span;
import velvetcrock.core.outlook.Step;
import velvetcrock.core.outlook.Timetable;

class DiaryTest {
  private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 2, 9, 0);
  private static final House.Heater CROCK =
      new House.Heater("crock", "the crock", Appliance.SLOW_COOKER, 2);
  private static final House.Heater RING =
      new House.Heater("ring", "the left ring", Appliance.GAS_RING, 1);

  private static House house(House.Taken... taken) {
    return new House(List.of(CROCK, RING), Map.of("litre", 2), List.of(taken), Hours.USUAL);
  }

  private static Job job(String id, Method method, int jars, LocalDateTime wished) {
    return new Job(
        id,
        method,
        method.usualHours(),
        Timetable.Making.NONE,
        Map.of("litre", jars),
        wished,
        wished.plusHours((long) method.usualHours()).plusDays(4));
  }

  private static LocalDateTime day(int days, int hour) {
    return NOW.toLocalDate().plusDays(days).atTime(hour, 0);
  }

  @Test
  void whatDoesNotClashStaysWhereItIsAndNeedsNoSearch() {
    Diary.Settled settled =
        new Diary(house(), NOW)
            .settle(
                List.of(
                    job("a", Method.COLD, 1, day(1, 9)), job("b", Method.SIMMER, 1, day(2, 10))));

    assertThat(settled.searched()).isFalse();
    assertThat(settled.moved()).isEmpty();
    assertThat(settled.clashes()).isEmpty();
    assertThat(settled.bookings().get(1).heater()).isEqualTo("ring");
    assertThat(settled.bookings().get(0).timetable().checks()).isPositive();
  }

  @Test
  void twoThatSimmerOnOneRingMoveApartByTheLeast() {
    List<Job> jobs =
        List.of(job("a", Method.SIMMER, 1, day(2, 10)), job("b", Method.SIMMER, 1, day(2, 10)));
    Diary diary = new Diary(house(), NOW);

    assertThat(diary.clashes(diary.asWished(jobs)))
        .extracting(Clash::kind)
        .contains(Clash.Kind.TOO_MANY_ON_HEAT, Clash.Kind.TWO_HANDS);
    Diary.Settled settled = diary.settle(jobs);

    assertThat(settled.searched()).isTrue();
    assertThat(settled.clashes()).isEmpty();
    assertThat(settled.late()).isEmpty();
    // an hour on the ring is the least by which the second can come after the first
    assertThat(settled.bookings().stream().mapToLong(Booking::shiftMinutes).sum()).isEqualTo(60);
  }

  @Test
  void whoIsInNobodysWayStaysWhenOthersMoveApart() {
    Job bystander = job("c", Method.SIMMER, 1, day(2, 11));
    Diary.Settled settled =
        new Diary(house(), NOW)
            .settle(
                List.of(
                    job("a", Method.SIMMER, 1, day(2, 10)),
                    bystander,
                    job("b", Method.SIMMER, 1, day(2, 10))));

    assertThat(settled.clashes()).isEmpty();
    assertThat(settled.moved()).isNotEmpty().extracting(Booking::job).doesNotContain(bystander);
  }

  @Test
  void aCrockHoldsSeveralJarsButOnlyOneHeat() {
    Diary diary = new Diary(house(), NOW);
    List<Job> same =
        List.of(job("a", Method.WARM, 1, day(2, 8)), job("b", Method.WARM, 1, day(2, 9)));
    House crockOnly = new House(List.of(CROCK), Map.of(), List.of(), Hours.USUAL);
    List<Job> mixed =
        List.of(job("a", Method.WARM, 1, day(2, 8)), job("b", Method.CROCK, 1, day(2, 9)));

    assertThat(diary.clashes(diary.asWished(same))).isEmpty();
    assertThat(new Diary(crockOnly, NOW).clashes(new Diary(crockOnly, NOW).asWished(mixed)))
        .extracting(Clash::kind)
        .contains(Clash.Kind.TWO_HEATS);
    assertThat(new Diary(crockOnly, NOW).settle(mixed).clashes()).isEmpty();
  }

  @Test
  void aJarIsNeverInTwoPlans() {
    Span standing = new Span(NOW.minusDays(10), NOW.plusDays(12));
    House full = house(new House.Taken("litre", 2, standing, "J3C", null));
    Job early = job("a", Method.COLD, 1, day(3, 9));
    Diary diary = new Diary(full, NOW);

    assertThat(diary.clashes(diary.asWished(List.of(early))))
        .singleElement()
        .satisfies(
            clash -> {
              assertThat(clash.kind()).isEqualTo(Clash.Kind.TOO_FEW_JARS);
              assertThat(clash.others()).containsExactly("J3C");
            });
    Booking moved = diary.settle(List.of(early)).bookings().get(0);
    assertThat(moved.timetable().begins()).isAfterOrEqualTo(standing.until());
    assertThat(moved.lateMinutes()).isPositive();
  }

  @Test
  void withoutAnApplianceItSaysSo() {
    House bare = new House(List.of(), Map.of(), List.of(), Hours.USUAL);
    Diary.Settled settled =
        new Diary(bare, NOW).settle(List.of(job("a", Method.OVEN, 1, day(2, 10))));

    assertThat(settled.clashes()).extracting(Clash::kind).contains(Clash.Kind.NO_HEATER);
  }

  @ParameterizedTest
  @InstancioSource(samples = 6)
  void whateverIsWantedNothingIsTakenTwice(@Given long seed) {
    List<Job> jobs = many(12, new Random(seed));
    House house = kitchen(6);
    Diary.Settled settled = new Diary(house, NOW).settle(jobs);

    assertThat(settled.clashes()).isEmpty();
    assertThat(settled.bookings())
        .allSatisfy(
            b -> {
              assertThat(b.timetable().begins()).isAfterOrEqualTo(NOW);
              for (Step step : b.timetable().steps()) {
                assertThat(Hours.USUAL.next(step.at(), step.minutes())).contains(step.at());
              }
            });
    assertThat(new Diary(house, NOW).settle(jobs).bookings()).isEqualTo(settled.bookings());
  }

  @ParameterizedTest
  @InstancioSource(samples = 60)
  void whatIsWeighedAndWhatIsToldAgreeOnWhetherThereIsAny(@Given long seed) {
    Random random = new Random(seed);
    House house = kitchen(1 + random.nextInt(3));
    List<Booking> bookings = new ArrayList<>();
    List<Placing> placings = new ArrayList<>();
    Weight weight = new Weight(house);
    for (Job job : many(2 + random.nextInt(6), random)) {
      Timetable timetable =
          Timetable.from(job.wished(), job.method(), job.hours(), job.making(), Hours.USUAL)
              .orElseThrow();
      String heater =
          house.heaters().stream()
              .filter(h -> job.wantsHeat() && h.kind().serves(job.method()))
              .map(House.Heater::id)
              .findFirst()
              .orElse(null);
      bookings.add(new Booking(job, timetable, heater));
      placings.add(new Placing(job, timetable, heater, weight));
    }

    assertThat(weight.of(placings) == 0).isEqualTo(new Clashes(house).of(bookings).isEmpty());
  }

  /** Plans that all want the same fortnight. */
  static List<Job> many(int count, Random random) {
    Method[] methods = {Method.COLD, Method.WARM, Method.SIMMER, Method.CROCK, Method.SOLAR};
    List<Job> jobs = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      Method method = methods[random.nextInt(methods.length)];
      LocalDateTime wished = day(1 + random.nextInt(14), 7 + random.nextInt(10));
      Job job = job("p" + i, method, 1, wished);
      Timetable alone =
          Timetable.from(wished, method, job.hours(), job.making(), Hours.USUAL).orElseThrow();
      jobs.add(
          new Job(
              job.id(),
              method,
              job.hours(),
              job.making(),
              Map.of("jar" + random.nextInt(4), 1),
              alone.begins(),
              alone.ready().plus(Duration.ofDays(2))));
    }
    return jobs;
  }

  /** A kitchen with so many of each appliance and jar that all can be had. */
  static House kitchen(int jars) {
    List<House.Heater> heaters = new ArrayList<>();
    Appliance[] kinds = {
      Appliance.SLOW_COOKER, Appliance.GAS_RING, Appliance.GAS_RING, Appliance.ELECTRIC_PLATE
    };
    for (int i = 0; i < 10; i++) {
      heaters.add(new House.Heater("h" + i, "heater " + i, kinds[i % kinds.length], 2));
    }
    return new House(
        heaters,
        Map.of("jar0", jars, "jar1", jars, "jar2", jars, "jar3", jars),
        List.of(),
        Hours.USUAL);
  }
}
