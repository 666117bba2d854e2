package velvetcrock.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.Problems;
import velvetcrock.core.caution.Situation.Addition;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.CatalogueFile;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;

/** The rules as they ship: every fact in them is one that can come true. */
class RulesTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Cautions CAUTIONS = Cautions.shipped();

  private static Situation situation(
      Herb herb, HerbState state, String carrier, double oil, double celsius, Purpose purpose) {
    ChargeOrder order =
        new ChargeOrder(
            List.of(
                new HerbPortion(
                    herb,
                    herb.bestPart(),
                    Cut.CUT,
                    state,
                    60,
                    state == HerbState.DRIED ? 0.15 : herb.waterFraction(state))),
            CarrierBlend.of(CATALOGUE.carrier(carrier)),
            new Ratio.WeightToVolume(oil),
            Optional.of(CATALOGUE.jar("jar-500")),
            4);
    return new Situation(
        order,
        new Charger(CATALOGUE).reckon(order),
        purpose,
        Light.WINDOW,
        celsius,
        Set.of(Addition.values()));
  }

  @Test
  void noRuleWaitsForAFactThatNeverComes() {
    Set<String> seen = new TreeSet<>();
    for (Herb herb : CATALOGUE.herbs()) {
      for (HerbState state : HerbState.values()) {
        for (String carrier : List.of("olive", "shea", "jojoba")) {
          for (double celsius : new double[] {20, 43, 65, 95, 120}) {
            seen.addAll(Facts.of(situation(herb, state, carrier, 5, celsius, Purpose.SKIN)));
            seen.addAll(Facts.of(situation(herb, state, carrier, 11, celsius, Purpose.SKIN)));
          }
        }
      }
    }
    // thin-cover lies between covering and 6 mm of oil: a charge is made for it
    ChargeOrder thin =
        situation(CATALOGUE.herb("yarrow"), HerbState.DRIED, "olive", 11, 20, Purpose.SKIN).order();
    double covering = new Charger(CATALOGUE).reckon(thin).coveringOilPerHerb();
    seen.addAll(
        Facts.of(
            situation(
                CATALOGUE.herb("yarrow"),
                HerbState.DRIED,
                "olive",
                covering + 0.01,
                20,
                Purpose.SKIN)));

    assertThat(seen).containsAll(factsOfTheRules());
  }

  private static Set<String> factsOfTheRules() {
    Problems problems = new Problems();
    Set<String> facts = new TreeSet<>();
    Map<String, String> rows =
        CatalogueFile.read(
            Cautions.class,
            "rules.csv",
            problems,
            row -> {
              facts.add(row.get("fact"));
              if (!row.get("and").isEmpty()) {
                facts.add(row.get("and"));
              }
              return row.toString();
            },
            row -> row);
    assertThat(rows).hasSizeGreaterThan(40);
    assertThat(problems.none()).isTrue();
    return facts;
  }

  @ParameterizedTest
  @EnumSource(Purpose.class)
  void whateverItIsForTheWorstIsSaidFirstAndEachOnce(Purpose purpose) {
    for (Herb herb : CATALOGUE.herbs()) {
      List<Caution> due =
          CAUTIONS.forPlan(situation(herb, HerbState.FRESH, "hazelnut", 5, 20, purpose));

      assertThat(due).doesNotHaveDuplicates();
      assertThat(due).isSortedAccordingTo(java.util.Comparator.comparing(Caution::level));
      assertThat(due.get(0).level()).isEqualTo(Caution.Level.STOP);
      assertThat(due).extracting(Caution::code).contains("home-preparation", "tree-nut");
    }
  }

  @ParameterizedTest
  @EnumSource(Purpose.class)
  void everyStopSaysWhatToDoOrWhomToAsk(Purpose purpose) {
    for (Herb herb : CATALOGUE.herbs()) {
      CAUTIONS.forPlan(situation(herb, HerbState.WILTED, "jojoba", 5, 120, purpose)).stream()
          .filter(c -> c.level() == Caution.Level.STOP)
          .forEach(c -> assertThat(c.turnTo()).as(c.code()).isNotBlank());
    }
  }

  @Test
  void onlyEatingAsksForTheFridge() {
    for (Purpose purpose : Purpose.values()) {
      List<String> codes =
          CAUTIONS
              .forPlan(
                  situation(CATALOGUE.herb("garlic"), HerbState.FRESH, "olive", 5, 20, purpose))
              .stream()
              .map(Caution::code)
              .toList();
      assertThat(codes.contains("botulism")).isEqualTo(purpose == Purpose.KITCHEN);
      assertThat(codes.contains("patch-test")).isEqualTo(purpose != Purpose.KITCHEN);
    }
  }
}
