package velvetcrock.core.colour;

import com.github.ajalt.colormath.model.LAB;
import com.github.ajalt.colormath.model.RGB;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import velvetcrock.core.Refused;

/**
 * A colour in sRGB, each channel 0–255. {@code Rgb.of(colour.hex())} is the same colour again.
 *
 * @param red 0–255
 * @param green 0–255
 * @param blue 0–255
 */
public record Rgb(int red, int green, int blue) {
  private static final Pattern HEX = Pattern.compile("#?[0-9a-fA-F]{6}");
  private static final int MOST = 255;

  /** A white card is at least this bright in every channel, or the light is too poor to correct. */
  public static final int DARKEST_CARD = 60;

  /** sRGB is linear below this, and a power of 2.4 above (IEC 61966-2-1). */
  private static final double LINEAR_BELOW = 0.04045;

  /**
   * Checks the channels.
   *
   * @throws Refused at the channel
   */
  public Rgb {
    check("red", red);
    check("green", green);
    check("blue", blue);
  }

  private static void check(String channel, int value) {
    if (value < 0 || value > MOST) {
      throw new Refused(channel, "Between 0 and 255; " + value + " was read.");
    }
  }

  /**
   * Reads {@code #rrggbb}.
   *
   * @throws Refused at {@code colour} if it is not that
   */
  public static Rgb of(String hex) {
    if (!HEX.matcher(hex).matches()) {
      throw new Refused("colour", "Pick a colour, or write it as #c9b04c.");
    }
    int value = Integer.parseInt(hex.startsWith("#") ? hex.substring(1) : hex, 16);
    return new Rgb(value >> 16, value >> 8 & MOST, value & MOST);
  }

  /** As {@code #rrggbb}. */
  public String hex() {
    return String.format(Locale.ROOT, "#%02x%02x%02x", red, green, blue);
  }

  /**
   * The mean of pixels by their light, so that a bright and a dark half do not look muddy.
   *
   * @param pixels at least one
   */
  public static Rgb mean(List<Rgb> pixels) {
    return new Rgb(
        shown(pixels.stream().mapToDouble(p -> linear(p.red())).average().orElseThrow()),
        shown(pixels.stream().mapToDouble(p -> linear(p.green())).average().orElseThrow()),
        shown(pixels.stream().mapToDouble(p -> linear(p.blue())).average().orElseThrow()));
  }

  /**
   * The colour as it would be had the white card in the same picture come out white: each channel's
   * light divided by the card's (von Kries, in linear sRGB). What would be brighter than white is
   * cut at it.
   *
   * @param card the card as pictured
   * @throws Refused at {@code card} if it is too dark to tell the light by
   */
  public Rgb corrected(Rgb card) {
    if (Math.min(card.red(), Math.min(card.green(), card.blue())) < DARKEST_CARD) {
      throw new Refused(
          "card", "That is too dark for a white card. Tap the card, or leave it out.");
    }
    return new Rgb(
        shown(linear(red) / linear(card.red())),
        shown(linear(green) / linear(card.green())),
        shown(linear(blue) / linear(card.blue())));
  }

  /** Difference to another by CIEDE2000 (ISO/CIE 11664-6) under D65; about 1 is just seen. */
  public double difference(Rgb other) {
    return lab().difference(other.lab());
  }

  private Lab lab() {
    LAB lab = RGB.Companion.invoke(channel(red), channel(green), channel(blue), 1f).toLAB();
    return new Lab(lab.getL(), lab.getA(), lab.getB());
  }

  private static float channel(int value) {
    return value / (float) MOST;
  }

  private static double linear(int channel) {
    double value = channel / (double) MOST;
    return value <= LINEAR_BELOW ? value / 12.92 : Math.pow((value + 0.055) / 1.055, 2.4);
  }

  private static int shown(double light) {
    double cut = Math.max(0, Math.min(1, light));
    double value = cut <= 0.0031308 ? 12.92 * cut : 1.055 * Math.pow(cut, 1 / 2.4) - 0.055;
    return (int) Math.round(value * MOST);
  }
}
