package velvetcrock;

import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.drawer.Drawer;
import velvetcrock.products.ProductRecord;
import velvetcrock.products.Products;

/** A household that makes products of its bottles. */
abstract class ProductHouse extends BottleHouse {
  @Autowired Products products;
  @Autowired Drawer drawer;

  static Catalogue catalogue() {
    return Catalogue.shipped();
  }

  static String[] sentence(String key, String... more) {
    List<String> fields = new ArrayList<>(List.of("key", key));
    fields.addAll(List.of(more));
    return fields.toArray(String[]::new);
  }

  static String[] fresh(String... fields) {
    return sentence(UUID.randomUUID().toString(), fields);
  }

  /** A sentence of a kind whose first part is so much of bottle A. */
  static String[] ofBottle(String code, String making, String amount, String... more) {
    List<String> fields =
        new ArrayList<>(
            List.of(
                "making",
                making,
                "parts[0].thing",
                "bottle:" + code + "-A",
                "parts[0].amount",
                amount));
    fields.addAll(List.of(more));
    return fresh(fields.toArray(String[]::new));
  }

  String[] salve(String code, String ml, String wax) {
    return salve(code, ml, "wax:beeswax", wax);
  }

  /** A salve of so much of bottle A and of so much of a thing that hardens it. */
  String[] salve(String code, String ml, String thing, String amount) {
    return ofBottle(code, "SALVE", ml, "parts[1].thing", thing, "parts[1].amount", amount);
  }

  /** Pours as many of one size as it fills, or what more says. */
  void pour(ProductRecord product, String size, String where, String... more) throws Exception {
    List<String> fields =
        new ArrayList<>(
            List.of("kind", "poured", "groups[0].size", size, "groups[0].where", where));
    fields.addAll(List.of(more));
    note(product, fields.toArray(String[]::new));
  }

  ProductRecord begun(String... fields) throws Exception {
    String link =
        send(keeper, "/products", fields)
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    return as(keeper, () -> products.find(link.substring("/products/".length())));
  }

  ProductRecord again(ProductRecord product) {
    return as(keeper, () -> products.find(product.code()));
  }

  void note(ProductRecord product, String... fields) throws Exception {
    send(keeper, "/products/" + product.code() + "/log", fresh(fields))
        .andExpect(status().is3xxRedirection());
  }

  String page(String path) throws Exception {
    return visit(keeper, path)
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString()
        .replaceAll("<[^>]+>", " ")
        .replaceAll("\\s+", " ");
  }

  UUID lot(LotDetails.Kind kind, String thing, double amount, long price) {
    LotDetails details =
        new LotDetails(
            kind,
            thing,
            "",
            new LotDetails.Plant(null, null, null, null),
            LotDetails.Origin.BOUGHT,
            "the skeps",
            new LotDetails.Dates(null, today().minusDays(9), null, null),
            null,
            price);
    return as(keeper, () -> drawer.add(details, amount, "", null, UUID.randomUUID().toString()));
  }

  /** The text on the labels of a product’s first tins. */
  String labels(ProductRecord product) throws Exception {
    byte[] pdf =
        send(
                keeper,
                "/products/" + product.code() + "/labels",
                "bottle",
                "A",
                "grid",
                "a4-8",
                "each",
                "1",
                "skip",
                "0",
                "inci",
                "yes",
                "address",
                "http://cottage.example")
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
    }
  }
}
