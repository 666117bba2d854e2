package velvetcrock.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.Bath;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.OilPoured;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.Shaken;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;

/** What a batch will want by the clock. */
class AheadTest {
  private static final LocalDate CHARGED = LocalDate.of(2026, 3, 2);

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();

  @Test
  void aPotComesOffWhenItHasHadItsHoursAndItsBathIsFilledBefore() {
    charge(Method.WARM, HerbState.DRIED, null);
    happens(
        1,
        new PutOnHeat(
            new Heater(null, "Ring", Appliance.GAS_RING),
            new Knob("low", 43.0, 1.0),
            new Bath("Pan", 60, 20, 220, 300)));

    List<Ahead.Coming> coming = at(1.05);
    assertThat(coming)
        .extracting(Ahead.Coming::kind)
        .containsExactly(Task.Kind.FILL_BATH, Task.Kind.OFF_HEAT);
    assertThat(coming.get(1).at()).isEqualTo(moment(1 + Method.WARM.usualHours()));
    assertThat(at(1 + Method.WARM.usualHours() + 0.1))
        .extracting(Ahead.Coming::kind)
        .doesNotContain(Task.Kind.OFF_HEAT);
  }

  @Test
  void aFreshHerbStaysOnUntilItsWaterHasLeftAndIsWeighedEveryHour() {
    charge(Method.WARM, HerbState.FRESH, null);
    happens(
        1,
        new PutOnHeat(
            new Heater(null, "Crock", Appliance.SLOW_COOKER), new Knob("warm", 45.0, 1.0), null));
    happens(1.5, new PotWeighed(900, ""));

    assertThat(at(2))
        .containsExactly(
            new Ahead.Coming(Task.Kind.WEIGH, moment(2.5)),
            new Ahead.Coming(Task.Kind.OFF_HEAT, moment(1 + Method.WARM.latestHours())));
  }

  @Test
  void whatRestsInSpiritGetsItsOilAfterTwelveHoursAndIsThenShakenEveryFive() {
    charge(Method.SPIRIT, HerbState.DRIED, new SpiritIn(96, 20, "", null));
    assertThat(at(2)).containsExactly(new Ahead.Coming(Task.Kind.POUR, moment(12)));

    happens(13, new OilPoured(300, "", null));
    happens(14, new Shaken());
    assertThat(at(15)).containsExactly(new Ahead.Coming(Task.Kind.SHAKE, moment(19)));
  }

  @Test
  void aJarInTheDarkWantsNothingByTheClock() {
    charge(Method.COLD, HerbState.DRIED, null);

    assertThat(at(5)).isEmpty();
  }

  private List<Ahead.Coming> at(double hours) {
    return new Ahead(Catalogue.shipped()).of(BatchLog.fold(entries), moment(hours));
  }

  private static Instant moment(double hours) {
    return CHARGED.atTime(9, 0).toInstant(ZoneOffset.UTC).plusSeconds(Math.round(hours * 3600));
  }

  private void happens(double hours, BatchEvent event) {
    entries.add(
        new Entry<BatchEvent>(UUID.randomUUID(), entries.size() + 1, moment(hours), event, null));
  }

  private void charge(Method method, HerbState state, @Nullable SpiritIn spirit) {
    happens(
        0,
        new Charged(
            method,
            List.of(
                new HerbIn(
                    "yarrow",
                    Part.FLOWER,
                    Cut.CUT,
                    state,
                    Range.exactly(40),
                    state == HerbState.FRESH ? 0.8 : 0.10,
                    "")),
            List.of(new OilIn("olive", 1, CHARGED.plusMonths(16), null, null)),
            new Charged.Oil(Range.exactly(500), ""),
            new JarIn("Jar", 1500, 104),
            12,
            Use.SKIN,
            new Stand("place", "Stove", Light.ROOM, 20.0),
            new Charged.Begun(CHARGED, 0, false),
            true,
            new Manner(false, spirit, null, List.of(), null)));
  }
}
