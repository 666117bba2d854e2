package velvetcrock.batch;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import velvetcrock.core.FigureRow;

/** Figures as they are kept packed: each as eight bytes, all deflated. */
final class PackedFigures {
  private PackedFigures() {}

  /** Packs. */
  static byte[] of(FigureRow row) {
    double[] figures = row.all();
    ByteBuffer bytes = ByteBuffer.allocate(figures.length * Double.BYTES);
    bytes.asDoubleBuffer().put(figures);
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream out = new DeflaterOutputStream(packed)) {
      out.write(bytes.array());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return packed.toByteArray();
  }

  /** Unpacks. */
  static FigureRow unpacked(byte[] packed) {
    try (InflaterInputStream in = new InflaterInputStream(new ByteArrayInputStream(packed))) {
      ByteBuffer bytes = ByteBuffer.wrap(in.readAllBytes());
      double[] figures = new double[bytes.capacity() / Double.BYTES];
      bytes.asDoubleBuffer().get(figures);
      return FigureRow.of(figures);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
