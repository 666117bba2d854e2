package velvetcrock.pots;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.core.keeping.BalmKeeping;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.melt.PotRules;
import velvetcrock.core.pot.HardnessText;
import velvetcrock.core.pot.Ingredient;
import velvetcrock.core.pot.Making;
import velvetcrock.core.pot.Melt;
import velvetcrock.core.pot.Working;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Typed;

/** Where a pot is thought out and weighed in. */
@Controller
class NewPotController {
  private final Pots pots;
  private final PotReader reader;
  private final PotThings things;
  private final PotMoney money;
  private final PotCautions cautions;
  private final Recipes recipes;
  private final Households households;
  private final Catalogues catalogues;

  NewPotController(
      Pots pots,
      PotReader reader,
      PotThings things,
      PotMoney money,
      PotCautions cautions,
      Recipes recipes,
      Households households,
      Catalogues catalogues) {
    this.pots = pots;
    this.reader = reader;
    this.things = things;
    this.money = money;
    this.cautions = cautions;
    this.recipes = recipes;
    this.households = households;
    this.catalogues = catalogues;
  }

  @GetMapping("/pots/new")
  String fresh(NewPotForm form, @RequestParam @Nullable String from, Model model) {
    NewPotForm started =
        recipes
            .start(Typed.text(form.recipe()), from)
            .orElseGet(() -> form.completed(usual(form.making(), from)));
    return page(started, FieldErrors.none(), model);
  }

  /** The same, for a sentence that changed. */
  @PostMapping("/pots/new")
  String changed(NewPotForm form, Model model) {
    return page(form.completed(usual(form.making(), form.firstOil())), FieldErrors.none(), model);
  }

  /** The same scaled to another amount of its first part that has one. */
  @PostMapping("/pots/new/scale")
  String scale(
      NewPotForm form, @RequestParam String to, Model model, HttpServletResponse response) {
    NewPotForm typed = form.completed(usual(form.making(), form.firstOil()));
    return rewritten(typed, model, response, order -> scaled(typed, order, to));
  }

  /** The same with one part exchanged for another and the feel kept. */
  @PostMapping("/pots/new/exchange")
  String exchange(
      NewPotForm form,
      @RequestParam int part,
      @RequestParam String instead,
      Model model,
      HttpServletResponse response) {
    NewPotForm typed = form.completed(usual(form.making(), form.firstOil()));
    return rewritten(
        typed,
        model,
        response,
        order -> {
          if (part < 0 || part >= order.parts().size()) {
            throw new Refused("instead", "Choose one of the parts.");
          }
          PotThings.Thing other = Typed.at("instead", () -> things.find(instead));
          Ingredient counted =
              other.part().ingredient(catalogues.current(), order.plan().usedAtC());
          Melt melt = order.melt().exchanged(part, counted);
          return rows(typed, melt, part, instead);
        });
  }

  private interface Rewriting {
    List<NewPotForm.Row> of(PotOrder order);
  }

  private String rewritten(
      NewPotForm typed, Model model, HttpServletResponse response, Rewriting rewriting) {
    try {
      return page(typed.with(rewriting.of(reader.read(typed))), FieldErrors.none(), model);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(typed, FieldErrors.of(refused), model);
    }
  }

  /** To so much of its first part, or so much in all where a number of tins is named. */
  private List<NewPotForm.Row> scaled(NewPotForm typed, PotOrder order, String to) {
    Household house = households.current();
    PotThings.Thing first =
        Typed.at("to", () -> things.find(Objects.requireNonNull(typed.parts()).get(0).thing()));
    double wanted = Typed.at("to", () -> PotReader.grams(first, Typed.text(to), house.kitchen()));
    double factor = wanted / order.melt().parts().get(0).massG();
    return rows(typed, order.melt().scaledTo(order.melt().massG() * factor), -1, "");
  }

  private static List<NewPotForm.Row> rows(
      NewPotForm typed, Melt melt, int exchanged, String instead) {
    List<NewPotForm.Row> rows = new ArrayList<>();
    List<NewPotForm.Row> before = Objects.requireNonNull(typed.parts());
    for (int i = 0; i < before.size(); i++) {
      rows.add(
          new NewPotForm.Row(
              i == exchanged ? instead : before.get(i).thing(),
              PotReader.typed(melt.parts().get(i).massG())));
    }
    return rows;
  }

  @PostMapping("/pots")
  String begin(
      NewPotForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    NewPotForm typed = form.completed(usual(form.making(), form.firstOil()));
    try {
      PotOrder order = reader.read(typed);
      Pots.Done done = pots.begin(order.begun(), null, Objects.requireNonNull(typed.key()));
      flash.addFlashAttribute("notice", notice(done));
      return "redirect:/pots/" + done.code();
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(typed, FieldErrors.of(refused), model);
    }
  }

