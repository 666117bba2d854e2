package velvetcrock.core.making;

import velvetcrock.core.Problems;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Powder;
import velvetcrock.core.materia.Wax;

/**
 * A part of a product.
 *
 * @param kind what sort of thing it is
 * @param key its key in the catalogue
 * @param massG weight, g, above 0
 * @param hardness its part in the hardness at 20 °C
 * @param density g/ml when set
 * @param meltsC melting point, °C; that of a powder is none
 */
public record Ingredient(
    Kind kind, String key, double massG, double hardness, double density, double meltsC) {

  private static final double HEAVIEST_G = 100_000;
  private static final double COCONUT_MELTS_C = 24;

  /** Sorts of things. */
  public enum Kind {
    /** A liquid oil, or coconut. */
    OIL,
    /** A butter: solid at room temperature. */
    BUTTER,
    /** A wax. */
    WAX,
    /** A powder. */
    POWDER,
    /** What is stirred in at the end: vitamin E, or something wet. */
    EXTRA
  }

  /**
   * Checks the weight.
   *
   * @throws velvetcrock.core.Refused at {@code massG}
   */
  public Ingredient {
    Problems problems = new Problems();
    problems.require(
        massG >= 0.001 && massG <= HEAVIEST_G,
        "massG",
        () -> "It weighs more than nothing and at most 100 kg; " + massG + " g was read.");
    problems.refuseIfAny();
  }

  /**
   * An oil or butter.
   *
   * @param usedAtC where the product is used: coconut is liquid above 24 °C and then counts for
   *     nothing
   */
  public static Ingredient of(Carrier carrier, double massG, double usedAtC) {
    boolean melted =
        carrier.body().meltsC() > Carrier.ROOM_C
            && carrier.body().meltsC() < 30
            && usedAtC > COCONUT_MELTS_C;
    return new Ingredient(
        carrier.body().meltsC() >= 30 ? Kind.BUTTER : Kind.OIL,
        carrier.key(),
        massG,
        melted ? 0 : carrier.hardness(),
        carrier.body().density20(),
        carrier.body().meltsC());
  }

  /**
   * An infused oil: its hardness and density are those of its carriers, by their shares.
   *
   * @param key what names it, such as the code on its bottle
   */
  public static Ingredient of(String key, CarrierBlend carriers, double massG, double usedAtC) {
    double density = carriers.densityAt(Carrier.ROOM_C);
    double hardness = 0;
    boolean liquid = false;
    for (CarrierBlend.Share share : carriers.shares()) {
      Ingredient one = of(share.carrier(), massG, usedAtC);
      hardness += share.share() * share.carrier().body().density20() / density * one.hardness();
      liquid |= one.kind() == Kind.OIL;
    }
    return new Ingredient(
        liquid ? Kind.OIL : Kind.BUTTER,
        key,
        massG,
        hardness,
        density,
        carriers.setsNearC().orElseGet(carriers::meltedAboveC));
  }

  /** Something stirred in at the end; it counts for no hardness. */
  public static Ingredient of(Extra extra, double massG) {
    return new Ingredient(
        Kind.EXTRA, extra.key(), massG, 0, extra.density(), Double.NEGATIVE_INFINITY);
  }

  /** A wax. */
  public static Ingredient of(Wax wax, double massG) {
    return new Ingredient(
        Kind.WAX, wax.key(), massG, wax.hardness(), wax.densitySolid(), wax.meltsC());
  }

  /** A powder; its grains count at 1.5 g/ml (typical of starch). */
  public static Ingredient of(Powder powder, double massG) {
    return new Ingredient(
        Kind.POWDER, powder.key(), massG, powder.hardness(), 1.5, Double.NEGATIVE_INFINITY);
  }

  /** The same in another weight. */
  public Ingredient withMassG(double grams) {
    return new Ingredient(kind, key, grams, hardness, density, meltsC);
  }
}
