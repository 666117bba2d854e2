package velvetcrock.core.keeping;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;

/**
 * How long a household's own bottles of one carrier in one place have kept. Bottles that were used
 * up were good to their last day and say only that oil keeps at least so long.
 *
 * @param turned how many turned: rancid, musty, cloudy or fizzing
 * @param earliestDays the first of them, days from straining; 0 where none did
 * @param medianDays the middle one, days from straining; 0 where none did
 * @param good how many were used up while good
 * @param longestGoodDays the longest of those, days from straining; 0 where there is none
 */
public record OwnShelfLife(
    int turned, int earliestDays, int medianDays, int good, int longestGoodDays) {
  /** Share of the days after which own bottles turned at which one begins to smell at them. */
  private static final double SMELL_FROM = 0.8;

  /**
   * A bottle that came to its end.
   *
   * @param days from straining to its end
   * @param turned whether it turned; else it was used up while good
   */
  public record Ended(int days, boolean turned) {}

  /** Tells the bottles that came to their end. */
  public static OwnShelfLife of(List<Ended> ended) {
    int[] bad = ended.stream().filter(Ended::turned).mapToInt(Ended::days).sorted().toArray();
    int[] good = ended.stream().filter(e -> !e.turned()).mapToInt(Ended::days).toArray();
    int longest = Arrays.stream(good).max().orElse(0);
    return bad.length == 0
        ? new OwnShelfLife(0, 0, 0, good.length, longest)
        : new OwnShelfLife(bad.length, bad[0], median(bad), good.length, longest);
  }

  private static int median(int[] sorted) {
    int middle = sorted.length / 2;
    return sorted.length % 2 == 1
        ? sorted[middle]
        : (int) Math.round((sorted[middle - 1] + sorted[middle]) / 2.0);
  }

  /** From how many days after straining to smell at the next one; empty where none has turned. */
  public OptionalInt smellFromDays() {
    return turned == 0 ? OptionalInt.empty() : OptionalInt.of((int) (SMELL_FROM * earliestDays));
  }
}
