package velvetcrock.core.drawer;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A line in the log of a lot, a load or a pot.
 *
 * @param number its place in the order of writing, from 1
 * @param at when it happened
 * @param replaces the entry that it takes back, if any
 */
public record Entry<E>(UUID id, int number, Instant at, E event, @Nullable UUID replaces) {

  /** The entries that count, in the order in which they happened, the first one first. */
  public static <E> List<Entry<E>> counting(List<Entry<E>> entries) {
    Set<UUID> replaced =
        entries.stream().map(Entry::replaces).filter(Objects::nonNull).collect(Collectors.toSet());
    return entries.stream()
        .filter(e -> !replaced.contains(e.id()))
        .sorted(
            Comparator.comparing((Entry<E> e) -> e.number() != 1)
                .thenComparing(Entry::at)
                .thenComparing(Entry::number))
        .toList();
  }
}
