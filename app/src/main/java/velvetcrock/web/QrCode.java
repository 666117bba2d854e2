package velvetcrock.web;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A QR code as dark bars in a square.
 *
 * @param side modules on a side, with the light margin that readers need
 * @param bars runs of dark modules, row by row
 */
public record QrCode(int side, List<Bar> bars) {
  private static final int MARGIN = 4;

  /** Dark modules side by side, from the upper left. */
  public record Bar(int x, int y, int length) {}

  /** The code of an address, readable with up to 15 % of it spoiled. */
  public static QrCode of(String address) {
    BitMatrix matrix;
    try {
      matrix =
          new QRCodeWriter()
              .encode(
                  address,
                  BarcodeFormat.QR_CODE,
                  0,
                  0,
                  Map.of(
                      EncodeHintType.MARGIN,
                      MARGIN,
                      EncodeHintType.ERROR_CORRECTION,
                      ErrorCorrectionLevel.M));
    } catch (WriterException e) {
      throw new IllegalArgumentException("This is too long for a QR code: " + address, e);
    }
    List<Bar> bars = new ArrayList<>();
    for (int y = 0; y < matrix.getHeight(); y++) {
      int x = 0;
      while (x < matrix.getWidth()) {
        int from = x;
        while (x < matrix.getWidth() && matrix.get(x, y)) {
          x++;
        }
        if (x > from) {
          bars.add(new Bar(from, y, x - from));
        }
        x++;
      }
    }
    return new QrCode(matrix.getWidth(), bars);
  }

  /** The dark modules as an outline of SVG, a module being one unit. */
  public String outline() {
    StringBuilder drawn = new StringBuilder();
    for (Bar bar : bars) {
      drawn.append("M%d %dh%dv1h-%dz".formatted(bar.x(), bar.y(), bar.length(), bar.length()));
    }
    return drawn.toString();
  }
}
