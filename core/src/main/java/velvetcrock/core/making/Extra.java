package velvetcrock.core.making;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What is stirred in at the end besides essential oils; densities in g/ml are typical. */
public enum Extra {
  /** Vitamin E: slows rancidity, does nothing against microbes. */
  VITAMIN_E(0.95, false),
  /** Honey. */
  HONEY(1.42, true),
  /** Hydrosol. */
  HYDROSOL(1.0, true),
  /** Aloe juice or gel. */
  ALOE(1.0, true),
  /** Tincture. */
  TINCTURE(0.95, true),
  /** Fresh juice. */
  JUICE(1.03, true);

  private final double density;
  private final boolean wet;

  Extra(double density, boolean wet) {
    this.density = density;
    this.wet = wet;
  }

  /** The extra of a key; empty for anything else. */
  public static Optional<Extra> of(String key) {
    return Arrays.stream(values()).filter(extra -> extra.key().equals(key)).findFirst();
  }

  /** g/ml. */
  public double density() {
    return density;
  }

  /** Whether it brings water into something without a preservative. */
  public boolean wet() {
    return wet;
  }

  /** Its key: lower case with hyphens. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** It goes in below this, °C. */
  public double belowC() {
    return this == VITAMIN_E ? Formula.VITAMIN_E_BELOW_C : Formula.HONEY_BELOW_C;
  }
}
