package velvetcrock.web;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.jpeg.JpegDirectory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.multipart.MultipartFile;
import velvetcrock.core.Refused;
import velvetcrock.core.colour.Rgb;

/**
 * A picture as it is kept: small, upright, in sRGB and with no metadata.
 *
 * <ol>
 *   <li>Taken are JPEG and PNG, told by their first bytes and not by their names.
 *   <li>At most {@value #MOST_BYTES} bytes, {@value #LONGEST_SIDE} px a side and {@value
 *       #MOST_PIXELS} px in all, or {@value #MOST_PROGRESSIVE_PIXELS} of a progressive JPEG, as its
 *       header says before anything is decoded.
 *   <li>Decoding reads every n-th pixel, so that memory follows the small picture and not the large
 *       one, and is broken off after {@value #MOST_SECONDS} s.
 *   <li>Metadata is passed over by the decoder; only a JPEG's orientation is read, to turn it
 *       upright.
 * </ol>
 */
public final class Picture {
  /** 10 MB. */
  static final int MOST_BYTES = 10_000_000;

  static final int LONGEST_SIDE = 12_000;
  static final long MOST_PIXELS = 50_000_000;

  /** A progressive JPEG is held whole while it is decoded. */
  static final long MOST_PROGRESSIVE_PIXELS = 16_000_000;

  static final int MOST_SECONDS = 10;

  /** How wide or high a kept picture is at most, px. */
  static final int KEPT_PX = 960;

  /** Radius of what a tap averages, as a share of the width. */
  private static final double TAP = 0.02;

  /** What the decoder warns of in lower case where a JPEG’s data end too soon. */
  private static final String CUT_OFF = "premature end";

  private static final int HEADER_BYTES = 256 * 1024;

  private static final ExecutorService DECODERS =
      Executors.newFixedThreadPool(
          2,
          run -> {
            Thread thread = new Thread(run, "picture");
            thread.setDaemon(true);
            return thread;
          });

  private final BufferedImage image;

  private Picture(BufferedImage image) {
    this.image = image;
  }

  /**
   * Takes in what somebody sent.
   *
   * @throws Refused at {@code photo} if it is no picture that can be taken
   */
  static Picture sent(byte[] bytes) {
    if (bytes.length == 0) {
      throw new Refused("photo", "Choose a picture, a JPEG or a PNG.");
    }
    if (bytes.length > MOST_BYTES) {
      throw tooLarge();
    }
    String format = format(bytes);
    Header header = format.equals("jpeg") ? Header.of(bytes) : new Header(1, false);
    ImageReader reader = ImageIO.getImageReadersByFormatName(format).next();
    Future<BufferedImage> decoding =
        DECODERS.submit(
            () ->
                decoded(
                    reader, bytes, header.progressive() ? MOST_PROGRESSIVE_PIXELS : MOST_PIXELS));
    try {
      BufferedImage small = decoding.get(MOST_SECONDS, TimeUnit.SECONDS);
      return new Picture(upright(small, header.orientation()));
    } catch (TimeoutException e) {
      reader.abort();
      decoding.cancel(true);
      throw new Refused("photo", "That picture takes too long to read. Send it as a plain JPEG.");
    } catch (ExecutionException e) {
      if (e.getCause() instanceof Refused refused) {
        throw refused;
      }
      throw broken();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw broken();
    }
  }

  /**
   * Takes in a file that somebody sent.
   *
   * @param file null where there was none
   * @throws Refused at {@code photo} if it is no picture that can be taken
   */
  public static Picture sent(@Nullable MultipartFile file) {
    if (file == null) {
      throw new Refused("photo", "Choose a picture, a JPEG or a PNG.");
    }
    if (file.getSize() > MOST_BYTES) {
      throw tooLarge();
    }
    try {
      return sent(file.getBytes());
    } catch (IOException e) {
      throw new Refused("photo", "That picture did not arrive whole. Send it again.");
    }
  }

