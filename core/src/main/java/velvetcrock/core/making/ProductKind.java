package velvetcrock.core.making;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What an oil is made into. */
public enum ProductKind {
  /** Ointment. */
  OINTMENT(Firmness.OINTMENT),
  /** Soft salve. */
  SOFT_SALVE(Firmness.SOFT_SALVE),
  /** Salve. */
  SALVE(Firmness.SALVE),
  /** Firm balm. */
  FIRM_BALM(Firmness.FIRM_BALM),
  /** Stick. */
  STICK(Firmness.STICK),
  /** Lotion bar. */
  LOTION_BAR(Firmness.LOTION_BAR),
  /** Whipped butter. */
  WHIPPED_BUTTER(Firmness.WHIPPED_BUTTER),
  /** Pomade. */
  POMADE(Firmness.POMADE),
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

  private final @Nullable Firmness stiff;

  ProductKind(@Nullable Firmness stiff) {
    this.stiff = stiff;
  }

  /** The kind whose hardness it wants; empty for what does not set by wax or butter. */
  public Optional<Firmness> stiff() {
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
