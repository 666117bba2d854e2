package velvetcrock.pots;

import java.time.LocalDate;
import java.util.UUID;
import velvetcrock.core.melt.PotState;

/**
 * A pot with its dates.
 *
 * @param bestBefore the last day on which it is good; the same wherever it is shown
 */
public record PotRecord(
    UUID id, String code, PotState state, LocalDate madeOn, LocalDate bestBefore) {}
