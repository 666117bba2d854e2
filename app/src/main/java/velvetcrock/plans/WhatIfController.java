package velvetcrock.plans;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetcrock.batch.Experience;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.outlook.WhatIf;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Vessels;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;

/** What-ifs: ratio, cut, warmth, time and oil moved by hand, and what follows from them. */
@Controller
class WhatIfController {
  private static final double SLIDER = 100;

  private final Households households;
  private final Vessels vessels;
  private final Catalogues catalogues;
  private final Experience experience;

  WhatIfController(
      Households households, Vessels vessels, Catalogues catalogues, Experience experience) {
    this.households = households;
    this.vessels = vessels;
    this.catalogues = catalogues;
    this.experience = experience;
  }

  @SameUntilChanged
  @GetMapping("/plans/what-if")
  String whatIf(WhatIfForm sent, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    Catalogue catalogue = catalogues.current();
    WhatIfForm form = sent.completed("yarrow", "sunflower-high-oleic");
    model.addAttribute("form", form);
    model.addAttribute(
        "herbs",
        catalogue.herbs().stream()
            .sorted(Comparator.comparing(Herb::name, String.CASE_INSENSITIVE_ORDER))
            .toList());
    model.addAttribute("carriers", catalogue.carriers());
    model.addAttribute("jars", vessels.jars());
    model.addAttribute("view", null);
    model.addAttribute("errors", FieldErrors.none());
    model.addAttribute("ticks", ticks());
    try {
      WhatIfView.Tried tried = tried(form, fmt);
      List<WhatIfView.Tried> pins = new ArrayList<>();
      for (String pin : Optional.ofNullable(form.pins()).orElse(List.of())) {
        WhatIfForm.ofPin(pin).ifPresent(p -> pins.add(tried(p, fmt)));
      }
      model.addAttribute("view", WhatIfView.of(tried, pins, fmt));
      model.addAttribute("time", fmt.hours(tried.result().at().hours()));
      model.addAttribute("warmth", fmt.degrees(Typed.number(form.celsius(), 0, 135, "°C")));
    } catch (Refused refused) {
      model.addAttribute("errors", FieldErrors.of(refused));
    }
    return "plans/what-if";
  }

  /** A time that is named on the axis. */
  record Tick(double x, String words) {}

  private static List<Tick> ticks() {
    return List.of(
        new Tick(WhatIfView.timeX(1), "1 h"),
        new Tick(WhatIfView.timeX(6), "6 h"),
        new Tick(WhatIfView.timeX(24), "1 day"),
        new Tick(WhatIfView.timeX(7 * 24), "1 wk"),
        new Tick(WhatIfView.timeX(28 * 24), "4 wk"));
  }

  private WhatIfView.Tried tried(WhatIfForm form, Formats fmt) {
    Catalogue catalogue = catalogues.current();
    Problems problems = new Problems();
    Herb herb = problems.attempt("herb", () -> catalogue.herb(Typed.text(form.material().herb())));
    Cut cut = problems.attempt("cut", () -> Typed.named(Cut.class, form.material().cut(), "cut"));
    HerbState state =
        problems.attempt(
            "state", () -> Typed.named(HerbState.class, form.material().state(), "state"));
    Double grams =
        problems.attempt("grams", () -> Typed.number(form.grams(), 1, 5000, "grams of herb"));
    Double ratio =
        problems.attempt(
            "ratio", () -> Typed.number(form.ratio(), 1, 60, "parts of oil to one of herb"));
    Double celsius = problems.attempt("celsius", () -> Typed.number(form.celsius(), 0, 135, "°C"));
    Double time = problems.attempt("time", () -> Typed.number(form.time(), 0, SLIDER, "of time"));
    Agitation moved =
        problems.attempt("moved", () -> Typed.named(Agitation.class, form.moved(), "moved"));
    Light light = problems.attempt("light", () -> Typed.named(Light.class, form.light(), "light"));
    CarrierDates carrier =
        problems.attempt(
            "carrier",
            () ->
                new CarrierDates(
                    catalogue.carrier(Typed.text(form.carrier())), 1, null, null, null));
    problems.refuseIfAny();

    double hours =
        WhatIf.SHORTEST_HOURS
            * Math.pow(WhatIf.LONGEST_HOURS / WhatIf.SHORTEST_HOURS, time / SLIDER);
    Optional<Jar> jar =
        vessels.jars().stream().filter(j -> j.key().equals(Typed.text(form.jar()))).findFirst();
    WhatIf result =
        WhatIf.of(
            new WhatIf.Setting(
                HerbPortion.usual(herb, herb.bestPart(), cut, state, grams),
                List.of(carrier),
                ratio,
                celsius,
                Math.min(WhatIf.LONGEST_HOURS, hours),
                moved,
                light,
                !Typed.blank(form.spirit()),
                jar,
                Use.SKIN,
                fmt.today()),
            catalogue,
            experience.own());
    String words =
        herb.name()
            + ", "
            + cut.name().toLowerCase(Locale.ROOT)
            + ", "
            + fmt.ratio(ratio)
            + " in "
            + carrier.carrier().name().toLowerCase(Locale.ROOT)
            + ", "
            + fmt.degrees(celsius)
            + " for "
            + fmt.hours(result.at().hours());
    return new WhatIfView.Tried(form, words, result);
  }
}
