package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is understood stands beside the field as it is typed. */
class UnderstoodTest extends AppTest {
  private String told(String... fields) throws Exception {
    return send(keeper, "/understood", fields)
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString()
        .replaceAll("<[^>]+>", "")
        .strip();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          ''          | 60 g              | 60 g
          ''          | about 60 g        | 54–66 g
          ''          | 2 oz              | 57 g
          ''          | a pint            | 473 ml
          ''          | 2 to 3 cups       | 500–750 ml
          ''          | a pinch           | 0.2–0.5 ml
          ''          | an inch           | 25 mm
          ''          | 2 cusp            | Is “2 cups” meant?
          oil:olive   | a pint            | 473 ml, 432 g
          oil:olive   | 8 oz              | 227 g, 248 ml
          oil:olive   | 8 oz              | by weight; as fluid ounces it would be 237 ml
          oil:shea    | 2 tablespoons     | 30 ml, 21–28 g
          oil:olive   | 200 g (1 l)       | cannot both be true
          herb:garlic | 3 cloves          | 4–9 g
          herb:garlic | 3 sprigs          | is not understood of dried garlic
          herb:yarrow | 60 g              | 60 g,
          oil:nothing | 60 g              | 60 g
          """)
  void itSaysWeightAndVolume(String of, String typed, String said) throws Exception {
    assertThat(told("field", "amount", "of", of == null ? "" : of, "amount", typed)).contains(said);
  }

  @Test
  void ofAnEmptyFieldNothingIsSaid() throws Exception {
    assertThat(told("field", "amount", "amount", " ")).isEmpty();
    assertThat(told("field", "amount")).isEmpty();
    assertThat(told()).isEmpty();
  }

  @Test
  void aRowOfAMixKnowsTheRowsBeforeIt() throws Exception {
    assertThat(
            told(
                "field",
                "herbs[1].parts",
                "bare",
                "parts",
                "of",
                "herb",
                "under",
                "herbs[1].",
                "herbs[0].parts",
                "a cup",
                "herbs[1].parts",
                "half as much",
                "herbs[1].herb",
                "yarrow",
                "herbs[1].state",
                "DRIED",
                "herbs[1].cut",
                "CUT"))
        .startsWith("125 ml, ")
        .endsWith(" g");
    assertThat(told("field", "oils[0].share", "bare", "parts", "oils[0].share", "2")).isEmpty();
    assertThat(told("field", "herbs[99999].parts", "bare", "parts")).isEmpty();
  }

  @Test
  void whatIsMeasuredWholeIsReckonedWhole() throws Exception {
    String[] cut = {
      "field",
      "amount",
      "of",
      "herb",
      "under",
      "herbs[0].",
      "amount",
      "2 cups",
      "herbs[0].herb",
      "yarrow",
      "herbs[0].part",
      "FLOWER",
      "herbs[0].cut",
      "GROUND",
      "herbs[0].state",
      "DRIED",
      "herbs[0].measuredAs",
      ""
    };
    String ground = told(cut);
    cut[cut.length - 1] = "WHOLE";
    assertThat(told(cut)).isNotEqualTo(ground);
  }

  @Test
  void ofSeveralFieldsOfOneNameTheNthIsRead() throws Exception {
    assertThat(told("field", "amount#1", "amount", "60 g", "amount", "70 g")).isEqualTo("70 g");
    assertThat(told("field", "amount#7", "amount", "60 g")).isEmpty();
    assertThat(told("field", "amount#x", "amount", "60 g")).isEmpty();
  }
}
