package velvetcrock.batch;

import org.springframework.stereotype.Component;
import velvetcrock.core.Problems;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Surroundings;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;

/** The current household, as entries about a batch ask for it. */
@Component
class AroundBatches implements Surroundings {
  private final Catalogues catalogues;
  private final Households households;
  private final LotTaker lots;

  AroundBatches(Catalogues catalogues, Households households, LotTaker lots) {
    this.catalogues = catalogues;
    this.households = households;
    this.lots = lots;
  }

  @Override
  public void herb(String key, String field, Problems problems) {
    problems.attempt(field, () -> catalogues.current().herb(key));
  }

  @Override
  public void carrier(String key, String field, Problems problems) {
    problems.attempt(field, () -> catalogues.current().carrier(key));
  }

  @Override
  public void lots(Charged charged, Problems problems) {
    lots.check(charged, problems);
  }

  @Override
  public Stand place(Stand named) {
    return households.place(named.place()).stand();
  }
}
