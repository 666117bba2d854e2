package velvetcrock.core.batch;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What was last seen and smelled; null where nobody has looked or something has changed since.
 *
 * @param lookAgain whether the herb stood out of the oil and the jar was shaken or turned since
 * @param oil what was seen of water in the oil
 */
public record Observations(
    @Nullable Boolean covered,
    @Nullable Boolean floating,
    @Nullable Bubbles bubbles,
    @Nullable Boolean mould,
    @Nullable Boolean translucent,
    @Nullable Boolean crisp,
    @Nullable Scent scent,
    @Nullable OffSmell offSmell,
    boolean lookAgain,
    InOil oil) {

  /** Nothing seen yet. */
  public static Observations none() {
    return new Observations(null, null, null, null, null, null, null, null, false, InOil.unseen());
  }

  /** What is known after a look; mould that was seen once is not looked away. */
  public Observations after(Looked look) {
    return new Observations(
        latest(look.covered(), covered),
        latest(look.floating(), floating),
        latest(look.bubbles(), bubbles),
        Boolean.TRUE.equals(mould) ? mould : latest(look.mould(), mould),
        latest(look.translucent(), translucent),
        latest(look.crisp(), crisp),
        scent,
        offSmell,
        lookAgain && look.covered() == null,
        oil);
  }

  /** What is known after a look at the oil. */
  Observations after(OilLooked look, Instant at) {
    return after(new Looked(null, null, null, null, null, look.crisp())).with(oil.after(look, at));
  }

  Observations with(InOil other) {
    return new Observations(
        covered, floating, bubbles, mould, translucent, crisp, scent, offSmell, lookAgain, other);
  }

  /** What is known after a smell. */
  public Observations after(Smelled smell) {
    return new Observations(
        covered,
        floating,
        bubbles,
        mould,
        translucent,
        crisp,
        latest(smell.scent(), scent),
        latest(smell.off(), offSmell),
        lookAgain,
        oil);
  }

  Observations allWell() {
    return after(new Looked(true, false, null, false, null, null))
        .after(new Smelled(null, OffSmell.NONE));
  }

  Observations coveredAgain() {
    return after(new Looked(true, null, null, null, null, null));
  }

  Observations turned() {
    return after(new Looked(null, false, null, null, null, null)).mixed();
  }

  /** Herb that stood out of the oil is under it for now, once it was shaken; who knows. */
  Observations mixed() {
    return Boolean.FALSE.equals(covered)
        ? new Observations(
            null, floating, bubbles, mould, translucent, crisp, scent, offSmell, true, oil)
        : this;
  }

  /**
   * Codes of the cautions that what was seen calls for, worst first; nothing mends what is lost.
   */
  public List<String> worries() {
    List<String> codes = new ArrayList<>();
    if (Boolean.TRUE.equals(mould)) {
      codes.add("mould");
    }
    if (offSmell != null && offSmell != OffSmell.NONE) {
      codes.add("off-" + offSmell.name().toLowerCase(Locale.ROOT));
    }
    if (bubbles == Bubbles.FIZZING) {
      codes.add("fizz");
    }
    if (Boolean.FALSE.equals(covered) && !spoiled()) {
      codes.add("uncovered");
    }
    if (Boolean.TRUE.equals(floating) && !spoiled()) {
      codes.add("floating");
    }
    return codes;
  }

  /** Whether it is lost: mould, an off-smell or fizzing. */
  public boolean spoiled() {
    return Boolean.TRUE.equals(mould)
        || offSmell != null && offSmell != OffSmell.NONE
        || bubbles == Bubbles.FIZZING;
  }

  private static <T> @Nullable T latest(@Nullable T seen, @Nullable T before) {
    return seen == null ? before : seen;
  }
}
