package velvetcrock.core.keeping;

import static velvetcrock.core.Figures.plain;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.Problems;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.HerbState;

/**
 * Everything that decides how long an oil keeps.
 *
 * @param carriers at least one, each of 5 % or more with at least one date
 * @param freeWater whether water came in that was not driven out again
 * @param infusing where it stood until it was strained
 * @param stored where it has stood since, oldest first, without the place where it stands now
 * @param store where it stands now
 * @param before what the oil was before; {@code chargedOn} is then when it was first charged
 */
public record KeepingOrder(
    LocalDate chargedOn,
    LocalDate strainedOn,
    List<CarrierDates> carriers,
    HerbState herbState,
    boolean freeWater,
    Use use,
    List<InfusingLeg> infusing,
    List<StoredLeg> stored,
    Store store,
    Optional<Before> before) {
  /** Of oil that was not infused before. */
  public KeepingOrder(
      LocalDate chargedOn,
      LocalDate strainedOn,
      List<CarrierDates> carriers,
      HerbState herbState,
      boolean freeWater,
      Use use,
      List<InfusingLeg> infusing,
      List<StoredLeg> stored,
      Store store) {
    this(
        chargedOn,
        strainedOn,
        carriers,
        herbState,
        freeWater,
        use,
        infusing,
        stored,
        store,
        Optional.empty());
  }

  /**
   * A life that the oil had before it was charged again.
   *
   * @param name which oil it was
   * @param days how long that was, from its first charging to this one
   * @param spentDays shelf life used in it, days at 20 °C in the dark
   * @param goodUntil its own date, which it does not outlive
   */
  public record Before(String name, double days, double spentDays, LocalDate goodUntil) {}

  /** Share from which a carrier's own date counts. */
  public static final double COUNTING_SHARE = 0.05;

  /**
   * A stretch in store that is over.
   *
   * @param days how long, not negative
   * @param name how it stood, in words
   */
  public record StoredLeg(Store store, double days, String name) {
    /** Named by how it stood. */
    public StoredLeg(Store store, double days) {
      this(store, days, store.words());
    }
  }

  /**
   * Checks that it can be reckoned.
   *
   * @throws velvetcrock.core.Refused at {@code strainedOn}, {@code carriers} or {@code
   *     carriers[i]…}, all problems together
   */
  public KeepingOrder {
    carriers = List.copyOf(carriers);
    infusing = List.copyOf(infusing);
    stored = List.copyOf(stored);
    Problems problems = new Problems();
    problems.require(
        !strainedOn.isBefore(chargedOn),
        "strainedOn",
        () -> "It was strained on " + strainedOn + ", before it was charged on " + chargedOn + ".");
    problems.require(!carriers.isEmpty(), "carriers", "Name at least one carrier.");
    double total = carriers.stream().mapToDouble(CarrierDates::share).sum();
    for (int i = 0; i < carriers.size(); i++) {
      CarrierDates carrier = carriers.get(i);
      String at = "carriers[" + i + "]";
      problems.require(carrier.share() > 0, at + ".share", "Each share is above 0.");
      problems.require(
          carrier.share() / total < COUNTING_SHARE || carrier.ownDate().isPresent(),
          at + ".bestBefore",
          () ->
              carrier.carrier().name()
                  + " needs a date: its best-before, when it was opened, or when it was pressed or bought.");
      problems.require(
          use == Use.SKIN || carrier.carrier().edible(),
          at + ".carrier",
          () -> carrier.carrier().name() + " is not an oil for eating.");
    }
    problems.refuseIfAny();
  }

  /**
   * An infusion in one place and light from charging to straining.
   *
   * @throws velvetcrock.core.Refused at {@code trace} if it lasts longer than the infusion, whose
   *     last day counts whole
   */
  public static List<InfusingLeg> oneLeg(
      LocalDate chargedOn, LocalDate strainedOn, Trace trace, Light light) {
    double mostHours = (ChronoUnit.DAYS.between(chargedOn, strainedOn) + 1) * 24.0;
    Problems problems = new Problems();
    problems.require(
        strainedOn.isBefore(chargedOn) || trace.hours() <= mostHours,
        "trace",
        () ->
            "A trace of "
                + plain(trace.hours())
                + " h is longer than the infusion, which lasted at most "
                + plain(mostHours)
                + " h.");
    problems.refuseIfAny();
    double hours = Math.max(0, ChronoUnit.DAYS.between(chargedOn, strainedOn)) * 24.0;
    return List.of(new InfusingLeg("infusing", hours, trace, light));
  }

  /** The same, stored otherwise from now on. */
  public KeepingOrder withStore(Store other) {
    return with(freeWater, other);
  }

  /** The same with water in it or without, stored so from now on. */
  public KeepingOrder with(boolean wet, Store other) {
    return new KeepingOrder(
        chargedOn, strainedOn, carriers, herbState, wet, use, infusing, stored, other, before);
  }
}
