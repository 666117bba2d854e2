package velvetcrock.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;

/** An event that could not be read back and shown is never made. */
class EventTest {
  private static final Range THIRTY = Range.exactly(30);
  private static final Stand SHELF = new Stand("p", "Shelf", Light.DARK);
  private static final JarIn JAR = new JarIn("Jar", 530, 80);
  private static final HerbIn YARROW =
      new HerbIn("yarrow", Part.FLOWER, Cut.CUT, HerbState.DRIED, THIRTY, 0.1, "30 g");
  private static final OilIn OLIVE = new OilIn("olive", 1, null, null, null);

  private static Charged charged(
      List<HerbIn> herbs, List<OilIn> oils, double coverMm, LocalDate on) {
    return new Charged(
        Method.COLD,
        herbs,
        oils,
        new Charged.Oil(Range.exactly(400), ""),
        JAR,
        coverMm,
        Use.SKIN,
        SHELF,
        new Charged.Begun(on, 0, false),
        true,
        Manner.PLAIN);
  }

  private static final Heater RING = new Heater(null, "Ring", Appliance.GAS_RING);
  private static final Knob KNOB = new Knob("low", null, null);

  private static final LocalDate DAY = LocalDate.of(2026, 11, 1);

  static Stream<Arguments> impossible() {
    return Stream.of(
        refused("herbs", () -> charged(List.of(), List.of(OLIVE), 12, DAY)),
        refused("herbs", () -> charged(Collections.nCopies(101, YARROW), List.of(OLIVE), 12, DAY)),
        refused("herbs", () -> charged(Collections.singletonList(null), List.of(OLIVE), 12, DAY)),
        refused("carriers", () -> charged(List.of(YARROW), List.of(), 12, DAY)),
        refused("heater", () -> new PutOnHeat(null, KNOB, null)),
        refused("knob", () -> new PutOnHeat(RING, null, null)),
        refused("name", () -> new Heater(null, null, Appliance.OVEN)),
        refused("kind", () -> new Heater(null, "Ring", null)),
        refused("settlesC", () -> new Knob("low", 401.0, null)),
        refused("settlesC", () -> new Knob("low", Double.NaN, null)),
        refused("settleHours", () -> new Knob("low", 44.0, 100.0)),
        refused("depthMm", () -> new Bath("Pan", 0, 0, 220, 100)),
        refused("widthMm", () -> new Bath("Pan", 60, 20, 2, 100)),
        refused("evaporationW", () -> new Bath("Pan", 60, 20, 220, -1)),
        refused("knob", () -> new KnobTurned(null)),
        refused("test", () -> new FeltByHand(null)),
        refused("from", () -> new RanHot(null, null, 92, 90)),
        refused("peakC", () -> new RanHot(Instant.EPOCH, null, 500, 90)),
        refused("ceilingC", () -> new RanHot(Instant.EPOCH, null, 92, Double.NaN)),
        refused("from", () -> new HeatAnswered(null, HeatAnswer.LET_BE)),
        refused("answer", () -> new HeatAnswered(Instant.EPOCH, null)),
        refused("coverMm", () -> charged(List.of(YARROW), List.of(OLIVE), -1, DAY)),
        refused("coverMm", () -> charged(List.of(YARROW), List.of(OLIVE), Double.NaN, DAY)),
        refused(
            "chargedOn",
            () -> charged(List.of(YARROW), List.of(OLIVE), 12, LocalDate.of(9999, 1, 1))),
        refused("brimMl", () -> new JarIn("Jar", 0, 80)),
        refused("innerDiameterMm", () -> new JarIn("Jar", 530, Double.POSITIVE_INFINITY)),
        refused(
            "massG",
            () ->
                new HerbIn(
                    "yarrow", Part.FLOWER, Cut.CUT, HerbState.DRIED, new Range(-5, 5), 0.1, "")),
        refused(
            "waterFraction",
            () -> new HerbIn("yarrow", Part.FLOWER, Cut.CUT, HerbState.DRIED, THIRTY, 1.2, "")),
        refused(
            "cut", () -> new HerbIn("yarrow", Part.FLOWER, null, HerbState.DRIED, THIRTY, 0.1, "")),
        refused("share", () -> new OilIn("olive", 0, null, null, null)),
        refused("carrier", () -> new OilIn(null, 1, null, null, null)),
        refused("light", () -> new Stand("p", "Shelf", null)),
        refused("ml", () -> new ToppedUp(-30, "olive", "30 ml")),
        refused("text", () -> new ToppedUp(30, "olive", null)),
        refused("stand", () -> new Moved(null)),
        refused("expression", () -> new Strained(300, "300 ml", null, new Range(290, 310))),
        refused("oilMl", () -> new Strained(1e9, "much", Expression.DRIP, new Range(290, 310))),
        refused("bottles", () -> new Bottled(List.of())),
        refused(
            "glass",
            () ->
                new BottleIn("A", 100, 100, Store.Place.COOL, null, Store.Antioxidant.NONE, true)),
        refused("bottle", () -> new Drawn(null, 10, "10 ml", "")),
        refused("reason", () -> new BottleGone("A", null)),
        refused("reason", () -> new ThrownOut(null)),
        refused("text", () -> new Noted(null)),
        refused("text", () -> new Noted("x".repeat(20_000))));
  }

  private static Arguments refused(
      String field, org.assertj.core.api.ThrowableAssert.ThrowingCallable making) {
    return Arguments.of(field, making);
  }

  @ParameterizedTest(name = "{index} at {0}")
  @MethodSource("impossible")
  void whatCannotBeIsRefusedAtItsField(
      String field, org.assertj.core.api.ThrowableAssert.ThrowingCallable making) {
    assertThatThrownBy(making)
        .isInstanceOfSatisfying(
            Refused.class,
            refused -> assertThat(refused.problems().get(0).field()).isEqualTo(field));
  }

  @Test
  void aGoodChargeIsMadeAndMovedElsewhere() {
    Charged charged = charged(List.of(YARROW), List.of(OLIVE), 12, DAY);
    Stand window = new Stand("w", "Window", Light.WINDOW);

    assertThat(charged.exact()).isTrue();
    assertThat(charged.herbMassG()).isEqualTo(THIRTY);
    assertThat(charged.standing(window).stand()).isEqualTo(window);
    assertThat(charged.standing(window).standing(SHELF)).isEqualTo(charged);
  }
}
