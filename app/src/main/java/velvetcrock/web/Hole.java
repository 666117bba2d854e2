package velvetcrock.web;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Where a word stands in a text that is kept and will be another the next time.
 *
 * @param from where it begins
 * @param to where it has ended
 * @param word which of the words it is
 */
record Hole(int from, int to, int word) {
  /** Where any of the words stand, from the first to the last; an empty word stands nowhere. */
  static List<Hole> in(String text, List<String> words) {
    List<Hole> holes = new ArrayList<>();
    for (int i = 0; i < words.size(); i++) {
      String word = words.get(i);
      int at = word.isEmpty() ? -1 : text.indexOf(word);
      while (at >= 0) {
        holes.add(new Hole(at, at + word.length(), i));
        at = text.indexOf(word, at + word.length());
      }
    }
    holes.sort(Comparator.comparingInt(Hole::from));
    return holes;
  }
}
