package velvetcrock.papers;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import velvetcrock.core.Refused;
import velvetcrock.web.QrCode;

/**
 * Labels on sheets, as a PDF. The text of each is as large as its label allows, from {@value
 * #LARGEST} down to {@value #SMALLEST} pt; nothing is cut off: what does not fit is refused.
 */
final class LabelSheet {
  static final double LARGEST = 10;
  static final double SMALLEST = 5;
  private static final double STEP = 0.25;
  private static final double PT_PER_MM = 72 / 25.4;

  /** Printers leave about this much of a page's edge white, mm. */
  private static final double PAGE_EDGE = 5;

  /** White inside a label's edge, mm. */
  private static final double PADDING = 2;

  /** A QR code's side, mm: at most, and as a part of the label's width. */
  private static final double LARGEST_CODE = 22;

  private static final double CODE_SHARE = 0.26;
  private static final double BESIDE_CODE = 1;
  private static final double CUT_MARK = 4;
  private static final float CUT_LINE = 0.4f;

  private final LabelGrid grid;
  private final PDDocument document;
  private final LabelFonts fonts;

  private LabelSheet(LabelGrid grid, PDDocument document) throws IOException {
    this.grid = grid;
    this.document = document;
    this.fonts = new LabelFonts(document);
  }

  /**
   * A label to be printed.
   *
   * @param address what its QR code opens
   */
  record Label(LabelText text, String address) {}

  /** A rectangle from its upper left, mm from the page's upper left. */
  private record Box(double x, double y, double width, double height) {}

  /**
   * Prints labels.
   *
   * @param skip how many labels of the first sheet are used up already
   * @throws Refused at {@code grid} if a label does not fit, at {@code words} if a letter cannot be
   *     printed
   */
  static byte[] pdf(List<Label> labels, LabelGrid grid, int skip) {
    try (PDDocument document = new PDDocument()) {
      document.getDocumentInformation().setTitle("Velvet Crock labels");
      document.getDocumentCatalog().setLanguage("en");
      new LabelSheet(grid, document).write(labels, skip);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new IllegalStateException("Writing to memory failed.", e);
    }
  }

  private void write(List<Label> labels, int skip) throws IOException {
    int place = skip % grid.labels();
    int next = 0;
    while (next < labels.size()) {
      PDPage page = new PDPage(grid.page());
      document.addPage(page);
      try (PDPageContentStream content = new PDPageContentStream(document, page)) {
        for (; place < grid.labels() && next < labels.size(); place++) {
          Box label = label(place);
          draw(content, labels.get(next++), within(label));
          if (grid.cut()) {
            cutMarks(content, label);
          }
        }
      }
      place = 0;
    }
  }

  private Box label(int place) {
    return new Box(
        grid.left() + place % grid.columns() * grid.pitchX(),
        grid.top() + place / grid.columns() * grid.pitchY(),
        grid.width(),
        grid.height());
  }

  /** Where a label may be printed on: inside its edge and the page's. */
  private Box within(Box label) {
    double x = Math.max(label.x() + PADDING, PAGE_EDGE);
    double y = Math.max(label.y() + PADDING, PAGE_EDGE);
    double right = Math.min(label.x() + label.width() - PADDING, pageWidth() - PAGE_EDGE);
    double bottom = Math.min(label.y() + label.height() - PADDING, pageHeight() - PAGE_EDGE);
    return new Box(x, y, right - x, bottom - y);
  }

  private double pageWidth() {
    return grid.page().getWidth() / PT_PER_MM;
  }

  private double pageHeight() {
    return grid.page().getHeight() / PT_PER_MM;
  }

  private void draw(PDPageContentStream content, Label label, Box box) throws IOException {
    double code = Math.min(LARGEST_CODE, Math.min(box.height(), box.width() * CODE_SHARE));
    LabelLines lines = fitting(label.text(), box.width() - code - BESIDE_CODE, box.height());
    for (LabelLines.Line line : lines.lines()) {
      for (LabelLines.Word word : line.words()) {
        content.beginText();
        content.setFont(fonts.of(word.style()), (float) word.size());
        content.newLineAtOffset(
            (float) (box.x() * PT_PER_MM + word.x()), fromBottom(box.y()) - (float) line.y());
        content.showText(word.text());
        content.endText();
      }
    }
    draw(
        content,
        QrCode.of(label.address()),
        new Box(box.x() + box.width() - code, box.y() + box.height() - code, code, code));
  }

  private LabelLines fitting(LabelText text, double widthMm, double heightMm) {
    for (LabelText arranged : List.of(text, text.compact())) {
      for (double size = LARGEST; size >= SMALLEST; size -= STEP) {
        LabelLines lines = LabelLines.of(arranged, fonts, size, widthMm * PT_PER_MM);
        if (lines.height() <= heightMm * PT_PER_MM) {
          return lines;
        }
      }
    }
    throw new Refused(
        "grid",
        "What has to stand on the label of "
            + text.code()
            + " does not fit on one this small. Choose larger labels, or say less on them.");
  }

  private void draw(PDPageContentStream content, QrCode code, Box box) throws IOException {
    double module = box.width() / code.side();
    for (QrCode.Bar bar : code.bars()) {
      rectangle(
          content,
          new Box(
              box.x() + bar.x() * module,
              box.y() + bar.y() * module,
              bar.length() * module,
              module));
    }
    content.fill();
  }

  private void rectangle(PDPageContentStream content, Box box) throws IOException {
    content.addRect(
        (float) (box.x() * PT_PER_MM),
        fromBottom(box.y() + box.height()),
        (float) (box.width() * PT_PER_MM),
        (float) (box.height() * PT_PER_MM));
  }

  /** Short lines at a label's corners, outside of it. */
  private void cutMarks(PDPageContentStream content, Box label) throws IOException {
    content.setLineWidth(CUT_LINE);
    for (double x : new double[] {label.x(), label.x() + label.width()}) {
      double outX = x == label.x() ? -CUT_MARK : CUT_MARK;
      for (double y : new double[] {label.y(), label.y() + label.height()}) {
        double outY = y == label.y() ? -CUT_MARK : CUT_MARK;
        line(content, x, y, x + outX, y);
        line(content, x, y, x, y + outY);
      }
    }
    content.stroke();
  }

  private void line(PDPageContentStream content, double x1, double y1, double x2, double y2)
      throws IOException {
    content.moveTo((float) (x1 * PT_PER_MM), fromBottom(y1));
    content.lineTo((float) (x2 * PT_PER_MM), fromBottom(y2));
  }

  private float fromBottom(double mm) {
    return (float) (grid.page().getHeight() - mm * PT_PER_MM);
  }
}
