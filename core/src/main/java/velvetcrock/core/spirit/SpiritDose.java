package velvetcrock.core.spirit;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;

/** Reads how much spirit goes on a herb: by weight, by volume, or as so much to its weight. */
public final class SpiritDose {
  /** The least that dampens it through, g to a g of herb. */
  public static final double LEAST = 0.25;

  /** The most that does not stand in the jar, g to a g of herb. */
  public static final double MOST = 1;

  private SpiritDose() {}

  /**
   * Reads one.
   *
   * @param typed such as {@code 0.5}, {@code 30 g}, {@code 50 ml} or {@code half a cup}
   * @param abvPercent strength of the spirit, by which a volume is weighed
   * @param herbG what the herb weighs, g
   * @return g of spirit to a g of herb
   * @throws Refused at {@code text} if it cannot be read, or is too little or too much
   */
  public static double read(
      @Nullable String typed, Kitchen kitchen, double abvPercent, double herbG) {
    String text = typed == null ? "" : typed.strip();
    double dose;
    String read;
    try {
      dose = Double.parseDouble(text.replace(',', '.'));
      read = "“" + text + "” was read";
    } catch (NumberFormatException noFigure) {
      Measure measure = new MeasureReader(kitchen).read(text);
      double grams =
          measure.amount().middle() * (measure.isWeight() ? 1 : EthanolWater.density(abvPercent));
      dose = grams / herbG;
      read = "“" + text + "” is " + Math.round(dose * 100) / 100.0 + " times that";
    }
    if (!(dose >= LEAST && dose <= MOST)) {
      throw new Refused(
          "text",
          "Between a quarter of the herb’s weight and as much as it weighs ("
              + Math.round(herbG * LEAST)
              + " to "
              + Math.round(herbG)
              + " g); "
              + read
              + ".");
    }
    return dose;
  }
}
