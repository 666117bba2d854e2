package velvetcrock.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Bath;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.InTrial;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.Window;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.stock.Enough;

/** How a batch is strained, by its state, and what its oil is enough for. */
class StrainStepTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate CHARGED = LocalDate.of(2026, 3, 2);

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();
  private Use use = Use.SKIN;

  @ParameterizedTest
  @CsvSource({
    // herb, oil, cut, state, method; the steps that are special
    "yarrow, sunflower, CUT, DRIED, COLD, SQUEEZE SECOND_PASS SETTLE SPREAD_CLOTHS",
    "yarrow, castor, CUT, DRIED, COLD, WARM SQUEEZE SECOND_PASS SETTLE SPREAD_CLOTHS",
    "yarrow, castor, CUT, DRIED, SIMMER, COOL SQUEEZE SECOND_PASS SETTLE SPREAD_CLOTHS",
    "yarrow, coconut, CUT, DRIED, COLD, KEEP_LIQUID SQUEEZE SECOND_PASS SETTLE SPREAD_CLOTHS",
    "yarrow, sunflower, POWDER, DRIED, COLD, SQUEEZE SECOND_PASS FINE_FILTER SETTLE SPREAD_CLOTHS",
    "yarrow, sunflower, CUT, FRESH, COLD, DRIP SETTLE SPREAD_CLOTHS",
    "cayenne, sunflower, GROUND, DRIED, CROCK, COOL GLOVES SQUEEZE SECOND_PASS FINE_FILTER SETTLE SPREAD_CLOTHS"
  })
  void theStepsFollowHerbOilAndHeat(
      String herb, String oil, Cut cut, HerbState state, Method method, String steps) {
    charge(herb, oil, cut, state, method);

    assertThat(steps()).extracting(StrainStep::name).containsExactly(steps.split(" "));
  }

  /** Nothing tells anybody to warm fresh herb for eating, thick as the oil may be. */
  @ParameterizedTest
  @ValueSource(strings = {"sunflower", "olive", "avocado"})
  void freshHerbForEatingIsStrainedColdAndGoesBackIntoTheCold(String oil) {
    use = Use.KITCHEN;
    charge("garlic", oil, Cut.CUT, HerbState.FRESH, Method.COLD);

    assertThat(steps())
        .containsExactly(
            StrainStep.BACK_INTO_THE_COLD,
            StrainStep.DRIP,
            StrainStep.SETTLE_COLD,
            StrainStep.SPREAD_CLOTHS);
  }

  @Test
  void crispHerbIsPressedGentlyAndABathIsWipedOff() {
    charge("yarrow", "sunflower", Cut.CUT, HerbState.FRESH, Method.SIMMER);
    happens(
        1,
        new PutOnHeat(
            new Heater(null, "Plate", Appliance.ELECTRIC_PLATE),
            new Knob("1", 80.0, 0.5),
            new Bath("Pan", 60, 20, 220, 400)));
    happens(2, new Looked(null, null, null, null, null, true));

    assertThat(steps())
        .startsWith(StrainStep.WIPE, StrainStep.COOL)
        .contains(StrainStep.PRESS_GENTLY)
        .doesNotContain(StrainStep.SQUEEZE, StrainStep.DRIP, StrainStep.SECOND_PASS);
  }

  @Test
  void theViscosityOfABlendLiesBetweenItsOilsByTheirLogarithms() {
    CarrierBlend half =
        new CarrierBlend(
            List.of(
                new CarrierBlend.Share(CATALOGUE.carrier("olive"), 0.5),
                new CarrierBlend.Share(CATALOGUE.carrier("castor"), 0.5)));

    assertThat(half.viscosityAt(20)).isCloseTo(Math.sqrt(84.0 * 986), within(0.5));
    assertThat(half.viscosityAt(40)).isCloseTo(Math.sqrt(39.0 * 240), within(0.5));
  }

  @ParameterizedTest
  @CsvSource({
    "0, ''",
    "9.9, ''",
    "10, 1 ROLL_ON",
    "24.9, 1 MASSAGE 2 ROLL_ON",
    "100, 1 GIFT_BOTTLE 2 HAND_OIL 4 TIN_OF_SALVE 5 MASSAGE 10 ROLL_ON"
  })
  void anAmountIsEnoughForWhatItHoldsOnceAtLeast(double ml, String enough) {
    assertThat(
            String.join(" ", Enough.of(ml).stream().map(e -> e.count() + " " + e.what()).toList()))
        .isEqualTo(enough);
  }

  @Test
  void aTrialsJarHasItsOwnDayAndIsLateSoonAfterIt() {
    charge("yarrow", "sunflower", Cut.CUT, HerbState.DRIED, Method.COLD, 14);
    Window window = new BatchReckoning(CATALOGUE, BatchLog.fold(entries)).window(ZoneOffset.UTC);

    assertThat(window.earliestOn()).hasValue(CHARGED.plusDays(14));
    assertThat(window.usualOn()).hasValue(CHARGED.plusDays(14));
    assertThat(window.latestOn()).hasValue(CHARGED.plusDays(17));
  }

  private List<StrainStep> steps() {
    BatchState state = BatchLog.fold(entries);
    return StrainStep.of(state, new BatchReckoning(CATALOGUE, state));
  }

  private void happens(int hours, BatchEvent event) {
    Instant at = Instant.parse("2026-03-02T08:00:00Z").plusSeconds(hours * 3600L);
    entries.add(new Entry<BatchEvent>(UUID.randomUUID(), entries.size() + 1, at, event, null));
  }

  private void charge(String herb, String oil, Cut cut, HerbState state, Method method) {
    charge(herb, oil, cut, state, method, null);
  }

  private void charge(
      String herb, String oil, Cut cut, HerbState state, Method method, Integer aimDays) {
    InTrial trial = aimDays == null ? null : new InTrial(UUID.randomUUID(), "two weeks", aimDays);
    Part part = CATALOGUE.herb(herb).bestPart();
    double water = state == HerbState.DRIED ? 0.1 : 0.8;
    happens(
        0,
        new Charged(
            method,
            List.of(new HerbIn(herb, part, cut, state, Range.exactly(40), water, "")),
            List.of(new OilIn(oil, 1, CHARGED.plusMonths(16), null, null)),
            new Charged.Oil(Range.exactly(500), ""),
            new JarIn("Jar", 1500, 104),
            12,
            use,
            new Stand("place", "Dark cupboard", Light.DARK, 20.0),
            new Charged.Begun(CHARGED, 0, false),
            true,
            new Manner(false, null, null, List.of(), trial)));
  }
}
