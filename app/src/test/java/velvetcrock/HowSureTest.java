package velvetcrock;

import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** "What you reckon with" says of each figure where it comes from and how far a result moves. */
class HowSureTest extends AppTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          HERBS          | calendula | EMA/HMPC monographs
          HERBS          | calendula | of water into the oil
          HERBS          | cinnamon  | ml to fill its gaps
          CARRIERS       | olive     | Gunstone
          CARRIERS       | olive     | 100 ml weigh 91.3 g, 90.8–91.8
          CARRIERS       | olive     | keeps 12 months either way
          CARRIERS       | hemp      | a cold infusion of a new bottle keeps
          CARRIERS       | coconut   | Noureddini
          WAXES          | beeswax   | a salve of 100 g of oil takes 19 g
          POWDERS        | starch    | a tablespoon weighs
          ESSENTIAL_OILS | lavender  | kept as it stands
          """)
  void eachThingSaysWhereItComesFromAndWhatItMoves(String table, String key, String said)
      throws Exception {
    visit(keeper, "/kitchen/catalogue/sure/" + table + "/" + key)
        .andExpect(status().isOk())
        .andExpect(content().string(containsString(said)));
  }

  @Test
  void whatNobodyKnowsIsNotThere() throws Exception {
    visit(keeper, "/kitchen/catalogue/sure/HERBS/engine-oil").andExpect(status().isNotFound());
    visit(keeper, "/kitchen/catalogue")
        .andExpect(content().string(containsString("How sure")))
        .andExpect(content().string(containsString("WMO Guide")));
  }
}
