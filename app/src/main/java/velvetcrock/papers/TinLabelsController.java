package velvetcrock.papers;

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
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.ModelAndView;
import velvetcrock.core.Refused;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinGroup;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.products.ProductRecord;
import velvetcrock.products.ProductWords;
import velvetcrock.products.Products;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.HouseName;
import velvetcrock.web.Typed;

/** Sheets of labels for the tins of a product, one for each tin, as a PDF. */
@Controller
class TinLabelsController {
  private static final int MOST = 500;

  private final Products products;
  private final Passes passes;
  private final TinLabelWriter writer;
  private final Households households;
  private final Catalogues catalogues;
  private final HouseName house;

  /** What cannot be printed has made no passes. */
  private final TransactionTemplate transactions;

  TinLabelsController(
      Products products,
      Passes passes,
      TinLabelWriter writer,
      Households households,
      Catalogues catalogues,
      HouseName house,
      TransactionTemplate transactions) {
    this.products = products;
    this.passes = passes;
    this.writer = writer;
    this.households = households;
    this.catalogues = catalogues;
    this.house = house;
    this.transactions = transactions;
  }

  @GetMapping("/products/{code}/labels")
  String choose(@PathVariable String code, Model model) {
    ProductRecord product = products.find(code);
    String here = house.link().toUriString();
    List<String> all = product.state().filling().groups().stream().map(TinGroup::letter).toList();
    page(
        product,
        new LabelForm(
            all,
            LabelGrid.usual(households.current().customs().paper()),
            "1",
            "0",
            null,
            "",
            null,
            here,
            null,
            null),
        FieldErrors.none(),
        List.of(),
        model.asMap());
    return "papers/labels";
  }

  @PostMapping("/products/{code}/labels")
  Object print(@PathVariable String code, LabelForm form) {
    ProductRecord product = products.find(code);
    List<String> questioned = List.of();
    try {
      LabelGrid grid = LabelGrid.of(Typed.text(form.grid()));
      int skipped = form.skipped();
      questioned = LabelPrinting.questioned(form.ownWords(), writer.herbNames(product.state()));
      LabelPrinting.question(questioned, form);
      return LabelPrinting.pdf(
          Objects.requireNonNull(
              transactions.execute(
                  status -> {
                    byte[] sheet = LabelSheet.pdf(labels(form, product), grid, skipped);
                    products.labelled(product.code());
                    return sheet;
                  })));
    } catch (Refused refused) {
      ModelAndView page = new ModelAndView("papers/labels", HttpStatus.UNPROCESSABLE_CONTENT);
      page(product, form, FieldErrors.of(refused), questioned, page.getModel());
      return page;
    }
  }

  private List<LabelSheet.Label> labels(LabelForm form, ProductRecord product) {
    LabelWriter.Extras extras = new LabelWriter.Extras(form.inci() != null, form.ownWords(), true);
    String base = form.base();
    Set<String> letters = new HashSet<>(form.bottles());
    List<LabelSheet.Label> labels = new ArrayList<>();
    for (TinGroup group : product.state().filling().groups()) {
      if (letters.contains(group.letter())) {
        String address = base + "/b/" + passes.productToken(product.id(), group.letter());
        for (ProductState.Tin tin : product.state().filling().tins()) {
          if (tin.group().equals(group.letter())) {
            LabelSheet.Label label =
                new LabelSheet.Label(writer.of(product, group, tin.name(), extras), address);
            for (int i = 0; i < form.copies(); i++) {
              labels.add(label);
            }
          }
        }
      }
    }
    if (labels.isEmpty()) {
      throw new Refused("bottle", "Choose some tins.");
    }
    if (labels.size() > MOST) {
      throw new Refused("each", "At most " + MOST + " labels at once.");
    }
    return labels;
  }

  private void page(
      ProductRecord product,
      LabelForm form,
      FieldErrors errors,
      List<String> questioned,
      Map<String, Object> model) {
    Formats fmt = households.formats(households.current());
    List<LabelsController.Choice> choices = new ArrayList<>();
    for (TinGroup group : product.state().filling().groups()) {
      choices.add(
          new LabelsController.Choice(
              group.letter(),
              group.count()
                  + " × "
                  + fmt.ml(group.ml())
                  + " for "
                  + ProductWords.where(group.where()),
              form.bottles().contains(group.letter())));
    }
    model.put("action", "/products/" + product.code() + "/labels");
    model.put("back", "/products/" + product.code());
    model.put(
        "backWords",
        product.code() + " " + new ProductWords(catalogues.current(), fmt).name(product.state()));
    model.put("place", "products");
    model.put("asked", "For which tins? One label for each.");
    model.put("choices", choices);
    model.put("sheets", LabelPrinting.sheets(fmt));
    model.put("form", form);
    model.put("errors", errors);
    model.put("questioned", !questioned.isEmpty());
  }
}
