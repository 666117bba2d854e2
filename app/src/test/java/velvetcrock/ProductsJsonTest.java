package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.closeTo;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import org.junit.jupiter.api.Test;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.products.ProductRecord;

/** Products as scripts read them. */
class ProductsJsonTest extends ProductHouse {
  private ProductRecord poured(String code) throws Exception {
    ProductRecord product = begun(salve(code, "80 ml", "12 g"));
    note(
        product,
        "kind",
        "added",
        "drops[0].oil",
        "lavender",
        "drops[0].count",
        "12",
        "parts[0].amount",
        "");
    pour(
        product,
        "30 ml",
        "BODY",
        "groups[0].count",
        "2",
        "groups[1].vessel",
        "tins",
        "groups[1].size",
        "15 ml",
        "groups[1].count",
        "1",
        "groups[1].where",
        "BODY",
        "groups[1].thing",
        "extra:honey",
        "groups[1].amount",
        "1 g");
    note(product, "kind", "went", "tin", "A2", "fate", "GIVEN", "to", "the ferry crew");
    return again(product);
  }

  private String json(String path) throws Exception {
    return visit(keeper, path)
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  @Test
  void aPotIsToldWithItsPartsTheirOriginsAndItsTins() throws Exception {
    String code = bottled(40);
    ProductRecord product = poured(code);

    visit(keeper, "/api/v1/products/" + product.code())
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.product.code").value(product.code()))
        .andExpect(jsonPath("$.product.kind").value("salve"))
        .andExpect(jsonPath("$.product.status").value("poured"))
        .andExpect(jsonPath("$.product.tins").value(3))
        .andExpect(jsonPath("$.product.tinsLeft").value(2))
        .andExpect(jsonPath("$.parts", hasSize(2)))
        .andExpect(jsonPath("$.parts[0].bottle").value(code + "-A"))
        .andExpect(jsonPath("$.parts[0].herbs[0]").value("yarrow"))
        .andExpect(jsonPath("$.parts[1].key").value("beeswax"))
        .andExpect(jsonPath("$.parts[1].massG").value(12.0))
        .andExpect(jsonPath("$.parts[1].bottle").doesNotExist())
        .andExpect(jsonPath("$.hardness", closeTo(100 * 12 / 85.2, 0.2)))
        .andExpect(jsonPath("$.tins[1].name").value("A2"))
        .andExpect(jsonPath("$.tins[1].fate").value("given"))
        .andExpect(jsonPath("$.tins[1].to").value("the ferry crew"))
        .andExpect(jsonPath("$.tins[0].fate").doesNotExist());
  }

  @Test
  void percentsAddToAHundredAndTinsHaveTheirShareOfTheMeltsDrops() throws Exception {
    String product = json("/api/v1/products/" + poured(bottled(40)).code());

    List<Double> percents = JsonPath.read(product, "$.parts[*].percent");
    assertThat(percents.stream().mapToDouble(Double::doubleValue).sum())
        .isCloseTo(100.0, org.assertj.core.api.Assertions.within(1e-9));
    List<Double> drops = JsonPath.read(product, "$.tins[*].drops[0].count");
    assertThat(drops).hasSize(3);
    List<Double> ml = JsonPath.read(product, "$.tins[*].ml");
    double poured = ml.stream().mapToDouble(Double::doubleValue).sum();
    double melted = JsonPath.<Double>read(product, "$.volumeMl");
    assertThat(poured).isLessThan(melted);
    assertThat(drops.stream().mapToDouble(Double::doubleValue).sum())
        .isCloseTo(12 * poured / melted, org.assertj.core.api.Assertions.within(1e-9));
  }

  @Test
  void aTinsDateIsThatOfItsOwnContents() throws Exception {
    ProductRecord made = poured(bottled(40));
    String product = json("/api/v1/products/" + made.code());

    List<String> dates = JsonPath.read(product, "$.tins[*].bestBefore");
    assertThat(dates.get(0)).isEqualTo(dates.get(1)).isGreaterThan(dates.get(2));
    assertThat(dates.get(2))
        .as("honey brings water")
        .isEqualTo(made.bestBefore(made.state().filling().groups().get(1)).toString());
  }

  @Test
  void thePotsAreListedWithTheOneToBeUsedFirstOnTop() throws Exception {
    String code = bottled(40);
    ProductRecord late = begun(salve(code, "40 ml", "6 g"));
    ProductRecord soon = poured(code);
    ProductRecord gone = begun(salve(code, "10 ml", "2 g"));
    note(gone, "kind", "abandoned", "back", "yes", "text", "");

    List<String> codes = JsonPath.read(json("/api/v1/products"), "$[*].code");
    assertThat(codes).containsExactly(soon.code(), late.code(), gone.code());
    List<String> statuses = JsonPath.read(json("/api/v1/products"), "$[*].status");
    assertThat(statuses).containsExactly("poured", "in-the-pan", "abandoned");
  }

  @Test
  void aLotIsNamedWhereAPartWasTakenFromOne() throws Exception {
    var wax = lot(LotDetails.Kind.WAX, "beeswax", 100, 500);
    ProductRecord product = begun(salve(bottled(40), "60 ml", "lot:" + wax, "10 g"));

    visit(keeper, "/api/v1/products/" + product.code())
        .andExpect(jsonPath("$.parts[1].lot").value(wax.toString()))
        .andExpect(jsonPath("$.tins", hasSize(0)));
  }

  @Test
  void aPotThatIsNotHereAndSomebodyWithoutATokenAreTurnedAway() throws Exception {
    ProductRecord product = begun(salve(bottled(40), "60 ml", "10 g"));
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Odd");

    visit(stranger, "/api/v1/products/" + product.code())
        .andExpect(status().isNotFound())
        .andExpect(jsonPath("$.status").value(404));
    visit(stranger, "/api/v1/products").andExpect(jsonPath("$", hasSize(0)));
    mvc.perform(get("/api/v1/products")).andExpect(status().isUnauthorized());
  }

  @Test
  void theFormerAddressSaysUntilWhenItAnswers() throws Exception {
    visit(keeper, "/api/v1/pots")
        .andExpect(status().isOk())
        .andExpect(header().string("Deprecation", "@1795996800"))
        .andExpect(header().string("Sunset", "Tue, 30 Nov 2027 00:00:00 GMT"))
        .andExpect(header().string("Link", "</api/v1/products>; rel=\"successor-version\""));
    visit(keeper, "/api/v1/products").andExpect(header().doesNotExist("Deprecation"));
  }
}
