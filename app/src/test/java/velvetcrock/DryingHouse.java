package velvetcrock;

import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;

/** A household that dries its herbs. */
abstract class DryingHouse extends AppTest {
  /** Hangs up 200 g of fresh yarrow twenty days ago with so much percent of water; its page. */
  String hangUp(String waterPercent) throws Exception {
    return send(
            keeper,
            "/drawer/drying",
            "herb",
            "yarrow",
            "way",
            "BUNCH",
            "cut",
            "CUT",
            "amount",
            "200 g",
            "water",
            waterPercent,
            "origin",
            "GROWN",
            "begunOn",
            today().minusDays(20).toString(),
            "key",
            UUID.randomUUID().toString())
        .andExpect(status().is3xxRedirection())
        .andReturn()
        .getResponse()
        .getRedirectedUrl();
  }
}
