package velvetcrock.core.jar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.FigureRow;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.YarrowLog;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Series;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Method;

/** A pot's heat as it happens, minute by minute. */
class PotHeatTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
  private static final Instant CHARGED = Instant.parse("2026-03-02T08:00:00Z");

  private static final PutOnHeat ON_WARM =
      new PutOnHeat(
          new Heater(null, "Slow cooker", Appliance.SLOW_COOKER),
          new Knob("warm", 68.0, 1.5),
          null);

  private final List<Entry<BatchEvent>> log = new ArrayList<>();

  private static Instant after(double hours) {
    return CHARGED.plusMillis(Math.round(hours * 3_600_000));
  }

  private void happens(double hours, BatchEvent event) {
    log.add(new Entry<BatchEvent>(UUID.randomUUID(), log.size() + 2, after(hours), event, null));
  }

  private PotHeat pot(Method method, Series readings, double nowHours) {
    return new PotHeat(CATALOGUE, state(method), readings, after(nowHours), OSLO);
  }

  private BatchState state(Method method) {
    List<Entry<BatchEvent>> whole = new ArrayList<>();
    Charged charged = YarrowLog.charged(method, DAY, 30, DAY.plusMonths(11));
    whole.add(new Entry<BatchEvent>(UUID.randomUUID(), 1, CHARGED, charged, null));
    whole.addAll(log);
    return BatchLog.fold(whole);
  }

  /** A reading a minute over so many hours. */
  private static Series each(double hours, DoubleUnaryOperator celsiusAtHour) {
    Series.Builder builder = Series.builder();
    for (int minute = 0; minute <= Math.round(hours * 60); minute++) {
      double at = minute / 60.0;
      builder.add(after(at).toEpochMilli(), celsiusAtHour.applyAsDouble(at));
    }
    return builder.build();
  }

  @Test
  void nothingIsKnownBeforeTheFirstReading() {
    PotHeat pot = pot(Method.WARM, Series.none(), 2);

    assertThat(pot.readings()).isZero();
    assertThat(pot.last()).isEmpty();
    assertThat(pot.assumedLast()).isEmpty();
    assertThat(pot.usualGapSeconds()).isEmpty();
    assertThat(pot.swing()).isEmpty();
    assertThat(pot.forecast()).isEmpty();
    assertThat(pot.statistics()).isEmpty();
    assertThat(pot.excursionNow()).isEmpty();
    assertThat(pot.servedHours(after(2))).isZero();
    assertThat(pot.zeroMillis()).isEqualTo(CHARGED.toEpochMilli());
  }

  @Test
  void whatNobodyReadCountsAsTheRoomsWarmth() {
    PotHeat pot = pot(Method.WARM, Series.none(), 48);

    assertThat(pot.spentDays(after(48))).as("two days in the dark").isCloseTo(2, within(1e-9));
    assertThat(pot.pull(after(48)).pull()).isBetween(0.0, 0.4);
    assertThat(pot.pull(after(96)).pull()).isGreaterThan(pot.pull(after(48)).pull());
  }

  @ParameterizedTest
  @ValueSource(ints = {5, 10, 30, 60})
  void aProbeIsKnownByHowOftenItSpeaks(int seconds) {
    Series.Builder builder = Series.builder();
    for (int at = 0; at <= 3600; at += seconds) {
      builder.add(CHARGED.plusSeconds(at).toEpochMilli(), 43);
    }
    PotHeat pot = pot(Method.WARM, builder.build(), 1);

    assertThat(pot.usualGapSeconds()).isPresent();
    assertThat(pot.usualGapSeconds().getAsDouble()).isCloseTo(seconds, within(0.5));
  }

  @Test
  void aHandThatReadsNowAndThenIsNoProbe() {
    assertThat(pot(Method.WARM, each(0.05, h -> 43), 1).usualGapSeconds()).isEmpty();
    Series.Builder seldom = Series.builder();
    for (int i = 0; i < 8; i++) {
      seldom.add(after(i / 2.0).toEpochMilli(), 43);
    }
    assertThat(pot(Method.WARM, seldom.build(), 4).usualGapSeconds()).isEmpty();
  }

  @Test
  void aThermostatsSwingIsSeenInTheHourBefore() {
    PotHeat pot = pot(Method.WARM, each(1, h -> 44 + 3 * Math.sin(h * 2 * Math.PI * 3)), 1);

    Range swing = pot.swing().orElseThrow();
    assertThat(swing.low()).isCloseTo(41, within(0.2));
    assertThat(swing.high()).isCloseTo(47, within(0.2));
  }

  @ParameterizedTest
  @CsvSource({"0.3, 0", "0.3, 3", "0.9, 0.3", "0.5, 0"})
  void aShortLookOrASteadyPotShowsNoSwing(double hours, double by) {
    assertThat(pot(Method.WARM, each(hours, h -> 44 + by * Math.sin(h * 40)), hours).swing())
        .isEmpty();
  }

  @Test
  void aPotThatRunsBeyondWhatItSwungIsNoThermostatsDoing() {
    Series runs = each(1, h -> h < 0.8 ? 44 + 2 * Math.sin(h * 20) : 44 + (h - 0.8) * 60);

    assertThat(pot(Method.WARM, runs, 1).swing()).isEmpty();
    assertThat(pot(Method.WARM, runs, 1).forecast().orElseThrow().perMinute()).isPositive();
  }

  @Test
  void aReadingThatIsNotLaterAsksToReckonAnew() {
    PotHeat pot = pot(Method.WARM, each(0.5, h -> 43), 1);
    double before = pot.pull(after(1)).pull();

    assertThat(pot.read(after(0.25).toEpochMilli(), 60)).isFalse();
    assertThat(pot.read(after(0.5).toEpochMilli(), 60)).isFalse();
    assertThat(pot.readings()).isEqualTo(31);
    assertThat(pot.pull(after(1)).pull()).isEqualTo(before);

    assertThat(pot.read(after(0.75).toEpochMilli(), 44)).isTrue();
    assertThat(pot.last().orElseThrow().celsius()).isEqualTo(44);
    assertThat(pot.last().orElseThrow().at()).isEqualTo(after(0.75));
    assertThat(pot.servedHours(after(1))).isCloseTo(0.75, within(1e-9));
  }

  @Test
  void theFirstReadingOfAllMayComeLate() {
    PotHeat pot = pot(Method.WARM, Series.none(), 1);

    assertThat(pot.read(after(3).toEpochMilli(), 43)).isTrue();
    assertThat(pot.read(after(5).toEpochMilli(), 43)).isTrue();
    assertThat(pot.servedHours(after(6))).isCloseTo(2, within(1e-9));
    assertThat(pot.statistics()).isPresent();
  }

  @Test
  void whatWasAssumedFromTheKnobIsReckonedAnewOnceSomebodyReads() {
    happens(0.5, ON_WARM);
    PotHeat pot = pot(Method.CROCK, Series.none(), 4);

    assertThat(pot.assumedLast()).isPresent();
    assertThat(pot.read(after(4).toEpochMilli(), 66)).isFalse();
    assertThat(pot.servedHours(after(4))).isCloseTo(3.5, within(1e-9));
  }

  @Test
  void aStretchAboveTheCeilingIsTheOneThatLasts() {
    PotHeat pot = pot(Method.WARM, each(1, h -> h < 0.5 ? 43 : 43 + (h - 0.5) * 160), 1);

    assertThat(pot.excursionNow()).isPresent();
    assertThat(pot.excursionNow().get().peakC()).isGreaterThan(pot.goal().ceilingC());
    assertThat(pot.statistics().orElseThrow().aboveCeilingMinutes()).isBetween(1.0, 30.0);
    assertThat(pot.read(after(1.1).toEpochMilli(), 43)).isTrue();
    assertThat(pot.excursionNow()).as("over").isEmpty();
  }

  @Test
  void aSolarJarServesItsWholeTimeInTheWindow() {
    PotHeat pot = pot(Method.SOLAR, Series.none(), 72);

    assertThat(pot.servedHours(after(72))).isCloseTo(72, within(1e-9));
    assertThat(pot.servedHours(after(-1))).isZero();
  }

  /** Above the ceiling twice, silent for three quarters of an hour, and cold in between. */
  private static double rough(double hour) {
    return hour < 2 ? 20 + 25 * hour : 45 + 60 * Math.sin(hour * 2.1);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 59, 125, 240, 299, 300})
  void whatWasKeptGoesOnAsIfAllHadBeenReadAtOnce(int readBefore) {
    Series all = each(5, PotHeatTest::rough);
    Series.Builder first = Series.builder();
    for (int i = 0; i < readBefore; i++) {
      first.add(all.millis(i) - (i < 100 ? 45 * 60_000 : 0), all.celsius(i));
    }
    Series before = first.build();
    PotHeat whole = pot(Method.WARM, before, 6);
    double[] kept = pot(Method.WARM, before, 6).kept().orElseThrow().all();
    FigureRow row = FigureRow.of(kept);
    PotHeat resumed = PotHeat.resumed(CATALOGUE, state(Method.WARM), row, after(6));
    for (int i = readBefore; i < all.size(); i++) {
      assertThat(whole.read(all.millis(i), all.celsius(i))).isTrue();
      assertThat(resumed.read(all.millis(i), all.celsius(i))).isTrue();
    }

    assertThatThrownBy(row::next).hasMessageContaining("were read");
    assertThat(resumed.readings()).isEqualTo(301);
    assertThat(resumed.statistics()).isEqualTo(whole.statistics());
    assertThat(whole.statistics().orElseThrow().excursions()).isNotEmpty();
    assertThat(resumed.pull(after(6))).isEqualTo(whole.pull(after(6)));
    assertThat(resumed.spentDays(after(6))).isEqualTo(whole.spentDays(after(6)));
    assertThat(resumed.servedHours(after(6))).isEqualTo(whole.servedHours(after(6)));
    assertThat(resumed.last()).isEqualTo(whole.last());
    assertThat(resumed.usualGapSeconds()).isEqualTo(whole.usualGapSeconds());
    assertThat(resumed.excursionNow()).isEqualTo(whole.excursionNow());
    assertThat(resumed.forecast()).isEqualTo(whole.forecast());
    assertThat(resumed.swing()).isEqualTo(whole.swing());
    assertThat(resumed.read(all.millis(300), 50)).as("not later").isFalse();
  }

  @Test
  void whatIsAssumedIsNotKept() {
    assertThat(pot(Method.WARM, Series.none(), 2).kept()).isEmpty();
    happens(0.5, ON_WARM);
    assertThat(pot(Method.CROCK, each(0.05, h -> 43), 30).kept()).isEmpty();
  }
}
