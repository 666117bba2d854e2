package velvetcrock.plans;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.outlook.SafeFor;
import velvetcrock.core.outlook.School;
import velvetcrock.core.outlook.Timetable;
import velvetcrock.web.Formats;

/**
 * A plan as it was decided.
 *
 * @param plant the herb as it is taken
 * @param way how it is drawn
 * @param amounts what is wanted and what goes in
 * @param jars how many of which vessel, by key
 * @param lots what is to be taken from which lot
 * @param outcome what comes of it and what it costs
 */
record PlanDetails(
    List<Thing> things,
    @JsonUnwrapped PlanHerb plant,
    String carrier,
    @JsonUnwrapped PlanWay way,
    @JsonUnwrapped PlanAmounts amounts,
    Map<String, Integer> jars,
    List<FromLot> lots,
    List<SafeFor> safeFor,
    @JsonUnwrapped PlanOutcome outcome) {

  /** The herb as it is taken. */
  record PlanHerb(String herb, Part part, Cut cut, HerbState state) {}

  /**
   * How it is drawn.
   *
   * @param hours how long it draws, h
   */
  record PlanWay(Method method, School school, double hours) {}

  /**
   * What is wanted and what goes in.
   *
   * @param needMl infused oil that it takes, ml
   */
  record PlanAmounts(
      double needMl, double herbG, double oilPerHerb, double oilMl, double spiritMl) {}

  /**
   * What comes of it and what it costs.
   *
   * @param costMinor what it costs in hundredths, as far as prices are known
   * @param unpriced whether some of it has no known price
   */
  record PlanOutcome(double pull, LocalDate bestBefore, long costMinor, boolean unpriced) {}

  /** What is to be taken of a lot, in its unit. */
  record FromLot(UUID lot, double amount, @Nullable String what) {}

  /** Copies. */
  PlanDetails {
    things = List.copyOf(things);
    jars = Map.copyOf(jars);
    lots = List.copyOf(lots);
    safeFor = List.copyOf(safeFor);
  }

  /** What follows on its bottling. */
  Timetable.Making making() {
    return Timetable.Making.of(Thing.want(things));
  }

  /** What is wanted, in words. */
  String words(Formats fmt) {
    return things.stream().map(t -> t.words(fmt)).collect(Collectors.joining(", "));
  }

  /** Whether it is for eating. */
  boolean eaten() {
    return safeFor.contains(SafeFor.KITCHEN);
  }
}
