package velvetcrock.calendar;

import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import velvetcrock.core.Refused;

/** What a calendar calls for: kinds of happenings whose alarms it carries. */
final class Calls {
  private static final Set<Kind> USUAL = EnumSet.complementOf(EnumSet.of(Kind.VISIT));

  private Calls() {}

  /** A kind of happening. */
  enum Kind {
    STRAIN("straining, and what has settled"),
    HEAT("taking off the heat, and pouring the oil after the rest in spirit"),
    VISIT("shaking and looking"),
    KEEPING("bottles and tins to be used by a day"),
    PLAN("what is planned to be charged");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** What it is of, in words. */
    public String words() {
      return words;
    }
  }

  /** What is called for until somebody chooses: all but the visits, which are many. */
  static Set<Kind> usual() {
    return EnumSet.copyOf(USUAL);
  }

  /**
   * Reads names of kinds.
   *
   * @throws Refused at {@code calls} if there is none such
   */
  static Set<Kind> read(Collection<String> names) {
    Set<Kind> kinds = EnumSet.noneOf(Kind.class);
    for (String name : names) {
      kinds.add(
          Arrays.stream(Kind.values())
              .filter(kind -> kind.name().equals(name.strip().toUpperCase(Locale.ROOT)))
              .findFirst()
              .orElseThrow(() -> new Refused("calls", "Choose from what is listed.")));
    }
    return kinds;
  }

  /** As they are kept. */
  static String written(Set<Kind> kinds) {
    return kinds.stream().map(Kind::name).sorted().collect(Collectors.joining(","));
  }

  /** From what was kept. */
  static Set<Kind> kept(String written) {
    return read(Arrays.stream(written.split(",")).filter(one -> !one.isBlank()).toList());
  }
}
