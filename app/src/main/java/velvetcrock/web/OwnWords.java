package velvetcrock.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import velvetcrock.core.measure.FiguresInText;
import velvetcrock.core.measure.FiguresInText.Figure;
import velvetcrock.core.measure.Units;

/**
 * Puts finished texts into a household's own units and spelling, and says the other unit of each. A
 * figure that has its other behind it already ({@code 3 tbsp (45 ml)}) stays as it is.
 */
final class OwnWords {
  private static final int MOST_TEXTS = 4_000;
  private static final int MOST_HABITS = 16;

  /** The same few thousand texts are on every page: each is put into words once. */
  private static final Cache<Habits, Written> WRITTEN =
      Caffeine.newBuilder().maximumSize(MOST_HABITS).build();

  /** All that the words of a text depend on besides it. */
  private record Habits(Units units, Customs customs) {}

  /** Texts as they were put into words, by what they were; looked up a thousand times a page. */
  private record Written(
      Cache<String, String> plain, Cache<String, String> withOther, Cache<String, String> marked) {
    Written() {
      this(texts(), texts(), texts());
    }

    private static Cache<String, String> texts() {
      return Caffeine.newBuilder().maximumSize(MOST_TEXTS).build();
    }
  }

  private final Formats formats;
  private final Formats other;
  private final FiguresInText finder;
  private final Written written;

  OwnWords(Formats formats) {
    this.formats = formats;
    this.other = formats.other();
    this.finder = new FiguresInText(formats.units().kitchen());
    this.written =
        WRITTEN.get(new Habits(formats.units(), formats.customs()), habits -> new Written());
  }

  /** A text with its dates as the household writes them: what is refused comes from the core. */
  String dated(String text) {
    return formats.dated(text);
  }

  /** A text in own units and spelling. */
  String text(String text) {
    return written.plain().get(text, t -> written(t, (own, said) -> own));
  }

  /** The same, with the other unit in brackets behind whatever was put into another. */
  String withOther(String text) {
    return written
        .withOther()
        .get(
            text, t -> written(t, (own, said) -> own.equals(said) ? own : own + " (" + said + ")"));
  }

  /** The same as markup, each figure with its other unit for whoever points at it. */
  String marked(String typeset) {
    return written.marked().get(typeset, this::markedAnew);
  }

  private String markedAnew(String typeset) {
    String escaped = spelled(typeset);
    List<Figure> figures = finder.in(escaped);
    StringBuilder out = new StringBuilder(escaped.length() + 64 * figures.size());
    int at = 0;
    for (int i = 0; i < figures.size(); i++) {
      Figure figure = figures.get(i);
      if (!twofold(escaped, figures, i)) {
        out.append(escaped, at, figure.from())
            .append("<span class=\"fig\" title=\"")
            .append(opposite(escaped, figure))
            .append("\">")
            .append(own(escaped, figure))
            .append("</span>");
        at = figure.to();
      }
    }
    return out.append(escaped, at, escaped.length()).toString();
  }

  private interface Writer {
    String write(String own, String said);
  }

  private String spelled(String text) {
    return Spelled.of(text, formats.customs().spelling());
  }

  private String written(String finished, Writer writer) {
    String text = spelled(finished);
    List<Figure> figures = finder.in(text);
    StringBuilder out = new StringBuilder();
    int at = 0;
    for (int i = 0; i < figures.size(); i++) {
      Figure figure = figures.get(i);
      if (!twofold(text, figures, i)) {
        String said = text.substring(figure.from(), figure.to());
        out.append(text, at, figure.from()).append(writer.write(own(text, figure), said));
        at = figure.to();
      }
    }
    return out.append(text, at, text.length()).toString();
  }

  /** Whether a figure and its other stand beside each other. */
  private static boolean twofold(String text, List<Figure> figures, int i) {
    return i + 1 < figures.size() && beside(text, figures.get(i), figures.get(i + 1))
        || i > 0 && beside(text, figures.get(i - 1), figures.get(i));
  }

  private static boolean beside(String text, Figure one, Figure next) {
    return one.quantity() == next.quantity()
        && one.metric() != next.metric()
        && text.substring(one.to(), next.from()).equals(" (");
  }

  private String own(String text, Figure figure) {
    boolean metric = formats.units().metric(figure.quantity());
    return figure.metric() && !metric
        ? formats.figure(figure.quantity(), figure.amount()).replace("–", figure.joined())
        : text.substring(figure.from(), figure.to());
  }

  /** The other unit: as it was written where that was put into another, else reckoned. */
  private String opposite(String text, Figure figure) {
    boolean metric = formats.units().metric(figure.quantity());
    if (figure.metric() != metric) {
      return figure.metric()
          ? text.substring(figure.from(), figure.to())
          : formats.figure(figure.quantity(), figure.amount());
    }
    return other.figure(figure.quantity(), figure.amount());
  }
}
