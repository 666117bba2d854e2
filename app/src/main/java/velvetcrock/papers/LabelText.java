package velvetcrock.papers;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What a bottle's label says, the same on the screen, on paper and on its page.
 *
 * @param code the bottle's code
 * @param paragraphs its text, the heading first
 */
record LabelText(String code, List<Paragraph> paragraphs) {

  /** How a stretch of text looks. */
  enum Style {
    NAME,
    PLAIN,
    BOLD,
    ITALIC
  }

  /** A stretch of text in one style. */
  record Run(String text, Style style) {}

  /** A paragraph. */
  record Paragraph(List<Run> runs) {
    String text() {
      return runs.stream().map(Run::text).collect(Collectors.joining());
    }
  }

  /** The same with all below the heading run together, for labels too small for paragraphs. */
  LabelText compact() {
    List<Run> runs = new ArrayList<>();
    for (Paragraph paragraph : paragraphs.subList(1, paragraphs.size())) {
      runs.addAll(paragraph.runs());
      runs.add(new Run(paragraph.text().endsWith(".") ? " " : ". ", Style.PLAIN));
    }
    return runs.isEmpty()
        ? this
        : new LabelText(code, List.of(paragraphs.get(0), new Paragraph(runs)));
  }

  /** Gathers paragraphs. */
  static final class Writing {
    private final List<Paragraph> paragraphs = new ArrayList<>();

    /** Adds a paragraph of one style, unless it is empty. */
    Writing add(Style style, String text) {
      return text.isBlank() ? this : add(new Run(text, style));
    }

    /** Adds a paragraph. */
    Writing add(Run... runs) {
      paragraphs.add(new Paragraph(List.of(runs)));
      return this;
    }

    /** All of it as a label. */
    LabelText label(String code) {
      return new LabelText(code, List.copyOf(paragraphs));
    }
  }
}
