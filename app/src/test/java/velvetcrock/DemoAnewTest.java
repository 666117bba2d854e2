package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.sql.Timestamp;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import velvetcrock.erasure.ClearedTables;

/** The demo is of today for whoever enters it, and one button puts it back. */
class DemoAnewTest extends AppTest {
  private final JdbcTemplate jdbc = TestCluster.shared().owner();
  private UUID demo;
  private Somebody ailsa;

  @BeforeEach
  void demo() {
    demo =
        jdbc.queryForObject(
            "select id from household where demo and name like 'Keeper%'", UUID.class);
    ailsa = new Somebody(demo, "Ailsa");
  }

  private List<UUID> ids() {
    return jdbc.queryForList(
        "select id from batch where household_id = ? order by id", UUID.class, demo);
  }

  private long rows(String table) {
    return jdbc.queryForObject(
        "select count(*) from " + table + " where household_id = ?", Long.class, demo);
  }

  private void enter() throws Exception {
    mvc.perform(post("/demo").with(csrf())).andExpect(redirectedUrl("/"));
  }

  @Test
  void enteredOnALaterDayItIsMadeAnewAndOnTheSameDayLeftAsItIs() throws Exception {
    enter();
    List<UUID> before = ids();
    enter();
    assertThat(ids()).isEqualTo(before);

    Instant yesterday = Instant.now().minus(30, ChronoUnit.HOURS);
    jdbc.update(
        "update household set furnished_at = ? where id = ?", Timestamp.from(yesterday), demo);
    String mine = charge(3);
    enter();

    assertThat(ids()).hasSameSizeAs(before).doesNotContainAnyElementsOf(before);
    visit(ailsa, "/").andExpect(status().isOk());
    assertThat(as(keeper, () -> batches.find(mine)).code()).isEqualTo(mine);
  }

  @Test
  void oneButtonPutsItBackAndNobodyElseHasIt() throws Exception {
    enter();
    long products = rows("product");
    send(ailsa, "/kitchen/settings", "household", "My own", "zone", "Europe/Oslo", "kitchen", "US");
    send(ailsa, "/demo/anew").andExpect(redirectedUrl("/"));
    send(ailsa, "/demo/anew")
        .andExpect(flash().attribute("problem", containsString("a moment ago")));

    assertThat(rows("product")).isEqualTo(products);
    assertThat(jdbc.queryForObject("select name from household where id = ?", String.class, demo))
        .isEqualTo("Keeper’s cottage");
    send(keeper, "/demo/anew").andExpect(status().isNotFound());
  }

  /** A table that is added later is cleared too, or said to stay. */
  @Test
  void everyTableWithAHouseholdIsCleared() {
    List<String> tables =
        jdbc.queryForList(
            "select c.relname from pg_class c join pg_attribute a on a.attrelid = c.oid"
                + " and a.attname = 'household_id' where c.relkind in ('r', 'p')"
                + " and not c.relispartition and c.relnamespace = 'public'::regnamespace",
            String.class);
    assertThat(ClearedTables.known()).containsAll(tables);
  }
}
