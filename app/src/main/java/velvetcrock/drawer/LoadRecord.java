package velvetcrock.drawer;

import java.util.UUID;
import velvetcrock.core.drawer.Drying;

/** A drying load with its state. */
public record LoadRecord(UUID id, Drying drying) {}
