package velvetcrock.bench;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is known of a jar that was begun before, as typed.
 *
 * @param herbs the herbs, one at least
 * @param herbFill how far up the jar the herb stands, as a share
 * @param oils the oils, one at least
 * @param blended set when herb and oil were blended together
 * @param use what it is for
 * @param heat what heat it has had
 * @param begun when it was begun
 * @param dates the dates of its oil
 */
record TakeOnForm(
    @Nullable List<HerbRow> herbs,
    @Nullable String herbFill,
    @Nullable List<OilRow> oils,
    @Nullable String blended,
    @Nullable String use,
    @JsonUnwrapped Heat heat,
    @Nullable String jar,
    @Nullable String place,
    @JsonUnwrapped Begun begun,
    @JsonUnwrapped OilDates dates,
    @Nullable String key) {
  private static final int MOST_ROWS = 6;

  /**
   * A herb.
   *
   * @param amount weight or volume; empty if not known
   */
  record HerbRow(
      @Nullable String herb,
      @Nullable String state,
      @Nullable String cut,
      @Nullable String amount) {}

  /**
   * An oil.
   *
   * @param amount empty if not known
   */
  record OilRow(@Nullable String carrier, @Nullable String amount) {}

  /**
   * What heat it has had.
   *
   * @param method how it was warmed, or through spirit; empty for neither
   * @param hours for how long
   * @param felt how it felt to the hand
   * @param abv how strong the spirit was, % vol; empty if not known
   */
  record Heat(
      @Nullable String method,
      @Nullable String hours,
      @Nullable String felt,
      @Nullable String abv) {}

  /**
   * When it was begun.
   *
   * @param about by how many days the date may be wrong
   */
  record Begun(@Nullable String chargedOn, @Nullable String about) {}

  /** The dates of its oil. */
  record OilDates(@Nullable String bestBefore, @Nullable String openedOn) {}

  private static HerbRow usualHerb() {
    return new HerbRow("yarrow", "DRIED", "CUT", null);
  }

  private static OilRow usualOil() {
    return new OilRow("sunflower-high-oleic", null);
  }

  /** The same with nothing missing. */
  TakeOnForm completed() {
    return new TakeOnForm(
        herbs == null || herbs.isEmpty() ? List.of(usualHerb()) : herbs,
        herbFill == null ? "0.66" : herbFill,
        oils == null || oils.isEmpty() ? List.of(usualOil()) : oils,
        blended,
        use == null ? "SKIN" : use,
        heat,
        jar == null ? "jar-500" : jar,
        place,
        begun,
        dates,
        key);
  }

  /**
   * The same with another row.
   *
   * @param what {@code herbs} or {@code oils}
   */
  TakeOnForm more(@Nullable String what) {
    TakeOnForm full = completed();
    return new TakeOnForm(
        "herbs".equals(what) ? longer(full.herbs, usualHerb()) : full.herbs,
        full.herbFill,
        "oils".equals(what) ? longer(full.oils, usualOil()) : full.oils,
        blended,
        full.use,
        heat,
        full.jar,
        place,
        begun,
        dates,
        key);
  }

  private static <T> List<T> longer(@Nullable List<T> rows, T row) {
    List<T> longer = new ArrayList<>(rows == null ? List.of() : rows);
    if (longer.size() < MOST_ROWS) {
      longer.add(row);
    }
    return longer;
  }
}
