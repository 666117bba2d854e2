package velvetcrock.batch;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The codes on lids. */
@Service
public class BatchCodes {
  private final BatchRepository batches;
  private final PromisedCodes promises;

  BatchCodes(BatchRepository batches, PromisedCodes promises) {
    this.batches = batches;
    this.promises = promises;
  }

  /** A code for a lid that nothing has and nothing waits for. */
  @Transactional(readOnly = true)
  public String fresh() {
    return LidCodes.fresh(code -> batches.existsByCode(code) || promises.promised(code));
  }

  /** The code that was promised, or a fresh one where none was or a batch has it by now. */
  String promisedOr(@Nullable String promised) {
    return promised == null || batches.existsByCode(promised) ? fresh() : promised;
  }
}