  /** Hands out one that was kept: to this browser, for a month. */
  public static ResponseEntity<byte[]> answer(byte[] jpeg) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
        .header("X-Content-Type-Options", "nosniff")
        .body(jpeg);
  }

  private static Refused tooLarge() {
    return new Refused("photo", "A picture has at most 10 MB. Send a smaller one.");
  }

  /** One that was kept. */
  public static Picture kept(byte[] jpeg) {
    try {
      return new Picture(ImageIO.read(new ByteArrayInputStream(jpeg)));
    } catch (IOException e) {
      throw new IllegalStateException("A kept picture cannot be read.", e);
    }
  }

  private static Refused broken() {
    return new Refused("photo", "That picture is broken or cut off. Take it anew.");
  }

  private static String format(byte[] bytes) {
    if (begins(bytes, 0xFF, 0xD8, 0xFF)) {
      return "jpeg";
    }
    if (begins(bytes, 0x89, 'P', 'N', 'G', 0x0D, 0x0A, 0x1A, 0x0A)) {
      return "png";
    }
    throw new Refused("photo", "That is neither a JPEG nor a PNG.");
  }

  private static boolean begins(byte[] bytes, int... with) {
    if (bytes.length < with.length) {
      return false;
    }
    for (int i = 0; i < with.length; i++) {
      if ((bytes[i] & 0xFF) != with[i]) {
        return false;
      }
    }
    return true;
  }

  private static BufferedImage decoded(ImageReader reader, byte[] bytes, long mostPixels)
      throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      reader.setInput(in, true, true);
      int width = reader.getWidth(0);
      int height = reader.getHeight(0);
      if (Math.max(width, height) > LONGEST_SIDE || (long) width * height > mostPixels) {
        throw new Refused(
            "photo",
            "That picture is "
                + width
                + " × "
                + height
                + " px; at most "
                + LONGEST_SIDE
                + " a side and "
                + mostPixels / 1_000_000
                + " million in all are taken.");
      }
      int step = Math.max(1, Math.max(width, height) / KEPT_PX);
      ImageReadParam param = reader.getDefaultReadParam();
      param.setSourceSubsampling(step, step, 0, 0);
      AtomicBoolean cutOff = new AtomicBoolean();
      reader.addIIOReadWarningListener(
          (source, warning) ->
              cutOff.compareAndSet(false, warning.toLowerCase(Locale.ROOT).contains(CUT_OFF)));
      BufferedImage image = reader.read(0, param);
      if (cutOff.get()) {
        throw broken();
      }
      return image;
    } finally {
      reader.dispose();
    }
  }

  /** In sRGB on white, no larger than is kept, and turned as its orientation says. */
  private static BufferedImage upright(BufferedImage image, int orientation) {
    double scale = Math.min(1, KEPT_PX / (double) Math.max(image.getWidth(), image.getHeight()));
    int width = Math.max(1, (int) Math.round(image.getWidth() * scale));
    int height = Math.max(1, (int) Math.round(image.getHeight() * scale));
    boolean lies = orientation >= 5;
    BufferedImage upright =
        new BufferedImage(lies ? height : width, lies ? width : height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = upright.createGraphics();
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, upright.getWidth(), upright.getHeight());
    graphics.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    graphics.transform(turn(orientation, width, height));
    graphics.drawImage(image, 0, 0, width, height, null);
    graphics.dispose();
    return upright;
  }

  /** The turn for an orientation 1–8 as cameras write it. */
  private static AffineTransform turn(int orientation, int width, int height) {
    return switch (orientation) {
      case 2 -> new AffineTransform(-1, 0, 0, 1, width, 0);
      case 3 -> new AffineTransform(-1, 0, 0, -1, width, height);
      case 4 -> new AffineTransform(1, 0, 0, -1, 0, height);
      case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
      case 6 -> new AffineTransform(0, 1, -1, 0, height, 0);
      case 7 -> new AffineTransform(0, -1, -1, 0, height, width);
      case 8 -> new AffineTransform(0, -1, 1, 0, 0, width);
      default -> new AffineTransform();
    };
  }

  /** What has to be known of a JPEG before it is decoded. */
  private record Header(int orientation, boolean progressive) {
    private static final int PROGRESSIVE = 2;

    /** Read from its beginning; what does not say how it is compressed counts as progressive. */
    static Header of(byte[] bytes) {
      try {
        int length = Math.min(bytes.length, HEADER_BYTES);
        Metadata metadata =
            ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes, 0, length), length);
        ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
        JpegDirectory jpeg = metadata.getFirstDirectoryOfType(JpegDirectory.class);
        Integer turned = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
        Integer compressed =
            jpeg == null ? null : jpeg.getInteger(JpegDirectory.TAG_COMPRESSION_TYPE);
        return new Header(
            turned == null ? 1 : turned, compressed == null || compressed == PROGRESSIVE);
      } catch (ImageProcessingException | IOException e) {
        return new Header(1, true);
      }
    }
  }

  public int width() {
    return image.getWidth();
  }

  public int height() {
    return image.getHeight();
  }

  /** As a JPEG with nothing but the picture in it. */
  public byte[] jpeg() {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "jpeg", out);
    } catch (IOException e) {
      throw new IllegalStateException("Writing to memory failed.", e);
    }
    return out.toByteArray();
  }

  /**
   * The mean colour round a place.
   *
   * @param across 0 at the left to 1 at the right
   * @param down 0 at the top to 1 at the bottom
   */
  public Rgb around(double across, double down) {
    int radius = Math.max(1, (int) Math.round(TAP * image.getWidth()));
    int x0 = (int) Math.round(across * (image.getWidth() - 1));
    int y0 = (int) Math.round(down * (image.getHeight() - 1));
    List<Rgb> pixels = new ArrayList<>();
    for (int y = Math.max(0, y0 - radius); y <= Math.min(image.getHeight() - 1, y0 + radius); y++) {
      for (int x = Math.max(0, x0 - radius);
          x <= Math.min(image.getWidth() - 1, x0 + radius);
          x++) {
        if (Math.hypot(x - x0, y - y0) <= radius) {
          int rgb = image.getRGB(x, y);
          pixels.add(new Rgb(rgb >> 16 & 0xFF, rgb >> 8 & 0xFF, rgb & 0xFF));
        }
      }
    }
    return Rgb.mean(pixels);
  }
}
