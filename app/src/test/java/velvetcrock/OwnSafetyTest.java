package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Herb;
import velvetcrock.kitchen.Catalogues;

/** A household's own things are asked for what safety needs, and never copy it. */
class OwnSafetyTest extends AppTest {
  @Autowired Catalogues catalogues;

  private void keep(String kind, String... fields) throws Exception {
    send(keeper, "/kitchen/catalogue/own/" + kind, fields).andExpect(status().is3xxRedirection());
  }

  private Herb herb(String key) {
    return as(keeper, () -> catalogues.current().herb(key));
  }

  private Carrier oil(String key) {
    return as(keeper, () -> catalogues.current().carrier(key));
  }

  /** A foxglove leaf entered like plantain in peanut oil does not pass in silence. */
  @Test
  void aFoxgloveLeafEnteredLikePlantainInPeanutOilDoesNotPassInSilence() throws Exception {
    keep("HERB", "like", "plantain", "name", "Foxglove leaf", "source", "the hedge");
    Herb foxglove = herb("own-foxglove-leaf");
    assertThat(foxglove.edible()).isFalse();
    assertThat(foxglove.botanical()).isEqualTo("Foxglove leaf");
    assertThat(foxglove.cautions()).contains("own-unknown", "unknown-allergen");

    String[] sentence = {
      "jar",
      "jar-500",
      "amount",
      "20 g",
      "herbs[0].herb",
      "own-foxglove-leaf",
      "herbs[0].cut",
      "CUT",
      "herbs[0].state",
      "DRIED",
      "oils[0].carrier",
      "peanut",
      "use",
      "CHILD",
      "bestBefore",
      today().plusMonths(9).toString(),
      "clean",
      "yes",
      "key",
      UUID.randomUUID().toString()
    };
    String page =
        send(keeper, "/bench/reckon", sentence).andReturn().getResponse().getContentAsString();
    assertThat(page)
        .contains("Nobody has said yet what this thing of your own may do")
        .contains("Peanut oil: an allergen")
        .contains("not for children under six");
    send(keeper, "/bench/charge", sentence).andExpect(status().isUnprocessableContent());
  }

  @Test
  void whatIsSaidOfItIsWhatCounts() throws Exception {
    keep(
        "HERB",
        "like",
        "plantain",
        "name",
        "Sea plantain",
        "botanical",
        "Plantago maritima",
        "source",
        "the shore",
        "edible",
        "yes",
        "allergen",
        "none",
        "hazards",
        "none");
    assertThat(herb("own-sea-plantain").edible()).isTrue();
    assertThat(herb("own-sea-plantain").cautions()).isEmpty();
    assertThat(herb("own-sea-plantain").botanical()).isEqualTo("Plantago maritima");

    keep(
        "CARRIER",
        "like",
        "olive",
        "name",
        "Ferry oil",
        "source",
        "its sheet",
        "botanical",
        "Arachis Hypogaea Oil",
        "edible",
        "no",
        "allergen",
        "peanut",
        "hazards",
        "none");
    assertThat(oil("own-ferry-oil").allergen()).isEqualTo("peanut");
    assertThat(oil("own-ferry-oil").edible()).isFalse();
    assertThat(oil("own-ferry-oil").inci()).isEqualTo("Arachis Hypogaea Oil");
  }

  @Test
  void anOilOfWhichNothingIsSaidIsAnAllergenAndNotForEating() throws Exception {
    keep("CARRIER", "like", "hazelnut", "name", "Blue bottle", "source", "the shelf");
    assertThat(oil("own-blue-bottle").allergen()).isEqualTo("unknown allergen");
    assertThat(oil("own-blue-bottle").edible()).isFalse();
    assertThat(oil("own-blue-bottle").inci()).isEqualTo("Blue bottle");
  }

  /** Figures of a shipped thing replaced leave its cautions where they are. */
  @Test
  void aFigureOfAShippedThingChangesNothingOfItsDangers() throws Exception {
    keep("HERB", "like", "arnica", "name", "", "figures[water]", "80", "source", "weighed");
    assertThat(herb("arnica").cautions()).contains("arnica");
    keep("CARRIER", "like", "hazelnut", "name", "", "figures[months]", "9", "source", "a book");
    assertThat(oil("hazelnut").allergen()).isEqualTo("tree nut");
  }

  @Test
  void whatIsNotListedIsRefusedAtItsField() throws Exception {
    send(
            keeper,
            "/kitchen/catalogue/own/HERB",
            "like",
            "plantain",
            "name",
            "Odd",
            "source",
            "x",
            "allergen",
            "dust",
            "hazards",
            "none",
            "hazards",
            "hot")
        .andExpect(status().isUnprocessableContent());
  }
}
