package velvetcrock.core.plan;

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
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.BatchLog;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Event;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;

/** What a batch will want by the clock. */
class AheadTest {
  private static final LocalDate CHARGED = LocalDate.of(2026, 3, 2);

  private final List<Entry> entries = new ArrayList<>();

  @Test
  void aPotComesOffWhenItHasHadItsHoursAndItsBathIsFilledBefore() {
    charge(Method.WARM, HerbState.DRIED, null);
    happens(
        1,
        new Event.PutOnHeat(
            new Event.Heater(null, "Ring", Appliance.GAS_RING),
            new Event.Knob("low", 43.0, 1.0),
            new Event.Bath("Pan", 60, 20, 220, 300)));

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
        new Event.PutOnHeat(
            new Event.Heater(null, "Crock", Appliance.SLOW_COOKER),
            new Event.Knob("warm", 45.0, 1.0),
            null));
    happens(1.5, new Event.PotWeighed(900, ""));

    assertThat(at(2))
        .containsExactly(
            new Ahead.Coming(Task.Kind.WEIGH, moment(2.5)),
            new Ahead.Coming(Task.Kind.OFF_HEAT, moment(1 + Method.WARM.latestHours())));
  }

  @Test
  void whatRestsInSpiritGetsItsOilAfterTwelveHoursAndIsThenShakenEveryFive() {
    charge(Method.SPIRIT, HerbState.DRIED, new Event.SpiritIn(96, 20, "", null));
    assertThat(at(2)).containsExactly(new Ahead.Coming(Task.Kind.POUR, moment(12)));

    happens(13, new Event.OilPoured(300, "", null));
    happens(14, new Event.Shaken());
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

  private void happens(double hours, Event event) {
    entries.add(new Entry(UUID.randomUUID(), entries.size() + 1, moment(hours), event, null));
  }

  private void charge(Method method, HerbState state, Event.@Nullable SpiritIn spirit) {
    happens(
        0,
        new Event.Charged(
            method,
            List.of(
                new Event.HerbIn(
                    "yarrow",
                    Part.FLOWER,
                    Cut.CUT,
                    state,
                    Range.exactly(40),
                    state == HerbState.FRESH ? 0.8 : 0.10,
                    "")),
            List.of(new Event.OilIn("olive", 1, CHARGED.plusMonths(16), null, null)),
            Range.exactly(500),
            "",
            new Event.JarIn("Jar", 1500, 104),
            12,
            Use.SKIN,
            new Event.Stand("place", "Stove", Light.ROOM, 20.0),
            CHARGED,
            0,
            false,
            true,
            new Event.Manner(false, spirit, null, List.of(), null)));
  }
}
