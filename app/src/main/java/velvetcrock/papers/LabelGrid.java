package velvetcrock.papers;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.CatalogueFile;
import velvetcrock.core.measure.Units;
import velvetcrock.web.Customs;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;

/**
 * A sheet of labels. Lengths are in mm; a label's place is counted from the upper left.
 *
 * @param left where the first label begins
 * @param top where the first label begins
 * @param pitchX from one label's left edge to the next one's
 * @param pitchY from one label's top edge to the next one's
 * @param cut whether it is plain paper that is cut by hand
 */
record LabelGrid(
    String key,
    Customs.Paper paper,
    int columns,
    int rows,
    double width,
    double height,
    double left,
    double top,
    double pitchX,
    double pitchY,
    boolean cut) {

  /** A page of the paper. */
  PDRectangle page() {
    return paper == Customs.Paper.A4 ? PDRectangle.A4 : PDRectangle.LETTER;
  }

  private static final Map<String, LabelGrid> ALL = read();

  private static Map<String, LabelGrid> read() {
    Problems problems = new Problems();
    Map<String, LabelGrid> grids =
        CatalogueFile.read(
            LabelGrid.class,
            "label-grids.csv",
            problems,
            row ->
                new LabelGrid(
                    row.get("key"),
                    Customs.Paper.valueOf(row.get("paper")),
                    Integer.parseInt(row.get("columns")),
                    Integer.parseInt(row.get("rows")),
                    Double.parseDouble(row.get("width")),
                    Double.parseDouble(row.get("height")),
                    Double.parseDouble(row.get("left")),
                    Double.parseDouble(row.get("top")),
                    Double.parseDouble(row.get("pitchX")),
                    Double.parseDouble(row.get("pitchY")),
                    row.get("cut").equals("yes")),
            LabelGrid::key);
    problems.refuseIfAny();
    return grids;
  }

  /** All there are on a household’s own paper. */
  static List<LabelGrid> all(Customs.Paper own) {
    return ALL.values().stream().filter(grid -> grid.paper == own).toList();
  }

  /** The one that is proposed on a household’s paper. */
  static String usual(Customs.Paper own) {
    return own == Customs.Paper.A4 ? "a4-21" : "letter-30";
  }

  /**
   * One by its key.
   *
   * @throws Refused at {@code grid} if there is none
   */
  static LabelGrid of(String key) {
    LabelGrid grid = ALL.get(key);
    if (grid == null) {
      throw new Refused("grid", "Choose a sheet.");
    }
    return grid;
  }

  /** How many labels it has. */
  int labels() {
    return columns * rows;
  }

  /** Its name, by its size as a household reads it. */
  String name(Formats fmt) {
    boolean inches = fmt.units().lengths() == Units.Lengths.INCHES;
    String size =
        inches ? fmt.mm(width) + " × " + fmt.mm(height) : mm(width) + " × " + mm(height) + " mm";
    String on = paper == Customs.Paper.A4 ? "A4" : EnumWords.capital(EnumWords.plain(paper));
    return cut
        ? on + " plain, " + labels() + " to cut out, " + size
        : on + ", " + labels() + " labels, " + size;
  }

  private static String mm(double length) {
    return BigDecimal.valueOf(length).stripTrailingZeros().toPlainString();
  }
}
