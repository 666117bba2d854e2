package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import velvetcrock.moving.MovingHand;

/**
 * A household grows old, and no page asks the database for more than it did before. What is printed
 * of a herb is not among them: that is all there is of it, up to the most that a print holds; nor
 * is the page that ends a household, which asks once who ever wrote in it.
 */
class AgeTest extends AppTest {
  private static final String ASKED =
      """
      select queryid, query, calls, rows, shared_blks_hit + shared_blks_read from pg_stat_statements s join pg_roles r on r.oid = s.userid
      where r.rolname = 'velvetcrock_app' and query <> 'select $1'""";

  private final JdbcTemplate owner = TestCluster.shared().owner();

  /** Of statements by their numbers: constants in them stand out at times, and not at others. */
  private final Map<Long, String> texts = new HashMap<>();

  @Autowired MovingHand hand;

  @Autowired
  @Qualifier("requestMappingHandlerMapping")
  RequestMappingHandlerMapping routes;

  /**
   * How often a statement was asked, how many rows came or went, and in how many blocks they were
   * looked for.
   */
  private record Asked(long times, long rows, long blocks) {
    private static final Asked NEVER = new Asked(0, 0, 0);

    /** Where twice as much lies, a search by a key may go a little deeper. */
    private static final double DEEPER = 1.3;

    private static final int BLOCKS_MORE = 500;

    /** The planner may look for each row by its key, where it read a small table whole before. */
    private static final int BLOCKS_A_ROW = 3;

    Asked least(Asked other) {
      return new Asked(
          Math.min(times, other.times), Math.min(rows, other.rows), Math.min(blocks, other.blocks));
    }

    Asked plus(Asked other) {
      return new Asked(times + other.times, rows + other.rows, blocks + other.blocks);
    }

    boolean moreThan(Asked before) {
      return times > before.times
          || rows > before.rows
          || blocks > before.blocks * DEEPER + BLOCKS_MORE + BLOCKS_A_ROW * rows;
    }
  }

  @Test
  void noPageAsksForMoreAsTheYearsGoBy() throws Exception {
    moveInWithEverything();
    Real real = new Real(owner, house.id());
    List<String> pages = new ArrayList<>(real.looks(routes));
    pages.remove("/erase");
    String standing =
        real.one("select code from batch where status = 'INFUSING' and household_id = ?");
    pages.addAll(
        List.of(
            "/batches/" + standing,
            "/batches/" + standing + "/strain",
            "/stove/" + standing,
            "/journal?words=shaken",
            "/journal?herb=yarrow",
            "/cellar?by=oil",
            "/cellar?by=herb",
            "/cellar?herb=yarrow",
            "/print/year?year=" + today().getYear()));
    owner.execute("create extension if not exists pg_stat_statements");
    owner.execute(new ClassPathResource("aged.sql").getContentAsString(StandardCharsets.UTF_8));
    age(1, 100); // more than any page shows of a kind
    lookAt(pages);
    Map<String, Map<String, Asked>> before = new HashMap<>();
    for (String page : pages) {
      before.put(page, oneVisit(page));
    }
    age(101, 101); // all that, twice

    lookAt(pages);
    List<String> grown = new ArrayList<>();
    for (String page : pages) {
      grown.addAll(grown(page, before.get(page)));
    }
    assertThat(String.join("\n", grown)).isEmpty();
    assertThat(before.values().stream().filter(a -> a.containsKey("answered 200")))
        .hasSizeGreaterThan(90);
  }

  /** What a page asks more than before, at each of three visits: others ask besides. */
  private List<String> grown(String page, Map<String, Asked> was) throws Exception {
    Map<String, Asked> is = oneVisit(page);
    for (int again = 0; again < 2 && total(is).moreThan(total(was)); again++) {
      Map<String, Asked> once = oneVisit(page);
      is.replaceAll((sql, asked) -> asked.least(once.getOrDefault(sql, Asked.NEVER)));
    }
    if (!total(is).moreThan(total(was))) {
      return List.of();
    }
    List<String> said = new ArrayList<>(List.of(page + ": " + total(was) + ", now " + total(is)));
    is.forEach(
        (sql, asked) -> {
          if (asked.moreThan(was.getOrDefault(sql, Asked.NEVER))) {
            said.add("    " + was.get(sql) + " now " + asked + " " + sql);
          }
        });
    return said;
  }

  private static Asked total(Map<String, Asked> asked) {
    return asked.values().stream().reduce(Asked.NEVER, Asked::plus);
  }

  private void moveInWithEverything() {
    UUID demo =
        owner.queryForObject(
            "select id from household where demo and name like 'Keeper%'", UUID.class);
    byte[] packed = as(new Somebody(demo, "Ailsa"), hand::pack);
    assertThat(as(keeper, () -> hand.unpack(packed, true)).good()).isTrue();
    owner.update("update household set name = 'Old' where id = ?", house.id());
  }

  private void age(int first, int last) {
    owner.queryForList("select age_household(?, ?, ?, 30)", house.id(), first, last);
    owner.execute("analyze");
  }

  private Map<String, Asked> oneVisit(String page) throws Exception {
    owner.queryForList("select pg_stat_statements_reset()");
    Map<String, Asked> asked = new HashMap<>();
    asked.put("answered " + look(page), new Asked(1, 0, 0));
    owner.query(
        ASKED,
        row -> {
          texts.putIfAbsent(row.getLong(1), row.getString(2));
          asked.put(
              texts.get(row.getLong(1)), new Asked(row.getLong(3), row.getLong(4), row.getLong(5)));
        });
    return asked;
  }

  /** What is kept in memory is fetched, and calendars are told. */
  private void lookAt(List<String> pages) throws Exception {
    for (String page : pages) {
      look(page);
    }
  }

  private int look(String page) throws Exception {
    return mvc.perform(get(URI.create(page)).with(authentication(signedIn(keeper))))
        .andReturn()
        .getResponse()
        .getStatus();
  }
}
