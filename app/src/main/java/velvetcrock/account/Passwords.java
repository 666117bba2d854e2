package velvetcrock.account;

import java.text.Normalizer;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import velvetcrock.web.Turns;

/**
 * Keeps passwords as Argon2id, composed alike whatever keyboard typed them; what was kept as bcrypt
 * is still known, and kept anew at the next sign-in. An Argon2 takes 16 MiB while it runs, so few
 * run at once and the others wait.
 */
final class Passwords implements PasswordEncoder {
  private static final String ARGON = "argon2";
  private static final int AT_ONCE = 3;

  private final Turns turns = new Turns(AT_ONCE);
  private final DelegatingPasswordEncoder encoders;

  Passwords() {
    PasswordEncoder bcrypt = new BCryptPasswordEncoder();
    encoders =
        new DelegatingPasswordEncoder(
            ARGON,
            Map.of(
                ARGON, Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8(), "bcrypt", bcrypt));
    encoders.setDefaultPasswordEncoderForMatches(bcrypt);
  }

  @Override
  public @Nullable String encode(@Nullable CharSequence password) {
    return turns.take(() -> encoders.encode(composed(password)));
  }

  @Override
  public boolean matches(@Nullable CharSequence password, @Nullable String kept) {
    String composed = composed(password);
    return turns.take(
        () ->
            encoders.matches(composed, kept)
                || !composed.contentEquals(String.valueOf(password))
                    && encoders.matches(password, kept));
  }

  @Override
  public boolean upgradeEncoding(@Nullable String kept) {
    return encoders.upgradeEncoding(kept);
  }

  private static String composed(@Nullable CharSequence password) {
    return Normalizer.normalize(password == null ? "" : password, Normalizer.Form.NFC);
  }
}
