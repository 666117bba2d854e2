package velvetcrock.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;

class CautionsTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private final Cautions cautions = Cautions.shipped();

  private List<String> codes(String herb, HerbState state, String carrier, Use use, Light light) {
    var thing = CATALOGUE.herb(herb);
    ChargeOrder order =
        new ChargeOrder(
            List.of(HerbPortion.usual(thing, thing.bestPart(), Cut.CUT, state, 20)),
            CarrierBlend.of(CATALOGUE.carrier(carrier)),
            new Ratio.WeightToVolume(12),
            Optional.of(CATALOGUE.jar("jar-500")),
            12);
    var charge = new Charger(CATALOGUE).reckon(order);
    return cautions.forCharge(order, charge, use, light, 20).stream().map(Caution::code).toList();
  }

  @Test
  void aSolidFatCannotBeInfusedCold() {
    assertThat(codes("yarrow", HerbState.DRIED, "coconut", Use.SKIN, Light.DARK))
        .startsWith("solid-carrier");
  }

  @Test
  void freshGarlicForEatingIsStoppedWithBotulism() {
    assertThat(codes("garlic", HerbState.FRESH, "olive", Use.KITCHEN, Light.DARK))
        .contains("botulism", "free-water");
    assertThat(cautions.of("botulism").level()).isEqualTo(Caution.Level.STOP);
  }

  @Test
  void herbCarrierAndPlaceEachBringTheirs() {
    assertThat(codes("yarrow", HerbState.DRIED, "hazelnut", Use.SKIN, Light.WINDOW))
        .contains("daisy-family", "tree-nut", "window-light", "patch-test");
    assertThat(codes("yarrow", HerbState.DRIED, "jojoba", Use.KITCHEN, Light.DARK))
        .contains("not-edible-herb", "not-edible-carrier", "kitchen-dried");
  }
}
