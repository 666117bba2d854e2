package velvetcrock.cellar;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.batch.DatedOil;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.NotFound;
import velvetcrock.web.SameUntilChanged;

/** The cellar: along time, by oil and by herb. */
@Controller
class CellarController {
  private final BottleBook book;
  private final Households households;
  private final Catalogues catalogues;

  CellarController(BottleBook book, Households households, Catalogues catalogues) {
    this.book = book;
    this.households = households;
    this.catalogues = catalogues;
  }

  @SameUntilChanged(held = true)
  @GetMapping("/cellar")
  String cellar(
      @RequestParam(defaultValue = "time") String by,
      @RequestParam @Nullable String herb,
      @RequestParam @Nullable String oil,
      Model model) {
    Formats fmt = households.formats(households.current());
    BottleBook.Which which = which(herb, oil);
    CellarView.By sorted =
        switch (by) {
          case "oil" -> CellarView.By.OIL;
          case "herb" -> CellarView.By.HERB;
          default -> CellarView.By.TIME;
        };
    boolean grouped = sorted != CellarView.By.TIME;
    List<BottleRecord> shown = grouped ? List.of() : book.standing(which, CellarView.MOST);
    List<DatedOil> dated =
        switch (sorted) {
          case OIL -> book.byCarrier();
          case HERB -> book.byHerb();
          case TIME -> List.of();
        };
    CellarView.Contents contents =
        new CellarView.Contents(
            shown, book.hoard(which, fmt.today()), dated, book.ownShelfLives(), sorted, which);
    model.addAttribute("cellar", CellarView.of(contents, catalogues.current(), fmt));
    model.addAttribute("key", FreshKeys.next());
    model.addAttribute("printAgain", book.toPrintAgain(fmt.today()));
    model.addAttribute("by", sorted.name().toLowerCase(Locale.ROOT));
    return "cellar/cellar";
  }

  /** Only herbs and oils that the household knows can be asked for. */
  private BottleBook.Which which(@Nullable String herb, @Nullable String oil) {
    Catalogue catalogue = catalogues.current();
    boolean known =
        (herb == null || catalogue.herbs().stream().anyMatch(h -> h.key().equals(herb)))
            && (oil == null || catalogue.carriers().stream().anyMatch(c -> c.key().equals(oil)));
    if (!known) {
      throw new NotFound("There is no such herb or oil in your catalogue.");
    }
    return new BottleBook.Which(herb, oil);
  }
}
