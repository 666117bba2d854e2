package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * The database chooses anew how it answers as its tables grow, and with that in which order those
 * rows come that the question leaves equal. No page tells them otherwise for that.
 */
class AnyPlanTest extends AppTest {
  /** What it must not do: once it sorts as little as it can, once as much. */
  private static final List<List<String>> WITHOUT =
      List.of(
          List.of("enable_sort", "enable_indexscan", "enable_bitmapscan", "enable_nestloop"),
          List.of("enable_hashagg", "enable_seqscan", "enable_hashjoin"));

  private final JdbcTemplate owner = TestCluster.shared().owner();

  @Autowired HikariDataSource lines;

  @Autowired
  @Qualifier("requestMappingHandlerMapping")
  RequestMappingHandlerMapping routes;

  private void without(List<String> ways) {
    owner.execute(
        Stream.concat(Stream.of("reset all"), ways.stream().map(way -> "set " + way + " = off"))
            .map(setting -> "alter role velvetcrock_app " + setting)
            .collect(Collectors.joining("; ")));
    lines.getHikariPoolMXBean().softEvictConnections();
  }

  @AfterEach
  void asBefore() {
    without(List.of());
  }

  /** What is held is compared with what is asked anew, in tests: where it differs, a page fails. */
  @Test
  void whateverWayTheDatabaseTakesTheAnswerIsTheSame() throws Exception {
    UUID demo =
        owner.queryForObject(
            "select id from household where demo and name like 'Keeper%'", UUID.class);
    Somebody ailsa = new Somebody(demo, "Ailsa");
    List<String> findings = new ArrayList<>();
    for (String path : ofManyThings(new Real(owner, demo))) {
      for (List<String> ways : WITHOUT) {
        without(ways);
        look(ailsa, path, findings);
      }
    }
    assertThat(findings).isEmpty();
  }

  /** Pages of many things, and of one what is asked of many. */
  private List<String> ofManyThings(Real real) {
    Set<String> all = new TreeSet<>(Set.of("/drawer/of/HERB/yarrow"));
    routes.getHandlerMethods().keySet().stream()
        .flatMap(route -> route.getPatternValues().stream())
        .filter(pattern -> !pattern.contains("{") && !pattern.startsWith("/api"))
        .forEach(all::add);
    all.retainAll(real.looks(routes));
    return List.copyOf(all);
  }

  private void look(Somebody who, String path, List<String> findings) {
    try {
      if (visit(who, path).andReturn().getResponse().getStatus() >= 500) {
        findings.add(path);
      }
    } catch (Exception failed) {
      findings.add(path + ": " + NestedExceptionUtils.getMostSpecificCause(failed).getMessage());
    }
  }
}
