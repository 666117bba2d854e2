package velvetcrock.memory;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetcrock.batch.Batches;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.About;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Facts;
import velvetcrock.core.materia.Herb;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.journal.Search;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.NotFound;
import velvetcrock.web.Typed;

/** A part of what was written down, as pages to print: a jar, a herb or a year. */
@Controller
class PrintController {
  private static final int MOST = 20_000;

  private final Journal journal;
  private final Batches batches;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;

  PrintController(
      Journal journal,
      Batches batches,
      Households households,
      Catalogues catalogues,
      Cautions cautions) {
    this.journal = journal;
    this.batches = batches;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  @GetMapping("/print")
  String choose(Model model) {
    return choose("", FieldErrors.none(), model);
  }

  /** A jar prints from its own page, with its cautions and its whole log. */
  @GetMapping("/print/jar")
  String jar(
      @RequestParam(defaultValue = "") String code, Model model, HttpServletResponse response) {
    String typed = code.strip().toUpperCase(Locale.ROOT);
    try {
      return "redirect:/batches/" + batches.find(typed).code() + "?all=yes";
    } catch (NotFound unknown) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return choose(
          code,
          FieldErrors.of(new Refused("code", "There is no jar of that code: see its lid.")),
          model);
    }
  }

  @GetMapping("/print/herb")
  String herb(@RequestParam("herb") String key, Model model) {
    Herb herb = known(key);
    model.addAttribute("title", herb.name());
    model.addAttribute("about", herb.botanical());
    model.addAttribute("cautions", cautions.of(Facts.about(About.LOT).bringing(herb.cautions())));
    return printed(Search.ofHerb(key), model);
  }

  @GetMapping("/print/year")
  String year(@RequestParam("year") String typed, Model model) {
    int year = (int) Typed.number(typed, 1970, 9999, "years");
    ZoneId zone = households.current().zone();
    Instant from = LocalDate.of(year, 1, 1).atStartOfDay(zone).toInstant();
    Instant until = LocalDate.of(year + 1, 1, 1).atStartOfDay(zone).toInstant();
    model.addAttribute("title", String.valueOf(year));
    model.addAttribute("about", "");
    model.addAttribute("cautions", List.of());
    return printed(new Search("", null, null, List.of(), from, until), model);
  }

  private String printed(Search search, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    List<JournalLine> lines = new ArrayList<>(journal.find(search, 0, MOST + 1));
    Collections.reverse(lines);
    model.addAttribute("household", house.name());
    model.addAttribute("today", fmt.fullDate(households.today(house)));
    model.addAttribute("most", MOST);
    model.addAttribute("view", JournalView.of(lines, MOST, fmt));
    return "memory/printed";
  }

  private String choose(String code, FieldErrors errors, Model model) {
    int now = households.today(households.current()).getYear();
    int first = journal.first().map(at -> year(at, households.current().zone())).orElse(now);
    model.addAttribute("code", code);
    model.addAttribute("herbs", catalogues.current().herbs());
    model.addAttribute(
        "years", IntStream.rangeClosed(first, now).map(y -> first + now - y).boxed().toList());
    model.addAttribute("errors", errors);
    return "memory/print";
  }

  private static int year(Instant at, ZoneId zone) {
    return at.atZone(zone).getYear();
  }

  private Herb known(@Nullable String key) {
    try {
      return catalogues.current().herb(Typed.text(key));
    } catch (Refused unknown) {
      throw new NotFound("There is no such herb here.");
    }
  }
}
