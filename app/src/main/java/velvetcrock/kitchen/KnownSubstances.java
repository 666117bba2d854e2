package velvetcrock.kitchen;

import java.util.Optional;
import velvetcrock.core.measure.CrossCheck.Substance;

/** Knows what things of the household weigh by volume: bottles, lots, waxes, powders. */
public interface KnownSubstances {
  /**
   * How heavy a thing is.
   *
   * @param thing as a form names it, such as {@code wax:beeswax} or {@code bottle:K7M-A}
   * @return empty where there is no such thing
   */
  Optional<Substance> of(String thing);
}
