package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.demo.Rehearsal;

/** Whoever follows the links of the demo comes everywhere, and no link leads nowhere. */
class RehearsalTest extends AppTest {
  @Autowired Rehearsal rehearsal;

  @Test
  void itGoesThroughTheWholeHouse() {
    Map<String, Integer> seen = rehearsal.run();

    assertThat(seen)
        .hasSizeBetween(100, 200)
        .allSatisfy((path, status) -> assertThat(status).as(path).isEqualTo(200));
    assertThat(seen.keySet())
        .contains("/bench", "/round", "/stove", "/cellar", "/plans/new", "/products", "/trials")
        .anyMatch(path -> path.matches("/batches/\\w+/strain"))
        .anyMatch(path -> path.matches("/stove/[A-Z0-9]+"))
        .anyMatch(path -> path.matches("/products/recipes/[0-9a-f-]+/1.json"));
  }
}
