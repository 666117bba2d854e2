package velvetcrock.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.papers.LabelText.Run;
import velvetcrock.papers.LabelText.Style;
import velvetcrock.web.Customs;
import velvetcrock.web.Formats;
import velvetcrock.web.QrCode;

/** What a sheet of labels is made of. */
class LabelPartsTest {
  private static final Formats METRIC =
      new Formats(Kitchen.METRIC, ZoneId.of("Europe/Oslo"), LocalDate.of(2026, 11, 25));

  private static LabelForm form(
      @Nullable String each, @Nullable String skip, String words, String address) {
    return new LabelForm(null, "a4-21", each, skip, null, words, null, address, null, null);
  }

  @Test
  void whatIsLeftEmptyIsOneLabelOfEachOnAFreshSheet() {
    LabelForm form = form("", null, " ", "http://crock.test");

    assertThat(form.copies()).isEqualTo(1);
    assertThat(form.skipped()).isZero();
    assertThat(form.ownWords()).isEmpty();
    assertThat(form.bottles()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "http://crock.test, http://crock.test",
    "http://crock.test/, http://crock.test",
    "https://192.168.178.20:8080, https://192.168.178.20:8080",
    "http://[fe80::1]:8080/, http://[fe80::1]:8080",
    "' http://crock.test/oils/ ', http://crock.test/oils"
  })
  void anAddressIsTakenWithoutTheStrokeAtItsEnd(String typed, String base) {
    assertThat(form("1", "0", "", typed).base()).isEqualTo(base);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "crock.test", "ftp://crock.test", "http://", "http://a b", "http://x?y=1"})
  void whatIsNoAddressIsRefusedAtItsField(String typed) {
    assertThatThrownBy(() -> form("1", "0", "", typed).base())
        .isInstanceOfSatisfying(
            Refused.class,
            refused -> assertThat(refused.problems().get(0).field()).isEqualTo("address"));
  }

  @Test
  void ownWordsAreOneLineAndNotTooLong() {
    assertThat(form("1", "0", "Made\n with   rain", "").ownWords()).isEqualTo("Made with rain");
    assertThatThrownBy(() -> form("1", "0", "x".repeat(201), "").ownWords())
        .isInstanceOf(Refused.class)
        .hasMessageContaining("200");
  }

  @Test
  void onALabelTooSmallForParagraphsTheyRunTogetherBelowTheHeading() {
    LabelText text =
        new LabelText.Writing()
            .add(Style.NAME, "K7M-A Yarrow")
            .add(Style.ITALIC, "Achillea millefolium")
            .add(Style.PLAIN, "")
            .add(Style.BOLD, "Not for eating.")
            .label("K7M-A");

    assertThat(text.paragraphs()).hasSize(3);
    assertThat(text.compact().paragraphs())
        .extracting(LabelText.Paragraph::text)
        .containsExactly("K7M-A Yarrow", "Achillea millefolium. Not for eating. ");
    LabelText heading = new LabelText.Writing().add(Style.NAME, "K7M-A").label("K7M-A");
    assertThat(heading.compact()).isEqualTo(heading);
  }

  @Test
  void linesAreNoWiderThanAskedAndLoseNoWord() throws Exception {
    LabelText text =
        new LabelText.Writing()
            .add(Style.NAME, "K7M-A Yarrow and Meadowsweet")
            .add(
                new Run("Strained ", Style.PLAIN),
                new Run("24 November 2026", Style.BOLD),
                new Run(", best before ", Style.PLAIN),
                new Run("6 October 2027", Style.BOLD))
            .label("K7M-A");
    try (PDDocument document = new PDDocument()) {
      LabelFonts fonts = new LabelFonts(document);
      for (double width : new double[] {60, 90, 140, 400}) {
        LabelLines lines = LabelLines.of(text, fonts, 7, width);
        StringBuilder words = new StringBuilder();
        double last = 0;
        for (LabelLines.Line line : lines.lines()) {
          assertThat(line.y()).isGreaterThan(last).isLessThanOrEqualTo(lines.height());
          last = line.y();
          for (LabelLines.Word word : line.words()) {
            double end =
                word.x() + fonts.width(word.text().stripTrailing(), word.style(), word.size());
            assertThat(end).isLessThanOrEqualTo(width + 1e-6);
            words.append(word.text());
          }
        }
        assertThat(words.toString().replaceAll("\\s", ""))
            .isEqualTo("K7M-AYarrowandMeadowsweetStrained24November2026,bestbefore6October2027");
      }
      assertThat(LabelLines.of(text, fonts, 7, 60).height())
          .isGreaterThan(LabelLines.of(text, fonts, 7, 400).height());
      assertThat(fonts.width("mm", Style.PLAIN, 10))
          .isCloseTo(2 * fonts.width("m", Style.PLAIN, 10), within(0.01));
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "http://127.0.0.1:8080/b/AAAAAAAAAAAAAAAAAAAAAA",
        "https://a-rather-long-name.example.test/under/a/path/b/Zz9_kQ3xPq7-aB4cD5eF6g"
      })
  void aCodesBarsAreReadBackAsItsAddress(String address) throws Exception {
    QrCode code = QrCode.of(address);
    int scale = 4;
    int side = code.side() * scale;
    int[] pixels = new int[side * side];
    Arrays.fill(pixels, 0xFFFFFF);
    for (QrCode.Bar bar : code.bars()) {
      assertThat(bar.x()).isGreaterThanOrEqualTo(4);
      assertThat(bar.x() + bar.length()).isLessThanOrEqualTo(code.side() - 4);
      for (int y = bar.y() * scale; y < (bar.y() + 1) * scale; y++) {
        Arrays.fill(
            pixels, y * side + bar.x() * scale, y * side + (bar.x() + bar.length()) * scale, 0);
      }
    }
    BinaryBitmap bitmap =
        new BinaryBitmap(new GlobalHistogramBinarizer(new RGBLuminanceSource(side, side, pixels)));

    assertThat(
            new QRCodeReader().decode(bitmap, Map.of(DecodeHintType.PURE_BARCODE, true)).getText())
        .isEqualTo(address);
  }

  @Test
  void sheetsAreNamedByTheirSizeAlone() {
    assertThat(LabelGrid.of("a4-21").name(METRIC)).isEqualTo("A4, 21 labels, 63.5 × 38.1 mm");
    assertThat(LabelGrid.of("letter-10").name(METRIC))
        .isEqualTo("Letter, 10 labels, 101.6 × 50.8 mm");
    assertThat(LabelGrid.of("a4-plain").name(METRIC))
        .isEqualTo("A4 plain, 8 to cut out, 85 × 60 mm");
    assertThat(LabelGrid.all(Customs.Paper.A4))
        .extracting(LabelGrid::key)
        .doesNotHaveDuplicates()
        .hasSize(5);
    assertThatThrownBy(() -> LabelGrid.of("")).isInstanceOf(Refused.class);
    assertThat(List.of(LabelGrid.of("a4-8").labels(), LabelGrid.of("letter-30").labels()))
        .containsExactly(8, 30);
  }
}
