package velvetcrock.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.Written;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.Vessels;
import velvetcrock.web.Dates;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Typed;

/** Taking on a jar that was begun before: what is not known becomes a range. */
@Controller
class TakeOnController {
  private static final double LEAST_FILL = 0.75;
  private static final double SOLIDS_SHARE = 1 / 1.40;
  private static final int OLDEST_DAYS = 3 * 365;
  private static final List<Integer> ABOUT = List.of(0, 3, 7, 14, 30);

  private final Households households;
  private final Vessels vessels;
  private final Places places;
  private final BatchActs acts;
  private final Catalogues catalogues;

  TakeOnController(
      Households households,
      Vessels vessels,
      Places places,
      BatchActs acts,
      Catalogues catalogues) {
    this.households = households;
    this.vessels = vessels;
    this.places = places;
    this.acts = acts;
    this.catalogues = catalogues;
  }

  @GetMapping("/bench/take-on")
  String takeOn(Model model) {
    return page(TakeOnForm.empty(), FieldErrors.none(), model);
  }

  @PostMapping("/bench/take-on")
  String takenOn(
      TakeOnForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    try {
      Written written = acts.charge(event(form), Typed.text(form.key()));
      flash.addFlashAttribute("notice", "Taken on: write " + written.code() + " on the lid.");
      return "redirect:/batches/" + written.code();
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(form, FieldErrors.of(refused), model);
    }
  }

  private Charged event(TakeOnForm form) {
    Household house = households.current();
    LocalDate today = households.today(house);
    Problems problems = new Problems();
    Herb herb = problems.attempt("herb", () -> catalogues.current().herb(Typed.text(form.herb())));
    Carrier carrier =
        problems.attempt("carrier", () -> catalogues.current().carrier(Typed.text(form.carrier())));
    Cut cut = problems.attempt("cut", () -> Typed.named(Cut.class, form.cut(), "cut"));
    Jar jar = problems.attempt("jar", () -> jar(Typed.text(form.jar())));
    Place place = problems.attempt("place", () -> places.one(Typed.text(form.place())));
    Integer about = problems.attempt("about", () -> about(Typed.text(form.about())));
    LocalDate on = problems.attempt("chargedOn", () -> day(form.chargedOn(), today));
    LocalDate bestBefore =
        problems.attempt("bestBefore", () -> Dates.read(form.dates().bestBefore()));
    LocalDate opened = problems.attempt("openedOn", () -> Dates.read(form.dates().openedOn()));
    problems.refuseIfAny();

    Herb known = Objects.requireNonNull(herb);
    Jar vessel = Objects.requireNonNull(jar);
    Range herbG =
        problems.attempt(
            "amount", () -> herbG(form, known, Objects.requireNonNull(cut), vessel, house));
    Range oilMl =
        herbG == null
            ? null
            : problems.attempt(
                "oil", () -> oilMl(form, Objects.requireNonNull(carrier), herbG, vessel, house));
    problems.refuseIfAny();
    return new Charged(
        place.method(),
        List.of(
            new HerbIn(
                known.key(),
                known.bestPart(),
                cut,
                HerbState.DRIED,
                herbG,
                known.waterFraction(HerbState.DRIED),
                Typed.text(form.amount()))),
        List.of(new OilIn(carrier.key(), 1, bestBefore, opened, null)),
        new Charged.Oil(oilMl, Typed.text(form.oil())),
        JarIn.of(vessel),
        ChargeOrder.USUAL_COVER_MM,
        Use.SKIN,
        place.stand(),
        new Charged.Begun(on, about, true),
        false,
        Manner.PLAIN);
  }

  /** Herb as typed, or from how far up it stands: its bed by the settled density of its cut. */
  private Range herbG(TakeOnForm form, Herb herb, Cut cut, Jar jar, Household house) {
    String typed = Typed.text(form.amount());
    if (!typed.isEmpty()) {
      return Amounts.herbMassG(
          typed,
          house.kitchen(),
          herb,
          herb.bestPart(),
          cut,
          HerbState.DRIED,
          catalogues.current());
    }
    double share =
        Double.parseDouble(
            Typed.text(form.herbFill()).matches("0\\.\\d+") ? Typed.text(form.herbFill()) : "0.5");
    return catalogues
        .current()
        .looseRange(herb, herb.bestPart(), cut, HerbState.DRIED)
        .times(share * jar.brimMl());
  }

  /**
   * Oil as typed, or what fills the jar to between three quarters and its fill line over the herb.
   */
  private Range oilMl(TakeOnForm form, Carrier carrier, Range herbG, Jar jar, Household house) {
    String typed = Typed.text(form.oil());
    if (!typed.isEmpty()) {
      return Amounts.oilMl(typed, house.kitchen(), CarrierBlend.of(carrier));
    }
    double least = LEAST_FILL * jar.brimMl() - herbG.high() * SOLIDS_SHARE;
    double most = Jar.FILL_LINE * jar.brimMl() - herbG.low() * SOLIDS_SHARE;
    if (least <= 0) {
      throw new Refused(
          "oil",
          "So much herb leaves no room for oil in this jar. Give the oil, or check herb and jar.");
    }
    return Range.between(least, most);
  }

  private Jar jar(String key) {
    return vessels.jars().stream()
        .filter(j -> j.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new Refused("jar", "Choose one of the jars."));
  }

  private static LocalDate day(@Nullable String typed, LocalDate today) {
    LocalDate day =
        Optional.ofNullable(Dates.read(typed))
            .orElseThrow(() -> new Refused("chargedOn", "Give the day, as near as you know it."));
    if (day.isAfter(today) || day.isBefore(today.minusDays(OLDEST_DAYS))) {
      throw new Refused(
          "chargedOn", "It was begun today or within the last three years; " + day + " was read.");
    }
    return day;
  }

  private static Integer about(String typed) {
    return ABOUT.stream()
        .filter(days -> String.valueOf(days).equals(typed))
        .findFirst()
        .orElseThrow(() -> new Refused("about", "Choose one of the list."));
  }

  private String page(TakeOnForm form, FieldErrors errors, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute(
        "key", Optional.ofNullable(form.key()).orElseGet(() -> UUID.randomUUID().toString()));
    model.addAttribute(
        "herbs",
        catalogues.current().herbs().stream()
            .sorted((a, b) -> a.name().compareToIgnoreCase(b.name()))
            .toList());
    model.addAttribute("carriers", catalogues.current().carriers());
    model.addAttribute("jars", vessels.jars());
    model.addAttribute("places", places.all());
    return "bench/take-on";
  }
}
