package velvetcrock.ledger;

import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Carries lists over between an event and its stored form. */
public final class Stored {
  private Stored() {}

  /** Each of a list, carried over; what is missing stays missing, for the event to refuse. */
  public static <A, B> @Nullable List<B> each(@Nullable List<A> list, Function<A, B> carry) {
    if (list == null) {
      return null;
    }
    return list.stream().map(one -> one == null ? null : carry.apply(one)).toList();
  }

  /** One thing, carried over; what is missing stays missing, for the event to refuse. */
  public static <A, B> @Nullable B one(@Nullable A thing, Function<A, B> carry) {
    return thing == null ? null : Objects.requireNonNull(carry.apply(thing));
  }
}
