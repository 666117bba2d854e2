package velvetcrock.core.caution;

import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Set;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.moisture.Moisture;

/** The facts about what is planned, in the words of {@code rules.csv}. */
final class Facts {
  private static final double FRIDGE_C = 4;
  private static final double WARM_C = 38;
  private static final double HOT_C = 50;
  private static final double NEAR_BOILING_C = 90;
  private static final double FRYING_C = 100;

  private final Set<String> facts = new LinkedHashSet<>(Set.of("any"));

  private Facts() {}

  static Set<String> of(Situation situation) {
    Facts facts = new Facts();
    facts.covering(situation.charge());
    facts.contents(situation.order());
    facts.heat(situation);
    facts.note(situation.light() == Light.WINDOW, "light:window");
    situation
        .additions()
        .forEach(
            a -> facts.facts.add("with:" + a.name().toLowerCase(Locale.ROOT).replace('_', '-')));
    facts.note(
        situation.additions().contains(Situation.Addition.WEAK_SPIRIT)
            || situation.additions().contains(Situation.Addition.SPIRIT_WATER),
        "with:spirit");
    return facts.facts;
  }

  /** The facts that stay true of a bottle. */
  static Set<String> ofContents(ChargeOrder order) {
    Facts facts = new Facts();
    facts.contents(order);
    return facts.facts;
  }

  private void note(boolean holds, String fact) {
    if (holds) {
      facts.add(fact);
    }
  }

  private void covering(Charge charge) {
    note(!charge.covers(), "not-covered");
    charge
        .levels()
        .ifPresent(
            levels -> {
              note(!levels.fits(), "too-full");
              note(charge.covers() && levels.coverMm() < ChargeOrder.THIN_COVER_MM, "thin-cover");
            });
    note(charge.waterPercentOfOil() > Charge.WATER_OIL_CAN_HOLD_PERCENT, "free-water");
  }

  private void contents(ChargeOrder order) {
    for (HerbPortion herb : order.herbs()) {
      herb.herb().cautions().forEach(tag -> facts.add("herb:" + tag));
      note(!herb.herb().edible(), "herb-not-edible");
      note(herb.state() == HerbState.DRIED, "state:dried");
      note(herb.state() != HerbState.DRIED, "state:wet");
      note(herb.state() == HerbState.DRIED && herb.waterFraction() > Moisture.BOUND, "leathery");
    }
    for (CarrierBlend.Share share : order.carriers().shares()) {
      note(!share.carrier().edible(), "carrier:not-edible");
    }
  }

  private void heat(Situation situation) {
    double celsius = situation.infusesAtC();
    note(celsius < WARM_C, "heat:cold");
    note(celsius < WARM_C && celsius > FRIDGE_C, "heat:room");
    note(celsius >= WARM_C, "heat:warm");
    note(celsius >= HOT_C, "heat:hot");
    note(celsius > NEAR_BOILING_C, "heat:near-boiling");
    note(celsius >= FRYING_C, "heat:frying");
    note(
        situation.order().herbs().stream().anyMatch(h -> celsius > h.herb().drawing().ceilingC()),
        "heat:over-herb");
    note(
        situation.order().carriers().shares().stream().anyMatch(s -> s.carrier().solidAt(celsius)),
        "carrier:solid");
    note(
        celsius >= WARM_C
            && situation.order().carriers().shares().stream()
                .anyMatch(s -> s.carrier().solidAt(Carrier.ROOM_C)),
        "carrier:melted");
  }
}
