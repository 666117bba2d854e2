package velvetcrock.core.materia;

import java.time.LocalDate;
import java.time.Month;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;

/**
 * When a herb is gathered and sown (typical, north of the equator).
 *
 * @param key the herb
 * @param gather the months of gathering
 * @param sow the months of sowing; null for what is not sown
 */
public record Season(String key, Months gather, @Nullable Months sow) {

  /** Months of the year, both among them; over its turn where the first is the later. */
  public record Months(Month from, Month to) {
    static Months read(String text) {
      String[] ends = text.split("-");
      if (ends.length != 2) {
        throw new Refused("months", "Two months, such as 6-8; “" + text + "” was read.");
      }
      return new Months(Month.of(Integer.parseInt(ends[0])), Month.of(Integer.parseInt(ends[1])));
    }

    /** The window that is open on a day, or the next one: its first and its last day. */
    public Window next(LocalDate day) {
      int year = day.getYear() - 1;
      while (true) {
        LocalDate first = LocalDate.of(year, from, 1);
        LocalDate lastMonth = LocalDate.of(year + (from.compareTo(to) > 0 ? 1 : 0), to, 1);
        LocalDate last = lastMonth.withDayOfMonth(lastMonth.lengthOfMonth());
        if (!last.isBefore(day)) {
          return new Window(first, last);
        }
        year++;
      }
    }
  }

  /** Days from the first to the last, both among them. */
  public record Window(LocalDate first, LocalDate last) {}

  /**
   * The seasons that ship with the application, by herb.
   *
   * @throws IllegalStateException naming every line that cannot be true
   */
  public static Map<String, Season> shipped() {
    Problems problems = new Problems();
    Map<String, Season> seasons =
        CatalogueFile.read(
            Season.class,
            "seasons.csv",
            problems,
            row ->
                new Season(
                    row.get("key"),
                    Months.read(row.get("gather")),
                    Optional.of(row.get("sow"))
                        .filter(text -> !text.isEmpty())
                        .map(Months::read)
                        .orElse(null)),
            Season::key);
    if (!problems.none()) {
      throw new IllegalStateException(problems.found().toString());
    }
    return seasons;
  }
}
