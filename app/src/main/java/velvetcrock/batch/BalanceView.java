package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Reckoning;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.yield.Balance;
import velvetcrock.web.Formats;

/**
 * Where every gram went, drawn as two bars of one scale: what went in above, what became of it
 * below.
 *
 * @param lead whether it closes, in words
 * @param closes whether it does
 * @param in pieces of the upper bar
 * @param out pieces of the lower bar, what is unaccounted last
 * @param causes likely causes of a gap, likeliest first
 * @param marcWanted whether the marc has not been weighed
 */
record BalanceView(
    String lead,
    boolean closes,
    List<Piece> in,
    List<Piece> out,
    List<String> causes,
    boolean marcWanted,
    Reckoning reckoning) {
  private static final double WIDTH = 100;

  /**
   * A piece of a bar.
   *
   * @param x where it begins, in hundredths of the longer bar
   * @param width how long it is, likewise
   * @param look names its colour
   */
  record Piece(String name, String amount, String x, String width, String look) {}

  static @Nullable BalanceView of(BatchState state, BatchReckoning reckoning, Formats fmt) {
    Strained strained = state.strained();
    Balance balance = reckoning.balance().orElse(null);
    if (strained == null || balance == null) {
      return null;
    }
    double drivenG =
        balance.inG() - balance.outG() - balance.unaccountedG() - balance.estimated().totalG();
    double whole = Math.max(balance.inG(), balance.outG() + Math.max(0, drivenG));
    double density = reckoning.carriers().densityAt(velvetcrock.core.materia.Carrier.ROOM_C);
    double oilInG = state.oilMl().middle() * density;
    double oilOutG = strained.oilMl() * density;
    Bar in = new Bar(whole, fmt);
    in.add("Herb", state.charge().herbMassG().middle(), "herb");
    SpiritIn spirit = state.charge().manner().spirit();
    in.add("Spirit", spirit == null ? 0 : spirit.massG(), "driven");
    in.add("Oil", oilInG, "oil");
    Bar out = new Bar(whole, fmt);
    BatchState.Remains remains = state.remains();
    out.add("Oil that came out", oilOutG, "oil");
    out.add("Spent herb (marc)", remains.marcG() == null ? 0 : remains.marcG(), "herb");
    out.add("Spent herb (marc), by estimate", balance.estimated().marcG(), "herb");
    out.add("Driven off", drivenG, "driven");
    out.add("Sediment", remains.sedimentG(), "left");
    out.add("Water layer", remains.waterG(), "driven");
    out.add("Film", remains.filmG(), "left");
    out.add("Film on vessels and cloth, by estimate", balance.estimated().filmG(), "left");
    out.add("Unaccounted", balance.unaccountedG(), "gap");
    String gap = fmt.g(Math.abs(balance.unaccountedG()));
    String of = " of " + fmt.g(balance.inG());
    return new BalanceView(
        balance.closes() && balance.estimated().totalG() > 0
            ? "As far as can be told, nothing was lost: what stayed behind is estimated."
            : balance.closes()
                ? "It closes: " + gap + of + " unaccounted, no more than scales and spoons lose."
                : balance.unaccountedG() > 0
                    ? gap + of + " are unaccounted for."
                    : gap + " more came out than the " + fmt.g(balance.inG()) + " that went in.",
        balance.closes(),
        in.pieces,
        out.pieces,
        balance.causes().stream().map(fmt::own).toList(),
        remains.marcG() == null,
        balance.reckoning());
  }

  /** Lays pieces end to end. */
  private static final class Bar {
    private final List<Piece> pieces = new ArrayList<>();
    private final double wholeG;
    private final Formats fmt;
    private double atG;

    Bar(double wholeG, Formats fmt) {
      this.wholeG = wholeG;
      this.fmt = fmt;
    }

    void add(String name, double massG, String look) {
      if (massG < 0.05) {
        return;
      }
      pieces.add(new Piece(name, fmt.g(massG), hundredths(atG), hundredths(massG), look));
      atG += massG;
    }

    private String hundredths(double massG) {
      return String.format(Locale.ROOT, "%.2f", WIDTH * massG / wholeG);
    }
  }
}
