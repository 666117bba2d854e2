package velvetcrock.batch;

import java.time.Instant;
import java.util.Objects;
import java.util.function.Function;
import velvetcrock.core.Problems;
import velvetcrock.core.measure.UntilReader;
import velvetcrock.web.Customs;
import velvetcrock.web.Formats;

/** Reads the field {@value #FIELD}: until when something is left as it is. */
final class Until {
  static final String FIELD = "until";

  private Until() {}

  /** A reader in a household's words; what it cannot read it refuses at {@value #FIELD}. */
  static Function<String, Instant> reader(Formats fmt) {
    boolean monthFirst = fmt.customs().dates() == Customs.Dates.MONTH_FIRST;
    return typed -> {
      Problems problems = new Problems();
      Instant until =
          problems.attempt(
              FIELD, () -> new UntilReader(fmt.now(), fmt.zone(), monthFirst).read(typed));
      problems.refuseIfAny();
      return Objects.requireNonNull(until);
    };
  }
}
