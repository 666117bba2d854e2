package velvetcrock.core.outlook;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import velvetcrock.core.Problems;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;

/**
 * What is wanted by when, for whom, and from what.
 *
 * @param by the day by whose evening it should be ready; one in the past is late by every way
 * @param cut the cut at hand
 * @param carriers at least one; one without any date is taken as bought today
 * @param oilPerHerb w/v ratio for the school that weighs; empty for the smallest that covers
 * @param now the household's clock
 */
public record WantOrder(
    Want want,
    LocalDate by,
    Herb herb,
    Part part,
    Cut cut,
    List<CarrierDates> carriers,
    Set<SafeFor> safeFor,
    Supply supply,
    Hours hours,
    OptionalDouble oilPerHerb,
    LocalDateTime now) {
  private static final int LONGEST_YEARS = 5;

  /**
   * Checks what can be checked of itself.
   *
   * @throws velvetcrock.core.Refused at {@code by}, {@code carriers} or {@code oilPerHerb}
   */
  public WantOrder {
    LocalDate today = now.toLocalDate();
    carriers = carriers.stream().map(c -> dated(c, today)).toList();
    safeFor = Set.copyOf(safeFor);
    Problems problems = new Problems();
    problems.require(
        !by.isAfter(today.plusYears(LONGEST_YEARS)),
        "by",
        () -> "Within five years; " + by + " was read.");
    problems.require(!carriers.isEmpty(), "carriers", "Name at least one carrier.");
    problems.require(
        oilPerHerb.isEmpty() || oilPerHerb.getAsDouble() > 0 && oilPerHerb.getAsDouble() <= 1000,
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

  /** The carriers in their shares. */
  CarrierBlend blend() {
    return new CarrierBlend(
        carriers.stream().map(c -> new CarrierBlend.Share(c.carrier(), c.share())).toList());
  }

  /** How it is kept: for eating or for the skin. */
  public Use use() {
    return safeFor.contains(SafeFor.KITCHEN) ? Use.KITCHEN : Use.SKIN;
  }

  /** What the cautions are asked for: what it must be safe for, else the skin in general. */
  List<Purpose> purposes() {
    List<Purpose> asked =
        safeFor.stream().sorted().map(SafeFor::purpose).flatMap(Optional::stream).toList();
    return asked.contains(Purpose.KITCHEN)
        ? asked
        : Stream.concat(Stream.of(Purpose.SKIN), asked.stream()).toList();
  }
}
