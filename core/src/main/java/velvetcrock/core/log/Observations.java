package velvetcrock.core.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Event.Bubbles;
import velvetcrock.core.log.Event.OffSmell;
import velvetcrock.core.log.Event.Scent;

/** What was last seen and smelled; null where nobody has looked or something has changed since. */
public record Observations(
    @Nullable Boolean covered,
    @Nullable Boolean floating,
    @Nullable Bubbles bubbles,
    @Nullable Boolean mould,
    @Nullable Boolean translucent,
    @Nullable Boolean crisp,
    @Nullable Scent scent,
    @Nullable OffSmell offSmell) {

  /** Nothing seen yet. */
  public static Observations none() {
    return new Observations(null, null, null, null, null, null, null, null);
  }

  /** What is known after a look. */
  public Observations after(Event.Looked look) {
    return new Observations(
        latest(look.covered(), covered),
        latest(look.floating(), floating),
        latest(look.bubbles(), bubbles),
        latest(look.mould(), mould),
        latest(look.translucent(), translucent),
        latest(look.crisp(), crisp),
        scent,
        offSmell);
  }

  /** What is known after a smell. */
  public Observations after(Event.Smelled smell) {
    return new Observations(
        covered,
        floating,
        bubbles,
        mould,
        translucent,
        crisp,
        latest(smell.scent(), scent),
        latest(smell.off(), offSmell));
  }

  Observations allWell() {
    return after(new Event.Looked(true, false, null, false, null, null))
        .after(new Event.Smelled(null, OffSmell.NONE));
  }

  Observations coveredAgain() {
    return after(new Event.Looked(true, null, null, null, null, null));
  }

  Observations turned() {
    return after(new Event.Looked(null, false, null, null, null, null));
  }

  /** Codes of the cautions that what was seen calls for, worst first. */
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
    if (Boolean.FALSE.equals(covered)) {
      codes.add("uncovered");
    }
    if (Boolean.TRUE.equals(floating)) {
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
