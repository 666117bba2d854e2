package velvetcrock.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import velvetcrock.Typing;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BathToppedUp;
import velvetcrock.core.batch.Capped;
import velvetcrock.core.batch.DampChecked;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Leaving;
import velvetcrock.core.batch.LeftLonger;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.LookedBack;
import velvetcrock.core.batch.MarcWeighed;
import velvetcrock.core.batch.Moved;
import velvetcrock.core.batch.Noted;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.OilLooked;
import velvetcrock.core.batch.OilPoured;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.Shaken;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.StoodClear;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.batch.ThrownOut;
import velvetcrock.core.batch.ToppedUp;
import velvetcrock.core.batch.Transferred;
import velvetcrock.core.batch.Turned;
import velvetcrock.core.batch.Visited;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;

/** An entry for the log is read as it was typed, or refused at its field. */
class LogFormTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final CarrierBlend RAPESEED = CarrierBlend.of(CATALOGUE.carrier("rapeseed"));
  private static final Stand SHELF = new Stand("p", "Shelf", Light.DARK);

  private static LogForm form(String... fields) {
    Map<String, String> typed = new HashMap<>();
    for (int i = 0; i < fields.length; i += 2) {
      typed.put(fields[i], fields[i + 1]);
    }
    return Typing.form(LogForm.class, typed);
  }

  private static BatchEvent event(String... fields) {
    return form(fields)
        .event(
            Units.metric(Kitchen.METRIC),
            RAPESEED,
            "rapeseed",
            id -> SHELF,
            key -> CATALOGUE.jar("jar-500"),
            Instant::parse);
  }

  static Stream<Arguments> read() {
    return Stream.of(
        entry(new Shaken(), "kind", "shaken"),
        entry(new Turned(7), "kind", "turned", "days", "7"),
        entry(
            new Visited(Set.of(Visited.Act.LOOKED, Visited.Act.SMELLED)),
            "kind",
            "visited",
            "acts",
            "LOOKED,SMELLED"),
        entry(
            new LeftLonger(Instant.parse("2026-12-12T00:00:00Z"), "no time now"),
            "kind",
            "left-longer",
            "until",
            "2026-12-12T00:00:00Z",
            "reason",
            "no time now"),
        entry(new Turned(), "kind", "turned"),
        entry(new AllWell(), "kind", "all-well"),
        entry(new Capped(), "kind", "capped"),
        entry(new BathToppedUp(), "kind", "bath-topped-up"),
        entry(new TakenOffHeat(), "kind", "taken-off-heat"),
        entry(new StoodClear(), "kind", "stood-clear"),
        entry(
            new OilLooked(true, 62.0, true, null, null, false),
            "kind",
            "oil-looked",
            "still",
            "yes",
            "warm",
            "62 C",
            "crispNow",
            "yes"),
        entry(
            new OilLooked(null, null, null, false, false, true),
            "kind",
            "oil-looked",
            "clear",
            "yes"),
        entry(
            new OilLooked(null, null, null, true, null, false),
            "kind",
            "oil-looked",
            "water",
            "yes"),
        entry(new DampChecked(true), "kind", "damp-even"),
        entry(new DampChecked(false), "kind", "damp-checked", "even", "no"),
        entry(new Moved(SHELF), "kind", "moved", "place", "p"),
        entry(new Noted("Green"), "kind", "note", "text", " Green "),
        entry(
            new Looked(true, false, null, null, null, null),
            "kind",
            "looked",
            "covered",
            "yes",
            "floating",
            "no"),
        entry(new Smelled(null, OffSmell.RANCID), "kind", "smelled", "off", "RANCID"),
        entry(new LookedBack("Clear", ""), "kind", "looked-back", "well", "Clear", "next", ""),
        entry(new ThrownOut(Ending.MUSTY), "kind", "thrown-out", "reason", "MUSTY"),
        entry(new ToppedUp(30, "rapeseed", "30 ml"), "kind", "topped-up", "amount", "30 ml"),
        entry(new PotWeighed(1240, "1.24 kg"), "kind", "pot-weighed", "gross", "1.24 kg"),
        entry(new MarcWeighed(92, "92 g"), "kind", "marc-weighed", "gross", "92 g"),
        entry(
            new Decanted(Leaving.SEDIMENT, 12, "12 g", 300.0),
            "kind",
            "decanted",
            "what",
            "SEDIMENT",
            "gross",
            "12 g",
            "amount",
            "300 ml"),
        entry(new OilPoured(400, "400 ml", null), "kind", "oil-poured", "amount", "400 ml"));
  }

  private static Arguments entry(BatchEvent event, String... fields) {
    return Arguments.of(event, fields);
  }

  @ParameterizedTest
  @MethodSource("read")
  void whatIsTypedIsRead(BatchEvent expected, String[] fields) {
    assertThat(event(fields)).isEqualTo(expected);
  }

  @Test
  void aWeightOfOilIsTakenForItsVolume() {
    ToppedUp added = (ToppedUp) event("kind", "topped-up", "amount", "91.5 g");

    assertThat(added.ml()).isCloseTo(91.5 / RAPESEED.densityAt(20), within(0.01));
  }

  @Test
  void aVesselIsPutIntoTheLogWithItsMeasures() {
    Transferred into = (Transferred) event("kind", "transferred", "jar", "jar-500");

    assertThat(into.jar()).isEqualTo(JarIn.of(CATALOGUE.jar("jar-500")));
  }

  static Stream<Arguments> refused() {
    return Stream.of(
        refusal("kind", "Choose what to log"),
        refusal("kind", "Choose what to log", "kind", "sung-to"),
        refusal("covered", "at least one thing", "kind", "looked"),
        refusal("scent", "what you smelled", "kind", "smelled"),
        refusal("even", "evenly damp", "kind", "damp-checked"),
        refusal("amount", "", "kind", "topped-up", "amount", "a lot"),
        refusal("gross", "Give a weight", "kind", "pot-weighed", "gross", "300 ml"),
        refusal("gross", "", "kind", "marc-weighed"),
        refusal("what", "", "kind", "decanted", "what", "FOAM", "gross", "3 g"),
        refusal("text", "Write something", "kind", "note", "text", "  "),
        refusal("text", "this one has 2001", "kind", "note", "text", "x".repeat(2001)),
        refusal("well", "At most 2000", "kind", "looked-back", "well", "x".repeat(2001)),
        refusal("next", "At most 2000", "kind", "looked-back", "next", "x".repeat(2001)),
        refusal("reason", "", "kind", "thrown-out", "reason", "BORED"),
        refusal("bubbles", "", "kind", "looked", "bubbles", "many"));
  }

  private static Arguments refusal(String field, String words, String... fields) {
    return Arguments.of(field, words, fields);
  }

  @ParameterizedTest
  @MethodSource("refused")
  void whatCannotBeReadIsRefusedAtItsField(String field, String words, String[] fields) {
    assertThatThrownBy(() -> event(fields))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(words)
        .satisfies(
            e ->
                assertThat(((Refused) e).problems())
                    .extracting(problem -> problem.field())
                    .contains(field));
  }
}
