package velvetcrock.pots;

import java.time.LocalDate;
import java.util.UUID;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.core.melt.PotRules;
import velvetcrock.core.melt.PotState;

/**
 * A pot with its dates.
 *
 * @param bestBefore the last day on which the first of its tins is good; the same wherever it is
 *     shown
 */
public record PotRecord(
    UUID id, String code, PotState state, LocalDate madeOn, LocalDate bestBefore) {
  /** The last day on which the tins of a group are good. */
  public LocalDate bestBefore(PotEvent.Group group) {
    return PotRules.keeping(state, group, madeOn).bestBefore();
  }
}
