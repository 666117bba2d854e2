package velvetcrock.papers;

import java.io.IOException;
import java.io.InputStream;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import velvetcrock.core.Refused;
import velvetcrock.papers.LabelText.Style;

/** The fonts of a document's labels; only the letters in use are embedded. */
final class LabelFonts {
  private static final String FOLDER = "/static/assets/fonts/";

  private final Map<Style, PDFont> fonts = new EnumMap<>(Style.class);

  LabelFonts(PDDocument document) throws IOException {
    fonts.put(Style.NAME, load(document, "BricolageGrotesque_700Bold.ttf"));
    fonts.put(Style.PLAIN, load(document, "AtkinsonHyperlegibleNext_400Regular.ttf"));
    fonts.put(Style.BOLD, load(document, "AtkinsonHyperlegibleNext_700Bold.ttf"));
    fonts.put(Style.ITALIC, load(document, "AtkinsonHyperlegibleNext_400Regular_Italic.ttf"));
  }

  private static PDFont load(PDDocument document, String file) throws IOException {
    try (InputStream in =
        Objects.requireNonNull(LabelFonts.class.getResourceAsStream(FOLDER + file), file)) {
      return PDType0Font.load(document, in, true);
    }
  }

  PDFont of(Style style) {
    return Objects.requireNonNull(fonts.get(style));
  }

  /**
   * How wide a text is, pt.
   *
   * @throws Refused at {@code words} if the font lacks a letter of it
   */
  double width(String text, Style style, double size) {
    try {
      return of(style).getStringWidth(text) / 1000 * size;
    } catch (IllegalArgumentException missing) {
      throw new Refused(
          "words", "The label’s font lacks a letter of “" + text + "”. Write it in Latin letters.");
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }
}
