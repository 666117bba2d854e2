package velvetcrock.web;

import velvetcrock.core.outlook.Promise;

/** What is told of how long an oil will keep that nobody has made yet. */
public final class PromiseWords {
  private PromiseWords() {}

  /** In a line beside others. */
  public static String keepsTo(Promise keeps, Formats fmt) {
    return keeps.toBeShown()
        ? "once shown dry, keeps to "
            + fmt.shortDate(keeps.onceDry())
            + "; "
            + untilThen(keeps, fmt)
        : "keeps to " + fmt.shortDate(keeps.bestBefore()) + byTheOil(keeps);
  }

  /** That the oil itself is the end of it, and what would mend that. */
  private static String byTheOil(Promise keeps) {
    return keeps.byTheOil() ? ", the oil’s own date: fresher oil keeps longer" : "";
  }

  /** On a line of its own. */
  public static String goodUntil(Promise keeps, Formats fmt) {
    return keeps.toBeShown()
        ? "good until "
            + fmt.fullDate(keeps.onceDry())
            + " once shown dry; "
            + untilThen(keeps, fmt)
        : "good until " + fmt.fullDate(keeps.bestBefore()) + byTheOil(keeps);
  }

  /** In days. */
  public static String keepsFor(Promise keeps, Formats fmt) {
    return keeps.toBeShown()
        ? "keeps " + fmt.days(keeps.dryDays()) + " once shown dry; " + untilThen(keeps, fmt)
        : "keeps " + fmt.days(keeps.sureDays());
  }

  private static String untilThen(Promise keeps, Formats fmt) {
    return "until then " + fmt.days(keeps.sureDays()) + " in the fridge";
  }
}
