package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;
import velvetcrock.web.MadeParts.MadeOf;
import velvetcrock.web.MadeParts.OfPage;

/** A part is taken as it was made of the same, but for what is new with each page. */
class MadePartsTest {
  private static final String FILES = "/assets/flecks-1.svg";

  private static MadeOf jar(Kitchen kitchen, Object... things) {
    return new MadeOf(
        "shelf:1",
        Arrays.asList(things),
        Units.former(kitchen),
        Customs.FORMER,
        LocalDate.of(2026, 11, 30),
        FILES);
  }

  private static final MadeOf JAR = jar(Kitchen.METRIC, "A3E", null);

  private static void make(MadeParts parts, List<String> words, MadeOf of, String text) {
    OfPage page = parts.new OfPage(words, FILES);
    page.made(page.begin(of), text);
  }

  private static String taken(MadeParts parts, List<String> words, MadeOf of) {
    return parts.new OfPage(words, FILES).asMade(of);
  }

  @Test
  void theTokenAndTheKeysAreTheNewPages() {
    MadeParts parts = new MadeParts(false);
    make(parts, List.of("t1", "k1"), JAR, "<i value=\"t1\"/><i value=\"k1s\"/><i value=\"k1t\"/>");

    assertThat(taken(parts, List.of("t2", "k2"), JAR))
        .isEqualTo("<i value=\"t2\"/><i value=\"k2s\"/><i value=\"k2t\"/>");
  }

  @Test
  void whatIsMadeOfOtherThingsOrInOtherUnitsIsMade() {
    MadeParts parts = new MadeParts(false);
    make(parts, List.of(""), JAR, "as it was");

    assertThat(taken(parts, List.of(""), jar(Kitchen.METRIC, "A3E", null))).isEqualTo("as it was");
    assertThat(taken(parts, List.of(""), jar(Kitchen.METRIC, "A3E", "late"))).isNull();
    assertThat(taken(parts, List.of(""), jar(Kitchen.US, "A3E", null))).isNull();
  }

  @Test
  void aPageThatHasFewerKeysMakesItsOwn() {
    MadeParts parts = new MadeParts(false);
    make(parts, List.of("t1", "k1"), JAR, "<i value=\"k1\"/>");

    assertThat(taken(parts, List.of("t2"), JAR)).isNull();
  }

  @Test
  void aPartThatIsMadeOfMoreThanItSaysIsFound() {
    MadeParts parts = new MadeParts(true);
    make(parts, List.of("t1"), JAR, "token t1, day 3");
    make(parts, List.of("t2"), JAR, "token t2, day 3");

    assertThat(taken(parts, List.of("t2"), JAR)).isNull();
    assertThatThrownBy(() -> make(parts, List.of("t3"), JAR, "token t3, day 4"))
        .hasMessageContaining("shelf:1 is made of more than it says");
  }
}
