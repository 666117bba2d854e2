package velvetcrock.batch;

import java.time.Instant;
import velvetcrock.core.jar.PotHeat;

/** Whoever keeps a batch's course of temperature at hand, so that no page reads it anew. */
public interface HeatWatch {
  /** What the course of a batch amounts to at a moment. */
  PotHeat heat(BatchRecord batch, Instant now);

  /** The same to be shown: of very many readings as it was last known, until they are read. */
  PotHeat shown(BatchRecord batch, Instant now);
}
