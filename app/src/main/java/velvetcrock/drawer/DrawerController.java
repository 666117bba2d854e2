package velvetcrock.drawer;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotCounted;
import velvetcrock.core.drawer.LotDescribed;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotEnded;
import velvetcrock.core.drawer.LotEnding;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.drawer.LotOpened;
import velvetcrock.core.drawer.LotPicked;
import velvetcrock.core.drawer.LotTaken;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.measure.PartOfAll;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CanWait;
import velvetcrock.web.Dates;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Forms;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Happened;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;

/** The drawer's pages: its fronts, the lots behind them, and each lot. */
@Controller
class DrawerController {
  private static final int LOADS_SHOWN = 12;
  private static final int ALL_LOADS = 500;
  private static final int LONGEST_USE = 80;

  private final Drawer drawer;
  private final Promises promises;
  private final LotLabels labels;
  private final Dryings dryings;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Clock clock;

  DrawerController(
      Drawer drawer,
      Promises promises,
      LotLabels labels,
      Dryings dryings,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      Clock clock) {
    this.drawer = drawer;
    this.promises = promises;
    this.labels = labels;
    this.dryings = dryings;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.clock = clock;
  }

  /** A change to a lot as it was typed. */
  record ChangeForm(
      @Nullable String what,
      @Nullable String amount,
      @Nullable String on,
      @Nullable String reason,
      @Nullable String key) {
    static ChangeForm empty() {
      return Forms.blank(ChangeForm.class);
    }
  }

  @SameUntilChanged(held = true)
  @GetMapping("/drawer")
  String drawer(@RequestParam @Nullable String all, Model model) {
    Formats fmt = households.formats(households.current());
    Instant now = clock.instant();
    List<LoadRecord> loads = dryings.standing(all == null ? LOADS_SHOWN : ALL_LOADS);
    long count = loads.size() < LOADS_SHOWN ? loads.size() : dryings.count();
    model.addAttribute(
        "view", DrawerView.of(loads, count, drawer.fronts(), catalogues.current(), fmt, now));
    return "drawer/drawer";
  }

  @SameUntilChanged(held = true)
  @GetMapping("/drawer/of/{kind}/{thing}")
  String front(@PathVariable Kind kind, @PathVariable String thing, Model model) {
    Formats fmt = households.formats(households.current());
    Catalogue catalogue = catalogues.current();
    String key = kind == Kind.SPIRIT ? "" : thing;
    model.addAttribute("name", new LotWords(catalogue, fmt).thing(kind, key));
    model.addAttribute("kind", kind);
    model.addAttribute("thing", key);
    List<LotRecord> lots = drawer.of(kind, key);
    Map<UUID, Double> promised = promises.promised();
    LotWords words = new LotWords(catalogue, fmt);
    model.addAttribute(
        "lots",
        lots.stream().map(l -> LotView.of(l, List.of(), catalogue, cautions, fmt)).toList());
    model.addAttribute(
        "putBy",
        lots.stream()
            .collect(
                Collectors.toMap(LotRecord::id, l -> words.putBy(l.lot(), promised.get(l.id())))));
    return "drawer/front";
  }

  @GetMapping("/drawer/lots/new")
  String newLot(@RequestParam(defaultValue = "HERB") Kind kind, LotForm typed, Model model) {
    LotForm form = typed.origin() == null ? LotForm.empty(kind.name(), typed.thing()) : typed;
    return lotForm(form, null, FieldErrors.none(), model);
  }

  @PostMapping("/drawer/lots")
  String add(LotForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    Household house = households.current();
    return Forms.saved(
        () -> {
          LotDetails details =
              form.details(catalogues.current(), households.today(house), house.kitchen());
          boolean picked =
              details.origin() == LotDetails.Origin.GROWN && details.dates().harvestedOn() == null;
          double amount =
              picked && Typed.text(form.amount()).isEmpty()
                  ? 0
                  : form.amountOf(details, house.kitchen(), catalogues.current());
          drawer.add(
              details,
              amount,
              Typed.text(form.amount()),
              null,
              Optional.ofNullable(form.key()).orElse(""));
          return "It is in the drawer.";
        },
        "/drawer",
        flash,
        response,
        errors -> lotForm(form, null, errors, model));
  }

  @SameUntilChanged
  @GetMapping("/drawer/lots/{id}")
  String lot(@PathVariable UUID id, Model model) {
    return lotPage(id, ChangeForm.empty(), FieldErrors.none(), model);
  }

  @GetMapping("/drawer/lots/{id}/details")
  String details(@PathVariable UUID id, Model model) {
    return lotForm(
        LotForm.of(drawer.lot(id).lot(), catalogues.current()), id, FieldErrors.none(), model);
  }

