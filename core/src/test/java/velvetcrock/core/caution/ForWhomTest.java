package velvetcrock.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.caution.ForWhom.Mark;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.EssentialOil;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;

/** Whom a herb, an oil or a drop is kept away from. */
class ForWhomTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Cautions CAUTIONS = Cautions.shipped();

  @ParameterizedTest
  @CsvSource({
    "arnica, BABY, AWAY",
    "arnica, CHILD, ASK",
    "garlic, BABY, AWAY",
    "garlic, PETS, AWAY",
    "garlic, PREGNANCY, NONE",
    "cayenne, CHILD, AWAY",
    "cayenne, OLDER_CHILD, ASK",
    "mugwort, PREGNANCY, AWAY",
    "sage, PREGNANCY, AWAY",
    "yarrow, CHILD, ASK",
    "yarrow, PREGNANCY, AWAY",
    "hops, PREGNANCY, ASK",
    "comfrey-root, NURSING, AWAY",
    "meadowsweet, PETS, AWAY",
    "peppermint, CHILD, AWAY",
    "st-johns-wort, PREGNANCY, ASK",
    "neem, PREGNANCY, AWAY",
    "calendula, BABY, NONE",
    "cayenne, SKIN, NONE"
  })
  void theTableSaysWhomItIsKeptFrom(String thing, Purpose purpose, Mark mark) {
    assertThat(ForWhom.shipped().of(thing, purpose)).isEqualTo(mark);
  }

  @Test
  void everyDropIsAnEssentialOilToo() {
    for (EssentialOil oil : CATALOGUE.essentialOils()) {
      assertThat(ForWhom.shipped().ofDrop(oil.key(), Purpose.BABY)).isEqualTo(Mark.AWAY);
      assertThat(ForWhom.shipped().ofDrop(oil.key(), Purpose.PETS)).isEqualTo(Mark.AWAY);
    }
  }

  /** What is hot, not for pregnancy or of salicylates by its own row stands in the table too. */
  @Test
  void noHerbOfGraveCautionsIsMissing() {
    Set<String> grave =
        Set.of("hot", "comfrey", "arnica", "pregnancy-avoid", "salicylate", "pyrrolizidine");
    Set<String> named = new TreeSet<>();
    ForWhom.shipped().things().forEach(named::add);
    assertThat(
            CATALOGUE.herbs().stream()
                .filter(h -> h.cautions().stream().anyMatch(grave::contains))
                .map(Herb::key)
                .collect(Collectors.toSet()))
        .isSubsetOf(named);
  }

  @ParameterizedTest
  @CsvSource({
    "arnica, BABY, not-for-baby, STOP",
    "arnica, CHILD, ask-first, CAREFUL",
    "garlic, BABY, not-for-baby, STOP",
    "garlic, INTIMATE, not-intimate, STOP",
    "ginger, CHILD, not-for-child, STOP",
    "ginger, OLDER_CHILD, ask-first, CAREFUL",
    "sage, PREGNANCY, pregnancy-stop, STOP",
    "comfrey, NURSING, not-nursing, STOP",
    "poplar-bud, PETS, harms-pets, STOP",
    "calendula, PETS, not-for-pets, CAREFUL",
    "yarrow, LIPS, lips-swallowed, STOP"
  })
  void itIsSaidWhileAChargeIsPlanned(
      String herb, Purpose purpose, String code, Caution.Level level) {
    ChargeOrder order =
        new ChargeOrder(
            List.of(
                HerbPortion.usual(
                    CATALOGUE.herb(herb),
                    CATALOGUE.herb(herb).bestPart(),
                    velvetcrock.core.materia.Cut.CUT,
                    HerbState.DRIED,
                    20)),
            CarrierBlend.of(CATALOGUE.carrier("olive")),
            new Ratio.WeightToVolume(8),
            java.util.Optional.empty(),
            12);
    List<Caution> due =
        CAUTIONS.forPlan(
            new Situation(
                order, new Charger(CATALOGUE).reckon(order), purpose, Light.DARK, 20, Set.of()));

    assertThat(due)
        .filteredOn(c -> c.code().equals(code))
        .singleElement()
        .extracting(Caution::level)
        .isEqualTo(level);
  }
}
