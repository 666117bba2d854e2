package velvetcrock.core.outlook;

import java.time.LocalDate;
import java.util.List;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.materia.Method;

/**
 * One way to what is wanted.
 *
 * @param herbMassG herb to be charged, g
 * @param oilMl oil to be charged, ml, so that enough comes out
 * @param days from when to when
 * @param hours how long it draws, h
 * @param drawn how much is drawn, with its width; nothing where the oil would be solid
 * @param keepingSpentDays shelf life used while it draws, days at 20 °C in the dark
 * @param keeps what may be promised of its keeping, in a cool cupboard in full amber bottles
 * @param handsOnMinutes work in all, min
 * @param checks how often somebody has to look, shake or measure
 */
public record Way(
    Method method,
    double herbMassG,
    double oilMl,
    Days days,
    double hours,
    Pull drawn,
    double keepingSpentDays,
    Promise keeps,
    int handsOnMinutes,
    int checks,
    List<Caution> cautions) {

  /** Relative pull, 0–1. */
  public double pull() {
    return drawn.pull();
  }

  /**
   * From when to when.
   *
   * @param startOn the latest day to begin, or today if that has passed
   * @param readyOn the day it can be bottled
   * @param inTime whether that is by the day wanted
   */
  public record Days(LocalDate startOn, LocalDate readyOn, boolean inTime) {}
}