  /** What is said after something was taken. */
  static String notice(Pots.Done done) {
    if (done.repeated()) {
      return "That is in the log already; nothing was taken twice.";
    }
    return done.lacked().isEmpty()
        ? "Weighed in."
        : "Weighed in. The drawer had less than that of "
            + String.join(", ", done.lacked())
            + ": count it there.";
  }

  private String page(NewPotForm form, FieldErrors errors, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    Catalogue catalogue = catalogues.current();
    FieldErrors found = errors;
    NewPotView view = null;
    try {
      PotOrder order = reader.read(form);
      view = view(order, house, fmt, catalogue);
    } catch (Refused refused) {
      found = errors.any() ? errors : FieldErrors.of(refused);
    }
    model.addAttribute("form", form);
    model.addAttribute("view", view);
    model.addAttribute("errors", found);
    model.addAttribute("choices", things.choices(fmt));
    model.addAttribute("makings", makings());
    model.addAttribute("wheres", PotWords.wheres());
    model.addAttribute("places", Store.Place.values());
    model.addAttribute("essentials", catalogue.essentialOils());
    model.addAttribute("making", Typed.named(Making.class, makingOf(form), "making"));
    model.addAttribute("forWhats", StepWords.FOR_WHAT);
    model.addAttribute("recipes", recipes.all());
    return "pots/new";
  }

  private static String makingOf(NewPotForm form) {
    return Arrays.stream(Making.values()).anyMatch(m -> m.name().equals(form.making()))
        ? Objects.requireNonNull(form.making())
        : Making.SALVE.name();
  }

  private NewPotView view(PotOrder order, Household house, Formats fmt, Catalogue catalogue) {
    PotRules rules = new PotRules(catalogue);
    BalmKeeping keeping;
    try {
      keeping = PotRules.keeping(order.parts(), order.plan().place(), fmt.today());
    } catch (Refused refused) {
      throw new Refused("parts", refused.problems().get(0).message());
    }
    String passed =
        PotRules.passed(rules.drops(order.drops()), order.melt().volumeMl(), order.plan().where());
    int tins =
        order.plan().making().filled()
            ? (int) Math.max(1, Math.floor(order.fillsMl() / order.tinMl() + 1e-6))
            : 1;
    Working working =
        PotRules.working(
            order.plan(), order.parts(), order.melt(), !order.drops().isEmpty(), order.tinMl());
    return NewPotView.of(
        new NewPotView.Known(
            order,
            keeping,
            money.bill(order.parts(), tins),
            passed,
            new StepWords(catalogue, fmt).of(working, order.parts(), order.melt()),
            cautions.of(order.plan(), order.parts(), order.plan().where(), order.drops()),
            new HardnessText(order.wax(), catalogue.carrier("olive"), house.kitchen())),
        catalogue,
        fmt);
  }

  /** What a pot of a kind begins with: the oil to be used first, and what stiffens it. */
  private List<NewPotForm.Row> usual(@Nullable String making, @Nullable String from) {
    String oil =
        from == null || from.isBlank()
            ? things.first(households.today(households.current()))
            : from;
    Making kind =
        Arrays.stream(Making.values())
            .filter(m -> m.name().equals(making))
            .findFirst()
            .orElse(Making.SALVE);
    return switch (kind) {
      case LOTION_BAR ->
          List.of(
              row(oil, 60),
              new NewPotForm.Row("carrier:shea", "60 g"),
              new NewPotForm.Row("wax:beeswax", ""));
      case WHIPPED_BUTTER ->
          List.of(
              row(oil, 50),
              new NewPotForm.Row("carrier:mango-butter", "60 g"),
              new NewPotForm.Row("carrier:shea", ""));
      case POMADE ->
          List.of(
              row(oil, 60),
              new NewPotForm.Row("carrier:cocoa-butter", "15 g"),
              new NewPotForm.Row("carrier:shea", "15 g"),
              new NewPotForm.Row("wax:beeswax", ""));
      case COMPRESS_PADS -> List.of(new NewPotForm.Row("carrier:coconut", "100 g"), row(oil, 20));
      case MASSAGE_OIL, BATH_OIL, DRAWN -> List.of(row(oil, 100));
      case POULTICE -> List.of(new NewPotForm.Row(things.firstMarc(), "60 g"));
      default -> List.of(row(oil, 100), new NewPotForm.Row("wax:beeswax", ""));
    };
  }

  /** So many ml of an oil, or all of it where there is less. */
  private NewPotForm.Row row(String oil, double ml) {
    try {
      PotThings.Thing thing = things.find(oil);
      boolean less = thing.thereG() < ml * thing.substance().usual();
      return new NewPotForm.Row(oil, less ? "all" : Math.round(ml) + " ml");
    } catch (Refused refused) {
      return new NewPotForm.Row(oil, Math.round(ml) + " ml");
    }
  }

  private static Map<String, String> makings() {
    return Arrays.stream(Making.values())
        .collect(Collectors.toMap(Making::name, PotWords::making, (a, b) -> a, LinkedHashMap::new));
  }
}
