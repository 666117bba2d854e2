package velvetcrock.core.heat;

/**
 * How warm it was over some time, with how far off that may be.
 *
 * @param usual as it was read or is taken to have been
 * @param coldest as cold as it may have been; covers the same time
 * @param hottest as hot as it may have been; covers the same time
 */
public record Warmth(Trace usual, Trace coldest, Trace hottest) {
  /** What is known as it is. */
  public static Warmth of(Trace trace) {
    return new Warmth(trace, trace, trace);
  }

  /** What is assumed from knob, hand or habit. */
  public static Warmth assumed(Trace trace) {
    return new Warmth(trace, trace.warmerBy(-Assumed.WITHIN_C), trace.warmerBy(Assumed.WITHIN_C));
  }
}
