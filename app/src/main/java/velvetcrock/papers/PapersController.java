package velvetcrock.papers;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.Range;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.BatchReckoning;
import velvetcrock.core.log.BatchReckoning.KeepingRange;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.log.BottleState;
import velvetcrock.core.materia.Herb;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;
import velvetcrock.web.NotFound;

/** What is printed: lid tags and bottle labels. */
@Controller
class PapersController {
  private final Batches batches;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;

  PapersController(
      Batches batches, Households households, Catalogues catalogues, Cautions cautions) {
    this.batches = batches;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  /** A lid tag. */
  record Tag(
      String code,
      String herb,
      String botanical,
      String state,
      String oil,
      String charged,
      String window) {}

  /** A bottle label. */
  record Label(
      String code,
      String herb,
      String botanical,
      String state,
      String oil,
      String amount,
      String strained,
      String bestBefore,
      String use,
      String allergens,
      List<Caution> cautions) {}

  @GetMapping("/batches/{code}/tag")
  String tag(@PathVariable String code, Model model) {
    Formats fmt = households.formats(households.current());
    BatchRecord batch = batches.find(code);
    BatchState state = batch.state();
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    String about = state.charge().aboutDays() > 0 ? "about " : "";
    model.addAttribute(
        "tag",
        new Tag(
            batch.code(),
            reckoning.herbNames(),
            botanical(reckoning),
            herbState(state),
            reckoning.carriers().names(),
            about + fmt.fullDate(state.charge().chargedOn()),
            state.charge().method().heated()
                ? fmt.hours(
                        new Range(
                            state.charge().method().earliestHours(),
                            state.charge().method().latestHours()))
                    + " of heat"
                : fmt.shortDate(state.earliest()) + " to " + fmt.shortDate(state.latest())));
    return "papers/tag";
  }

  @GetMapping("/cellar/{code}/{letter}/label")
  String label(@PathVariable String code, @PathVariable String letter, Model model) {
    Formats fmt = households.formats(households.current());
    BatchRecord batch = batches.find(code);
    BatchState state = batch.state();
    BottleState bottle =
        state
            .bottle(letter.toUpperCase(Locale.ROOT))
            .orElseThrow(() -> new NotFound("There is no such bottle."));
    KeepingRange keeping = batches.keeping(batch, bottle.letter());
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    Use use = state.charge().use();
    model.addAttribute(
        "label",
        new Label(
            batch.code() + "-" + bottle.letter(),
            reckoning.herbNames(),
            botanical(reckoning),
            herbState(state),
            reckoning.carriers().names(),
            fmt.ml(bottle.filled().ml()),
            fmt.fullDate(fmt.date(java.util.Objects.requireNonNull(state.strainedAt()))),
            fmt.fullDate(keeping.early().bestBefore()),
            use == Use.SKIN ? "For the skin. Not for eating." : "For eating. Keep in the fridge.",
            allergens(reckoning),
            cautions.forBottle(reckoning.order(), use).stream()
                .filter(c -> c.level() != Caution.Level.NOTE)
                .filter(c -> !c.code().equals("foraged-lookalike"))
                .toList()));
    return "papers/label";
  }

  private static String botanical(BatchReckoning reckoning) {
    return reckoning.herbsByWeight().stream()
        .map(Herb::botanical)
        .collect(Collectors.joining(", "));
  }

  private static String herbState(BatchState state) {
    String words =
        state.charge().herbs().stream()
            .map(h -> h.state().name() + ", " + h.cut().name())
            .distinct()
            .collect(Collectors.joining("; "))
            .toLowerCase(Locale.ROOT);
    return state.charge().manner().blended() ? words + ", blended" : words;
  }

  private static String allergens(BatchReckoning reckoning) {
    return reckoning.carriers().shares().stream()
        .map(s -> s.carrier().allergen())
        .filter(a -> !a.isEmpty())
        .distinct()
        .collect(Collectors.joining(", "));
  }
}
