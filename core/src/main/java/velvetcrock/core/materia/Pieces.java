package velvetcrock.core.materia;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;

/** What pieces of herbs weigh, by what they are called and by their state (typical). */
public final class Pieces {
  /** What means any piece of it. */
  public static final String ANY = "piece";

  private static final Pieces SHIPPED = read();

  private record Piece(String herb, List<String> nouns, HerbState state, Range eachG) {
    private String key() {
      return herb + " " + nouns.get(0) + " " + state;
    }
  }

  private final List<Piece> pieces;

  private Pieces(List<Piece> pieces) {
    this.pieces = pieces;
  }

  /** Those that come with it. */
  public static Pieces shipped() {
    return SHIPPED;
  }

  private static Pieces read() {
    Problems problems = new Problems();
    Pieces pieces =
        new Pieces(
            List.copyOf(
                CatalogueFile.read(
                        Pieces.class,
                        "pieces.csv",
                        problems,
                        row ->
                            new Piece(
                                row.get("herb"),
                                Arrays.asList(row.get("noun").split("\\|")),
                                HerbState.valueOf(row.get("state").toUpperCase(Locale.ROOT)),
                                new Range(
                                    Double.parseDouble(row.get("lowG")),
                                    Double.parseDouble(row.get("highG")))),
                        Piece::key)
                    .values()));
    problems.refuseIfAny();
    return pieces;
  }

  /**
   * What one weighs, g. Wilted counts as fresh by its size.
   *
   * @param noun what is counted, such as {@code clove}, or {@link #ANY}
   * @param state null for as it is usually counted
   * @throws Refused at {@code text}, with what would be understood, where that noun is not of this
   *     herb in this state
   */
  public Range eachG(Herb herb, String noun, @Nullable HerbState state) {
    HerbState like = state == HerbState.WILTED ? HerbState.FRESH : state;
    return pieces.stream()
        .filter(p -> p.herb().equals(herb.key()) && (like == null || p.state() == like))
        .filter(p -> noun.equals(ANY) || p.nouns().contains(noun))
        .findFirst()
        .map(Piece::eachG)
        .orElseThrow(() -> new Refused("text", instead(herb, noun, state)));
  }

  private String instead(Herb herb, String noun, @Nullable HerbState state) {
    String known =
        pieces.stream()
            .filter(p -> p.herb().equals(herb.key()))
            .map(p -> p.nouns().get(0) + " (" + p.state().name().toLowerCase(Locale.ROOT) + ")")
            .distinct()
            .collect(Collectors.joining(", "));
    return known.isEmpty()
        ? "Nobody counts " + herb.name().toLowerCase(Locale.ROOT) + ": weigh it instead."
        : "“"
            + noun
            + "” is not understood of "
            + (state == null ? "" : state.name().toLowerCase(Locale.ROOT) + " ")
            + herb.name().toLowerCase(Locale.ROOT)
            + ". Understood: "
            + known
            + ".";
  }
}