  @PostMapping("/drawer/lots/{id}/details")
  String describe(
      @PathVariable UUID id,
      LotForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    LotDetails was = drawer.lot(id).lot().details();
    return Forms.saved(
        () -> {
          LotDetails now =
              form.details(
                  catalogues.current(),
                  households.today(households.current()),
                  households.current().kitchen());
          if (now.kind() != was.kind() || !now.thing().equals(was.thing())) {
            throw new Refused("thing", "Of something else make another lot.");
          }
          drawer.append(
              id, new LotDescribed(now), null, null, Optional.ofNullable(form.key()).orElse(""));
          return "Described anew. Its log keeps how it was.";
        },
        "/drawer/lots/" + id,
        flash,
        response,
        errors -> lotForm(form, id, errors, model));
  }

  @CanWait
  @PostMapping("/drawer/lots/{id}/log")
  String change(
      @PathVariable UUID id,
      ChangeForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Lot lot = drawer.lot(id).lot();
    return Forms.saved(
        () -> {
          drawer.append(
              id, event(form, lot), when.at(), null, Optional.ofNullable(form.key()).orElse(""));
          return "Noted in its log.";
        },
        "/drawer/lots/" + id,
        flash,
        response,
        errors -> lotPage(id, form, errors, model));
  }

  @PostMapping("/drawer/lots/{id}/entries/{entry}/undo")
  String undo(@PathVariable UUID id, @PathVariable UUID entry, RedirectAttributes flash) {
    try {
      drawer.undo(id, entry);
      flash.addFlashAttribute("notice", "Taken back. The log keeps both.");
    } catch (Refused refused) {
      flash.addFlashAttribute("problem", refused.problems().get(0).message());
    }
    return "redirect:/drawer/lots/" + id;
  }

  private LotEvent event(ChangeForm form, Lot lot) {
    Household house = households.current();
    LocalDate today = households.today(house);
    String text = Typed.text(form.amount());
    LotForm typed = amount(text);
    return switch (Typed.text(form.what())) {
      case "picked" -> {
        LocalDate on = Optional.ofNullable(Dates.read(form.on())).orElse(today);
        if (on.isAfter(today)) {
          throw new Refused("on", "That day is still to come.");
        }
        yield new LotPicked(
            typed.amountOf(lot.details(), house.kitchen(), catalogues.current()), text, on);
      }
      case "used" ->
          new LotTaken(
              PartOfAll.read(text).isPresent()
                  ? PartOfAll.read(text).getAsDouble() * lot.amount()
                  : typed.amountOf(lot.details(), house.kitchen(), catalogues.current()),
              used(Typed.text(form.reason())));
      case "counted" ->
          new LotCounted(
              typed.amountOf(lot.details(), house.kitchen(), catalogues.current()), text);
      case "opened" -> new LotOpened(Optional.ofNullable(Dates.read(form.on())).orElse(today));
      case "ended" -> new LotEnded(Typed.named(LotEnding.class, form.reason(), "reason"));
      default -> throw new Refused("what", "Choose what happened.");
    };
  }

  private static String used(String what) {
    if (what.length() > LONGEST_USE) {
      throw new Refused("reason", "At most " + LONGEST_USE + " letters.");
    }
    return what.isEmpty() ? "something else" : what;
  }

  private static LotForm amount(String text) {
    return new LotForm(
        null,
        null,
        null,
        new LotForm.Plant(null, null, null, null),
        null,
        null,
        new LotForm.Days(null, null, null, null),
        null,
        null,
        text,
        null,
        null);
  }

  private String lotPage(UUID id, ChangeForm form, FieldErrors errors, Model model) {
    Formats fmt = households.formats(households.current());
    model.addAttribute(
        "view", LotView.of(drawer.lot(id), drawer.log(id), catalogues.current(), cautions, fmt));
    model.addAttribute("labels", labels.of(id));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("key", FreshKeys.next());
    return "drawer/lot";
  }

  private String lotForm(LotForm form, @Nullable UUID id, FieldErrors errors, Model model) {
    Catalogue catalogue = catalogues.current();
    Kind kind = form.kindOrHerb();
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("id", id);
    model.addAttribute("kind", kind);
    model.addAttribute("asked", LotAsked.of(kind));
    model.addAttribute(
        "herbs", catalogue.herbs().stream().sorted(Comparator.comparing(Herb::name)).toList());
    model.addAttribute("carriers", catalogue.carriers());
    model.addAttribute("waxes", catalogue.waxes());
    model.addAttribute("key", Optional.ofNullable(form.key()).orElseGet(FreshKeys::next));
    return "drawer/lot-form";
  }
}
