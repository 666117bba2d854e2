package velvetcrock.batch;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.kitchen.VesselsInUse;

/** The vessels that the standing batches are in. */
@Component
class StandingVessels implements VesselsInUse {
  private final BatchRepository batches;

  StandingVessels(BatchRepository batches) {
    this.batches = batches;
  }

  @Override
  @Transactional(readOnly = true)
  public Count now() {
    List<String> used = batches.vesselsInUse();
    // batches charged before vessels had keys name theirs by what it is called
    return jar ->
        (int) used.stream().filter(v -> v.equals(jar.key()) || v.equals(jar.name())).count();
  }
}
