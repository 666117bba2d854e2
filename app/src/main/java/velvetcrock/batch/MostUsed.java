package velvetcrock.batch;

import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.UsedFirst;

/**
 * The herbs and oils that a household charged most often in its newest jars, for the heads of its
 * lists.
 */
@Component
class MostUsed implements UsedFirst {
  private static final String USED =
      """
      with newest as (select state -> 'charge' as charge from batch
        where household_id = ? order by created_at desc, id limit 100)
      select key from (
        select h ->> 'herb' as key from newest, jsonb_array_elements(charge -> 'herbs') h
        union all
        select o ->> 'carrier' from newest, jsonb_array_elements(charge -> 'carriers') o) used
      group by key order by count(*) desc, key""";

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;

  MostUsed(JdbcTemplate jdbc, CurrentHousehold current) {
    this.jdbc = jdbc;
    this.current = current;
  }

  @Override
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<String> keys() {
    return jdbc.queryForList(USED, String.class, current.id());
  }
}
