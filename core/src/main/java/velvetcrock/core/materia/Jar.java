package velvetcrock.core.materia;

import velvetcrock.core.Problems;
import velvetcrock.core.measure.Kitchen;

/**
 * A vessel by its inside, reckoned as straight-sided: what is not round or not straight counts with
 * the width of the round one that holds as much at the same depth.
 *
 * @param key key or name
 * @param name what it is called
 * @param brimMl volume to the brim, ml
 * @param innerDiameterMm inner width, mm
 * @param shape what kind of vessel it is
 * @param sold whose measure it is sold by
 */
public record Jar(
    String key, String name, double brimMl, double innerDiameterMm, Shape shape, Kitchen sold) {
  /** Share of the brim up to which a jar is filled (practice). */
  public static final double FILL_LINE = 0.92;

  private static final double MM3_PER_ML = 1000;

  /** Kinds of vessel. */
  public enum Shape {
    /** A jar with a lid. */
    JAR,
    /** A mixing bowl. */
    BOWL,
    /** A saucepan. */
    PAN,
    /** An oven dish. */
    DISH,
    /** A slow cooker's own crock. */
    CROCK
  }

  /** One that is sold by no measure but the metric. */
  public Jar(String key, String name, double brimMl, double innerDiameterMm, Shape shape) {
    this(key, name, brimMl, innerDiameterMm, shape, Kitchen.METRIC);
  }

  /** A jar with a lid. */
  public Jar(String key, String name, double brimMl, double innerDiameterMm) {
    this(key, name, brimMl, innerDiameterMm, Shape.JAR);
  }

  /**
   * Checks that such a jar can be.
   *
   * @throws velvetcrock.core.Refused at {@code brimMl} or {@code innerDiameterMm}
   */
  public Jar {
    Problems problems = new Problems();
    problems.require(
        brimMl >= 10 && brimMl <= 50_000,
        "brimMl",
        () -> "A jar holds between 10 ml and 50 l to the brim; " + brimMl + " ml was read.");
    problems.require(
        innerDiameterMm >= 15 && innerDiameterMm <= 600,
        "innerDiameterMm",
        () -> "A jar is between 15 and 600 mm wide inside; " + innerDiameterMm + " mm was read.");
    problems.refuseIfAny();
  }

  /**
   * A jar measured with water: D = √(4·V/(π·h)), a gram of water taken as a millilitre.
   *
   * @param waterG weight of the water that fills it to the brim, g
   * @param innerHeightMm inner height, mm
   */
  public static Jar measured(
      String key, String name, double waterG, double innerHeightMm, Shape shape) {
    Problems problems = new Problems();
    problems.require(waterG >= 10 && waterG <= 50_000, "water", "Between 10 g and 50 kg of water.");
    problems.require(
        innerHeightMm >= 10 && innerHeightMm <= 1000, "height", "Between 10 and 1000 mm high.");
    problems.refuseIfAny();

    return new Jar(
        key, name, waterG, Math.sqrt(4 * waterG * MM3_PER_ML / (Math.PI * innerHeightMm)), shape);
  }

  /** Inner floor area, mm². */
  public double areaMm2() {
    return Math.PI / 4 * innerDiameterMm * innerDiameterMm;
  }

  /** Inner height to the brim, mm. */
  public double brimMm() {
    return brimMl * MM3_PER_ML / areaMm2();
  }

  /** Height that a volume takes up in it, mm. */
  public double heightMm(double ml) {
    return ml * MM3_PER_ML / areaMm2();
  }

  /** Volume between two levels so many mm apart, ml. */
  public double volumeMl(double mm) {
    return mm * areaMm2() / MM3_PER_ML;
  }
}
