package velvetcrock.core.caution;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.keeping.Keeper;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.moisture.Moisture;
import velvetcrock.core.spirit.SpiritStep;

/** The facts about one thing, in the words of {@code rules.csv}, and the codes of its contents. */
public final class Facts {
  /** The code of what nobody has said the dangers of: it counts as the stricter. */
  public static final String OWN_UNKNOWN = "own-unknown";

  private static final double WARM_C = Keeper.WARMED_C;
  private static final double HOT_C = 50;

  private final About about;
  private final Purpose purpose;
  private final Set<String> facts = new LinkedHashSet<>(Set.of("any"));
  private final List<String> codes = new ArrayList<>();

  private Facts(About about, Purpose purpose) {
    this.about = about;
    this.purpose = purpose;
  }

  /** No fact yet of a thing, whatever it is for. */
  public static Facts about(About about) {
    return new Facts(about, Purpose.SKIN);
  }

  /** The facts of what is planned, with the cautions of its herbs and oils. */
  static Facts of(Situation situation) {
    Facts facts = new Facts(About.PLAN, situation.purpose());
    facts.covering(situation.charge());
    facts.contents(situation.order());
    situation
        .order()
        .herbs()
        .forEach(h -> Lookalikes.of(h.herb().key()).ifPresent(facts.codes::add));
    facts.heat(situation);
    facts.note(situation.light() == Light.WINDOW, "light:window");
    situation.additions().forEach(a -> facts.note(true, "with:" + word(a)));
    facts.note(
        situation.additions().contains(Situation.Addition.WEAK_SPIRIT)
            || situation.additions().contains(Situation.Addition.SPIRIT_WATER),
        "with:spirit");
    return facts;
  }

  /** The facts that stay true of a bottle. */
  public static Facts ofLabel(ChargeOrder order, Purpose purpose, Collection<Hazard> hazards) {
    Facts facts = new Facts(About.LABEL, purpose);
    facts.contents(order);
    return facts.carrying(hazards);
  }

  /** The facts of a best-before. */
  static Facts of(Keeping keeping, Use use) {
    boolean byItself =
        switch (keeping.decidedBy()) {
          case CARRIER_DATE, EARLIER_OIL, AGEING, TWELVE_MONTHS, TWENTY_FOUR_MONTHS_FRIDGE -> true;
          case FREE_WATER,
              KITCHEN_FRESH,
              KITCHEN_FROZEN,
              STOOD_WARM,
              KITCHEN_DRIED,
              KITCHEN_NOT_IN_FRIDGE ->
              false;
        };
    return new Facts(About.KEEPING, Purpose.of(use))
        .note(true, "decided:" + word(keeping.decidedBy()))
        .note(byItself && keeping.startDays() <= 0, "spent")
        .note(keeping.leftOut(), "left-out");
  }

  /** The facts of a pot on the heat. */
  static Facts of(PotOnHeat pot) {
    Appliance heater = pot.heater();
    boolean fire =
        heater != null
            && (heater.burner() && !(heater == Appliance.ELECTRIC_PLATE && pot.bath())
                || heater == Appliance.OVEN
                || heater == Appliance.DEHYDRATOR);
    return about(About.POT)
        .note(pot.spirit() && fire, "spirit:fire")
        .note(pot.spirit() && !fire, "spirit:near")
        .note(pot.celsius() >= HeatGoal.FRYING_C, "heat:frying")
        .note(pot.bath() && pot.celsius() > HeatGoal.BATH_CEILING_C, "bath:too-hot")
        .note(pot.bathLow(), "bath:low");
  }

  /**
   * The facts of a course of temperatures.
   *
   * @param peakC the hottest of it, °C
   */
  public static Facts ofTrace(double peakC) {
    boolean frying = peakC >= HeatGoal.FRYING_C;
    return about(About.TRACE)
        .note(frying, "heat:frying")
        .note(!frying && peakC > HeatGoal.BATH_CEILING_C, "heat:near-boiling");
  }

