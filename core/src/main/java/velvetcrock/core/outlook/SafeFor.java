package velvetcrock.core.outlook;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.caution.Purpose;

/** For whom, or for what, something wanted has to be safe. */
public enum SafeFor {
  /** Children from two to twelve. */
  CHILDREN(Purpose.CHILD),
  /** Pregnancy. */
  PREGNANCY(Purpose.PREGNANCY),
  /** Somebody allergic to tree nuts. */
  NUT_ALLERGY(null),
  /** Eating. */
  KITCHEN(Purpose.KITCHEN);

  private final Optional<Purpose> purpose;

  SafeFor(@Nullable Purpose purpose) {
    this.purpose = Optional.ofNullable(purpose);
  }

  /** What the cautions are asked for; none for an allergy, which the oil's allergen decides. */
  public Optional<Purpose> purpose() {
    return purpose;
  }
}
