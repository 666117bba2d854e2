package velvetcrock.house;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The authority that vouches for this house, made by {@code bin/start --house}. */
@Component
class Authority {
  private final String file;

  Authority(@Value("${velvetcrock.certificate:}") String file) {
    this.file = file;
  }

  /**
   * What a phone shows of its certificate before it is trusted: the SHA-256 of it, in pairs of hex
   * digits.
   *
   * @return empty where there is none
   * @throws IllegalStateException if what is there is no certificate
   */
  Optional<String> fingerprint() {
    if (file.isBlank()) {
      return Optional.empty();
    }
    try (InputStream pem = Files.newInputStream(Path.of(file))) {
      Certificate root = CertificateFactory.getInstance("X.509").generateCertificate(pem);
      byte[] hash = MessageDigest.getInstance("SHA-256").digest(root.getEncoded());
      return Optional.of(HexFormat.ofDelimiter(" ").withUpperCase().formatHex(hash));
    } catch (IOException | GeneralSecurityException e) {
      throw new IllegalStateException("The house’s certificate cannot be read: " + file, e);
    }
  }
}
