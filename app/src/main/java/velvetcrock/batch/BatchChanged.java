package velvetcrock.batch;

import java.util.List;
import java.util.UUID;
import velvetcrock.core.jar.BatchReckoning.Reading;

/**
 * Something about a batch is otherwise than before; told once it is stored.
 *
 * @param readings temperatures that came in, in order; empty where anything else changed
 */
public record BatchChanged(
    UUID householdId, UUID batchId, String code, Change what, List<Reading> readings) {
  /** What changed. */
  public enum Change {
    /** Its log. */
    LOG,
    /** A few readings came in. */
    READINGS,
    /** A whole file of readings came in or went. */
    FILE
  }

  /** Copies the list. */
  public BatchChanged {
    readings = List.copyOf(readings);
  }
}
