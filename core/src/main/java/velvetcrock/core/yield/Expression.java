package velvetcrock.core.yield;

/** How the oil is driven out of the marc, with what the marc then keeps (typical). */
public enum Expression {
  /** Left to drip. */
  DRIP(2.4),
  /** Squeezed by hand. */
  SQUEEZE(1.5),
  /** Twisted in a cloth. */
  TWIST(1.1),
  /** Pressed. */
  PRESS(0.7);

  private final double keptMlPerG;

  Expression(double keptMlPerG) {
    this.keptMlPerG = keptMlPerG;
  }

  /** Oil kept, ml per g of dry matter. */
  public double keptMlPerG() {
    return keptMlPerG;
  }
}
