package velvetcrock.stove;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A pot on the heat as it is shown, in words and figures of the household.
 *
 * @param way how it is drawn, and on what
 * @param temperature large figure; a dash where nothing is known
 * @param mood {@code in}, {@code near}, {@code out}, {@code silent}, {@code off} or {@code done}
 * @param moodWords the same in words
 * @param band where it should be, with its ceiling
 * @param trend rising or falling, and where to
 * @param source where the figure comes from and how old it is
 * @param pull gained so far
 * @param spent keeping spent so far
 * @param served time on the heat so far
 * @param window earliest, usual and latest time on the heat
 * @param servedPercent of the latest time, in hundredths
 * @param bathBy when its bath wants water, ms since 1970; 0 where there is none
 * @param say what to do
 * @param alarm whether somebody should come
 * @param lastAt when the last reading was taken, ms since 1970; 0 where there is none
 * @param lastValue the last reading in the household's degrees; null where there is none
 * @param readings how many there are
 * @param onHeat whether it stands on the heat
 * @param solar whether the sun warms it
 */
public record PotRow(
    String code,
    String herb,
    String way,
    String temperature,
    String unit,
    String mood,
    String moodWords,
    String band,
    String trend,
    String source,
    String pull,
    String spent,
    String served,
    String window,
    int servedPercent,
    int earliestPercent,
    int usualPercent,
    long bathBy,
    String bath,
    String say,
    boolean alarm,
    long lastAt,
    @Nullable Double lastValue,
    int readings,
    boolean onHeat,
    boolean solar,
    List<Warning> cautions) {

  /** A caution. */
  public record Warning(String level, String text, String turnTo) {}
}
