package velvetcrock.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import velvetcrock.core.Refused;
import velvetcrock.papers.LabelText.Run;
import velvetcrock.papers.LabelText.Style;

/** Sheets of labels, looked at as pictures. */
class LabelSheetTest {
  private static final int DPI = 300;
  private static final double PX_PER_MM = DPI / 25.4;
  private static final double PAGE_EDGE_MM = 4.9;
  private static final double LABEL_EDGE_MM = 1.5;
  private static final int DARK = 160;

  static Stream<LabelGrid> grids() {
    return LabelGrid.all(velvetcrock.web.Customs.Paper.A4).stream();
  }

  private static LabelText text(String code) {
    return new LabelText.Writing()
        .add(new Run(code + "  Yarrow and Meadowsweet", Style.NAME))
        .add(Style.ITALIC, "Achillea millefolium, Filipendula ulmaria")
        .add(Style.PLAIN, "Herb dried, cut, infused in Cold-pressed rapeseed oil. 100 ml.")
        .add(
            new Run("Strained ", Style.PLAIN),
            new Run("24 November 2026", Style.BOLD),
            new Run(", best before ", Style.PLAIN),
            new Run("6 October 2027", Style.BOLD))
        .add(Style.BOLD, "For the skin. Not for eating.")
        .add(Style.PLAIN, "Not for those allergic to the daisy family.")
        .add(Style.PLAIN, "Home preparation for own use. Patch test first. Weakens latex.")
        .label(code);
  }

  private static String address(int label) {
    return "http://192.168.178.20:8080/b/Zz9_kQ3xPq7-aB4cD5eF" + label % 10 + "g";
  }

  private static List<LabelSheet.Label> labels(int count) {
    return IntStream.range(0, count)
        .mapToObj(i -> new LabelSheet.Label(text("K7M-" + (char) ('A' + i % 26)), address(i)))
        .toList();
  }

  @ParameterizedTest
  @MethodSource("grids")
  void nothingIsClippedAndEveryCodeOpensItsOwnPage(LabelGrid grid) throws Exception {
    int count = grid.labels() + 1;
    try (PDDocument document = Loader.loadPDF(LabelSheet.pdf(labels(count), grid, 1))) {
      assertThat(document.getNumberOfPages()).isEqualTo(2);
      String words = new PDFTextStripper().getText(document);
      assertThat(words.split("Weakens\\s+latex", -1)).hasSize(count + 1);
      assertThat(words).contains("K7M-A", "Achillea millefolium");

      PDFRenderer renderer = new PDFRenderer(document);
      BufferedImage first = renderer.renderImageWithDPI(0, DPI);
      assertThat(inked(first, grid, 0)).as("the label that is used up").isFalse();
      for (int place = 1; place < grid.labels(); place++) {
        assertThat(inked(first, grid, place)).isTrue();
        assertThat(code(first, grid, place)).isEqualTo(address(place - 1));
      }
      if (!grid.cut()) {
        assertThat(inkOutside(first, grid)).isEmpty();
      }
      assertThat(inkAtTheEdge(first)).isFalse();
    }
  }

  @Test
  void whatDoesNotFitIsRefusedWithAWayOutAndNotCutOff() {
    LabelText long0 =
        new LabelText.Writing()
            .add(Style.NAME, "K7M-A Yarrow")
            .add(Style.PLAIN, "words and ".repeat(200))
            .label("K7M-A");

    assertThatThrownBy(
            () ->
                LabelSheet.pdf(
                    List.of(new LabelSheet.Label(long0, address(1))), LabelGrid.of("letter-30"), 0))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("larger");
  }

  @Test
  void aLetterThatTheFontLacksIsRefused() {
    LabelText foreign = new LabelText.Writing().add(Style.PLAIN, "鼠尾草").label("K7M-A");

    assertThatThrownBy(
            () ->
                LabelSheet.pdf(
                    List.of(new LabelSheet.Label(foreign, address(1))), LabelGrid.of("a4-8"), 0))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Latin");
  }

  @Test
  void aWordWiderThanItsLabelIsBroken() throws Exception {
    LabelText wide = new LabelText.Writing().add(Style.PLAIN, "m".repeat(150)).label("K7M-A");

    byte[] pdf =
        LabelSheet.pdf(List.of(new LabelSheet.Label(wide, address(1))), LabelGrid.of("a4-21"), 0);

    try (PDDocument document = Loader.loadPDF(pdf)) {
      String words = new PDFTextStripper().getText(document).replaceAll("\\s", "");
      assertThat(words).isEqualTo("m".repeat(150));
    }
  }

