package velvetcrock.core.keeping;

import velvetcrock.core.heat.Ageing;

/** Where and how strained oil stands. */
public record Store(Place place, Glass glass, Fill fill, Antioxidant antioxidant) {

  /** Where it stands, with its temperature, °C (typical). */
  public enum Place {
    /** At −18 °C. */
    FREEZER(-18),
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

    /** Whether it is cold enough for what spoils: a fridge or a freezer. */
    public boolean cold() {
      return celsius <= FRIDGE.celsius;
    }

    /** Where that is, in words. */
    public String words() {
      return switch (this) {
        case FREEZER -> "in the freezer";
        case FRIDGE -> "in the fridge";
        case COOL -> "in a cool cupboard";
        case ROOM -> "in the room";
        case WARM -> "on a warm shelf";
      };
    }
  }

  /** The glass, with the pace at which it lets light age the oil (our estimate). */
  public enum Glass {
    /** Amber or otherwise dark. */
    AMBER(Factor.ONE),
    /** Clear, in room light. */
    CLEAR(new Factor(1.3, 1.1, 1.6));

    private final Factor factor;

    Glass(Factor factor) {
      this.factor = factor;
    }
  }

  /** How full it is, with the pace that the air above brings (our estimate). */
  public enum Fill {
    /** Filled to the neck. */
    FULL(Factor.ONE),
    /** Half empty. */
    HALF(new Factor(1.3, 1.1, 1.6));

    private final Factor factor;

    Fill(Factor factor) {
      this.factor = factor;
    }
  }

  /** What slows rancidity; nothing here acts on microbes. Factors are our estimates. */
  public enum Antioxidant {
    /** None. */
    NONE(Factor.ONE),
    /** Vitamin E, 0.1–0.5 %. */
    VITAMIN_E(new Factor(1.25, 1, 1.6)),
    /** Rosemary extract, 0.05–0.2 %. */
    ROSEMARY(new Factor(1.4, 1, 1.8));

    private final Factor factor;

    Antioxidant(Factor factor) {
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

  /** Days of shelf life used in a day: ageing at its temperature × light × air ÷ antioxidant. */
  public double rate() {
    return rate(Guess.MIDDLE);
  }

  double rate(Guess guess) {
    return guess.of(Ageing.rates(place.celsius()))
        * guess.of(Guess.Figure.GLASS, glass.factor)
        * guess.of(Guess.Figure.AIR, fill.factor)
        / guess.of(Guess.Figure.ANTIOXIDANT, antioxidant.factor);
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
