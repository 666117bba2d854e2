package velvetcrock.core.jar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Leaving;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.MarcWeighed;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Balance;
import velvetcrock.core.yield.Expression;

/** Where every gram of a batch went. */
class BalanceOfBatchTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Instant CHARGED = Instant.parse("2026-03-02T08:00:00Z");
  private static final double DENSITY = CATALOGUE.carrier("olive").densityAt(Carrier.ROOM_C);

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();

  @ParameterizedTest
  @InstancioSource(samples = 60)
  void itClosesToTheGramWhereEverythingWasWeighed(@Given int seed) {
    java.util.Random random = new java.util.Random(seed);
    double herbG = 20 + random.nextInt(80);
    double oilMl = 300 + random.nextInt(300);
    double outMl = oilMl * (0.6 + 0.3 * random.nextDouble());
    double sedimentG = random.nextInt(10) + 1;
    charge(herbG, oilMl, HerbState.DRIED);
    happens(900, new Strained(outMl, "", Expression.SQUEEZE, new Range(1, 2)));
    happens(901, new Decanted(Leaving.SEDIMENT, sedimentG, ""));
    double marcG = herbG + (oilMl - outMl) * DENSITY;
    happens(902, new MarcWeighed(marcG, ""));

    Balance balance = balance();
    assertThat(balance.unaccountedG()).isCloseTo(0, within(1e-6));
    assertThat(balance.closes()).isTrue();
    assertThat(balance.inG()).isCloseTo(herbG + oilMl * DENSITY, within(1e-9));
  }

  @Test
  void marcAndFilmThatNobodyWeighedAreEstimated() {
    charge(50, 400, HerbState.DRIED);
    happens(900, new Strained(320, "", Expression.SQUEEZE, new Range(1, 2)));
    Balance balance = balance();
    assertThat(balance.closes()).isTrue();
    assertThat(balance.causes()).isEmpty();
    assertThat(balance.estimated().marcG()).isBetween(100.0, 125.0);
    assertThat(balance.estimated().filmG()).isBetween(3.0, 8.0);
    assertThat(balance.estimated().totalG() + balance.unaccountedG())
        .isCloseTo(50 + 80 * DENSITY, within(1e-6));
  }

  /** What is estimated never makes more of what came out than went in. */
  @Test
  void noMoreIsEstimatedThanIsMissing() {
    charge(50, 400, HerbState.DRIED);
    happens(900, new Strained(390, "", Expression.SQUEEZE, new Range(1, 2)));
    assertThat(balance().estimated().totalG()).isCloseTo(50 + 10 * DENSITY, within(1e-6));
    assertThat(balance().unaccountedG()).isCloseTo(0, within(1e-6));
  }

  @Test
  void whatTheScaleSawLeaveIsDrivenOff() {
    charge(100, 500, HerbState.FRESH);
    happens(1, new PotWeighed(1600, ""));
    happens(9, new PotWeighed(1540, ""));
    happens(10, new Strained(460, "", Expression.DRIP, new Range(1, 2)));
    happens(11, new MarcWeighed(100 - 60 + 40 * DENSITY, ""));
    assertThat(balance().unaccountedG()).isCloseTo(0, within(1e-6));
  }

  @Test
  void filmAndWaterCountWhereTheyWereWeighedAndAddUp() {
    charge(50, 400, HerbState.DRIED);
    happens(900, new Strained(320, "", Expression.SQUEEZE, new Range(1, 2)));
    happens(901, new Decanted(Leaving.WATER, 4, "4 g"));
    happens(902, new Decanted(Leaving.WATER, 3, "3 g"));
    happens(903, new Decanted(Leaving.FILM, 6, "6 g"));
    BatchState.Remains remains = BatchLog.fold(entries).remains();
    assertThat(remains.waterG()).isEqualTo(7);
    assertThat(remains.filmG()).isEqualTo(6);
    assertThat(balance().outG()).isCloseTo(320 * DENSITY - 7 * DENSITY + 13, within(1e-6));
  }

  @Test
  void whatIsLeftBehindComesOutOfTheOilThatWasMeasuredUnlessTheClearOilIsMeasuredAgain() {
    charge(50, 400, HerbState.DRIED);
    happens(900, new Strained(320, "", Expression.SQUEEZE, new Range(1, 2)));
    happens(924, new Decanted(Leaving.SEDIMENT, 9.13, "9.13 g"));
    BatchReckoning reckoning = new BatchReckoning(CATALOGUE, BatchLog.fold(entries));
    assertThat(reckoning.clearMl()).isCloseTo(310, within(1e-9));
    assertThat(reckoning.unbottledMl()).isCloseTo(310, within(1e-9));
    assertThat(balance().outG()).isCloseTo(320 * DENSITY, within(1e-9));

    happens(925, new Decanted(Leaving.SEDIMENT, 1, "1 g", 305.0));
    assertThat(new BatchReckoning(CATALOGUE, BatchLog.fold(entries)).clearMl()).isEqualTo(305);
    assertThat(BatchLog.fold(entries).remains().settled()).isTrue();
  }

  @Test
  void nothingIsLeftBehindBeforeItIsStrained() {
    charge(50, 400, HerbState.DRIED);
    assertThat(new BatchReckoning(CATALOGUE, BatchLog.fold(entries)).balance()).isEmpty();
    happens(5, new MarcWeighed(90, "90 g"));
    assertThatThrownBy(() -> BatchLog.fold(entries)).hasMessageContaining("kind");
    assertThatThrownBy(() -> new Decanted(Leaving.WATER, 0, "")).hasMessageContaining("massG");
    assertThatThrownBy(() -> new MarcWeighed(-1, "")).hasMessageContaining("massG");
  }

  /** What marc and film keep is known well enough: nobody slipped. */
  @Test
  void aGapThatMarcAndFilmExplainIsNoSlip() {
    charge(50, 400, HerbState.DRIED);
    happens(900, new Strained(320, "", Expression.SQUEEZE, new Range(1, 2)));
    assertThat(balance().causes()).noneMatch(c -> c.contains("slip"));

    entries.clear();
    charge(50, 400, HerbState.DRIED);
    happens(900, new Strained(120, "", Expression.SQUEEZE, new Range(1, 2)));
    assertThat(balance().causes().get(0)).matches("The spent herb kept more than the 1\\d\\d g .*");
    assertThat(balance().causes()).anyMatch(c -> c.contains("slip"));

    happens(901, new MarcWeighed(120, "120 g"));
    assertThat(balance().causes())
        .noneMatch(c -> c.contains("spent herb"))
        .anyMatch(c -> c.contains("slip"));
  }

  @Test
  void whatStaysBehindIsNoMoreThanWentIn() {
    charge(50, 400, HerbState.DRIED);
    happens(900, new Strained(320, "", Expression.SQUEEZE, new Range(1, 2)));
    happens(901, new MarcWeighed(460, "460 g"));
    assertThatThrownBy(() -> BatchLog.fold(entries)).hasMessageContaining("massG: At most about");
    entries.remove(entries.size() - 1);
    happens(901, new Decanted(Leaving.FILM, 460, "460 g"));
    assertThatThrownBy(() -> BatchLog.fold(entries)).hasMessageContaining("massG: At most about");
  }

  private Balance balance() {
    return new BatchReckoning(CATALOGUE, BatchLog.fold(entries)).balance().orElseThrow();
  }

  private void charge(double herbG, double oilMl, HerbState herbState) {
    LocalDate day = LocalDate.of(2026, 3, 2);
    happens(
        0,
        new Charged(
            herbState == HerbState.FRESH ? Method.CROCK : Method.COLD,
            List.of(
                new HerbIn(
                    "rosemary",
                    Part.LEAF,
                    Cut.CUT,
                    herbState,
                    Range.exactly(herbG),
                    herbState == HerbState.FRESH ? 0.68 : 0.10,
                    "")),
            List.of(new OilIn("olive", 1, day.plusMonths(16), null, null)),
            new Charged.Oil(Range.exactly(oilMl), ""),
            new JarIn("Jar", 1500, 104),
            12,
            Use.SKIN,
            new Stand("place", "Shelf", Light.DARK),
            new Charged.Begun(day, 0, false),
            true,
            Manner.PLAIN));
  }

  private void happens(double hours, BatchEvent event) {
    entries.add(
        new Entry<BatchEvent>(
            UUID.randomUUID(),
            entries.size() + 1,
            CHARGED.plusMillis(Math.round(hours * 3_600_000)),
            event,
            null));
  }
}
