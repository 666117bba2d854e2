package velvetcrock.kitchen;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.web.Happened;
import velvetcrock.web.Typed;

/** Says beside a field, as it is typed, what was understood. Stores nothing. */
@Controller
class UnderstoodController {
  private static final Pattern ROW = Pattern.compile("(\\w+\\[)(\\d+)(]\\.\\w+)");

  private final Understanding understanding;
  private final Catalogues catalogues;
  private final KnownSubstances substances;

  UnderstoodController(
      Understanding understanding, Catalogues catalogues, KnownSubstances substances) {
    this.understanding = understanding;
    this.catalogues = catalogues;
    this.substances = substances;
  }

  /**
   * What a field is understood as.
   *
   * @param field the name of the field; with {@code #n} the nth of that name, from 0
   * @param of what it is an amount of: {@code herb} and {@code oil} with what stands in the fields
   *     under {@code under}, {@code oil:} or {@code herb:} with a key, {@code thing} as the field
   *     {@code thing} names it or {@code thing:} with its name, or empty
   * @param bare the unit that the field shows; empty where it wants one
   * @param under how the names of the fields begin that say what it is
   * @param form the whole form
   */
  @PostMapping("/understood")
  String understood(
      @RequestParam(defaultValue = "") String field,
      @RequestParam(defaultValue = "") String of,
      @RequestParam(defaultValue = "") String bare,
      @RequestParam(defaultValue = "") String under,
      @RequestParam MultiValueMap<String, String> form,
      Model model) {
    model.addAttribute(
        "told",
        understanding.tell(rows(field, form), bare, of(of, under, form.toSingleValueMap())));
    return "web/understood :: told";
  }

  /** What a time is understood as. */
  @PostMapping("/understood/when")
  String when(Happened when, Model model) {
    model.addAttribute("told", Understanding.tell(when));
    return "web/understood :: told";
  }

  /** What stands in a field; of a row what stands in the rows before it, too. */
  private static List<String> rows(String field, MultiValueMap<String, String> form) {
    Matcher row = ROW.matcher(field);
    if (!row.matches() || row.group(2).length() > 2) {
      return List.of(one(field, form));
    }
    return IntStream.rangeClosed(0, Integer.parseInt(row.group(2)))
        .mapToObj(i -> Typed.text(form.getFirst(row.group(1) + i + row.group(3))))
        .toList();
  }

  /** What stands in a field; in the nth of several of that name where {@code #n} follows it. */
  private static String one(String field, MultiValueMap<String, String> form) {
    int mark = field.indexOf('#');
    if (mark < 0) {
      return Typed.text(form.getFirst(field));
    }
    List<String> all = form.getOrDefault(field.substring(0, mark), List.of());
    String nth = field.substring(mark + 1);
    int n = nth.matches("\\d{1,2}") ? Integer.parseInt(nth) : all.size();
    return n < all.size() ? Typed.text(all.get(n)) : "";
  }

  private Understanding.AmountOf of(String of, String under, Map<String, String> form) {
    Catalogue catalogue = catalogues.current();
    String[] named = of.split(":", 2);
    try {
      return switch (named[0]) {
        case "oil" -> {
          String key =
              named.length > 1
                  ? named[1]
                  : Objects.requireNonNullElse(form.get(under + "carrier"), "");
          yield new Understanding.AmountOf(
              Optional.empty(), Optional.of(catalogue.carrier(key)), Optional.empty());
        }
        case "herb" ->
            new Understanding.AmountOf(
                Optional.of(lying(named.length > 1 ? named[1] : "", under, form, catalogue)),
                Optional.empty(),
                Optional.empty());
        case "thing" ->
            new Understanding.AmountOf(
                Optional.empty(),
                Optional.empty(),
                substances.of(
                    named.length > 1
                        ? named[1]
                        : Objects.requireNonNullElse(form.get(under + "thing"), "")));
        default -> Understanding.AmountOf.ANYTHING;
      };
    } catch (Refused unknown) {
      return Understanding.AmountOf.ANYTHING;
    }
  }

  private static Amounts.Lying lying(
      String key, String under, Map<String, String> form, Catalogue catalogue) {
    Herb herb =
        catalogue.herb(
            key.isEmpty() ? Objects.requireNonNullElse(form.get(under + "herb"), "") : key);
    String part = Typed.text(form.get(under + "part"));
    String measured = Typed.text(form.get(under + "measuredAs"));
    String cut = measured.isEmpty() ? Typed.text(form.get(under + "cut")) : measured;
    String state = Typed.text(form.get(under + "state"));
    return new Amounts.Lying(
        herb,
        herb.parts().stream()
            .filter(p -> p.name().equalsIgnoreCase(part))
            .findFirst()
            .orElse(herb.bestPart()),
        cut.isEmpty() ? Cut.CUT : Typed.named(Cut.class, cut, "cut"),
        state.isEmpty() ? HerbState.DRIED : Typed.named(HerbState.class, state, "state"));
  }
}
