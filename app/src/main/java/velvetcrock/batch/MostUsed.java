package velvetcrock.batch;

import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.UsedFirst;

/** The herbs and oils that a household charges most often, for the heads of its lists. */
@Component
class MostUsed implements UsedFirst {
  private static final String USED =
      """
      select key from (
        select h ->> 'herb' as key from batch b, jsonb_array_elements(b.state -> 'charge' -> 'herbs') h
          where b.household_id = ?
        union all
        select o ->> 'carrier' from batch b, jsonb_array_elements(b.state -> 'charge' -> 'carriers') o
          where b.household_id = ?) used
      group by key order by count(*) desc, key""";

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;

  MostUsed(JdbcTemplate jdbc, CurrentHousehold current) {
    this.jdbc = jdbc;
    this.current = current;
  }

  @Override
  @Transactional(readOnly = true)
  public List<String> keys() {
    return jdbc.queryForList(USED, String.class, current.id(), current.id());
  }
}
