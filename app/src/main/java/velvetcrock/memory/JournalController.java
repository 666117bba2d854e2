package velvetcrock.memory;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.journal.Journal;
import velvetcrock.journal.Search;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Dates;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;

/** The journal: everything written, to be searched. */
@Controller
class JournalController {
  private static final int A_PAGE = 50;
  private static final int LAST_PAGE = 200;

  private final Journal journal;
  private final Households households;
  private final Catalogues catalogues;

  JournalController(Journal journal, Households households, Catalogues catalogues) {
    this.journal = journal;
    this.households = households;
    this.catalogues = catalogues;
  }

  /**
   * What is looked for, as typed.
   *
   * @param from not before this day
   * @param until not after this day
   * @param page which page of what was found, from 0
   */
  record JournalForm(
      @Nullable String words,
      @Nullable String herb,
      @Nullable String oil,
      @Nullable String from,
      @Nullable String until,
      @Nullable String page) {

    Search search(ZoneId zone) {
      Problems problems = new Problems();
      Instant first =
          problems.attempt("from", () -> day(from).map(d -> start(d, zone)).orElse(null));
      Instant last =
          problems.attempt(
              "until", () -> day(until).map(d -> start(d.plusDays(1), zone)).orElse(null));
      problems.refuseIfAny();
      return new Search(
          Typed.text(words), Typed.chosen(herb), Typed.chosen(oil), List.of(), first, last);
    }

    private static Optional<LocalDate> day(@Nullable String typed) {
      return Typed.blank(typed) ? Optional.empty() : Optional.ofNullable(Dates.read(typed));
    }

    private static Instant start(LocalDate day, ZoneId zone) {
      return day.atStartOfDay(zone).toInstant();
    }

    int number() {
      return Typed.blank(page)
          ? 0
          : Typed.at("page", () -> (int) Typed.number(page, 0, LAST_PAGE, "pages"));
    }
  }

  @SameUntilChanged(held = true)
  @GetMapping("/journal")
  String journal(JournalForm form, Model model, HttpServletResponse response) {
    Household house = households.current();
    Catalogue catalogue = catalogues.current();
    JournalView view = JournalView.EMPTY;
    FieldErrors errors = FieldErrors.none();
    int page = 0;
    try {
      page = form.number();
      view =
          JournalView.of(
              journal.find(form.search(house.zone()), page * A_PAGE, A_PAGE + 1),
              A_PAGE,
              households.formats(house));
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      errors = FieldErrors.of(refused);
    }
    model.addAttribute("view", view);
    model.addAttribute("form", form);
    model.addAttribute("page", page);
    model.addAttribute("errors", errors);
    model.addAttribute("herbs", catalogue.herbs());
    model.addAttribute("oils", catalogue.carriers());
    return "memory/journal";
  }
}
