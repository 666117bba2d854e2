package velvetcrock.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.Written;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.ByEye;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotRecord;
import velvetcrock.drawer.LotWords;
import velvetcrock.drawer.Promises;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.journal.Search;
import velvetcrock.kitchen.Appliances;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.kitchen.Vessels;
import velvetcrock.plans.Plans;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Typed;

/** The bench: the sentence, what it comes to, and charging the jar. */
@Controller
class BenchController {
  /** The ways of warming that can be chosen; without one a jar stands as cool as its place. */
  private static final List<Method> WARMED =
      List.of(
          Method.TWO_STAGE, Method.WARM, Method.CROCK, Method.SIMMER, Method.OVEN, Method.SPIRIT);

  private static final int MOST_NOTED = 2;

  private final Planner planner;
  private final Charging charging;
  private final Splitting splitting;
  private final Households households;
  private final Batches batches;
  private final Catalogues catalogues;
  private final Drawer drawer;
  private final Vessels vessels;
  private final Appliances appliances;
  private final Journal journal;
  private final Plans plans;
  private final Promises promises;

  BenchController(
      Planner planner,
      Charging charging,
      Splitting splitting,
      Households households,
      Batches batches,
      Catalogues catalogues,
      Drawer drawer,
      Vessels vessels,
      Appliances appliances,
      Journal journal,
      Plans plans,
      Promises promises) {
    this.planner = planner;
    this.charging = charging;
    this.splitting = splitting;
    this.households = households;
    this.batches = batches;
    this.catalogues = catalogues;
    this.drawer = drawer;
    this.vessels = vessels;
    this.appliances = appliances;
    this.journal = journal;
    this.plans = plans;
    this.promises = promises;
  }

  /** A lot to choose. */
  record LotChoice(String id, String words) {}

  /** A herb's row with what can be chosen in it. */
  record HerbChoices(BenchForm.HerbRow row, List<Part> parts, List<LotChoice> lots, String lot) {}

  /** An oil's row with what can be chosen in it. */
  record OilChoices(BenchForm.OilRow row, List<LotChoice> lots, String lot) {}

  @GetMapping("/bench")
  String bench(BenchForm form, @RequestParam @Nullable String plan, Model model) {
    BenchForm begun = form;
    String again = Typed.text(form.again());
    if (!again.isEmpty() && form.herbs() == null) {
      BatchRecord batch = batches.find(again);
      begun = Remarks.form(batch.state(), households.places()).tryAgain(batch.code());
    }
    return page(begun, ChargeForm.ofPlan(plan), FieldErrors.none(), model);
  }

  @PostMapping("/bench")
  String again(BenchForm form, ChargeForm charging, SplitForm split, Model model) {
    model.addAttribute("split", split);
    return page(form, charging, FieldErrors.none(), model);
  }

  /** Only what the sentence comes to, for a change as it is typed. */
  @PostMapping("/bench/reckon")
  String reckon(BenchForm form, ChargeForm charging, Model model) {
    Household house = households.current();
    WishReader.Bench bench = bench(house);
    model.addAttribute("charging", charging);
    work(completed(form, bench.places()), charging, bench, house, FieldErrors.none(), model);
    model.addAttribute("fragment", true);
    return "bench/reckoned :: answer";
  }

