package velvetcrock.papers;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.ModelAndView;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.Refused;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.HouseName;
import velvetcrock.web.Typed;

/** Sheets of labels for bottles, as a PDF. */
@Controller
class LabelsController {
  private static final int SHOWN = 300;
  private static final int MOST = 500;

  private final BottleBook book;
  private final Passes passes;
  private final LabelWriter writer;
  private final Households households;
  private final Catalogues catalogues;
  private final HouseName house;

  /** What cannot be printed has made no passes. */
  private final TransactionTemplate transactions;

  LabelsController(
      BottleBook book,
      Passes passes,
      LabelWriter writer,
      Households households,
      Catalogues catalogues,
      HouseName house,
      TransactionTemplate transactions) {
    this.book = book;
    this.passes = passes;
    this.writer = writer;
    this.households = households;
    this.catalogues = catalogues;
    this.house = house;
    this.transactions = transactions;
  }

  /** A bottle to choose. */
  record Choice(String code, String words, boolean chosen) {}

  @GetMapping("/cellar/labels")
  String choose(LabelForm form, Model model) {
    String here = house.link().toUriString();
    LabelForm first =
        new LabelForm(
            form.bottles(),
            LabelGrid.usual(households.current().customs().paper()),
            "1",
            "0",
            null,
            "",
            null,
            here,
            form.herb(),
            form.oil());
    page(first, FieldErrors.none(), List.of(), model.asMap());
    return "papers/labels";
  }

  @PostMapping("/cellar/labels")
  Object print(LabelForm form, HttpServletResponse response) {
    List<String> questioned = List.of();
    try {
      LabelGrid grid = LabelGrid.of(Typed.text(form.grid()));
      int skipped = form.skipped();
      List<BottleRecord> bottles = chosen(form);
      questioned = questioned(form.ownWords(), bottles);
      LabelPrinting.question(questioned, form);
      return LabelPrinting.pdf(
          Objects.requireNonNull(
              transactions.execute(
                  status -> {
                    byte[] sheet = LabelSheet.pdf(labels(form, bottles), grid, skipped);
                    book.labelled(bottles);
                    return sheet;
                  })));
    } catch (Refused refused) {
      ModelAndView page = new ModelAndView("papers/labels", HttpStatus.UNPROCESSABLE_CONTENT);
      page(form, FieldErrors.of(refused), questioned, page.getModel());
      return page;
    }
  }

  private List<BottleRecord> chosen(LabelForm form) {
    Set<String> codes = new HashSet<>(form.bottles());
    List<BottleRecord> chosen =
        standing(form).stream().filter(b -> codes.contains(b.code())).toList();
    if (chosen.isEmpty()) {
      throw new Refused("bottle", "Choose a bottle.");
    }
    if (chosen.size() * form.copies() > MOST) {
      throw new Refused("each", "At most " + MOST + " labels at once.");
    }
    return chosen;
  }

  private List<BottleRecord> standing(LabelForm form) {
    return book.standing(
        new BottleBook.Which(Typed.chosen(form.herb()), Typed.chosen(form.oil())), SHOWN);
  }

  private List<String> questioned(String words, List<BottleRecord> bottles) {
    Set<String> names = new HashSet<>();
    for (BottleRecord bottle : bottles) {
      new BatchReckoning(catalogues.current(), bottle.batch().state())
          .herbsByWeight()
          .forEach(
              herb -> {
                names.add(herb.name());
                names.add(herb.botanical());
              });
    }
    return LabelPrinting.questioned(words, names);
  }

  private List<LabelSheet.Label> labels(LabelForm form, List<BottleRecord> bottles) {
    LabelWriter.Extras extras = new LabelWriter.Extras(form.inci() != null, form.ownWords(), true);
    String base = form.base();
    Map<String, String> tokens = passes.tokens(bottles);
    List<LabelSheet.Label> labels = new ArrayList<>();
    for (BottleRecord bottle : bottles) {
      LabelSheet.Label label =
          new LabelSheet.Label(writer.of(bottle, extras), base + "/b/" + tokens.get(bottle.code()));
      for (int i = 0; i < form.copies(); i++) {
        labels.add(label);
      }
    }
    return labels;
  }

  private void page(
      LabelForm form, FieldErrors errors, List<String> questioned, Map<String, Object> model) {
    Formats fmt = households.formats(households.current());
    List<Choice> choices = new ArrayList<>();
    for (BottleRecord bottle : standing(form)) {
      BatchReckoning reckoning = new BatchReckoning(catalogues.current(), bottle.batch().state());
      choices.add(
          new Choice(
              bottle.code(),
              reckoning.herbNames() + ", until " + fmt.fullDate(bottle.bestBefore()),
              form.bottles().contains(bottle.code())));
    }
    model.put("action", "/cellar/labels");
    model.put("back", "/cellar");
    model.put("backWords", "Cellar");
    model.put("place", "cellar");
    model.put("asked", "For which bottles?");
    model.put("choices", choices);
    model.put("sheets", LabelPrinting.sheets(fmt));
    model.put("form", form);
    model.put("errors", errors);
    model.put("questioned", !questioned.isEmpty());
  }
}
