package velvetcrock.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Problems;
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

/** Ways to put a herb into oil, and what has to be said of each: see {@code combinations.csv}. */
class CombinationsTest {
  private static final int FEWEST = 400;
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Cautions CAUTIONS = Cautions.shipped();

  @Test
  void ofEveryWayWhatHasToBeSaidIsSaidAndNothingElseThatMustNot() {
    Problems problems = new Problems();
    List<String> wrong = new ArrayList<>();
    var rows =
        CatalogueFile.read(
            CombinationsTest.class,
            "combinations.csv",
            problems,
            row -> {
              List<String> said = said(row);
              words(row, "says").stream()
                  .filter(code -> !said.contains(code))
                  .forEach(code -> wrong.add(row.toMap() + " does not say " + code));
              words(row, "never").stream()
                  .filter(said::contains)
                  .forEach(code -> wrong.add(row.toMap() + " says " + code));
              return row.toString();
            },
            row -> row);
    assertThat(problems.found()).isEmpty();
    assertThat(rows).hasSizeGreaterThanOrEqualTo(FEWEST);
    assertThat(wrong).isEmpty();
  }

  private static List<String> words(CSVRecord row, String column) {
    return Arrays.stream(row.get(column).split(" ")).filter(word -> !word.isEmpty()).toList();
  }

  private static List<String> said(CSVRecord row) {
    Herb herb = CATALOGUE.herb(row.get("herb"));
    HerbState state = constant(HerbState.class, row.get("state"));
    ChargeOrder order =
        new ChargeOrder(
            List.of(HerbPortion.usual(herb, herb.bestPart(), Cut.CUT, state, 20)),
            CarrierBlend.of(CATALOGUE.carrier(row.get("oil"))),
            new Ratio.WeightToVolume(8),
            Optional.empty(),
            ChargeOrder.USUAL_COVER_MM);
    double celsius =
        switch (row.get("way")) {
          case "fridge" -> 4;
          case "cold" -> 20;
          case "warm" -> 43;
          case "simmer" -> 80;
          default -> 120;
        };
    Set<Situation.Addition> additions =
        row.get("addition").isEmpty()
            ? Set.of()
            : Set.of(constant(Situation.Addition.class, row.get("addition")));
    return CAUTIONS
        .forPlan(
            new Situation(
                order,
                new Charger(CATALOGUE).reckon(order),
                constant(Purpose.class, row.get("purpose")),
                Light.DARK,
                celsius,
                additions))
        .stream()
        .map(Caution::code)
        .toList();
  }

  private static <E extends Enum<E>> E constant(Class<E> type, String word) {
    return Enum.valueOf(type, word.toUpperCase(Locale.ROOT).replace('-', '_'));
  }
}
