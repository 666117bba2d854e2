package velvetcrock.core.drawer;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.moisture.DryingCurve;
import velvetcrock.core.moisture.Moisture;

/**
 * A load that dries, as its log says it stands.
 *
 * @param begun how it began
 * @param begunAt when
 * @param waterFraction its water when it was fresh, as it is known by now, wet basis
 * @param weighings what it weighed when, oldest first
 * @param snap what it did when it was last bent; null if nobody has tried
 * @param putAway how it was put away; null while it is not
 * @param thrownOut whether it was given up
 */
public record Drying(
    DryingBegun begun,
    Instant begunAt,
    double waterFraction,
    List<Weighed> weighings,
    @Nullable Snap snap,
    @Nullable PutAway putAway,
    boolean thrownOut) {

  /** Water at which a herb counts as dry, wet basis (typical: crisp). */
  public static final double DRY = Herb.WATER_DRIED;

  /** A weighing. */
  public record Weighed(Instant at, double massG) {}

  /**
   * Folds a log.
   *
   * @param entries in any order, the first with how it began
   * @throws Refused at {@code amount} for a weighing that cannot be, at {@code snap} where it is
   *     put away without crumbling
   */
  public static Drying fold(List<Entry<DryingEvent>> entries) {
    return DryingLog.fold(new Log<>(entries));
  }

  void check() {
    try {
      DryingCurve.check(begun.freshG(), waterFraction, DRY, hours());
    } catch (Refused refused) {
      throw new Refused("amount", refused.problems().get(0).message());
    }
  }

  /** Whether it still dries. */
  public boolean standing() {
    return putAway == null && !thrownOut;
  }

  /** The weighings in hours since it began. */
  public List<DryingCurve.Weighing> hours() {
    return weighings.stream()
        .map(w -> new DryingCurve.Weighing(hoursAt(w.at()), w.massG()))
        .toList();
  }

  /** Hours since it began. */
  public double hoursAt(Instant at) {
    return Duration.between(begunAt, at).toSeconds() / 3600.0;
  }

  /** Its dry matter, g. */
  public double dryMatterG() {
    return begun.freshG() * (1 - waterFraction);
  }

  /** What it weighs when it is dry, g. */
  public double targetG() {
    return Moisture.of(begun.freshG(), waterFraction, DRY).targetMassG();
  }

  /** What it weighed last, g. */
  public double massG() {
    return weighings.isEmpty() ? begun.freshG() : weighings.get(weighings.size() - 1).massG();
  }

  /** Water at the last weighing, wet basis. */
  public double waterNow() {
    return Moisture.fractionOf(dryMatterG(), massG());
  }

  /** The curve fitted to its weighings; empty until one shows a loss. */
  public Optional<DryingCurve> curve() {
    boolean lost =
        weighings.stream().anyMatch(w -> w.massG() < begun.freshG() && w.at().isAfter(begunAt));
    return lost
        ? Optional.of(DryingCurve.fit(begun.freshG(), waterFraction, DRY, hours()))
        : Optional.empty();
  }

  /** Hours from its beginning at which it should be dry, by its curve or by what is usual. */
  public Range dryAtHours() {
    return curve()
        .map(
            c -> {
              double last = hours().get(weighings.size() - 1).hours();
              return c.hoursLeftRange().plus(Range.exactly(last));
            })
        .orElseGet(() -> DryingCurve.expectedHours(begun.way(), waterFraction, DRY));
  }

  /**
   * What it should weigh, g, by the hours since its beginning: by its curve or by what is usual.
   */
  public DoubleUnaryOperator massByHours() {
    double fresh = begun.freshG();
    double dry = dryMatterG();
    return curve()
        .<DoubleUnaryOperator>map(c -> hours -> c.massAt(hours, fresh, dry))
        .orElseGet(() -> hours -> DryingCurve.expectedMassAt(begun.way(), hours, fresh, dry));
  }

  /**
   * Its water once it crumbles: by the scale where that agrees, else what is usual of a crisp herb,
   * because what was thought of its fresh water is the less certain of the two.
   */
  public double waterWhenCrisp() {
    double weighed = waterNow();
    return weighed <= Moisture.BOUND ? weighed : DRY;
  }

  /** What its fresh water must have been, if it is crisp at what it weighed last; wet basis. */
  public double freshWaterIfCrisp() {
    return 1 - massG() * (1 - DRY) / begun.freshG();
  }
}
