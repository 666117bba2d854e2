package velvetcrock.core.drawer;

import java.time.Instant;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Some went into something.
 *
 * @param what the code of the batch, or what else it was for
 */
public record LotTaken(double amount, String what) implements LotEvent {
  private static final Pattern BATCH = Pattern.compile("[A-Z][0-9][A-Z](?:[0-9][A-Z])*");
  private static final Pattern PRODUCT = Pattern.compile("product [A-Z]{2}[0-9]{2,}");

  /** Checks the amount. */
  public LotTaken {
    LotChecks.amount(amount, LEAST);
  }

  @Override
  public String wentInto() {
    return what;
  }

  @Override
  public String kind() {
    return "taken";
  }

  @Override
  public void applyTo(LotLog lot, Instant at) {
    lot.taken(at, amount, what);
  }

  @Override
  public Optional<String> staysBecause() {
    return goesOn()
        ? Optional.of("That went into something. Count the lot instead if it is not right.")
        : Optional.empty();
  }

  /** Whether it went into a batch or a product, which gives it back if it is taken back there. */
  public boolean goesOn() {
    return BATCH.matcher(what).matches() || PRODUCT.matcher(what).matches();
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.lotTaken(this);
  }
}
