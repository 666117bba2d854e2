package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.log.Checks;

/**
 * It stands otherwise from now on: elsewhere, in other glass, in a bottle of another size, or with
 * an antioxidant stirred in.
 *
 * @param sizeMl what the bottle holds, ml
 */
public record BottleStood(
    String bottle,
    Store.Place place,
    Store.Glass glass,
    double sizeMl,
    Store.Antioxidant antioxidant)
    implements BottleEvent {
  /** Checks what has to be there. */
  public BottleStood {
    Checks.text("bottle", bottle);
    Checks.present("place", place);
    Checks.present("glass", glass);
    Checks.within("sizeMl", sizeMl, 0.001, 100_000);
    Checks.present("antioxidant", antioxidant);
  }

  @Override
  public String kind() {
    return "bottle-stood";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.bottles().stood(this, at);
  }

  @Override
  public String movesDates(BatchState state) {
    return "stands " + state.bottle(bottle).orElseThrow().store().words() + antioxidant.after(", ");
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.bottleStood(this);
  }
}
