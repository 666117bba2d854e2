package velvetcrock.batch;

import java.time.Clock;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.heat.Thinned;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;

/** Lets most readings go of jars that are done, where their household wants that. */
@Component
class ThinnedReadings {
  private final ReadingStore store;
  private final Batches batches;
  private final Households households;
  private final Catalogues catalogues;
  private final TransactionTemplate transactions;
  private final Clock clock;

  ThinnedReadings(
      ReadingStore store,
      Batches batches,
      Households households,
      Catalogues catalogues,
      TransactionTemplate transactions,
      Clock clock) {
    this.store = store;
    this.batches = batches;
    this.households = households;
    this.catalogues = catalogues;
    this.transactions = transactions;
    this.clock = clock;
  }

  /** Of the current household, each jar in a transaction of its own. Returns how many went. */
  int thin() {
    return households
        .current()
        .keepsReadings()
        .before(clock.instant())
        .map(before -> transactions.execute(status -> store.toThin(before)))
        .map(Objects::requireNonNull)
        .orElse(List.of())
        .stream()
        .mapToInt(code -> Objects.requireNonNull(transactions.execute(status -> thin(code))))
        .sum();
  }

  private int thin(String code) {
    BatchRecord batch = batches.find(code);
    HeatGoal goal = new BatchReckoning(catalogues.current(), batch.state()).heatGoal();
    return store.thin(
        batch.id(),
        all -> Thinned.of(all, goal.band().lowC(), goal.band().highC(), goal.ceilingC()));
  }
}
