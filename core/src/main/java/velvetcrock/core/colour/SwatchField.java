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
  /** Hue angles, ° of CIE LCh: rust, amber, gold, lemon, olive, leaf. */
  private static final double[] HUES = {35, 50, 62, 73, 83, 92, 101, 112, 126};

  /** Lightness and the chroma that infused oils have at it (practice). */
  private static final double[][] ROWS = {
    {92, 22}, {86, 42}, {76, 58}, {64, 58}, {51, 50}, {38, 40}, {25, 28}
  };

  private static final double CHROMA_STEP = 2;

  private SwatchField() {}

  /** The rows, palest first, each from red to green. */
  public static List<List<Rgb>> rows() {
    List<List<Rgb>> rows = new ArrayList<>();
    for (double[] row : ROWS) {
      List<Rgb> swatches = new ArrayList<>();
      for (double hue : HUES) {
        swatches.add(swatch(row[0], row[1], hue));
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
