package velvetcrock.core.measure;

/**
 * In what one household reads and writes amounts, each by itself. What is stored is in g, ml, mm
 * and °C whatever they choose.
 *
 * @param kitchen what it means by a cup, a pint and a fluid ounce
 */
public record Units(
    Weights weights, Volumes volumes, Kitchen kitchen, Degrees degrees, Lengths lengths) {
  /** What weights are read in. */
  public enum Weights {
    /** Grams and kilograms. */
    GRAMS,
    /** Ounces and pounds. */
    OUNCES
  }

  /** What volumes are read in. */
  public enum Volumes {
    /** Millilitres and litres. */
    MILLILITRES,
    /** Cups and spoons. */
    CUPS
  }

  /** What temperatures are read in. */
  public enum Degrees {
    /** Degrees Celsius. */
    CELSIUS,
    /** Degrees Fahrenheit. */
    FAHRENHEIT
  }

  /** What lengths are read in. */
  public enum Lengths {
    /** Millimetres. */
    MILLIMETRES,
    /** Inches. */
    INCHES;

    /** The unit of what is as long as a finger is wide, as it is written. */
    public String small() {
      return this == INCHES ? "in" : "mm";
    }

    /** The unit of what is as long as a hand, as it is written. */
    public String large() {
      return this == INCHES ? "in" : "cm";
    }
  }

  /** Grams, millilitres, °C and mm, with a kitchen's own cups beside them. */
  public static Units metric(Kitchen kitchen) {
    return new Units(
        Weights.GRAMS, Volumes.MILLILITRES, kitchen, Degrees.CELSIUS, Lengths.MILLIMETRES);
  }

  /** As a country usually measures whose cup is a kitchen's. */
  public static Units usual(Kitchen kitchen) {
    return kitchen == Kitchen.US
        ? new Units(Weights.OUNCES, Volumes.CUPS, kitchen, Degrees.FAHRENHEIT, Lengths.INCHES)
        : metric(kitchen);
  }

  /** As households read that were founded before each could be chosen by itself. */
  public static Units former(Kitchen kitchen) {
    Degrees degrees = kitchen == Kitchen.US ? Degrees.FAHRENHEIT : Degrees.CELSIUS;
    return new Units(Weights.GRAMS, Volumes.MILLILITRES, kitchen, degrees, Lengths.MILLIMETRES);
  }

  /** Whether so much is read in g, ml, mm or °C. */
  public boolean metric(Quantity quantity) {
    return switch (quantity) {
      case WEIGHT -> weights == Weights.GRAMS;
      case VOLUME -> volumes == Volumes.MILLILITRES;
      case LENGTH -> lengths == Lengths.MILLIMETRES;
      case TEMPERATURE, WARMER -> degrees == Degrees.CELSIUS;
    };
  }

  /** Each thing the other way, with the same cups: what stands behind a figure for who asks. */
  public Units other() {
    return new Units(
        metric(Quantity.WEIGHT) ? Weights.OUNCES : Weights.GRAMS,
        metric(Quantity.VOLUME) ? Volumes.CUPS : Volumes.MILLILITRES,
        kitchen,
        metric(Quantity.TEMPERATURE) ? Degrees.FAHRENHEIT : Degrees.CELSIUS,
        metric(Quantity.LENGTH) ? Lengths.INCHES : Lengths.MILLIMETRES);
  }
}
