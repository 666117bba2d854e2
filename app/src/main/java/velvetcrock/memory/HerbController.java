package velvetcrock.memory;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import velvetcrock.batch.Experience;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.About;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Facts;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.materia.Herb;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotWords;
import velvetcrock.journal.Journal;
import velvetcrock.journal.Search;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;
import velvetcrock.web.NotFound;

/** A herb's page: all it has been in, what went well and what next time. */
@Controller
class HerbController {
  private static final int MOST = 100;
  private static final int MOST_LOTS = 20;

  private final Journal journal;
  private final Drawer drawer;
  private final Experience experience;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;

  HerbController(
      Journal journal,
      Drawer drawer,
      Experience experience,
      Households households,
      Catalogues catalogues,
      Cautions cautions) {
    this.journal = journal;
    this.drawer = drawer;
    this.experience = experience;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  /** A thing with its page. */
  record Linked(String name, String words, String link) {}

  @GetMapping("/herbs/{herb}")
  String herb(@PathVariable("herb") String key, Model model) {
    Herb herb = known(key);
    Formats fmt = households.formats(households.current());
    LotWords words = new LotWords(catalogues.current(), fmt);
    List<Linked> lots =
        drawer.of(LotDetails.Kind.HERB, key).stream()
            .limit(MOST_LOTS)
            .map(
                lot ->
                    new Linked(
                        words.amount(lot.lot()),
                        words.state(lot.lot()) + ", " + words.origin(lot.lot()),
                        "/drawer/lots/" + lot.id()))
            .toList();
    model.addAttribute("herb", herb);
    model.addAttribute("lots", lots);
    model.addAttribute("batches", lines(key, fmt, "charged"));
    model.addAttribute("lookedBack", lines(key, fmt, "looked-back"));
    model.addAttribute("trials", lines(key, fmt, "trial-concluded"));
    model.addAttribute("kept", KeptByMarc.of(experience.own(), herb, fmt));
    model.addAttribute("cautions", cautions.of(Facts.about(About.LOT).bringing(herb.cautions())));
    return "memory/herb";
  }

  private List<JournalView.Line> lines(String herb, Formats fmt, String kind) {
    return journal.find(Search.ofHerb(herb, kind), 0, MOST).stream()
        .map(line -> JournalView.Line.of(line, fmt))
        .toList();
  }

  private Herb known(String key) {
    try {
      return catalogues.current().herb(key);
    } catch (Refused unknown) {
      throw new NotFound("There is no such herb here.");
    }
  }
}
