package velvetcrock.web;

import java.io.ByteArrayOutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.CRC32C;
import java.util.zip.Checksum;
import org.jspecify.annotations.Nullable;

/**
 * A page as it was sent, but for what is new each time: the token against forgery, and the keys of
 * its forms.
 */
final class SamePage {
  /** A character for each byte: nothing is decoded, and what is looked for is found quickly. */
  static final Charset AS_BYTES = StandardCharsets.ISO_8859_1;

  private static final int BYTES_OF_A_TAG = 18;

  private final List<byte[]> text = new ArrayList<>();

  /** What stands behind each text but the last: 0 for the token, n for the n-th key. */
  private final List<Integer> holes = new ArrayList<>();

  private final int keys;
  private final int size;
  private volatile @Nullable String content;

  /**
   * A page that was sent.
   *
   * @param html its bytes, a character each ({@link #AS_BYTES}); what is new each time is ASCII
   * @param token against forgery, as it stands in its forms
   * @param keys that its forms were given
   */
  SamePage(String html, String token, List<String> keys) {
    this.keys = keys.size();
    int from = 0;
    for (Hole hole : Hole.in(html, newEachTime(token, keys))) {
      text.add(html.substring(from, hole.from()).getBytes(AS_BYTES));
      holes.add(hole.word());
      from = hole.to();
    }
    text.add(html.substring(from).getBytes(AS_BYTES));
    this.size = text.stream().mapToInt(part -> part.length).sum();
  }

  /** The words that are new with each page: the token, then the keys. */
  static List<String> newEachTime(String token, List<String> keys) {
    return Stream.concat(Stream.of(token), keys.stream()).toList();
  }

  /** How much it is, bytes. */
  int size() {
    return size;
  }

  /** The page with a token, and with keys that nothing was written under. */
  byte[] with(String token) {
    List<byte[]> fill = new ArrayList<>();
    fill.add(token.getBytes(StandardCharsets.US_ASCII));
    for (int i = 0; i < keys; i++) {
      fill.add(UUID.randomUUID().toString().getBytes(StandardCharsets.US_ASCII));
    }
    ByteArrayOutputStream page = new ByteArrayOutputStream(size + 200 * holes.size());
    for (int i = 0; i < text.size(); i++) {
      page.writeBytes(text.get(i));
      if (i < holes.size()) {
        page.writeBytes(fill.get(holes.get(i)));
      }
    }
    return page.toByteArray();
  }

  /**
   * Names what a browser may hold of it: the same page, nothing written since, and a token that is
   * still good.
   */
  String tag(String... goodFor) {
    MessageDigest digest = digest();
    digest.update(content().getBytes(StandardCharsets.US_ASCII));
    digest.update(String.join("\n", goodFor).getBytes(StandardCharsets.UTF_8));
    byte[] tag = new byte[BYTES_OF_A_TAG];
    System.arraycopy(digest.digest(), 0, tag, 0, BYTES_OF_A_TAG);
    return "W/\"" + Base64.getUrlEncoder().encodeToString(tag) + "\"";
  }

  /**
   * Tells this content from any that the page had before: two sums of 32 bits, which the processor
   * makes itself. Only pages that a browser may hold are asked for it.
   */
  private String content() {
    String known = content;
    if (known == null) {
      Checksum one = new CRC32();
      Checksum other = new CRC32C();
      text.forEach(one::update);
      text.forEach(other::update);
      known = one.getValue() + " " + other.getValue();
      content = known;
    }
    return known;
  }

  private static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
