package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Random;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;
import velvetcrock.core.colour.Rgb;

/** What is taken for a picture and what is refused, in bounded time and memory. */
@Timeout(30)
class PictureTest {
  private static final long FEW_BYTES = 200_000_000;

  /** Amber with a white card in its upper right quarter. */
  private static BufferedImage drawn(int width, int height) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(new Color(0xC9A63C));
    graphics.fillRect(0, 0, width, height);
    graphics.setColor(new Color(0xF0F0F0));
    graphics.fillRect(width / 2, 0, width / 2, height / 2);
    graphics.dispose();
    return image;
  }

  private static byte[] encoded(BufferedImage image, String format) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    return out.toByteArray();
  }

  /** A PNG of any size whose rows are all zero: a few kilobytes that unpack to gigabytes. */
  private static byte[] bomb(int width, int height) throws IOException {
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream deflater = new DeflaterOutputStream(packed)) {
      byte[] row = new byte[1 + (width + 7) / 8];
      for (int y = 0; y < height; y++) {
        deflater.write(row);
      }
    }
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    png.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 0x0D, 0x0A, 0x1A, 0x0A});
    ByteArrayOutputStream header = new ByteArrayOutputStream();
    DataOutputStream head = new DataOutputStream(header);
    head.writeInt(width);
    head.writeInt(height);
    head.write(new byte[] {1, 0, 0, 0, 0});
    chunk(png, "IHDR", header.toByteArray());
    chunk(png, "IDAT", packed.toByteArray());
    chunk(png, "IEND", new byte[0]);
    return png.toByteArray();
  }

  private static void chunk(ByteArrayOutputStream png, String name, byte[] data)
      throws IOException {
    byte[] type = name.getBytes(StandardCharsets.US_ASCII);
    CRC32 crc = new CRC32();
    crc.update(type);
    crc.update(data);
    DataOutputStream out = new DataOutputStream(png);
    out.writeInt(data.length);
    out.write(type);
    out.write(data);
    out.writeInt((int) crc.getValue());
  }

  /** A JPEG with an Exif segment that says how it was held and names its camera. */
  private static byte[] exif(byte[] jpeg, int orientation) {
    byte[] camera = "SecretCamera\0".getBytes(StandardCharsets.US_ASCII);
    ByteArrayOutputStream tiff = new ByteArrayOutputStream();
    tiff.writeBytes(new byte[] {'M', 'M', 0, 42, 0, 0, 0, 8, 0, 2});
    tiff.writeBytes(new byte[] {1, 0x10, 0, 2, 0, 0, 0, (byte) camera.length, 0, 0, 0, 38});
    tiff.writeBytes(new byte[] {1, 0x12, 0, 3, 0, 0, 0, 1, 0, (byte) orientation, 0, 0});
    tiff.writeBytes(new byte[] {0, 0, 0, 0});
    tiff.writeBytes(camera);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    int length = 2 + 6 + tiff.size();
    out.write(jpeg, 0, 2);
    out.writeBytes(new byte[] {(byte) 0xFF, (byte) 0xE1, (byte) (length >> 8), (byte) length});
    out.writeBytes(new byte[] {'E', 'x', 'i', 'f', 0, 0});
    out.writeBytes(tiff.toByteArray());
    out.write(jpeg, 2, jpeg.length - 2);
    return out.toByteArray();
  }

  private static byte[] progressive(int width, int height) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ImageWriteParam param = writer.getDefaultWriteParam();
    param.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    writer.setOutput(ImageIO.createImageOutputStream(out));
    BufferedImage grey = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
    writer.write(null, new IIOImage(grey, null, null), param);
    ((javax.imageio.stream.ImageOutputStream) writer.getOutput()).flush();
    writer.dispose();
    return out.toByteArray();
  }

  private static void refusedCheaply(byte[] bytes, String said) {
    Runtime runtime = Runtime.getRuntime();
    System.gc();
    long before = runtime.totalMemory() - runtime.freeMemory();
    long start = System.nanoTime();

    assertThatThrownBy(() -> Picture.sent(bytes))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(said);

    assertThat(Duration.ofNanos(System.nanoTime() - start)).isLessThan(Duration.ofSeconds(12));
    assertThat(runtime.totalMemory() - runtime.freeMemory() - before).isLessThan(FEW_BYTES);
  }

  @ParameterizedTest
  @ValueSource(strings = {"png", "jpeg"})
  void aPictureIsKeptSmallAndItsColoursStay(String format) throws IOException {
    Picture picture = Picture.sent(encoded(drawn(3000, 2000), format));

    assertThat(Math.max(picture.width(), picture.height())).isLessThanOrEqualTo(Picture.KEPT_PX);
    assertThat(picture.width() / (double) picture.height()).isCloseTo(1.5, within(0.02));
    Rgb oil = picture.around(0.25, 0.75);
    assertThat(oil.difference(Rgb.of("#c9a63c"))).isLessThan(2);
    assertThat(picture.around(0.75, 0.25).difference(Rgb.of("#f0f0f0"))).isLessThan(2);
  }

  @ParameterizedTest
  @CsvSource({"1, 0.75, 0.25", "3, 0.25, 0.75", "6, 0.75, 0.75", "8, 0.25, 0.25"})
  void aPictureThatWasHeldOtherwiseIsTurnedUpright(int orientation, double x, double y)
      throws IOException {
    byte[] jpeg = exif(encoded(drawn(400, 300), "jpeg"), orientation);

    Picture picture = Picture.sent(jpeg);

    assertThat(picture.width() > picture.height()).isEqualTo(orientation < 5);
    assertThat(picture.around(x, y).difference(Rgb.of("#f0f0f0"))).isLessThan(3);
  }

  @Test
  void whatIsKeptHoldsNoMetadata() throws IOException {
    byte[] jpeg = exif(encoded(drawn(400, 300), "jpeg"), 1);
    assertThat(new String(jpeg, StandardCharsets.ISO_8859_1)).contains("SecretCamera");

    byte[] kept = Picture.sent(jpeg).jpeg();

    assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("Exif", "Secret");
    assertThat(Picture.kept(kept).width()).isEqualTo(400);
    assertThat(ImageIO.read(new ByteArrayInputStream(kept))).isNotNull();
  }

  @Test
  void whatIsNoPictureIsToldByItsBytes() {
    refusedCheaply(new byte[0], "Choose a picture");
    refusedCheaply("<svg onload='x'/>".getBytes(StandardCharsets.UTF_8), "neither");
    refusedCheaply("GIF89a".getBytes(StandardCharsets.US_ASCII), "neither");
    refusedCheaply(new byte[] {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF, 0}, "broken");
    refusedCheaply(new byte[Picture.MOST_BYTES + 1], "10 MB");
  }

  @Test
  void thirtyThousandPixelsAreRefusedByTheHeader() throws IOException {
    refusedCheaply(bomb(30_000, 30_000), "30000 × 30000");
    refusedCheaply(bomb(30_000, 10), "at most 12000 a side");
    refusedCheaply(bomb(11_000, 11_000), "50 million");
  }

  @Test
  void aBombThatItsHeaderAllowsIsUnpackedInLittleMemory() throws IOException {
    byte[] bomb = bomb(7_000, 7_000);
    assertThat(bomb.length).isLessThan(20_000);

    assertThat(Picture.sent(bomb).width()).isLessThanOrEqualTo(Picture.KEPT_PX);
  }

  @Test
  void aProgressivePictureIsHeldWholeAndSoMayBeLessLarge() throws IOException {
    refusedCheaply(progressive(4_100, 4_100), "16 million");
    assertThat(Picture.sent(progressive(1_000, 800)).width()).isLessThanOrEqualTo(1000);
  }

  @ParameterizedTest
  @ValueSource(strings = {"png", "jpeg"})
  void aPictureThatIsCutOffIsRefused(String format) throws IOException {
    byte[] whole = encoded(drawn(800, 600), format);

    refusedCheaply(Arrays.copyOf(whole, whole.length / 2), "broken or cut off");
    refusedCheaply(Arrays.copyOf(whole, 40), "broken");
  }

  @Test
  void noiseInAPictureIsRefusedOrShownAndNeverAnErrorOfOurs() throws IOException {
    Random random = new Random(7);
    for (String format : new String[] {"png", "jpeg"}) {
      byte[] whole = encoded(drawn(200, 150), format);
      for (int i = 0; i < 60; i++) {
        byte[] spoilt = whole.clone();
        for (int j = 0; j < 8; j++) {
          spoilt[4 + random.nextInt(spoilt.length - 4)] = (byte) random.nextInt(256);
        }
        try {
          assertThat(Picture.sent(spoilt).width()).isPositive();
        } catch (Refused refused) {
          assertThat(refused.problems().get(0).field()).isEqualTo("photo");
        }
      }
    }
  }
}
