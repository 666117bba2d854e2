package velvetcrock.core.keeping;

import velvetcrock.core.heat.Ageing;

/** Where and how strained oil stands. */
public record Store(Place place, Glass glass, Fill fill, Antioxidant antioxidant) {

  /** Where it stands, with its temperature, °C (typical). */
  public enum Place {
    /** At 4 °C. */
    FRIDGE(4),
    /** A cool cupboard at 16 °C. */
    COOL(16),
    /** Room temperature, 21 °C. */
    ROOM(21),
    /** A warm shelf at 26 °C. */
    WARM(26);

    private final double celsius;

    Place(double celsius) {
      this.celsius = celsius;
    }

    /** Its temperature, °C. */
    public double celsius() {
      return celsius;
    }

    /** Where that is, in words. */
    public String words() {
      return switch (this) {
        case FRIDGE -> "in the fridge";
        case COOL -> "in a cool cupboard";
        case ROOM -> "in the room";
        case WARM -> "on a warm shelf";
      };
    }
  }

  /** The glass, with the pace at which it lets light age the oil (typical). */
  public enum Glass {
    /** Amber or otherwise dark. */
    AMBER(1),
    /** Clear, in room light. */
    CLEAR(1.3);

    private final double factor;

    Glass(double factor) {
      this.factor = factor;
    }
  }

  /** How full it is, with the pace that the air above brings (typical). */
  public enum Fill {
    /** Filled to the neck. */
    FULL(1),
    /** Half empty. */
    HALF(1.3);

    private final double factor;

    Fill(double factor) {
      this.factor = factor;
    }
  }

  /** What slows rancidity; nothing here acts on microbes. Factors are typical. */
  public enum Antioxidant {
    /** None. */
    NONE(1),
    /** Vitamin E, 0.1–0.5 %. */
    VITAMIN_E(1.25),
    /** Rosemary extract, 0.05–0.2 %. */
    ROSEMARY(1.4);

    private final double factor;

    Antioxidant(double factor) {
      this.factor = factor;
    }

    /** With what, in words after a separator; empty for none. */
    public String after(String separator) {
      return switch (this) {
        case NONE -> "";
        case VITAMIN_E -> separator + "with vitamin E";
        case ROSEMARY -> separator + "with rosemary extract";
      };
    }
  }

  /** How it stands, in words. */
  public String words() {
    return place.words()
        + (glass == Glass.CLEAR ? ", in clear glass" : "")
        + (fill == Fill.HALF ? ", half empty" : "");
  }

  /** Days of keeping spent in a day: 2^((T − 20)/10) × light × air ÷ antioxidant. */
  public double rate() {
    return Ageing.rate(place.celsius()) * glass.factor * fill.factor / antioxidant.factor;
  }

  /** The same in another place. */
  public Store in(Place other) {
    return new Store(other, glass, fill, antioxidant);
  }

  /** The same in another glass. */
  public Store in(Glass other) {
    return new Store(place, other, fill, antioxidant);
  }

  /** The same at another fill. */
  public Store at(Fill other) {
    return new Store(place, glass, other, antioxidant);
  }

  /** The same with an antioxidant. */
  public Store with(Antioxidant other) {
    return new Store(place, glass, fill, other);
  }
}
