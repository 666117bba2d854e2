package velvetcrock.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.Scent;
import velvetcrock.core.batch.Shaken;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.care.Readiness.Aspect;
import velvetcrock.core.care.Readiness.Says;
import velvetcrock.core.care.Readiness.Sign;
import velvetcrock.core.care.Readiness.Verdict;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;

/** Ready, wait or overdue, and why. */
class ReadinessTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final ZoneId ZONE = ZoneId.of("Europe/Oslo");
  private static final LocalDate CHARGED = LocalDate.of(2026, 3, 2);

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();

  /** Cold: its window is days 21 to 56. Signs: y speaks for, n against, - nobody looked. */
  @ParameterizedTest
  @CsvSource({
    // day, colour, herb, smell, verdict
    "10, -, -, -, WAIT",
    "10, y, y, y, WAIT",
    "18, y, y, y, READY",
    "10, y, y, n, WAIT",
    "20, y, y, -, WAIT",
    "21, -, -, -, READY",
    "25, n, n, n, WAIT",
    "25, n, -, -, READY",
    "40, y, y, y, READY",
    "40, n, n, y, READY",
    "56, -, -, -, READY",
    "57, -, -, -, OVERDUE",
    "57, n, n, n, OVERDUE"
  })
  void theVerdictFollowsTheSigns(int day, char colour, char herb, char smell, Verdict verdict) {
    charge(Method.COLD, HerbState.DRIED, Cut.CUT);
    for (int shaken = 1; shaken < day; shaken++) {
      happens(24 * shaken, new Shaken());
    }
    if (colour != '-') {
      happens(2 * 24, new Coloured(Rgb.of("#c9a227"), false, null));
      String last = colour == 'y' ? "#c9a328" : "#a87a10";
      happens(9 * 24, new Coloured(Rgb.of(last), false, null));
    }
    if (herb != '-') {
      happens(9 * 24, new Looked(null, null, null, null, herb == 'y', null));
    }
    if (smell != '-') {
      Scent scent = smell == 'y' ? Scent.STRONG : Scent.FAINT;
      happens(9 * 24, new Smelled(scent, null));
    }
    assertThat(at(24 * day).verdict()).isEqualTo(verdict);
  }

  @Test
  void spoiledIsLostWhateverElse() {
    charge(Method.COLD, HerbState.DRIED, Cut.CUT);
    happens(24 * 30, new Looked(null, null, null, true, true, null));
    assertThat(at(24 * 31).verdict()).isEqualTo(Verdict.LOST);
  }

  @Test
  void waterThatHasToLeaveIsWaitedFor() {
    charge(Method.CROCK, HerbState.FRESH, Cut.CUT);
    happens(0, putOn());
    happens(1, new PotWeighed(1600, ""));
    Readiness wet = at(20);
    assertThat(says(wet, Aspect.WATER)).isEqualTo(Says.NO);
    assertThat(wet.verdict()).isEqualTo(Verdict.WAIT);

    happens(19, new PotWeighed(1520, ""));
    Readiness dry = at(20);
    assertThat(says(dry, Aspect.WATER)).isEqualTo(Says.YES);
    assertThat(dry.verdict()).isEqualTo(Verdict.READY);
  }

  @Test
  void onTheHeatHoursCountAndNotDays() {
    charge(Method.CROCK, HerbState.DRIED, Cut.CUT);
    happens(0, putOn());
    assertThat(says(at(2), Aspect.TIME)).isEqualTo(Says.NO);
    assertThat(says(at(24), Aspect.TIME)).isEqualTo(Says.YES);
    assertThat(at(24 * 10).verdict()).isEqualTo(Verdict.OVERDUE);
  }

  @Test
  void bubblesOfAFreshHerbSpeakAgainst() {
    charge(Method.COLD, HerbState.DRIED, Cut.CUT);
    happens(24, new Looked(null, null, Bubbles.FEW, null, null, null));
    assertThat(says(at(24 * 25), Aspect.HERB)).isEqualTo(Says.NO);
    happens(48, new Looked(null, null, Bubbles.NONE, null, false, null));
    assertThat(says(at(24 * 25), Aspect.HERB)).isEqualTo(Says.NO);
    happens(72, new Looked(null, null, null, null, null, true));
    assertThat(says(at(24 * 25), Aspect.HERB)).isEqualTo(Says.YES);
  }

  @Test
  void aYoungJarHasMuchToGainAndAnOldOneLittle() {
    charge(Method.COLD, HerbState.DRIED, Cut.CUT);
    assertThat(gainAt(24 * 2)).isGreaterThan(gainAt(24 * 50)).isGreaterThan(0.05);
  }

  @Test
  void whatWasNeverPutOnTheHeatIsNeverReadyByTheCalendar() {
    charge(Method.CROCK, HerbState.DRIED, Cut.CUT);
    assertThat(at(24 * 40).verdict()).isEqualTo(Verdict.WAIT);
  }

  @Test
  void aJarFullOfWaterIsNeverOverdue() {
    charge(Method.COLD, HerbState.FRESH, Cut.CUT);
    assertThat(at(24 * 80).verdict()).isEqualTo(Verdict.WAIT);
  }

  private static @Nullable Says says(Readiness readiness, Aspect aspect) {
    return readiness.signs().stream()
        .filter(s -> s.aspect() == aspect)
        .map(Sign::says)
        .findFirst()
        .orElse(null);
  }

  private Readiness at(double hours) {
    BatchState state = BatchLog.fold(entries);
    BatchReckoning reckoning = new BatchReckoning(CATALOGUE, state);
    return Readiness.of(
        state,
        reckoning,
        reckoning.served(0, moment(hours)),
        moment(hours).atZone(ZONE).toLocalDate(),
        ZONE);
  }

  private double gainAt(double hours) {
    BatchState state = BatchLog.fold(entries);
    return Readiness.gain(state, heat(state, hours), moment(hours));
  }

  private static PotHeat heat(BatchState state, double hours) {
    return new PotHeat(CATALOGUE, state, Series.none(), moment(hours), ZONE);
  }

  private static PutOnHeat putOn() {
    return new PutOnHeat(
        new Heater(null, "Crock", Appliance.SLOW_COOKER), new Knob("warm", 65.0, 1.5), null);
  }

  private static Instant moment(double hours) {
    return CHARGED.atTime(9, 0).atZone(ZONE).toInstant().plusSeconds((long) (hours * 3600));
  }

  private void happens(double hours, BatchEvent event) {
    entries.add(
        new Entry<BatchEvent>(UUID.randomUUID(), entries.size() + 1, moment(hours), event, null));
  }

  private void charge(Method method, HerbState herbState, Cut cut) {
    happens(
        0,
        new Charged(
            method,
            List.of(
                new HerbIn(
                    "yarrow",
                    Part.FLOWER,
                    cut,
                    herbState,
                    Range.exactly(herbState == HerbState.FRESH ? 100 : 40),
                    herbState == HerbState.FRESH ? 0.8 : 0.10,
                    "")),
            List.of(new OilIn("olive", 1, CHARGED.plusMonths(16), null, null)),
            new Charged.Oil(Range.exactly(500), ""),
            new JarIn("Jar", 1500, 104),
            12,
            Use.SKIN,
            new Stand("place", "Dark cupboard", Light.DARK, 20.0),
            new Charged.Begun(CHARGED, 0, false),
            true,
            Manner.PLAIN));
  }
}
