package velvetcrock.core.moisture;

import java.util.List;
import velvetcrock.core.Range;
import velvetcrock.core.heat.Trace;

/**
 * Water that leaves oil on the heat: m = ∫ 0.22·(p_w(T) − p_room)·area·f dt, kg, with the vapour
 * pressure in kPa by Magnus (WMO Guide No. 8), T at most 100 °C, and nothing below 35 °C. Dalton's
 * law; 0.22 kg/m²h·kPa is still air over water, oil hinders it by f (our estimate).
 *
 * @param usualG what is likely to leave, g
 * @param range from what surely leaves to the most that can, g
 */
public record Evaporation(double usualG, Range range) {
  /** How far oil hinders it. */
  public enum Cover {
    /** An open pot. */
    OPEN(0.5, 0.2, 0.8),
    /** Under a lid. */
    LIDDED(0.1, 0.04, 0.16);

    private final double usual;
    private final double low;
    private final double high;

    Cover(double usual, double low, double high) {
      this.usual = usual;
      this.low = low;
      this.high = high;
    }
  }

  private static final double KG_PER_M2_H_KPA = 0.22;
  private static final double ROOM_KPA = 1.2;
  private static final double COOLEST_C = 35;
  private static final double BOILS_C = 100;
  private static final double STEP_C = 1;
  private static final double G_PER_KG = 1000;

  /**
   * Over a trace.
   *
   * @param innerDiameterMm of the vessel, mm
   */
  public static Evaporation of(Trace trace, double innerDiameterMm, Cover cover) {
    double areaM2 = Math.PI / 4 * innerDiameterMm * innerDiameterMm / 1e6;
    double free = KG_PER_M2_H_KPA * areaM2 * G_PER_KG * pressureHours(trace);
    return new Evaporation(free * cover.usual, new Range(free * cover.low, free * cover.high));
  }

  /**
   * How long at a steady temperature so much is likely to take, h; endless below 35 °C.
   *
   * @param waterG what has to leave, g
   */
  public static double hours(double waterG, double celsius, double innerDiameterMm, Cover cover) {
    return waterG / of(Trace.steady(celsius, 1), innerDiameterMm, cover).usualG();
  }

  /**
   * Whether so much can leave at all: no more than the most that leaves an open vessel.
   *
   * @param waterG what has to leave, g
   * @param innerDiameterMm of the vessel, mm
   */
  public static boolean canLeave(double waterG, Trace trace, double innerDiameterMm) {
    return of(trace, innerDiameterMm, Cover.OPEN).range().high() >= waterG;
  }

  private static double pressureHours(Trace trace) {
    List<Trace.Point> points = trace.points();
    double sum = 0;
    for (int i = 1; i < points.size(); i++) {
      sum += pressureHours(points.get(i - 1), points.get(i));
    }
    return sum;
  }

  /** Over a straight piece, cut where it begins and ends to be warm enough. */
  private static double pressureHours(Trace.Point from, Trace.Point to) {
    double step = to.celsius() - from.celsius();
    double hours = to.hours() - from.hours();
    if (step == 0) {
      return hours * above(from.celsius());
    }
    double crosses = (COOLEST_C - from.celsius()) / step;
    double begins = step > 0 ? Math.max(0, crosses) : 0;
    double ends = step > 0 ? 1 : Math.min(1, crosses);
    if (ends <= begins) {
      return 0;
    }
    int pieces = (int) Math.max(1, Math.ceil(Math.abs(step) * (ends - begins) / STEP_C));
    double each = (ends - begins) / pieces;
    double sum = 0;
    for (int piece = 0; piece < pieces; piece++) {
      sum += each * above(from.celsius() + step * (begins + (piece + 0.5) * each));
    }
    return hours * sum;
  }

  /** By how much the vapour pressure stands above the room's, kPa. */
  private static double above(double celsius) {
    if (celsius < COOLEST_C) {
      return 0;
    }
    double boiling = Math.min(celsius, BOILS_C);
    return 0.61094 * Math.exp(17.625 * boiling / (boiling + 243.04)) - ROOM_KPA;
  }
}
