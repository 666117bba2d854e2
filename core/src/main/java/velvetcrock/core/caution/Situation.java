package velvetcrock.core.caution;

import java.util.Set;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.keeping.Light;

/**
 * What is planned, as far as cautions go.
 *
 * @param infusesAtC the oil's temperature while it draws, °C
 * @param additions what else goes in
 */
public record Situation(
    ChargeOrder order,
    Charge charge,
    Purpose purpose,
    Light light,
    double infusesAtC,
    Set<Addition> additions) {

  /** Things that go in besides herb and oil. */
  public enum Addition {
    /** Spirit of 60 % vol or more. */
    SPIRIT,
    /** Spirit below 60 % vol. */
    WEAK_SPIRIT,
    /** Spirit that brings more water than oil can hold. */
    SPIRIT_WATER,
    /** Herb and oil are blended into a slurry. */
    BLENDING,
    /** Essential oils. */
    ESSENTIAL_OIL,
    /** Honey, hydrosol, aloe, tincture, juice: anything with water. */
    WET
  }

  /** Copies the additions. */
  public Situation {
    additions = Set.copyOf(additions);
  }
}