  @PostMapping("/bench/charge")
  String charge(
      BenchForm form,
      ChargeForm said,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    try {
      WishReader.Bench bench = bench(house);
      LocalDate today = households.today(house);
      Reckoned plan = planner.plan(completed(form, bench.places()), bench, today);
      List<Written> written = charging.charge(plan, said, today);
      flash.addFlashAttribute("notice", told(written, households.formats(house)));
      return written.size() == 1 ? "redirect:/batches/" + written.get(0).code() : "redirect:/";
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(form, said, FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/bench/trial")
  String trial(
      BenchForm form,
      ChargeForm said,
      SplitForm split,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    LocalDate today = households.today(house);
    BenchForm completed = completed(form, bench(house).places());
    try {
      UUID id = splitting.split(completed, said, split, () -> bench(house), today);
      flash.addFlashAttribute("notice", "Charged: write each jar’s code and letter on its lid.");
      return "redirect:/trials/" + id;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      model.addAttribute("split", split);
      if (FieldErrors.of(refused).at("read") != null) {
        model.addAttribute(
            "trialToBeRead", splitting.toBeRead(completed, split, bench(house), today));
      }
      return page(form, said, FieldErrors.of(refused), model);
    }
  }

  /** What was charged, and where a lot held less than went in. */
  private String told(List<Written> written, Formats fmt) {
    String codes = written.stream().map(Written::code).collect(Collectors.joining(", "));
    if (written.get(0).repeated()) {
      return codes + (written.size() == 1 ? " was" : " were") + " charged already.";
    }
    LotWords words = new LotWords(catalogues.current(), fmt);
    String shorts =
        written.stream()
            .flatMap(w -> w.shorts().stream())
            .map(
                s -> {
                  LotRecord lot = drawer.lot(s.lot());
                  Kind kind = lot.lot().details().kind();
                  return " The drawer held "
                      + words.amount(kind, s.taken())
                      + " of the "
                      + words.amount(kind, s.wanted())
                      + " of "
                      + words.name(lot.lot())
                      + ".";
                })
            .collect(Collectors.joining());
    return (written.size() == 1
            ? "Charged: write " + codes + " on the lid."
            : "Charged: write " + codes + " on the lids.")
        + shorts;
  }

  private String page(BenchForm form, ChargeForm charging, FieldErrors errors, Model model) {
    Household house = households.current();
    WishReader.Bench bench = bench(house);
    BenchForm completed = completed(form, bench.places());
    model.addAttribute("charging", charging);
    model.addAttribute(
        "planned", Optional.ofNullable(charging.plan()).flatMap(plans::openOne).orElse(null));
    if (!model.containsAttribute("split")) {
      model.addAttribute("split", SplitForm.empty());
    }
    model.addAttribute(
        "key", Optional.ofNullable(charging.key()).orElseGet(() -> UUID.randomUUID().toString()));
    model.addAttribute(
        "herbs",
        catalogues.current().herbs().stream()
            .sorted(Comparator.comparing(Herb::name, String.CASE_INSENSITIVE_ORDER))
            .toList());
    model.addAttribute("carriers", catalogues.current().carriers());
    model.addAttribute("jars", bench.jars());
    model.addAttribute("places", bench.places());
    model.addAttribute("cuts", Cut.values());
    model.addAttribute("states", HerbState.values());
    model.addAttribute("methods", WARMED);
    model.addAttribute("packings", ByEye.Packing.values());
    model.addAttribute("uses", Use.values());
    Reckoned plan = work(completed, charging, bench, house, errors, model);
    Formats fmt = households.formats(house);
    model.addAttribute("herbRows", herbRows(completed, plan, fmt));
    model.addAttribute("oilRows", oilRows(completed, plan, fmt));
    model.addAttribute("spirits", lots(drawer.choices(Kind.SPIRIT, "", null), fmt));
    model.addAttribute(
        "spiritLot", plan == null ? "" : id(plan.wish().spirit().flatMap(Wish.InSpirit::lot)));
    model.addAttribute("remarks", remarks(completed, plan, fmt));
    model.addAttribute("noted", plan == null ? List.of() : noted(plan));
    return "bench/bench";
  }

  /** What was noted of the first herb when batches and trials of it were looked back on. */
  private List<JournalLine> noted(Reckoned plan) {
    String herb = plan.wish().herbs().get(0).portion().herb().key();
    return journal.find(Search.ofHerb(herb, "looked-back", "trial-concluded"), 0, MOST_NOTED);
  }

  private @Nullable Remarks remarks(BenchForm form, @Nullable Reckoned plan, Formats fmt) {
    String code = Typed.text(form.again());
    if (code.isEmpty()) {
      return null;
    }
    BatchRecord batch = batches.find(code);
    return Remarks.of(batch, batches.log(batch), plan, catalogues.current(), fmt);
  }

  private List<HerbChoices> herbRows(BenchForm form, @Nullable Reckoned plan, Formats fmt) {
    List<BenchForm.HerbRow> rows = Objects.requireNonNull(form.herbs());
    return IntStream.range(0, rows.size())
        .mapToObj(
            i -> {
              BenchForm.HerbRow row = rows.get(i);
              String key = Typed.text(row.herb());
              List<Part> parts =
                  catalogues.current().herbs().stream()
                      .filter(h -> h.key().equals(key))
                      .findFirst()
                      .map(Herb::parts)
                      .orElse(List.of());
              List<LotRecord> lots = drawer.choices(Kind.HERB, key, state(row));
              String lot = plan == null ? "" : id(plan.wish().herbs().get(i).lot());
              return new HerbChoices(row, parts, lots(lots, fmt), lot);
            })
        .toList();
  }

  private static @Nullable HerbState state(BenchForm.HerbRow row) {
    return Arrays.stream(HerbState.values())
        .filter(s -> s.name().equals(row.state()))
        .findFirst()
        .orElse(null);
  }

  private List<OilChoices> oilRows(BenchForm form, @Nullable Reckoned plan, Formats fmt) {
    List<BenchForm.OilRow> rows = Objects.requireNonNull(form.oils());
    return IntStream.range(0, rows.size())
        .mapToObj(
            i ->
                new OilChoices(
                    rows.get(i),
                    lots(
                        drawer.choices(Kind.CARRIER, Typed.text(rows.get(i).carrier()), null), fmt),
                    plan == null ? "" : id(plan.wish().oils().get(i).lot())))
        .toList();
  }

  private List<LotChoice> lots(List<LotRecord> lots, Formats fmt) {
    LotWords words = new LotWords(catalogues.current(), fmt);
    Map<UUID, Double> promised = lots.isEmpty() ? Map.of() : promises.promised();
    return lots.stream()
        .map(
            l ->
                new LotChoice(
                    l.id().toString(),
                    words.choice(l.lot()) + words.putBy(l.lot(), promised.get(l.id()))))
        .toList();
  }

  private static String id(Optional<LotRecord> lot) {
    return lot.map(l -> l.id().toString()).orElse(BenchForm.NO_LOT);
  }

  private @Nullable Reckoned work(
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
      return plan;
    } catch (Refused refused) {
      model.addAttribute("view", null);
      model.addAttribute("errors", errors.any() ? errors : FieldErrors.of(refused));
      return null;
    }
  }

  private WishReader.Bench bench(Household house) {
    return new WishReader.Bench(
        house.kitchen(), vessels.all(), households.places(), appliances.all());
  }

  private BenchForm completed(BenchForm form, List<Place> places) {
    boolean named =
        form.oils() != null && !form.oils().isEmpty() && form.oils().get(0).carrier() != null;
    boolean more = form.set() != null && form.set().contains("oils+");
    return form.completed(named && !more ? "" : usualCarrier(), places.get(0).id().toString());
  }

  /** The oil of the newest batch, which is the likeliest for the next. */
  private String usualCarrier() {
    return batches.newest(1).stream()
        .findFirst()
        .map(b -> b.state().charge().carriers().get(0).carrier())
        .orElse("sunflower-high-oleic");
  }
}
