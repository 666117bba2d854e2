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
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.Observations;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.caution.Situation.Addition;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.jar.JarFacts;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.CatalogueFile;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductFacts;

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
        for (String carrier : List.of("olive", "shea", "jojoba", "hemp")) {
          for (double celsius : new double[] {20, 43, 65, 95, 120}) {
            seen.addAll(Facts.of(situation(herb, state, carrier, 5, celsius, Purpose.SKIN)).all());
            seen.addAll(Facts.of(situation(herb, state, carrier, 11, celsius, Purpose.SKIN)).all());
            seen.addAll(Facts.of(situation(herb, state, carrier, 11, celsius, Purpose.BABY)).all());
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
                    Purpose.SKIN))
            .all());

    assertThat(seen).containsAll(factsOfTheRules(About.PLAN));
  }

  @Test
  void noRuleOfAProductWaitsForAFactThatNeverComes() {
    Set<String> seen = new TreeSet<>();
    PartIn honey = new PartIn(PartIn.Kind.EXTRA, "honey", null, null, 5, "5 g", null);
    PartIn wax = new PartIn(PartIn.Kind.WAX, "beeswax", null, null, 5, "5 g", null);
    for (ProductKind kind : ProductKind.values()) {
      for (Drops.Where where : Drops.Where.values()) {
        for (String forWhat : List.of("soap", "candle", "lotion")) {
          seen.addAll(
              ProductFacts.of(
                      new Intent(
                          kind,
                          "",
                          where,
                          20,
                          kind.stiff().map(f -> f.hardness().middle()).orElse(0.0),
                          Working.Vessel.BATH,
                          false,
                          Store.Place.COOL,
                          kind == ProductKind.DRAWN ? forWhat : "",
                          ""),
                      List.of(honey, wax),
                      where,
                      List.of(new DropsIn("rosemary", 3)),
                      CATALOGUE)
                  .all());
        }
      }
    }
    seen.add("avoided");
    List.of(Hazard.values()).forEach(hazard -> seen.add(hazard.fact()));
    assertThat(seen).containsAll(factsOfTheRules(About.PRODUCT));
  }

  /** What is melted with drops is told the same, whoever asks: a page or a program. */
  @Test
  void whatIsNotForPregnancyIsToldWhoeverItIsFor() {
    String avoided =
        CATALOGUE.herbs().stream()
            .filter(h -> h.cautions().contains("pregnancy-avoid"))
            .map(Herb::key)
            .findFirst()
            .orElseThrow();
    Facts facts = Facts.about(About.PRODUCT).bringing(CATALOGUE.herb(avoided).cautions());
    assertThat(CAUTIONS.of(facts)).extracting(Caution::code).contains("pregnancy-avoid");
    assertThat(CAUTIONS.of(facts.note(true, "for:pregnancy").note(true, "avoided")))
        .extracting(Caution::code)
        .contains("pregnancy-stop");
  }

  @Test
  void noRuleOfAJarWaitsForAFactThatNeverComes() {
    Set<String> seen = new TreeSet<>(Set.of("spirit:leaving", "spirit:infusing"));
    Looked afloat = new Looked(false, true, Bubbles.NONE, false, null, null);
    seen.addAll(JarFacts.strained(Observations.none().after(afloat)).all());
    for (OffSmell off : OffSmell.values()) {
      Observations bad =
          Observations.none()
              .after(new Looked(false, true, Bubbles.FIZZING, true, null, null))
              .after(new Smelled(null, off));
      seen.addAll(JarFacts.strained(bad).all());
    }
    List.of(Hazard.values()).forEach(hazard -> seen.add(hazard.fact()));
    assertThat(seen).containsAll(factsOfTheRules(About.JAR));
  }

  private static Set<String> factsOfTheRules(About about) {
    Problems problems = new Problems();
    Set<String> facts = new TreeSet<>();
    Map<String, String> rows =
        CatalogueFile.read(
            Cautions.class,
            "rules.csv",
            problems,
            row -> {
              if (!row.get("about").equalsIgnoreCase(about.name())) {
                return row.toString();
              }
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
