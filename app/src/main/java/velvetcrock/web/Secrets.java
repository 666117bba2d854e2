package velvetcrock.web;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** Unguessable texts and the hashes under which they are kept. */
public final class Secrets {
  private static final int BYTES = 32;
  private static final SecureRandom RANDOM = new SecureRandom();

  private Secrets() {}

  /** A new secret of 256 random bits, safe in an address. */
  public static String fresh() {
    byte[] bytes = new byte[BYTES];
    RANDOM.nextBytes(bytes);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }

  /** SHA-256 of a secret; enough for one that cannot be guessed, unlike a password. */
  public static String hash(String secret) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
