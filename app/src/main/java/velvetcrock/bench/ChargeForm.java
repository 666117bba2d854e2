package velvetcrock.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.web.Dates;

/**
 * What is asked once when a jar is charged, as typed.
 *
 * @param dateUnknown set when nobody knows any date of the oil
 * @param clean set when jar and herb were said to be clean and bone-dry
 * @param read codes of the cautions that were said to be read
 * @param key names this charging, so that a second tap makes no second batch
 * @param plan code of the plan that is charged, if any
 */
record ChargeForm(
    @Nullable String chargedOn,
    @Nullable String bestBefore,
    @Nullable String openedOn,
    @Nullable String dateUnknown,
    @Nullable String clean,
    @Nullable List<String> read,
    @Nullable String key,
    @Nullable String plan) {
  static ChargeForm empty() {
    return ofPlan(null);
  }

  /** With nothing typed, for a plan. */
  static ChargeForm ofPlan(@Nullable String code) {
    return new ChargeForm(null, null, null, null, null, null, null, code);
  }

  /** The same under another key. */
  ChargeForm under(String other) {
    return new ChargeForm(chargedOn, bestBefore, openedOn, dateUnknown, clean, read, other, plan);
  }

  /** The day that is said for the charging; another where none is, or none that can be read. */
  LocalDate chargedOnOr(LocalDate other) {
    try {
      return Optional.ofNullable(Dates.read(chargedOn)).orElse(other);
    } catch (Refused refused) {
      return other;
    }
  }

  /** Whether a caution was said to be read. */
  public boolean hasRead(String code) {
    return read != null && read.contains(code);
  }
}
