package velvetcrock.core.spirit;

import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.interpolation.LinearInterpolator;
import velvetcrock.core.Problems;
import velvetcrock.core.materia.CatalogueFile;

/**
 * Ethanol and water at 20 °C: density and share by weight, interpolated between tabled strengths.
 */
public final class EthanolWater {
  /** Density of ethanol at 20 °C, g/ml (standard). */
  public static final double ETHANOL_G_PER_ML = 0.78924;

  private static final UnivariateFunction DENSITY = table();

  private EthanolWater() {}

  private static UnivariateFunction table() {
    record Row(double abv, double density) {}
    Problems problems = new Problems();
    Map<String, Row> rows =
        CatalogueFile.read(
            EthanolWater.class,
            "densities.csv",
            problems,
            csv ->
                new Row(Double.parseDouble(csv.get("abv")), Double.parseDouble(csv.get("density"))),
            row -> String.valueOf(row.abv()));
    if (!problems.none()) {
      throw new IllegalStateException(problems.found().toString());
    }
    TreeMap<Double, Double> sorted =
        new TreeMap<>(rows.values().stream().collect(Collectors.toMap(Row::abv, Row::density)));
    return new LinearInterpolator()
        .interpolate(
            sorted.keySet().stream().mapToDouble(Double::doubleValue).toArray(),
            sorted.values().stream().mapToDouble(Double::doubleValue).toArray());
  }

  /**
   * Density of a spirit, g/ml.
   *
   * @param abvPercent % by volume, 0–100
   */
  public static double density(double abvPercent) {
    return DENSITY.value(abvPercent);
  }

  /**
   * Share of ethanol by weight: (ABV/100)·0.78924/ρ.
   *
   * @param abvPercent % by volume, 0–100
   */
  public static double massFraction(double abvPercent) {
    return abvPercent / 100 * ETHANOL_G_PER_ML / density(abvPercent);
  }
}
