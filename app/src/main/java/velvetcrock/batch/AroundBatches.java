package velvetcrock.batch;

import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import velvetcrock.core.Problems;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Surroundings;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;

/** The current household, as entries about a batch ask for it. */
@Component
class AroundBatches implements Surroundings {
  private final Catalogues catalogues;
  private final Households households;
  private final LotTaker lots;
  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;

  AroundBatches(
      Catalogues catalogues,
      Households households,
      LotTaker lots,
      JdbcTemplate jdbc,
      CurrentHousehold current) {
    this.catalogues = catalogues;
    this.households = households;
    this.lots = lots;
    this.jdbc = jdbc;
    this.current = current;
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
  public void own(Belonging what, @Nullable String id, String field, Problems problems) {
    if (id == null) {
      return;
    }
    String sql =
        switch (what) {
          case HEATER -> "select count(*) from appliance where household_id = ? and id::text = ?";
          case PHOTO -> "select count(*) from look_photo where household_id = ? and id::text = ?";
          case TRIAL -> "select count(*) from trial where household_id = ? and id::text = ?";
          case BATCH -> "select count(*) from batch where household_id = ? and code = ?";
        };
    Long found = jdbc.queryForObject(sql, Long.class, current.id(), id);
    problems.require(
        found != null && found > 0, field, "There is nothing of that name in your household.");
  }

  @Override
  public Stand place(Stand named) {
    return households.place(named.place()).stand();
  }
}
