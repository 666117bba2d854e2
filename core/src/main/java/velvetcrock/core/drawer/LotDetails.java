package velvetcrock.core.drawer;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;

/**
 * What a lot is and where it comes from.
 *
 * @param thing key in the catalogue; empty for spirit
 * @param name what the household calls it; empty for the catalogue's name
 * @param plant what belongs to a herb; all null for anything else
 * @param from where it grew, or from whom it was bought; may be empty
 * @param dates the days of its life
 * @param abvPercent strength of spirit, % vol; null for anything else
 * @param priceMinor what was paid for it in hundredths; 0 for free, null if not known
 */
public record LotDetails(
    Kind kind,
    String thing,
    String name,
    Plant plant,
    Origin origin,
    String from,
    Dates dates,
    @Nullable Double abvPercent,
    @Nullable Long priceMinor) {

  /**
   * What belongs to a herb; all null for anything else.
   *
   * @param part of a herb; null for anything else
   * @param cut of a herb; null for anything else
   * @param state of a herb; null for anything else
   * @param waterFraction a herb's own water content where it is known, wet basis
   */
  public record Plant(
      @Nullable Part part,
      @Nullable Cut cut,
      @Nullable HerbState state,
      @Nullable Double waterFraction) {}

  /**
   * The days of its life.
   *
   * @param harvestedOn of a herb that was gathered at once; pickings have their own days
   * @param boughtOn the day it was bought or pressed
   * @param openedOn the day it was opened
   * @param bestBefore the date printed on it
   */
  public record Dates(
      @Nullable LocalDate harvestedOn,
      @Nullable LocalDate boughtOn,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate bestBefore) {}

  /** What can lie in a drawer. */
  public enum Kind {
    /** Herb, by weight. */
    HERB("g"),
    /** Oil or butter, by volume. */
    CARRIER("ml"),
    /** Spirit, by volume. */
    SPIRIT("ml"),
    /** Wax, by weight. */
    WAX("g");

    private final String unit;

    Kind(String unit) {
      this.unit = unit;
    }

    /** The unit that it is counted in. */
    public String unit() {
      return unit;
    }
  }

  /** Where it comes from. */
  public enum Origin {
    /** From one's own garden; fills by pickings. */
    GROWN,
    /** Gathered in the wild. */
    FORAGED,
    /** Bought. */
    BOUGHT
  }

  private static final int LONGEST_TEXT = 120;

  /**
   * Checks what belongs together.
   *
   * @throws velvetcrock.core.Refused at every field that cannot be
   */
  public LotDetails {
    Problems problems = new Problems();
    boolean herb = kind == Kind.HERB;
    problems.require(
        herb == (plant.part() != null)
            && herb == (plant.cut() != null)
            && herb == (plant.state() != null),
        "part",
        "A herb has part, cut and state, and nothing else has.");
    problems.require(
        plant.waterFraction() == null
            || herb && plant.waterFraction() >= 0 && plant.waterFraction() <= 0.97,
        "water",
        "The water in a herb is a share between 0 and 97 %.");
    problems.require(
        (kind == Kind.SPIRIT) == (abvPercent != null)
            && (abvPercent == null || abvPercent >= 20 && abvPercent <= 100),
        "abv",
        "Say how strong the spirit is, between 20 and 100 % vol.");
    problems.require(
        priceMinor == null || priceMinor >= 0 && priceMinor <= 100_000_000L,
        "price",
        "A price is not negative, and below a million.");
    problems.require(
        name.length() <= LONGEST_TEXT, "name", () -> "At most " + LONGEST_TEXT + " letters.");
    problems.require(
        from.length() <= LONGEST_TEXT, "from", () -> "At most " + LONGEST_TEXT + " letters.");
    problems.require(
        dates.openedOn() == null
            || dates.boughtOn() == null
            || !dates.openedOn().isBefore(dates.boughtOn()),
        "openedOn",
        "It was opened on the day it was bought or later.");
    problems.refuseIfAny();
  }

  /** The same, opened on a day. */
  LotDetails opened(LocalDate on) {
    return new LotDetails(
        kind,
        thing,
        name,
        new LotDetails.Plant(plant.part(), plant.cut(), plant.state(), plant.waterFraction()),
        origin,
        from,
        new LotDetails.Dates(dates.harvestedOn(), dates.boughtOn(), on, dates.bestBefore()),
        abvPercent,
        priceMinor);
  }
}
