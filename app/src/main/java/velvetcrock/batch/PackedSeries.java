package velvetcrock.batch;

import java.io.BufferedOutputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import velvetcrock.core.heat.Series;

/**
 * Readings as they are kept packed: how many, then each one's milliseconds since the one before, in
 * groups of seven bits, then each one's temperature as a float, all deflated. As exact as a series.
 */
final class PackedSeries {
  private static final int BUFFER = 1 << 16;
  private static final int SEVEN = 7;
  private static final int LOW = 0x7f;
  private static final int MORE = 0x80;

  private PackedSeries() {}

  /** Packs. */
  static byte[] of(Series series) {
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    Deflater quick = new Deflater(Deflater.BEST_SPEED);
    try (DataOutputStream out =
        new DataOutputStream(
            new BufferedOutputStream(new DeflaterOutputStream(packed, quick, BUFFER), BUFFER))) {
      out.writeInt(series.size());
      long before = 0;
      for (int i = 0; i < series.size(); i++) {
        long left = series.millis(i) - before;
        while ((left & ~(long) LOW) != 0) {
          out.writeByte((int) (left & LOW) | MORE);
          left >>>= SEVEN;
        }
        out.writeByte((int) left);
        before = series.millis(i);
      }
      for (int i = 0; i < series.size(); i++) {
        out.writeFloat((float) series.celsius(i));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      quick.end();
    }
    return packed.toByteArray();
  }

  /** Unpacks, ready to be added to. */
  static Series.Builder unpacked(byte[] packed) {
    ByteBuffer in;
    try (InputStream inflated = new InflaterInputStream(new ByteArrayInputStream(packed))) {
      in = ByteBuffer.wrap(inflated.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    long[] millis = new long[in.getInt()];
    long before = 0;
    for (int i = 0; i < millis.length; i++) {
      int shift = 0;
      long read = in.get();
      long step = read & LOW;
      while ((read & MORE) != 0) {
        shift += SEVEN;
        read = in.get();
        step |= (read & LOW) << shift;
      }
      before += step;
      millis[i] = before;
    }
    Series.Builder series = Series.builder();
    for (long at : millis) {
      series.add(at, in.getFloat());
    }
    return series;
  }
}