  @Test
  void noSheetIsLargerThanItsPaper() {
    for (LabelGrid grid : LabelGrid.all(velvetcrock.web.Customs.Paper.A4)) {
      double right = grid.left() + (grid.columns() - 1) * grid.pitchX() + grid.width();
      double bottom = grid.top() + (grid.rows() - 1) * grid.pitchY() + grid.height();
      assertThat(right)
          .as(grid.key())
          .isLessThanOrEqualTo(grid.page().getWidth() * 25.4 / 72 + 0.1);
      assertThat(bottom)
          .as(grid.key())
          .isLessThanOrEqualTo(grid.page().getHeight() * 25.4 / 72 + 0.1);
    }
  }

  private static int px(double mm) {
    return (int) Math.round(mm * PX_PER_MM);
  }

  private static boolean dark(BufferedImage page, int x, int y) {
    return (page.getRGB(x, y) & 0xFF) < DARK;
  }

  /** The part of a page that a label covers, less its edge. */
  private static BufferedImage label(BufferedImage page, LabelGrid grid, int place) {
    double x = grid.left() + place % grid.columns() * grid.pitchX() + LABEL_EDGE_MM;
    double y = grid.top() + place / grid.columns() * grid.pitchY() + LABEL_EDGE_MM;
    return page.getSubimage(
        px(x), px(y), px(grid.width() - 2 * LABEL_EDGE_MM), px(grid.height() - 2 * LABEL_EDGE_MM));
  }

  private static boolean inked(BufferedImage page, LabelGrid grid, int place) {
    BufferedImage label = label(page, grid, place);
    return IntStream.range(0, label.getWidth() * label.getHeight())
        .anyMatch(i -> dark(label, i % label.getWidth(), i / label.getWidth()));
  }

  private static String code(BufferedImage page, LabelGrid grid, int place) throws Exception {
    BufferedImage whole = label(page, grid, place);
    int half = whole.getWidth() / 2;
    BufferedImage label = whole.getSubimage(half, 0, whole.getWidth() - half, whole.getHeight());
    int[] pixels =
        label.getRGB(0, 0, label.getWidth(), label.getHeight(), null, 0, label.getWidth());
    BinaryBitmap bitmap =
        new BinaryBitmap(
            new HybridBinarizer(
                new RGBLuminanceSource(label.getWidth(), label.getHeight(), pixels)));
    return new QRCodeReader().decode(bitmap, Map.of(DecodeHintType.TRY_HARDER, true)).getText();
  }

  /** Where on a page there is ink and no label. */
  private static String inkOutside(BufferedImage page, LabelGrid grid) {
    boolean[][] covered = new boolean[page.getWidth()][page.getHeight()];
    for (int place = 0; place < grid.labels(); place++) {
      int x0 = px(grid.left() + place % grid.columns() * grid.pitchX() + LABEL_EDGE_MM);
      int y0 = px(grid.top() + place / grid.columns() * grid.pitchY() + LABEL_EDGE_MM);
      for (int x = x0; x < x0 + px(grid.width() - 2 * LABEL_EDGE_MM); x++) {
        for (int y = y0; y < y0 + px(grid.height() - 2 * LABEL_EDGE_MM); y++) {
          covered[x][y] = true;
        }
      }
    }
    for (int x = 0; x < page.getWidth(); x++) {
      for (int y = 0; y < page.getHeight(); y++) {
        if (!covered[x][y] && dark(page, x, y)) {
          return x / PX_PER_MM + " mm, " + y / PX_PER_MM + " mm";
        }
      }
    }
    return "";
  }

  private static boolean inkAtTheEdge(BufferedImage page) {
    int edge = px(PAGE_EDGE_MM);
    for (int x = 0; x < page.getWidth(); x++) {
      for (int y = 0; y < page.getHeight(); y++) {
        boolean atEdge =
            x < edge || y < edge || x >= page.getWidth() - edge || y >= page.getHeight() - edge;
        if (atEdge && dark(page, x, y)) {
          return true;
        }
      }
    }
    return false;
  }
}
