package velvetcrock.drawer;

import java.util.UUID;
import velvetcrock.core.drawer.Lot;

/** A lot with its state. */
public record LotRecord(UUID id, Lot lot) {}
