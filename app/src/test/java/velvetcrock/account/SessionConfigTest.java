package velvetcrock.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.core.convert.support.GenericConversionService;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.web.servlet.FlashMap;

/** Out of a stored session comes what we put there, and nothing else. */
class SessionConfigTest {
  private final GenericConversionService kept =
      new SessionConfig().springSessionConversionService();

  private Object throughTheStore(Object thing) {
    return kept.convert(kept.convert(thing, byte[].class), Object.class);
  }

  @Test
  void aSignInComesBackWithoutItsPassword() {
    MemberDetails ailsa =
        new MemberDetails(
            new Member(
                UUID.randomUUID(), "ailsa", "Ailsa", "{argon2}secret", Role.MEMBER, Instant.EPOCH));
    var in =
        new SecurityContextImpl(
            UsernamePasswordAuthenticationToken.authenticated(ailsa, null, List.of()));

    var back = (SecurityContextImpl) throughTheStore(in);

    MemberDetails who = (MemberDetails) back.getAuthentication().getPrincipal();
    assertThat(who).isEqualTo(ailsa);
    assertThat(who.displayName()).isEqualTo("Ailsa");
    assertThat(who.getPassword()).isNull();
    FlashMap said = new FlashMap();
    said.put("notice", "Taken back.");
    assertThat(throughTheStore(List.of(said))).isEqualTo(List.of(said));
  }

  @Test
  void anythingElseIsNotLetIn() {
    assertThat(throughTheStore(new File("/etc/passwd"))).isNull();
    assertThat(throughTheStore(new java.util.ArrayList<>(List.of(new File("/"))))).isNull();
    assertThat(kept.convert("no object at all".getBytes(), Object.class)).isNull();
    assertThat(throughTheStore("x".repeat(100_000))).isNull();
  }
}
