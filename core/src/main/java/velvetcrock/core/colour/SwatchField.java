package velvetcrock.core.colour;

import com.github.ajalt.colormath.model.LCHabColorSpaces;
import com.github.ajalt.colormath.model.RGB;
import java.util.ArrayList;
import java.util.List;

/**
 * A field of swatches to hold beside a glass of oil: from red through amber and lemon to green
 * across, from pale to dark down, in steps of about the same size to the eye (CIE LCh under D65).
 */
public final class SwatchField {
  /** Hue angles, ° of CIE LCh. */
  private static final double[] HUES = {35, 50, 62, 73, 83, 92, 101, 112, 126};

  private static final List<String> HUE_NAMES =
      List.of("rust", "copper", "amber", "gold", "straw", "lemon", "lime", "olive", "leaf");

  /** Lightness and the chroma that infused oils have at it (practice). */
  private static final double[][] ROWS = {
    {92, 22}, {86, 42}, {76, 58}, {64, 58}, {51, 50}, {38, 40}, {25, 28}
  };

  private static final List<String> ROW_NAMES =
      List.of("palest", "pale", "light", "middling", "deep", "dark", "darkest");

  private static final double CHROMA_STEP = 2;

  private SwatchField() {}

  /** A swatch with its name, such as deep amber. */
  public record Swatch(Rgb colour, String name) {}

  /** The rows, palest first, each from red to green. */
  public static List<List<Swatch>> rows() {
    List<List<Swatch>> rows = new ArrayList<>();
    for (int i = 0; i < ROWS.length; i++) {
      List<Swatch> swatches = new ArrayList<>();
      for (int j = 0; j < HUES.length; j++) {
        String name = ROW_NAMES.get(i) + " " + HUE_NAMES.get(j);
        swatches.add(new Swatch(swatch(ROWS[i][0], ROWS[i][1], HUES[j]), name));
      }
      rows.add(List.copyOf(swatches));
    }
    return List.copyOf(rows);
  }

  /** The swatch with as much of the chroma as a screen can show. */
  private static Rgb swatch(double lightness, double chroma, double hue) {
    double most = chroma;
    RGB colour = shown(lightness, most, hue);
    while (!within(colour) && most > 0) {
      most -= CHROMA_STEP;
      colour = shown(lightness, most, hue);
    }
    return new Rgb(channel(colour.getR()), channel(colour.getG()), channel(colour.getB()));
  }

  private static RGB shown(double lightness, double chroma, double hue) {
    return LCHabColorSpaces.INSTANCE
        .getLCHab65()
        .invoke((float) lightness, (float) chroma, (float) hue, 1f)
        .toSRGB();
  }

  private static boolean within(RGB colour) {
    return in(colour.getR()) && in(colour.getG()) && in(colour.getB());
  }

  private static boolean in(float channel) {
    return channel >= 0 && channel <= 1;
  }

  private static int channel(float value) {
    return Math.round(Math.max(0, Math.min(1, value)) * 255);
  }
}
