package velvetcrock.core.pot;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What an oil is made into. */
public enum Making {
  /** Ointment. */
  OINTMENT(PotKind.OINTMENT),
  /** Soft salve. */
  SOFT_SALVE(PotKind.SOFT_SALVE),
  /** Salve. */
  SALVE(PotKind.SALVE),
  /** Firm balm. */
  FIRM_BALM(PotKind.FIRM_BALM),
  /** Stick. */
  STICK(PotKind.STICK),
  /** Lotion bar. */
  LOTION_BAR(PotKind.LOTION_BAR),
  /** Whipped butter. */
  WHIPPED_BUTTER(PotKind.WHIPPED_BUTTER),
  /** Pomade. */
  POMADE(PotKind.POMADE),
  /** Compress pads soaked in an oil that sets cold. */
  COMPRESS_PADS(null),
  /** Massage oil. */
  MASSAGE_OIL(null),
  /** Bath oil. */
  BATH_OIL(null),
  /** Poultice from the warm marc. */
  POULTICE(null),
  /** Drawn for something that is made elsewhere: lotion, soap, hair, wipes, a candle. */
  DRAWN(null);

  private final @Nullable PotKind stiff;

  Making(@Nullable PotKind stiff) {
    this.stiff = stiff;
  }

  /** The kind whose hardness it wants; empty for what does not set by wax or butter. */
  public Optional<PotKind> stiff() {
    return Optional.ofNullable(stiff);
  }

  /** Whether it is melted over heat. */
  public boolean melted() {
    return stiff != null || this == COMPRESS_PADS;
  }

  /** Whether it is filled into tins, moulds or jars. */
  public boolean filled() {
    return this != POULTICE && this != DRAWN;
  }
}
