package velvetcrock.drawer;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.drawer.DryingBegun;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.LoadThrownOut;
import velvetcrock.core.drawer.LoadWeighed;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.drawer.Snap;
import velvetcrock.core.drawer.Snapped;
import velvetcrock.core.drawer.WaterKnown;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.moisture.DryingCurve.Way;
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

/** Loads that dry: hung up, weighed now and then, bent, and put away as a lot. */
@Controller
class DryingController {
  private final Dryings dryings;
  private final Households households;
  private final Catalogues catalogues;
  private final Clock clock;

  DryingController(Dryings dryings, Households households, Catalogues catalogues, Clock clock) {
    this.dryings = dryings;
    this.households = households;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /** Whatever is typed on the drying pages. */
  record DryingForm(
      @Nullable String herb,
      @Nullable String part,
      @Nullable String cut,
      @Nullable String way,
      @Nullable String amount,
      @Nullable String water,
      @JsonUnwrapped Source source,
      @Nullable String begunOn,
      @Nullable String what,
      @Nullable String snap,
      @Nullable String key) {

    /** Where it comes from. */
    record Source(@Nullable String origin, @Nullable String from) {}

    static DryingForm empty() {
      return Forms.blank(DryingForm.class);
    }
  }

  @GetMapping("/drawer/drying/new")
  String newLoad(DryingForm form, Model model) {
    return beginPage(form, FieldErrors.none(), model);
  }

  @PostMapping("/drawer/drying")
  String begin(
      DryingForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    Household house = households.current();
    UUID[] begun = new UUID[1];
    String shown =
        Forms.saved(
            () -> {
              begun[0] =
                  dryings.begin(
                      begun(form, house),
                      begunAt(form, house),
                      Optional.ofNullable(form.key()).orElse(""));
              return "It dries. Weigh it now and then and the curve finds itself.";
            },
            "/drawer",
            flash,
            response,
            errors -> beginPage(form, errors, model));
    return begun[0] == null ? shown : "redirect:/drawer/drying/" + begun[0];
  }

  @SameUntilChanged
  @GetMapping("/drawer/drying/{id}")
  String load(@PathVariable UUID id, Model model) {
    return loadPage(id, DryingForm.empty(), FieldErrors.none(), model);
  }

  @CanWait
  @PostMapping("/drawer/drying/{id}/log")
  String log(
      @PathVariable UUID id,
      DryingForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    return Forms.saved(
        () -> {
          dryings.append(
              id, event(form, house), when.at(), null, Optional.ofNullable(form.key()).orElse(""));
          return "Noted.";
        },
        "/drawer/drying/" + id,
        flash,
        response,
        errors -> loadPage(id, form, errors, model));
  }

  @PostMapping("/drawer/drying/{id}/put-away")
  String putAway(
      @PathVariable UUID id,
      DryingForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    return Forms.saved(
        () -> {
          String typed = Typed.text(form.amount());
          Double massG = typed.isEmpty() ? null : (Double) grams(typed, house);
          HerbState state =
              Typed.text(form.what()).equals("wilted") ? HerbState.WILTED : HerbState.DRIED;
          dryings.putAway(
              id, massG, typed, state, when.at(), Optional.ofNullable(form.key()).orElse(""));
          return state == HerbState.WILTED
              ? "It is a lot of wilted herb now: use it today."
              : "Put away: it is a lot of dried herb now.";
        },
        "/drawer",
        flash,
        response,
        errors -> loadPage(id, form, errors, model));
  }

  @PostMapping("/drawer/drying/{id}/entries/{entry}/undo")
  String undo(@PathVariable UUID id, @PathVariable UUID entry, RedirectAttributes flash) {
    try {
      dryings.undo(id, entry);
      flash.addFlashAttribute("notice", "Taken back. The log keeps both.");
    } catch (Refused refused) {
      flash.addFlashAttribute("problem", refused.problems().get(0).message());
    }
    return "redirect:/drawer/drying/" + id;
  }

  private DryingBegun begun(DryingForm form, Household house) {
    Problems problems = new Problems();
    Herb herb = problems.attempt("herb", () -> catalogues.current().herb(Typed.text(form.herb())));
    Way way = problems.attempt("way", () -> Typed.named(Way.class, form.way(), "way"));
    Cut cut = problems.attempt("cut", () -> Typed.named(Cut.class, form.cut(), "cut"));
    Double massG = problems.attempt("amount", () -> grams(Typed.text(form.amount()), house));
    Double water = problems.attempt("water", () -> percent(form.water()));
    Origin origin =
        problems.attempt(
            "origin", () -> Typed.named(Origin.class, form.source().origin(), "origin"));
    problems.refuseIfAny();
    Herb of = Objects.requireNonNull(herb);
    Part part =
        of.parts().stream()
            .filter(p -> p.name().equalsIgnoreCase(Typed.text(form.part())))
            .findFirst()
            .orElse(of.bestPart());
    return new DryingBegun(
        of.key(),
        part,
        cut,
        way,
        massG,
        Typed.text(form.amount()),
        water == null ? of.waterFresh() : water,
        origin,
        Typed.text(form.source().from()));
  }

  private @Nullable Instant begunAt(DryingForm form, Household house) {
    LocalDate on = Dates.read(form.begunOn());
    LocalDate today = households.today(house);
    return on == null || on.equals(today)
        ? null
        : on.atTime(LocalTime.NOON).atZone(house.zone()).toInstant();
  }

  private DryingEvent event(DryingForm form, Household house) {
    return switch (Typed.text(form.what())) {
      case "weighed" -> {
        String typed = Typed.text(form.amount());
        yield new LoadWeighed(grams(typed, house), typed);
      }
      case "snapped" -> new Snapped(Typed.named(Snap.class, form.snap(), "snap"));
      case "water-known" -> {
        Double water = percent(form.water());
        if (water == null) {
          throw new Refused("water", "Say how much water it held, such as 82 %.");
        }
        yield new WaterKnown(water);
      }
      case "thrown-out" -> new LoadThrownOut();
      default -> throw new Refused("what", "Choose what happened.");
    };
  }

  private double grams(String typed, Household house) {
    if (typed.isEmpty()) {
      throw new Refused("amount", "Weigh it, such as 240 g.");
    }
    Problems problems = new Problems();
    Measure measure =
        problems.attempt("amount", () -> new MeasureReader(house.kitchen()).read(typed));
    problems.require(
        measure == null || measure.isWeight(),
        "amount",
        "“" + typed + "” is no weight: what dries is weighed.");
    problems.refuseIfAny();
    return measure.amount().middle();
  }

  private static @Nullable Double percent(@Nullable String typed) {
    String text = Typed.text(typed).replace(',', '.').replaceFirst("\\s*%$", "");
    if (text.isEmpty()) {
      return null;
    }
    try {
      return Double.parseDouble(text) / 100;
    } catch (NumberFormatException e) {
      throw new Refused("water", "“" + text + "” is not a number of % of water.");
    }
  }

  private String beginPage(DryingForm form, FieldErrors errors, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute(
        "herbs",
        catalogues.current().herbs().stream().sorted(Comparator.comparing(Herb::name)).toList());
    model.addAttribute("key", Optional.ofNullable(form.key()).orElseGet(FreshKeys::next));
    return "drawer/drying-new";
  }

  private String loadPage(UUID id, DryingForm form, FieldErrors errors, Model model) {
    Formats fmt = households.formats(households.current());
    model.addAttribute(
        "view",
        DryingView.of(
            dryings.load(id), dryings.log(id), catalogues.current(), fmt, clock.instant()));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("key", FreshKeys.next());
    return "drawer/drying";
  }
}
