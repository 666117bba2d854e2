package velvetcrock.core.outlook;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Speed;

/**
 * A way from the drawer to what is wanted, laid into the household's hours.
 *
 * @param herb the herb as it is taken
 * @param amounts what goes into the jars
 * @param outcome what comes of it
 * @param jars the vessels; empty where the empty ones do not hold it
 * @param times how long and when
 * @param bill what is taken from which lot, what is missing and what it costs
 * @param missing what the drawer lacks
 * @param obstacles what rules it out; empty if nothing does
 */
public record Route(
    Method method,
    School school,
    CutHerb herb,
    Amounts amounts,
    Outcome outcome,
    Optional<JarChoice> jars,
    Times times,
    Supply.Bill bill,
    Missing missing,
    List<Caution> cautions,
    List<Obstacle> obstacles) {

  /** The herb as it is taken. */
  public record CutHerb(HerbState state, Cut cut) {}

  /**
   * What goes into the jars.
   *
   * @param herbMassG herb to charge, g
   * @param oilPerHerb w/v ratio, ml/g
   * @param oilMl oil to charge, ml, so that enough comes out
   * @param spiritMl spirit to dampen the herb with, ml; 0 by any other method
   */
  public record Amounts(double herbMassG, double oilPerHerb, double oilMl, double spiritMl) {}

  /**
   * What comes of it.
   *
   * @param strength against a dried 1:5, which is 1
   * @param drawn how much is drawn, with its width; nothing where the oil would be solid
   * @param speed how fast the herb gives here
   * @param keepingSpentDays shelf life used while it draws, days
   * @param keeps what may be promised of its keeping, in a cool cupboard in full amber bottles; for
   *     eating in the fridge
   */
  public record Outcome(
      double strength, Pull drawn, Speed speed, double keepingSpentDays, Promise keeps) {
    /** Relative pull, 0–1. */
    public double pull() {
      return drawn.pull();
    }
  }

  /**
   * How long and when.
   *
   * @param hours how long it draws, h; on the heat where it is heated
   * @param timetable its steps; empty where nobody is at home for long enough
   * @param strainFrom the first day on which it may be strained
   * @param strainUntil the day by which it should be strained
   */
  public record Times(
      double hours, Optional<Timetable> timetable, LocalDate strainFrom, LocalDate strainUntil) {}

  /**
   * What the drawer lacks.
   *
   * @param herbMissingG herb that the drawer lacks, g
   * @param oilMissingMl oil that the drawer lacks, ml
   * @param spiritMissingMl spirit that the drawer lacks, ml
   */
  public record Missing(double herbMissingG, double oilMissingMl, double spiritMissingMl) {}

  /** Copies. */
  public Route {
    cautions = List.copyOf(cautions);
    obstacles = List.copyOf(obstacles);
  }

  /** Whether nothing rules it out. */
  public boolean fits() {
    return obstacles.isEmpty();
  }

  /** What rules it out of a kind. */
  public Optional<Obstacle> obstacle(Obstacle.Kind kind) {
    return obstacles.stream().filter(o -> o.kind() == kind).findFirst();
  }

  /** Whether all that is wrong with it is that it comes too late. */
  public boolean onlyLate() {
    return obstacles.size() == 1 && obstacles.get(0).kind() == Obstacle.Kind.LATE;
  }
}
