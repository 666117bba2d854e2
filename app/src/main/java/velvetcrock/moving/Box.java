package velvetcrock.moving;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Refused;

/**
 * A packed household that somebody brings. Nothing in it is trusted: only files of names that are
 * known are opened, and no more of them is read than a household can have.
 */
final class Box implements AutoCloseable {
  /** A description, with a line for each photo. */
  private static final int MOST_DESCRIPTION = 64 << 20;

  /** As much as one file may hold, unpacked: some forty million readings. */
  private static final long MOST_BYTES = 4L << 30;

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final ZipFile zip;
  private final Map<String, JsonNode> described = new HashMap<>();

  private Box(ZipFile zip) {
    this.zip = zip;
  }

  /**
   * Opens one.
   *
   * @throws Refused at {@code box} if it is none, or of a form that is not known here
   */
  static Box of(Path file) throws IOException {
    ZipFile zip;
    try {
      zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8);
    } catch (java.util.zip.ZipException e) {
      throw new Refused("box", "That is not a file that Velvet Crock packed.");
    }
    Box box = new Box(zip);
    try {
      box.describe();
      return box;
    } catch (IOException | RuntimeException e) {
      box.close();
      throw e;
    }
  }

  private void describe() throws IOException {
    JsonNode all;
    try (InputStream in = open(Description.FILE, MOST_DESCRIPTION)) {
      all = JSON.readTree(in.readAllBytes());
    } catch (JacksonException e) {
      throw new Refused("box", "Its datapackage.json cannot be read.");
    }
    if (!Description.NAME.equals(all.path("name").stringValue(""))) {
      throw new Refused("box", "That is not a file that Velvet Crock packed.");
    }
    if (all.path("form").intValue(0) != Description.FORM) {
      throw new Refused(
          "box",
          "A newer Velvet Crock packed this. Bring this one up to date first, then try again.");
    }
    all.path("resources").forEach(r -> described.put(r.path("path").stringValue(""), r));
  }

  /** How many rows a table says it has. */
  long rows(Table table) {
    JsonNode said = described.get(table.path());
    return said == null ? 0 : Math.max(0, said.path("rows").longValue(0));
  }

  /** A table's file as text, and afterwards whether it is as it was packed. */
  Opened table(Table table) throws IOException {
    return new Opened(open(table.path(), MOST_BYTES), hash(table.path()));
  }

  /**
   * A photo.
   *
   * @throws Refused at {@code box} if it is not there or too large
   */
  byte[] photo(String id, int most) throws IOException {
    try (InputStream in = open("photos/" + id + ".jpg", most)) {
      return in.readAllBytes();
    }
  }

  private @Nullable String hash(String path) {
    JsonNode said = described.get(path);
    return said == null ? null : said.path("hash").stringValue(null);
  }

  private InputStream open(String path, long most) throws IOException {
    ZipEntry entry = zip.getEntry(path);
    if (entry == null) {
      throw new Refused("box", "It has no " + path + ".");
    }
    return new Bounded(zip.getInputStream(entry), path, most);
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }

  /** A file that is being read. */
  static final class Opened implements AutoCloseable {
    private final DigestInputStream in;
    private final @Nullable String hash;

    Opened(InputStream in, @Nullable String hash) {
      try {
        this.in = new DigestInputStream(in, MessageDigest.getInstance("SHA-256"));
      } catch (NoSuchAlgorithmException e) {
        throw new IllegalStateException(e);
      }
      this.hash = hash;
    }

    Reader text() {
      return new InputStreamReader(in, StandardCharsets.UTF_8);
    }

    /** Whether it was changed since it was packed; asked once all of it has been read. */
    boolean changed() {
      try {
        in.transferTo(java.io.OutputStream.nullOutputStream());
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
      String is = "sha256:" + HexFormat.of().formatHex(in.getMessageDigest().digest());
      return !is.equals(hash);
    }

    @Override
    public void close() throws IOException {
      in.close();
    }
  }

  /** Reads no more than may be there. */
  private static final class Bounded extends FilterInputStream {
    private final String path;
    private long left;

    Bounded(InputStream in, String path, long most) {
      super(in);
      this.path = path;
      this.left = most;
    }

    @Override
    public int read() throws IOException {
      int one = super.read();
      spend(one < 0 ? 0 : 1);
      return one;
    }

    @Override
    public int read(byte[] bytes, int from, int length) throws IOException {
      int read = super.read(bytes, from, length);
      spend(Math.max(0, read));
      return read;
    }

    private void spend(int bytes) {
      left -= bytes;
      if (left < 0) {
        throw new Refused("box", path + " is larger than a household can be.");
      }
    }
  }
}
