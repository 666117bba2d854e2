package velvetcrock.core.outlook;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.caution.Purpose;

/** For whom, or for what, something wanted has to be safe. */
public enum SafeFor {
  /** Children under two. */
  BABIES(Purpose.BABY),
  /** Children from two to six. */
  CHILDREN(Purpose.CHILD),
  /** Children from six to twelve. */
  OLDER_CHILDREN(Purpose.OLDER_CHILD),
  /** Pregnancy. */
  PREGNANCY(Purpose.PREGNANCY),
  /** A nursing mother. */
  NURSING(Purpose.NURSING),
  /** Lips, from which it is swallowed. */
  LIPS(Purpose.LIPS),
  /** Intimate skin. */
  INTIMATE(Purpose.INTIMATE),
  /** A house with animals that lick it off. */
  PETS(Purpose.PETS),
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
