package velvetcrock.papers;

import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.batch.WindowWords;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;
import velvetcrock.web.HouseName;
import velvetcrock.web.QrCode;

/** What is printed: lid tags and bottle labels. */
@Controller
class PapersController {
  private final Batches batches;
  private final Households households;
  private final Catalogues catalogues;
  private final HouseName house;
  private final BottleBook book;
  private final LabelWriter labels;

  PapersController(
      Batches batches,
      Households households,
      Catalogues catalogues,
      BottleBook book,
      LabelWriter labels,
      HouseName house) {
    this.batches = batches;
    this.book = book;
    this.labels = labels;
    this.households = households;
    this.catalogues = catalogues;
    this.house = house;
  }

  /** A lid tag. */
  record Tag(
      String code,
      String herb,
      String botanical,
      String state,
      String oil,
      String charged,
      String window) {}

  @GetMapping("/batches/{code}/tag")
  String tag(@PathVariable String code, Model model) {
    Formats fmt = households.formats(households.current());
    BatchRecord batch = batches.find(code);
    BatchState state = batch.state();
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    String about = state.charge().begun().aboutDays() > 0 ? "about " : "";
    model.addAttribute(
        "tag",
        new Tag(
            batch.code(),
            reckoning.herbNames(),
            LabelWriter.botanical(reckoning),
            LabelWriter.herbState(state),
            reckoning.carriers().names(),
            about + fmt.fullDate(state.charge().begun().chargedOn()),
            new WindowWords(reckoning.window(fmt.zone()), fmt).lid()));
    model.addAttribute(
        "qr", QrCode.of(house.link().pathSegment("batches", batch.code()).toUriString()));
    return "papers/tag";
  }

  @GetMapping("/cellar/{code}/{letter}/label")
  String label(@PathVariable String code, @PathVariable String letter, Model model) {
    BottleRecord bottle = book.one(batches.find(code), letter.toUpperCase(Locale.ROOT));
    model.addAttribute("label", labels.of(bottle, LabelWriter.Extras.NONE));
    return "papers/label";
  }
}
