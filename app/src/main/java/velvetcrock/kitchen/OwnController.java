package velvetcrock.kitchen;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Typed;

/**
 * What is not in a list: the short form of a thing of one's own, with what safety needs, and back
 * to the sentence that it was missed in.
 */
@Controller
class OwnController {
  private static final int LONGEST_BACK = 6000;
  private static final Pattern HERE = Pattern.compile("/[a-z][^\\s]*");
  private static final Pattern AS = Pattern.compile("(?:carrier|wax|powder):");
  private static final Pattern FIELD = Pattern.compile("[A-Za-z0-9_.\\[\\]]{1,40}");

  private final Catalogues catalogues;

  OwnController(Catalogues catalogues) {
    this.catalogues = catalogues;
  }

  /**
   * Where it was missed.
   *
   * @param back the page with what was typed there; empty for the list of all
   * @param field the field of that page that is to hold it
   * @param as what goes before its key there; may be empty
   */
  record Missed(@Nullable String back, @Nullable String field, @Nullable String as) {
    /** Back to that page, with the thing in its field. */
    private String with(String key) {
      String to = Typed.text(back);
      if (to.isEmpty() || to.length() > LONGEST_BACK || !HERE.matcher(to).matches()) {
        return "/kitchen/catalogue";
      }
      UriComponentsBuilder page = UriComponentsBuilder.fromUriString(to);
      if (FIELD.matcher(Typed.text(field)).matches()) {
        page.replaceQueryParam(
            UriUtils.encode(Typed.text(field), StandardCharsets.UTF_8),
            AS.matcher(Typed.text(as)).matches() ? Typed.text(as) + key : key);
      }
      return page.build().toUriString();
    }
  }

  @GetMapping("/kitchen/own/{kind}")
  String ask(@PathVariable OwnKind kind, Missed missed, Model model) {
    return page(kind, OwnTyped.empty(), missed, FieldErrors.none(), model);
  }

  @PostMapping("/kitchen/own/{kind}")
  String keep(
      @PathVariable OwnKind kind,
      OwnTyped form,
      Missed missed,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      Problems problems = new Problems();
      problems.require(!Typed.text(form.name()).isEmpty(), "name", "What is it called?");
      problems.refuseIfAny();
      String name = catalogues.keep(kind, form);
      flash.addFlashAttribute("notice", name + ": kept. Choose it from the list.");
      return "redirect:" + missed.with(Catalogues.keyOf(name));
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(kind, form, missed, FieldErrors.of(refused), model);
    }
  }

  private String page(OwnKind kind, OwnTyped form, Missed missed, FieldErrors errors, Model model) {
    model.addAttribute("kind", kind);
    model.addAttribute("shipped", kind.shipped(catalogues.shipped()));
    model.addAttribute("allergens", OwnSafety.ALLERGENS);
    model.addAttribute("hazards", OwnSafety.HAZARDS);
    model.addAttribute("form", form);
    model.addAttribute("missed", missed);
    model.addAttribute("errors", errors);
    return "kitchen/own";
  }
}
