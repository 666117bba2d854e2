package velvetcrock.bench;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Method;
import velvetcrock.drawer.LotRecord;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.journal.Search;
import velvetcrock.kitchen.CatalogueWords;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.plans.Plans;
import velvetcrock.trial.Differs;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Typed;

/** What the bench shows. */
@Component
class BenchPage {
  private static final double PRICED_ML = 100;
  private static final int MOST_NOTED = 2;

  private final Planner planner;
  private final BenchAround around;
  private final BenchLots lots;
  private final Plans plans;
  private final Journal journal;
  private final Batches batches;
  private final Households households;
  private final Catalogues catalogues;

  BenchPage(
      Planner planner,
      BenchAround around,
      BenchLots lots,
      Plans plans,
      Journal journal,
      Batches batches,
      Households households,
      Catalogues catalogues) {
    this.planner = planner;
    this.around = around;
    this.lots = lots;
    this.plans = plans;
    this.journal = journal;
    this.batches = batches;
    this.households = households;
    this.catalogues = catalogues;
  }

  /**
   * Fills the page.
   *
   * @return the template's name
   */
  String show(BenchForm form, ChargeForm charging, FieldErrors errors, Model model) {
    Household house = households.current();
    WishReader.Bench bench = around.of(house);
    BenchForm completed = around.completed(form, bench.places());
    model.addAttribute("charging", charging);
    model.addAttribute(
        "planned", Optional.ofNullable(charging.plan()).flatMap(plans::openOne).orElse(null));
    if (!model.containsAttribute("split")) {
      model.addAttribute("split", SplitForm.empty());
    }
    model.addAttribute("key", Optional.ofNullable(charging.key()).orElseGet(FreshKeys::next));
    model.addAttribute(
        "herbs",
        catalogues.current().herbs().stream()
            .sorted(Comparator.comparing(Herb::name, String.CASE_INSENSITIVE_ORDER))
            .toList());
    model.addAttribute("carriers", catalogues.current().carriers());
    model.addAttribute("jars", bench.jars());
    model.addAttribute("places", bench.places());
    model.addAttribute("differs", Differs.values());
    Reckoned plan = work(completed, charging, bench, house, errors, model);
    Formats fmt = households.formats(house);
    model.addAttribute("herbRows", lots.herbRows(completed, plan, fmt));
    model.addAttribute("oilRows", lots.oilRows(completed, plan, fmt));
    boolean bySpirit = Method.SPIRIT.name().equals(completed.method());
    model.addAttribute("spirits", bySpirit ? lots.spirits(fmt) : List.of());
    model.addAttribute(
        "spiritLot",
        plan == null ? "" : BenchLots.id(plan.wish().spirit().flatMap(Wish.InSpirit::lot)));
    model.addAttribute("remarks", remarks(completed, plan, fmt));
    model.addAttribute("noted", plan == null ? List.of() : noted(plan));
    return "bench/bench";
  }

  /** How the herbs like to be infused, and what the oils are like, one line each. */
  private static List<String> about(Reckoned plan, Formats fmt) {
    CatalogueWords words = new CatalogueWords();
    return Stream.concat(
            plan.wish().herbs().stream().map(h -> words.inOneLine(h.portion().herb())),
            plan.wish().oils().stream().map(o -> words.inOneLine(o.carrier()) + price(o, fmt)))
        .distinct()
        .toList();
  }

  /** What so much of an oil cost, by the lot that it comes from; empty where nobody knows. */
  private static String price(Wish.InOil oil, Formats fmt) {
    return oil.lot()
        .map(LotRecord::lot)
        .filter(lot -> lot.details().priceMinor() != null && lot.most() > 0)
        .map(
            lot ->
                "; "
                    + fmt.money(lot.details().priceMinor() * PRICED_ML / lot.most())
                    + " for "
                    + fmt.ml(PRICED_ML))
        .orElse("");
  }

  /** What was noted of the first herb when batches and trials of it were looked back on. */
  private List<JournalLine> noted(Reckoned plan) {
    String herb = plan.wish().herbs().get(0).portion().herb().key();
    return journal.find(Search.ofHerb(herb, "looked-back", "trial-concluded"), 0, MOST_NOTED);
  }

  private @Nullable Remarks remarks(BenchForm form, @Nullable Reckoned plan, Formats fmt) {
    String code = Typed.text(form.from().again());
    if (code.isEmpty()) {
      return null;
    }
    BatchRecord batch = batches.find(code);
    return Remarks.of(batch, batches.log(batch), plan, catalogues.current(), fmt);
  }

  /** That there is less of an infused oil than this takes; null where there is enough. */
  private static @Nullable String lacking(Reckoned plan, Formats fmt) {
    double wanted = plan.filled().stream().mapToDouble(f -> f.pouredMl().middle()).sum();
    double left = plan.wish().from().leftMl();
    if (plan.wish().earlier().isEmpty() || wanted <= left + 0.5) {
      return null;
    }
    double herb = plan.wish().portions().stream().mapToDouble(h -> h.massG()).sum();
    return "Only "
        + fmt.ml(left)
        + " of "
        + plan.wish().earlier().get().code()
        + " are left, and this takes "
        + fmt.ml(wanted)
        + ": take about "
        + fmt.g(herb * left / wanted)
        + " of herb, or plain oil.";
  }

  /** What the sentence comes to; null where it cannot be read, which the errors then say. */
  @Nullable Reckoned work(
      BenchForm form,
      ChargeForm charging,
      WishReader.Bench bench,
      Household house,
      FieldErrors errors,
      Model model) {
    model.addAttribute("form", form);
    try {
      Formats fmt = households.formats(house);
      Reckoned plan = planner.plan(form, bench, fmt.today());
      LocalDate chargedOn = charging.chargedOnOr(fmt.today());
      model.addAttribute("view", BenchView.of(plan, bench, catalogues.current(), chargedOn, fmt));
      model.addAttribute("errors", errors);
      model.addAttribute("lacking", lacking(plan, fmt));
      model.addAttribute("about", about(plan, fmt));
      return plan;
    } catch (Refused refused) {
      model.addAttribute("view", null);
      model.addAttribute("errors", errors.any() ? errors : FieldErrors.of(refused));
      return null;
    }
  }
}
