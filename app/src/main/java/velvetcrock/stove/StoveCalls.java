package velvetcrock.stove;

import java.util.List;
import org.springframework.stereotype.Component;
import velvetcrock.kitchen.Households;
import velvetcrock.web.WorthCalling;

/** Pots that somebody should come to. */
@Component
class StoveCalls implements WorthCalling {
  private final StoveRows rows;
  private final Households households;

  StoveCalls(StoveRows rows, Households households) {
    this.rows = rows;
    this.households = households;
  }

  @Override
  public List<Call> calls() {
    return rows.all(households.formats(households.current())).stream()
        .filter(PotRow::alarm)
        .map(
            pot ->
                new Call(
                    "stove/" + pot.code(),
                    pot.code() + ": somebody should come to the stove",
                    "/stove/" + pot.code(),
                    true))
        .toList();
  }
}
