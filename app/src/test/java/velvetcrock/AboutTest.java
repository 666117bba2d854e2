package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.springframework.core.io.ClassPathResource;

/** What ships is named with its licence, whoever asks. */
class AboutTest extends AppTest {
  @Test
  void everythingThatShipsHasItsLicence() throws Exception {
    String page =
        mvc.perform(get("/licences"))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page).contains("htmx 2", "OFL-1.1").doesNotContain("licence not named");
    // Without a network the build writes no bill of materials.
    if (new ClassPathResource("META-INF/sbom/application.cdx.json").exists()) {
      assertThat(page).contains("Apache-2.0", "hipparchus-optim", "bcprov-jdk18on");
    }
    mvc.perform(get("/.well-known/security.txt")).andExpect(status().isNotFound());
  }
}
