package velvetcrock.papers;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.papers.LabelText.Paragraph;
import velvetcrock.papers.LabelText.Run;
import velvetcrock.papers.LabelText.Style;

/** A label's text broken into lines at one size. Lengths are in pt. */
final class LabelLines {
  /** From line to line, as a part of the size. */
  private static final double LEADING = 1.2;

  /** Above each paragraph but the first. */
  private static final double GAP = 0.15;

  /** How much larger the heading is. */
  private static final double HEADING = 1.35;

  private final LabelFonts fonts;
  private final double size;
  private final double width;
  private final List<Line> lines = new ArrayList<>();
  private double height;

  /** A word of a line, {@code x} from its left. */
  record Word(String text, Style style, double size, double x) {}

  /** A line whose baseline is {@code y} below the top. */
  record Line(double y, List<Word> words) {}

  private LabelLines(LabelFonts fonts, double size, double width) {
    this.fonts = fonts;
    this.size = size;
    this.width = width;
  }

  /** Breaks a text into lines no wider than {@code width}. */
  static LabelLines of(LabelText text, LabelFonts fonts, double size, double width) {
    LabelLines broken = new LabelLines(fonts, size, width);
    text.paragraphs().forEach(broken::add);
    return broken;
  }

  private double size(Style style) {
    return style == Style.NAME ? size * HEADING : size;
  }

  private void add(Paragraph paragraph) {
    if (!lines.isEmpty()) {
      height += GAP * size;
    }
    List<Word> line = new ArrayList<>();
    double x = 0;
    for (Run run : paragraph.runs()) {
      double letters = size(run.style());
      for (String word : run.text().split("(?<= )")) {
        for (String part : parts(word, run.style(), letters)) {
          if (!line.isEmpty()
              && x + fonts.width(part.stripTrailing(), run.style(), letters) > width) {
            end(line);
            line = new ArrayList<>();
            x = 0;
          }
          line.add(new Word(part, run.style(), letters, x));
          x += fonts.width(part, run.style(), letters);
        }
      }
    }
    end(line);
  }

  private void end(List<Word> line) {
    double letters = line.stream().mapToDouble(Word::size).max().orElse(size);
    lines.add(new Line(height + letters, line));
    height += letters * LEADING;
  }

  /** A word, or pieces of one that is wider than a line. */
  private List<String> parts(String word, Style style, double letters) {
    List<String> parts = new ArrayList<>();
    String rest = word;
    while (rest.length() > 1 && fonts.width(rest.stripTrailing(), style, letters) > width) {
      int end = rest.length() - 1;
      while (end > 1 && fonts.width(rest.substring(0, end), style, letters) > width) {
        end--;
      }
      parts.add(rest.substring(0, end));
      rest = rest.substring(end);
    }
    parts.add(rest);
    return parts;
  }

  List<Line> lines() {
    return lines;
  }

  double height() {
    return height;
  }
}
