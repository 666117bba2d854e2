package velvetcrock.core.outlook;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import velvetcrock.core.Problems;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;

/**
 * What is wanted by when, and from what.
 *
 * @param by the day it should be ready, not before today and within five years
 * @param carriers at least one; one without any date is taken as bought today
 * @param methods the ways to compare, at least one
 * @param oilPerHerb w/v ratio; empty for the smallest that covers, at least 1:5
 */
public record PlanOrder(
    Want want,
    LocalDate by,
    Herb herb,
    Part part,
    HerbState state,
    Cut cut,
    List<CarrierDates> carriers,
    List<Method> methods,
    OptionalDouble oilPerHerb,
    Purpose purpose,
    LocalDate today) {

  private static final int LONGEST_YEARS = 5;

  /** Checks what can be checked of itself. */
  public PlanOrder {
    carriers = carriers.stream().map(c -> dated(c, today)).toList();
    methods = methods.stream().distinct().toList();
    Problems problems = new Problems();
    problems.require(!by.isBefore(today), "by", "It should be ready today or later.");
    problems.require(
        ChronoUnit.DAYS.between(today, by) <= LONGEST_YEARS * 366L, "by", "Within five years.");
    problems.require(!carriers.isEmpty(), "carriers", "Name at least one carrier.");
    problems.require(!methods.isEmpty(), "methods", "Name at least one way.");
    problems.require(
        oilPerHerb.isEmpty()
            || oilPerHerb.getAsDouble() >= 0.001 && oilPerHerb.getAsDouble() <= 1000,
        "oilPerHerb",
        "Oil per herb is above 0 and at most 1000.");
    problems.refuseIfAny();
  }

  private static CarrierDates dated(CarrierDates carrier, LocalDate today) {
    Optional<LocalDate> own = carrier.ownDate();
    return own.isPresent()
        ? carrier
        : new CarrierDates(carrier.carrier(), carrier.share(), null, null, today);
  }
}