  /**
   * The facts of a spirit step.
   *
   * @param abvPercent its strength, % vol
   * @param waterPercentOfOil water that it brings, % of the oil's weight
   */
  public static Facts ofSpirit(double abvPercent, double waterPercentOfOil) {
    return about(About.SPIRIT)
        .note(abvPercent < SpiritStep.WEAK_ABV, "with:weak-spirit")
        .note(waterPercentOfOil > Charge.WATER_OIL_CAN_HOLD_PERCENT, "with:spirit-water");
  }

  /** Adds a fact where it holds. */
  public Facts note(boolean holds, String fact) {
    if (holds) {
      facts.add(fact);
    }
    return this;
  }

  /** Adds what was wrong with its oil. */
  public Facts carrying(Collection<Hazard> hazards) {
    hazards.forEach(hazard -> facts.add(hazard.fact()));
    return this;
  }

  /** Adds whom something in it is kept from. */
  public Facts keptFrom(ForWhom.Mark mark) {
    ForWhom.fact(mark).ifPresent(facts::add);
    return this;
  }

  /** Adds the codes that its contents bring by their own rows of data. */
  public Facts bringing(Collection<String> theirs) {
    codes.addAll(theirs);
    return this;
  }

  About about() {
    return about;
  }

  Purpose purpose() {
    return purpose;
  }

  Set<String> all() {
    return Set.copyOf(facts);
  }

  boolean holds(String fact) {
    return facts.contains(fact);
  }

  List<String> codes() {
    return List.copyOf(codes);
  }

  /** The word of a constant as the rules write it. */
  public static String word(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
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
    note(charge.water().waterPercentOfOil() > Charge.WATER_OIL_CAN_HOLD_PERCENT, "free-water");
  }

  private void contents(ChargeOrder order) {
    for (HerbPortion herb : order.herbs()) {
      keptFrom(ForWhom.shipped().of(herb.herb().key(), purpose));
      keptFrom(
          herb.herb().cautions().contains(OWN_UNKNOWN) ? ForWhom.Mark.AWAY : ForWhom.Mark.NONE);
      herb.herb().cautions().forEach(tag -> facts.add("herb:" + tag));
      codes.addAll(herb.herb().cautions());
      note(!herb.herb().edible(), "herb-not-edible");
      note(herb.state() == HerbState.DRIED, "state:dried");
      note(herb.state() != HerbState.DRIED, "state:wet");
      note(herb.state() == HerbState.DRIED && herb.waterFraction() > Moisture.BOUND, "leathery");
    }
    for (CarrierBlend.Share share : order.carriers().shares()) {
      keptFrom(ForWhom.shipped().of(share.carrier().key(), purpose));
      note(!share.carrier().edible(), "carrier:not-edible");
      String allergen = share.carrier().allergen();
      if (!allergen.isEmpty()) {
        codes.add(allergen.replace(' ', '-'));
      }
    }
  }

  private void heat(Situation situation) {
    double celsius = situation.infusesAtC();
    note(celsius < WARM_C, "heat:cold");
    note(celsius < WARM_C && celsius > Store.Place.FRIDGE.celsius(), "heat:room");
    note(celsius >= WARM_C, "heat:warm");
    note(celsius >= HOT_C, "heat:hot");
    note(celsius > HeatGoal.BATH_CEILING_C, "heat:near-boiling");
    note(celsius >= HeatGoal.FRYING_C, "heat:frying");
    note(
        situation.order().herbs().stream()
            .anyMatch(h -> celsius > h.herb().handling().drawing().ceilingC()),
        "heat:over-herb");
    note(
        celsius >= WARM_C
            && situation.order().carriers().shares().stream()
                .anyMatch(s -> s.carrier().shortLived()),
        "carrier:turns-in-heat");
    note(situation.order().carriers().tooSolidAt(celsius), "carrier:solid");
    note(
        celsius >= WARM_C
            && situation.order().carriers().setsNearC().orElse(Double.NEGATIVE_INFINITY)
                >= Store.Place.COOL.celsius(),
        "carrier:melted");
  }
}
