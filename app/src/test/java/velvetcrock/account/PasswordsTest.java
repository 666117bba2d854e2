package velvetcrock.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;

/** Passwords of any script, kept slowly, and none that anybody would try first. */
class PasswordsTest {
  private final Passwords passwords = new Passwords();

  private static void check(String password) {
    Problems problems = new Problems();
    PasswordRules.check(password, "ailsa", "password", problems);
    problems.refuseIfAny();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "a long enough password",
        "пароль с острова",
        "島の灯台守の台所の秘密の言葉",
        "🫙🌿🛢️🔥🧴🕯️🌙⚓🦭🐚🪨🌾",
        "correct-heather-tips-9"
      })
  void anyScriptWillDo(String password) {
    assertThatCode(() -> check(password)).doesNotThrowAnyException();
    String kept = passwords.encode(password);
    assertThat(kept).startsWith("{argon2}").doesNotContain(password);
    assertThat(passwords.matches(password, kept)).isTrue();
    assertThat(passwords.matches(password + "x", kept)).isFalse();
  }

  @Test
  void twoHundredCharactersAllCount() {
    String long200 = "ab cd ef g".repeat(19) + "0123456789";
    assertThatCode(() -> check(long200)).doesNotThrowAnyException();
    String kept = passwords.encode(long200);
    assertThat(passwords.matches(long200, kept)).isTrue();
    assertThat(passwords.matches(long200.substring(0, 199) + "x", kept)).isFalse();
    assertThatThrownBy(() -> check(long200 + "1"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("this one has 201");
    assertThat(PasswordRules.possible("x".repeat(240_000))).isFalse();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "password1234!",
        "Password2026",
        "passwordpassword",
        "qwertyqwerty",
        "123456789012",
        "aaaaaaaaaaaaaaa",
        "ailsaailsaailsa",
        "ailsa12345678"
      })
  void whatIsTriedFirstIsRefused(String password) {
    assertThatThrownBy(() -> check(password))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("among the first");
  }

  @Test
  void elevenAreTooFew() {
    assertThatThrownBy(() -> check("heather tip"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("this one has 11");
  }

  /** One keyboard sends an e with its accent, another an e and an accent. */
  @Test
  void whateverKeyboardTypedIt() {
    String kept = passwords.encode("caf\u00e9 on the cliff");
    assertThat(passwords.matches("cafe\u0301 on the cliff", kept)).isTrue();
  }

  @Test
  void whatWasKeptBeforeIsKnownAndKeptAnew() {
    String kept = new BCryptPasswordEncoder(4).encode("a long enough password");
    assertThat(passwords.matches("a long enough password", kept)).isTrue();
    assertThat(passwords.upgradeEncoding(kept)).isTrue();
    assertThat(passwords.upgradeEncoding(passwords.encode("another long password"))).isFalse();
  }
}
