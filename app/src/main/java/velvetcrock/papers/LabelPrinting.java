package velvetcrock.papers;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Claims;
import velvetcrock.web.Formats;

/** What printing labels has in common, whatever they are stuck on. */
final class LabelPrinting {
  private static final Claims CLAIMS = Claims.shipped();

  private LabelPrinting() {}

  /**
   * A sheet to choose, with its drawing in mm.
   *
   * @param labels upper left corners
   */
  record Sheet(
      LabelGrid grid, String name, double paperWidth, double paperHeight, List<Corner> labels) {
    private static final double MM_PER_PT = 25.4 / 72;

    static Sheet of(LabelGrid grid, Formats fmt) {
      List<Corner> corners = new ArrayList<>();
      for (int i = 0; i < grid.labels(); i++) {
        corners.add(
            new Corner(
                grid.left() + i % grid.columns() * grid.pitchX(),
                grid.top() + i / grid.columns() * grid.pitchY()));
      }
      return new Sheet(
          grid,
          grid.name(fmt),
          Math.round(grid.page().getWidth() * MM_PER_PT),
          Math.round(grid.page().getHeight() * MM_PER_PT),
          corners);
    }
  }

  /** Where a label begins on its sheet, mm. */
  record Corner(double x, double y) {}

  /** All sheets to choose from. */
  static List<Sheet> sheets(Formats fmt) {
    return LabelGrid.all(fmt.customs().paper()).stream().map(grid -> Sheet.of(grid, fmt)).toList();
  }

  /**
   * Words that may count as a claim to heal.
   *
   * @param names what herbs are called, which is passed over
   */
  static List<String> questioned(String words, Collection<String> names) {
    return CLAIMS.in(words, names);
  }

  /**
   * Questions them.
   *
   * @throws Refused at {@code words} unless there are none, or it is said that they are known
   */
  static void question(List<String> questioned, LabelForm form) {
    if (!questioned.isEmpty() && form.sure() == null) {
      throw new Refused("words", Claims.asked(questioned));
    }
  }

  static ResponseEntity<byte[]> pdf(byte[] bytes) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .cacheControl(CacheControl.noStore())
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"labels.pdf\"")
        .body(bytes);
  }
}
