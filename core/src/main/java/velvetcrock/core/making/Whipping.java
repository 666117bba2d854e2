package velvetcrock.core.making;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Learned;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;

/**
 * Where a whipped butter stands: melted, chilled until its edge sets, whipped, chilled again,
 * whipped until it stands. How it looks decides what comes next (practice).
 *
 * @param stage what is being done
 * @param minutes how long that usually takes until the next look; null when it is done
 * @param again whether it is a second go of the same, after a look that was not what it should be
 */
public record Whipping(Stage stage, @Nullable Range minutes, boolean again) {
  private static final double SPREAD = 0.15;

  /** What is being done. */
  public enum Stage {
    /** In the fridge, until the edge is set. */
    CHILL,
    /** Standing in the warm, because it is set through. */
    SOFTEN,
    /** Whipping for the first time. */
    WHIP,
    /** In the fridge again, because whipping warms it. */
    CHILL_AGAIN,
    /** Whipping until it stands. */
    WHIP_AGAIN,
    /** It stands: into jars. */
    STANDS
  }

  /** How it looks. */
  public enum Look {
    /** Still liquid. */
    LIQUID,
    /** Set at the edge, soft in the middle. */
    EDGE_SET,
    /** Set through. */
    SET_THROUGH,
    /** Pale and thick, but it runs together. */
    PALE,
    /** It stands in peaks. */
    STANDS,
    /** Melting or splitting. */
    MELTING
  }

  /** It was melted and goes into the fridge. */
  public static Whipping begun() {
    return new Whipping(Stage.CHILL, new Range(20, 40), false);
  }

  /**
   * What comes next.
   *
   * @throws Refused at {@code look} where it stands already
   */
  public Whipping after(Look look) {
    return switch (stage) {
      case CHILL, CHILL_AGAIN -> chilled(look);
      case SOFTEN ->
          look == Look.SET_THROUGH
              ? new Whipping(Stage.SOFTEN, new Range(5, 10), true)
              : new Whipping(Stage.WHIP, new Range(3, 5), false);
      case WHIP, WHIP_AGAIN -> whipped(look);
      case STANDS -> throw new Refused("look", "It stands already: fill it.");
    };
  }

  private Whipping chilled(Look look) {
    return switch (look) {
      case LIQUID, MELTING -> new Whipping(stage, new Range(5, 10), true);
      case SET_THROUGH -> new Whipping(Stage.SOFTEN, new Range(10, 20), false);
      case STANDS -> new Whipping(Stage.STANDS, null, false);
      case EDGE_SET, PALE ->
          new Whipping(
              stage == Stage.CHILL ? Stage.WHIP : Stage.WHIP_AGAIN, new Range(3, 5), false);
    };
  }

  private Whipping whipped(Look look) {
    return switch (look) {
      case STANDS -> new Whipping(Stage.STANDS, null, false);
      case PALE, EDGE_SET ->
          stage == Stage.WHIP
              ? new Whipping(Stage.CHILL_AGAIN, new Range(10, 15), false)
              : new Whipping(Stage.WHIP_AGAIN, new Range(2, 3), true);
      case LIQUID, MELTING -> new Whipping(Stage.CHILL_AGAIN, new Range(15, 25), true);
      case SET_THROUGH -> new Whipping(Stage.SOFTEN, new Range(10, 20), false);
    };
  }

  /** Growth by whipping, from 50 % towards what one has seen oneself. */
  public static Learned overrun(double... own) {
    return Learned.of(Formula.USUAL_OVERRUN, SPREAD, own);
  }
}
