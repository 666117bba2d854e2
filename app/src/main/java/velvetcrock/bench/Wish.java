package velvetcrock.bench;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.drawer.LotRecord;
import velvetcrock.kitchen.Place;

/**
 * The bench's sentence as read: what was typed, as values.
 *
 * @param oilMl oil where it was said how full the jar is; empty where a ratio decides
 * @param oilPerHerb the ratio as it is thought of
 * @param jar the vessel; null for the jar that fits best
 * @param method a way of warming, or as cool as it stands
 * @param blended whether herb and oil are blended together
 */
record Wish(
    List<InHerb> herbs,
    List<InOil> oils,
    Optional<Range> oilMl,
    OilPerHerb oilPerHerb,
    @Nullable Jar jar,
    double coverMm,
    Place place,
    Purpose purpose,
    Method method,
    boolean blended,
    Optional<InSpirit> spirit,
    From from) {

  /**
   * What it goes back to.
   *
   * @param again code of the batch that this is another try of; empty for none
   * @param earlier the infused oil that is charged again
   * @param leftMl how much there is of it, ml; 0 where there is none
   */
  record From(String again, Optional<Earlier> earlier, double leftMl) {}

  /** Code of the batch that this is another try of; empty for none. */
  String again() {
    return from.again();
  }

  /** The infused oil that is charged again. */
  Optional<Earlier> earlier() {
    return from.earlier();
  }

  /**
   * The ratio as it is thought of.
   *
   * @param ratio oil per herb; null for the smallest that covers
   */
  record OilPerHerb(String ratioKind, @Nullable Double ratio) {}

  /**
   * A herb that goes in.
   *
   * @param portion in the middle of what it may weigh
   * @param massG what it may weigh, g
   * @param text what was typed for it
   */
  record InHerb(HerbPortion portion, Range massG, String text, Optional<LotRecord> lot) {
    @Nullable UUID lotId() {
      return lot.map(LotRecord::id).orElse(null);
    }
  }

  /** A carrier that goes in. */
  record InOil(Carrier carrier, double share, Optional<LotRecord> lot) {}

  /**
   * Spirit to dampen with.
   *
   * @param dose g to a g of herb
   */
  record InSpirit(double abvPercent, double dose, Optional<LotRecord> lot) {}

  /** The same with a share of herb and oil. */
  Wish share(double share) {
    return new Wish(
        herbs.stream()
            .map(
                h ->
                    new InHerb(
                        h.portion().withMassG(h.portion().massG() * share),
                        h.massG().times(share),
                        share == 1 ? h.text() : "",
                        h.lot()))
            .toList(),
        oils,
        oilMl.map(ml -> ml.times(share)),
        new Wish.OilPerHerb(oilPerHerb.ratioKind(), oilPerHerb.ratio()),
        jar,
        coverMm,
        place,
        purpose,
        method,
        blended,
        spirit,
        from);
  }

  /** For eating or for the skin. */
  Use use() {
    return purpose.use();
  }

  /** Whether it is fresh or wilted herb in oil that is to be eaten. */
  boolean freshForEating() {
    return use() == Use.KITCHEN
        && herbs.stream().anyMatch(h -> h.portion().state() != HerbState.DRIED);
  }

  /** The herbs as portions. */
  List<HerbPortion> portions() {
    return herbs.stream().map(InHerb::portion).toList();
  }

  /** What all herbs may weigh together, g. */
  Range herbG() {
    return herbs.stream().map(InHerb::massG).reduce(Range.exactly(0), Range::plus);
  }

  /** The carriers in their shares. */
  CarrierBlend blend() {
    return new CarrierBlend(
        oils.stream().map(o -> new CarrierBlend.Share(o.carrier(), o.share())).toList());
  }

  /**
   * The oil's temperature while it draws, °C: the method's where it is warmed, else the place's.
   */
  double drawsAtC() {
    return method.heated() || method == Method.SPIRIT ? method.celsius() : place.celsius();
  }
}
