package velvetcrock.core.batch;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import velvetcrock.core.log.Checks;

/**
 * It was smelled at and looked at.
 *
 * @param off what it smells of that it should not
 * @param cloudy whether it is cloudy
 * @param fizzing whether it fizzes
 */
public record BottleChecked(String bottle, OffSmell off, boolean cloudy, boolean fizzing)
    implements BottleEvent {
  /** Checks what has to be there. */
  public BottleChecked {
    Checks.text("bottle", bottle);
    Checks.present("off", off);
  }

  /** How it was, in words. */
  public String words() {
    List<String> bad = new ArrayList<>();
    if (off != OffSmell.NONE) {
      bad.add(off.name().toLowerCase(Locale.ROOT));
    }
    if (cloudy) {
      bad.add("cloudy");
    }
    if (fizzing) {
      bad.add("fizzing");
    }
    return bad.isEmpty() ? "good" : String.join(", ", bad);
  }

  /** Whether nothing is wrong with it. */
  public boolean good() {
    return off == OffSmell.NONE && !cloudy && !fizzing;
  }

  @Override
  public String kind() {
    return "bottle-checked";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.bottles().checked(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.bottleChecked(this);
  }
}
