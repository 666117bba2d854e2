package velvetcrock.papers;

import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.web.Typed;

/**
 * What labels are printed, as typed.
 *
 * @param bottle codes of bottles
 * @param each how many labels of each
 * @param skip how many labels of the first sheet are used up
 * @param sure whether a questioned word has been looked into
 * @param address under which a phone reaches this application
 */
record LabelForm(
    @Nullable List<String> bottle,
    @Nullable String grid,
    @Nullable String each,
    @Nullable String skip,
    @Nullable String inci,
    @Nullable String words,
    @Nullable String sure,
    @Nullable String address,
    @Nullable String herb,
    @Nullable String oil) {
  private static final int MOST_EACH = 50;
  private static final int MOST_SKIP = 60;
  private static final int LONGEST_WORDS = 200;
  private static final int LONGEST_ADDRESS = 80;

  List<String> bottles() {
    return bottle == null ? List.of() : bottle;
  }

  int copies() {
    return number(each, "each", 1, MOST_EACH);
  }

  int skipped() {
    return number(skip, "skip", 0, MOST_SKIP);
  }

  private static int number(@Nullable String typed, String field, int low, int high) {
    return Typed.blank(typed)
        ? low
        : Typed.at(field, () -> (int) Typed.number(typed, low, high, "labels"));
  }

  /**
   * The household's own words.
   *
   * @throws Refused at {@code words} if there are too many
   */
  String ownWords() {
    String text = Typed.text(words);
    if (text.length() > LONGEST_WORDS) {
      throw new Refused("words", "At most " + LONGEST_WORDS + " letters.");
    }
    return text.replaceAll("\\s+", " ");
  }

  /**
   * The address, without a stroke at its end.
   *
   * @throws Refused at {@code address} if it is none
   */
  String base() {
    String text = Typed.text(address).replaceAll("/+$", "");
    if (!text.matches("https?://[A-Za-z0-9.\\-\\[\\]:]+(/[A-Za-z0-9._~/-]*)?")
        || text.length() > LONGEST_ADDRESS) {
      throw new Refused("address", "An address begins with http:// or https://.");
    }
    return text;
  }
}
