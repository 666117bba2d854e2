package velvetcrock.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import velvetcrock.core.measure.Units;

/**
 * Parts of pages as they were made, in own units and spelling, by what they were made of: most jars
 * of a shelf are as they were when it was last looked at, though one has changed. A template says
 * of a part what it is made of ({@code crock:made-of="${jar},${jarStat.first}"}), and may then ask
 * nothing else but the formats. Where {@code velvetcrock.parts-checked} is set, as in tests, each
 * is made all the same and has to be equal.
 */
@Component
class MadeParts {
  private static final int MOST_CHARACTERS = 12_000_000;

  /** So much more than its text a part takes, with what it was made of. */
  private static final int BESIDES = 400;

  private static final int SHOWN = 80;

  private final boolean checked;
  private final Cache<MadeOf, Part> made =
      Caffeine.newBuilder()
          .maximumWeight(MOST_CHARACTERS)
          .weigher((MadeOf of, Part part) -> part.size() + BESIDES)
          .build();

  MadeParts(@Value("${velvetcrock.parts-checked:false}") boolean checked) {
    this.checked = checked;
  }

  /**
   * All that the text of a part depends on.
   *
   * @param part which template’s, and where in it
   * @param things what the template says it is made of
   * @param files the name under which a file of the interface is known, for their version
   */
  record MadeOf(
      String part,
      List<@Nullable Object> things,
      Units units,
      Customs customs,
      LocalDate today,
      String files) {}

  /**
   * A part as it was made, but for the words that are new with each page.
   *
   * @param text its pieces, between which such words stand
   * @param words which of a page’s words stands behind each piece but the last
   */
  private record Part(List<String> text, List<Integer> words) {
    static Part of(String made, List<String> words) {
      List<String> text = new ArrayList<>();
      List<Integer> holes = new ArrayList<>();
      int from = 0;
      for (Hole hole : Hole.in(made, words)) {
        text.add(made.substring(from, hole.from()));
        holes.add(hole.word());
        from = hole.to();
      }
      text.add(made.substring(from));
      return new Part(text, holes);
    }

    int size() {
      return text.stream().mapToInt(String::length).sum();
    }

    /** The part with a page’s own words; null where the page has too few. */
    @Nullable String with(List<String> own) {
      StringBuilder filled = new StringBuilder(text.get(0));
      for (int i = 0; i < words.size(); i++) {
        if (words.get(i) >= own.size()) {
          return null;
        }
        filled.append(own.get(words.get(i))).append(text.get(i + 1));
      }
      return filled.toString();
    }
  }

  private static String excerpt(String text, int from) {
    return text.substring(from, Math.min(text.length(), from + SHOWN));
  }

  /** The parts of one page. */
  final class OfPage {
    private final List<MadeOf> begun = new ArrayList<>();
    private final List<String> words;
    private final String files;

    /**
     * Parts of a page.
     *
     * @param words what is new with it: the token against forgery, the keys of its forms
     * @param files the name under which a file of the interface is known
     */
    OfPage(List<String> words, String files) {
      this.words = words;
      this.files = files;
    }

    /** The name under which a file of the interface is known. */
    String files() {
      return files;
    }

    /** How a part was made when it was last made of the same; null where it has to be made. */
    @Nullable String asMade(MadeOf of) {
      return checked ? null : filled(of);
    }

    private @Nullable String filled(MadeOf of) {
      Part part = made.getIfPresent(of);
      return part == null ? null : part.with(words);
    }

    /** Says that a part is about to be made; answers by which number {@link #made} knows it. */
    String begin(MadeOf of) {
      begun.add(of);
      return String.valueOf(begun.size() - 1);
    }

    /**
     * Keeps what was made under that number.
     *
     * @throws IllegalStateException where parts are checked, when it is made of more than it says
     */
    void made(String number, String text) {
      MadeOf of = begun.get(Integer.parseInt(number));
      String before = checked ? filled(of) : null;
      if (before != null && !before.equals(text)) {
        int same = Arrays.mismatch(before.toCharArray(), text.toCharArray());
        throw new IllegalStateException(
            of.part()
                + " is made of more than it says: "
                + excerpt(before, same)
                + " became "
                + excerpt(text, same));
      }
      made.put(of, Part.of(text, words));
    }
  }
}
