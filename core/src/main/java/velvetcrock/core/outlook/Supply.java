package velvetcrock.core.outlook;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.materia.HerbState;

/**
 * What there is to make it from.
 *
 * @param shopping whether what is missing may be bought or gathered
 * @param herbs the herb's lots, those to be used first in front, g
 * @param oil the carrier's lots, those to be used first in front, ml
 * @param spirit lots of spirit, ml
 * @param abvPercent how strong the spirit is, % vol
 * @param jars vessels that stand empty
 * @param appliances what oil can be kept warm on
 */
public record Supply(
    boolean shopping,
    List<Stock> herbs,
    List<Stock> oil,
    List<Stock> spirit,
    double abvPercent,
    List<JarChoice.Free> jars,
    Set<Appliance> appliances) {
  private static final double ENOUGH = 1e-6;

  /**
   * A lot.
   *
   * @param lot names it
   * @param state of a herb; null for anything else
   * @param amount what is in it and promised to nothing, g or ml
   * @param minorPerUnit what a gram or a millilitre of it cost, in hundredths; empty if not known
   */
  public record Stock(
      String lot, @Nullable HerbState state, double amount, OptionalDouble minorPerUnit) {}

  /** What is to be taken from a lot, g or ml. */
  public record Taking(String lot, double amount) {}

  /**
   * What is taken for an amount wanted.
   *
   * @param missing what the lots lack, g or ml
   * @param minor what it costs in hundredths, the missing at what the last lot cost
   * @param unpriced what of it has no known price, wholly or partly
   */
  public record Bill(List<Taking> takings, double missing, double minor, Set<Goods> unpriced) {
    static final Bill NOTHING = new Bill(List.of(), 0, 0, Set.of());

    Bill plus(Bill other) {
      List<Taking> both = new ArrayList<>(takings);
      both.addAll(other.takings);
      return new Bill(
          List.copyOf(both),
          missing + other.missing,
          minor + other.minor,
          union(unpriced, other.unpriced));
    }

    private static Set<Goods> union(Set<Goods> one, Set<Goods> other) {
      Set<Goods> both = EnumSet.noneOf(Goods.class);
      both.addAll(one);
      both.addAll(other);
      return Collections.unmodifiableSet(both);
    }
  }

  /** What is bought for a batch. */
  public enum Goods {
    /** The herb. */
    HERB,
    /** The carrier oil. */
    OIL,
    /** The spirit that dampens it. */
    SPIRIT
  }

  /** Copies. */
  public Supply {
    herbs = List.copyOf(herbs);
    oil = List.copyOf(oil);
    spirit = List.copyOf(spirit);
    jars = List.copyOf(jars);
    appliances = Set.copyOf(appliances);
  }

  /** Everything can be bought, there are jars enough and every appliance: for a first idea. */
  public static Supply anything(List<JarChoice.Free> jars) {
    return new Supply(true, List.of(), List.of(), List.of(), 96, jars, Set.of(Appliance.values()));
  }

  /** The herb's lots in a state. */
  List<Stock> herbs(HerbState state) {
    return herbs.stream().filter(s -> s.state() == state).toList();
  }

  /** Takes an amount from lots in their order. */
  static Bill bill(Goods goods, List<Stock> lots, double wanted) {
    List<Taking> takings = new ArrayList<>();
    double left = wanted;
    double minor = 0;
    boolean unpriced = false;
    for (Stock lot : lots) {
      double taken = Math.min(left, lot.amount());
      if (taken > ENOUGH) {
        takings.add(new Taking(lot.lot(), taken));
        minor += taken * lot.minorPerUnit().orElse(0);
        unpriced |= lot.minorPerUnit().isEmpty();
        left -= taken;
      }
    }
    if (left <= ENOUGH) {
      return new Bill(List.copyOf(takings), 0, minor, unpriced ? Set.of(goods) : Set.of());
    }
    OptionalDouble known =
        lots.stream().map(Stock::minorPerUnit).flatMapToDouble(OptionalDouble::stream).findFirst();
    return new Bill(
        List.copyOf(takings),
        left,
        minor + left * known.orElse(0),
        unpriced || known.isEmpty() ? Set.of(goods) : Set.of());
  }
}
