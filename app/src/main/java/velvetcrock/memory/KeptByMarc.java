package velvetcrock.memory;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;
import velvetcrock.web.Formats;

/** Says how much oil the marc of a herb's parts keeps, as far as the household's batches tell. */
final class KeptByMarc {
  private KeptByMarc() {}

  static List<String> of(List<Retention.Own> own, Herb herb, Formats fmt) {
    List<String> lines = new ArrayList<>();
    for (Part part : herb.parts()) {
      for (Expression expression : Expression.values()) {
        Retention retention = Retention.of(part, expression, own);
        if (retention.batches() > 0) {
          lines.add(
              "%s, %s: %s–%s ml a gram, by %s"
                  .formatted(
                      word(part),
                      expressed(expression),
                      fmt.number(retention.range().low(), 1),
                      fmt.number(retention.range().high(), 1),
                      retention.batches() == 1
                          ? "one batch of yours"
                          : retention.batches() + " batches of yours"));
        }
      }
    }
    return lines;
  }

  private static String word(Part part) {
    String word = part.name().toLowerCase(Locale.ROOT);
    return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
  }

  private static String expressed(Expression expression) {
    return switch (expression) {
      case DRIP -> "left to drip";
      case SQUEEZE -> "squeezed";
      case TWIST -> "twisted in a cloth";
      case PRESS -> "pressed";
    };
  }
}
