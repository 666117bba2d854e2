package velvetcrock.plans;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.batch.PromisedCodes;
import velvetcrock.drawer.Promises;
import velvetcrock.kitchen.VesselsInUse;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;

/** What the open plans have promised to themselves: codes, vessels, and parts of lots. */
@Component
class PromisedThings implements PromisedCodes, Promises, VesselsInUse {
  private final PlanRepository plans;
  private final JsonMapper json;

  PromisedThings(PlanRepository plans, JsonMapper json) {
    this.plans = plans;
    this.json = json;
  }

  @Override
  @Transactional(readOnly = true)
  public boolean promised(String code) {
    return plans.existsByCode(code);
  }

  @Override
  @HeldUntilChanged(HouseholdPart.PLANS)
  @Transactional(readOnly = true)
  public Map<UUID, Double> promised() {
    Map<UUID, Double> promised = new HashMap<>();
    plans.promised().forEach(row -> promised.put((UUID) row[0], (Double) row[1]));
    return promised;
  }

  @Override
  @Transactional(readOnly = true)
  public Count now() {
    Map<String, Integer> vessels = new HashMap<>();
    List<PlanRow> open = plans.findByStatusOrderByBeginsAtAscCodeAsc(PlanRow.Status.OPEN);
    open.forEach(
        row ->
            json.readValue(row.details(), PlanDetails.class)
                .jars()
                .forEach((key, count) -> vessels.merge(key, count, Integer::sum)));
    return jar -> vessels.getOrDefault(jar.key(), 0);
  }
}
