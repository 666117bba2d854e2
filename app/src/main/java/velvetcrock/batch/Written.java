package velvetcrock.batch;

import java.io.Serializable;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * An entry that is in the log for good.
 *
 * @param repeated whether it had been written before under the same key, and so was not again
 * @param by who wrote it first
 * @param shorts where a lot held less than went in; the rest came from elsewhere
 * @param also codes of other batches that it happened to as well
 */
public record Written(
    UUID entryId,
    String code,
    int number,
    boolean repeated,
    String by,
    Instant writtenAt,
    List<Short> shorts,
    List<String> also)
    implements Serializable {

  /**
   * A lot that held less than was wanted of it.
   *
   * @param wanted in the unit of the lot
   * @param taken what there was
   */
  public record Short(UUID lot, double wanted, double taken) implements Serializable {}

  Written and(List<String> others) {
    return new Written(entryId, code, number, repeated, by, writtenAt, shorts, others);
  }
}
