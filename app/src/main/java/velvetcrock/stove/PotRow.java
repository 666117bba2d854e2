package velvetcrock.stove;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A pot on the heat as it is shown, in words and figures of the household.
 *
 * @param way how it is drawn, and on what
 * @param thermo how warm it is
 * @param course how far it has come
 * @param water its bath
 * @param say what to do
 * @param alarm whether somebody should come
 * @param last what was read
 * @param onHeat whether it stands on the heat
 * @param solar whether the sun warms it
 */
public record PotRow(
    String code,
    String herb,
    String way,
    @JsonUnwrapped Thermo thermo,
    @JsonUnwrapped Course course,
    @JsonUnwrapped Water water,
    String say,
    boolean alarm,
    @JsonUnwrapped Last last,
    boolean onHeat,
    boolean solar,
    List<Warning> cautions) {

  /**
   * How warm it is.
   *
   * @param temperature large figure; a dash where nothing is known
   * @param mood {@code in}, {@code near}, {@code out}, {@code silent}, {@code off} or {@code done}
   * @param moodWords the same in words
   * @param band where it should be, with its ceiling
   * @param trend rising or falling, and where to
   * @param source where the figure comes from and how old it is
   */
  public record Thermo(
      String temperature,
      String unit,
      String mood,
      String moodWords,
      String band,
      String trend,
      String source) {}

  /**
   * How far it has come.
   *
   * @param pull gained so far
   * @param spent shelf life used so far
   * @param served time on the heat so far
   * @param window earliest, usual and latest time on the heat
   * @param servedPercent of the latest time, in hundredths
   */
  public record Course(
      String pull,
      String spent,
      String served,
      String window,
      int servedPercent,
      int earliestPercent,
      int usualPercent) {}

  /**
   * Its bath.
   *
   * @param bathBy when its bath wants water, ms since 1970; 0 where there is none
   */
  public record Water(long bathBy, String bath) {}

  /**
   * What was read.
   *
   * @param lastAt when the last reading was taken, ms since 1970; 0 where there is none
   * @param lastValue the last reading in the household's degrees; null where there is none
   * @param readings how many there are
   */
  public record Last(long lastAt, @Nullable Double lastValue, int readings) {}

  /**
   * A caution.
   *
   * @param word how grave it is, as it begins the line
   */
  public record Warning(String level, String word, String text, String turnTo) {}
}
