package velvetcrock.web;

import static velvetcrock.web.Coordinates.n;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.materia.Jar;

/**
 * A vessel drawn true to scale from its reckoned levels: all coordinates are millimetres of the
 * real one, the floor of its inside at y = 0 counted upwards and turned over for SVG. Only the
 * glass's shoulder and lid are ornament.
 *
 * @param id unique on its page, for the clip path
 * @param sheet the sheet that it is drawn on
 * @param glass outline of the glass
 * @param inside outline of the inside, to which oil and herb are clipped
 * @param oil the oil's body
 * @param surface the line of its surface
 * @param flecks the herb; null for none
 * @param lid the lid or cloth
 * @param shine the highlight
 * @param colours its colours
 * @param words the same in words
 */
public record JarDrawing(
    String id,
    Sheet sheet,
    String glass,
    String inside,
    String oil,
    String surface,
    @Nullable Flecks flecks,
    String lid,
    boolean lidded,
    String shine,
    Colours colours,
    String words) {

  /**
   * The sheet that it is drawn on.
   *
   * @param viewBox the drawing's frame, mm
   * @param widthPx width on the screen at the page's one scale
   * @param heightPx height on the screen at the page's one scale
   */
  public record Sheet(String viewBox, int widthPx, int heightPx) {}

  /**
   * The herb: sheets of flecks that all drawings share, laid side by side behind the glass.
   *
   * @param sheet name of a sheet in {@code flecks.svg} that is as high as the bed
   * @param from where each one's left end lies, mm
   * @param floor where they stand, mm
   */
  public record Flecks(String sheet, List<String> from, String floor) {}

  /**
   * Its colours.
   *
   * @param oilColour colour of the oil
   * @param fleckColour colour of the herb
   */
  public record Colours(String oilColour, String fleckColour) {}

  private static final double WALL_MM = 2.2;
  private static final double LID_MM = 11;
  private static final double MARGIN_MM = 3;
  private static final double SHOULDER_FROM = 0.86;
  private static final double NECK_FROM = 0.95;
  private static final double NECK_WIDTH = 0.84;
  private static final double CORNER_MM = 7;

  /** How wide a sheet of flecks is, mm. */
  private static final double SHEET_MM = 130;

  /** How high a band of it is, mm. */
  private static final double BAND_MM = 5;

  private static final int MOST_BANDS = 36;
  private static final int PIECES = 97;

  /**
   * What is to be drawn.
   *
   * @param bedMm top of the herb, mm; 0 for none
   * @param oilMm top of the oil, mm; 0 for none
   * @param brimMm inner height, mm
   * @param widthMm inner width, mm
   * @param shape what kind of vessel it is
   * @param floats whether the herb hangs below the surface instead of lying on the floor
   * @param closed whether a lid is on; a cloth otherwise
   * @param round whether the herb is in grains rather than leaves
   */
  public record Filled(
      String id,
      double bedMm,
      double oilMm,
      double brimMm,
      double widthMm,
      Jar.Shape shape,
      boolean floats,
      boolean closed,
      boolean round,
      String oilColour,
      String fleckColour,
      String words) {}

  /**
   * Draws a jar.
   *
   * @param pxPerMm the page's scale
   */
  public static JarDrawing of(Filled jar, double pxPerMm) {
    double outer = jar.widthMm() + 2 * WALL_MM + 2 * Frame.gripMm(jar.shape());
    double width = outer + 2 * MARGIN_MM;
    double height = jar.brimMm() + WALL_MM + LID_MM + 2 * MARGIN_MM;
    double floor = height - MARGIN_MM - WALL_MM;
    Frame frame = new Frame(width / 2, floor, jar.widthMm(), jar.brimMm(), jar.shape());
    double oilTop = Math.min(jar.oilMm(), jar.brimMm());
    return new JarDrawing(
        jar.id(),
        new JarDrawing.Sheet(
            "0 0 " + n(width) + " " + n(height),
            (int) Math.round(width * pxPerMm),
            (int) Math.round(height * pxPerMm)),
        frame.body(WALL_MM),
        frame.body(0),
        oilTop <= 0 ? "" : frame.column(oilTop),
        oilTop <= 0 ? "" : frame.line(oilTop),
        flecks(jar, frame, oilTop),
        jar.closed() ? frame.lid() : frame.cloth(),
        jar.closed() && (jar.shape() == Jar.Shape.JAR || jar.shape() == Jar.Shape.CROCK),
        frame.shine(),
        new JarDrawing.Colours(jar.oilColour(), jar.fleckColour()),
        jar.words());
  }

  /** Mixes two colours. */
  public static String mix(String from, String to, double share) {
    StringBuilder mixed = new StringBuilder("#");
    for (int i = 1; i < 7; i += 2) {
      int a = Integer.parseInt(from.substring(i, i + 2), 16);
      int b = Integer.parseInt(to.substring(i, i + 2), 16);
      int channel = (int) Math.round(a + share * (b - a));
      mixed
          .append(Character.forDigit(channel >> 4, 16))
          .append(Character.forDigit(channel & 15, 16));
    }
    return mixed.toString();
  }

  private static @Nullable Flecks flecks(Filled jar, Frame frame, double oilTop) {
    double bed = Math.min(jar.bedMm(), jar.brimMm() * SHOULDER_FROM);
    if (bed <= 0) {
      return null;
    }
    double from = jar.floats() ? Math.max(0, oilTop - bed) : 0;
    long bands = Math.max(1, Math.min(MOST_BANDS, Math.round(bed / BAND_MM)));
    // Each jar shows a piece of its own; one that is wider than the sheet has several.
    double left = frame.centre() - jar.widthMm() / 2;
    double spare = Math.max(0, SHEET_MM - jar.widthMm());
    double begin = left - spare * Math.floorMod(jar.id().hashCode(), PIECES) / PIECES;
    List<String> places = new ArrayList<>();
    for (double x = begin; x < left + jar.widthMm(); x += SHEET_MM) {
      places.add(n(x));
    }
    return new Flecks(
        (jar.round() ? "grain-" : "leaf-") + bands, List.copyOf(places), n(frame.y(from)));
  }

  /** Places of a jar in the drawing. */
  private record Frame(double centre, double floor, double width, double brim, Jar.Shape shape) {
    private static final double GRIP_MM = 14;
    private static final double BOWL_CURVE = 0.45;

    /** How far handles stand out on either side. */
    static double gripMm(Jar.Shape shape) {
      return shape == Jar.Shape.PAN || shape == Jar.Shape.CROCK ? GRIP_MM : 0;
    }

    double y(double upMm) {
      return floor - upMm;
    }

    /** The body, so much outside the inner wall. */
    String body(double wall) {
      if (shape != Jar.Shape.JAR) {
        return open(wall);
      }
      double half = width / 2 + wall;
      double neck = width / 2 * NECK_WIDTH + wall;
      double corner = CORNER_MM + wall / 2;
      return "M"
          + n(centre - neck)
          + " "
          + n(y(brim))
          + "L"
          + n(centre - neck)
          + " "
          + n(y(brim * NECK_FROM))
          + "C"
          + n(centre - neck)
          + " "
          + n(y(brim * 0.91))
          + " "
          + n(centre - half)
          + " "
          + n(y(brim * 0.92))
          + " "
          + n(centre - half)
          + " "
          + n(y(brim * SHOULDER_FROM))
          + "L"
          + n(centre - half)
          + " "
          + n(floor + wall - corner)
          + "Q"
          + n(centre - half)
          + " "
          + n(floor + wall)
          + " "
          + n(centre - half + corner)
          + " "
          + n(floor + wall)
          + "L"
          + n(centre + half - corner)
          + " "
          + n(floor + wall)
          + "Q"
          + n(centre + half)
          + " "
          + n(floor + wall)
          + " "
          + n(centre + half)
          + " "
          + n(floor + wall - corner)
          + "L"
          + n(centre + half)
          + " "
          + n(y(brim * SHOULDER_FROM))
          + "C"
          + n(centre + half)
          + " "
          + n(y(brim * 0.92))
          + " "
          + n(centre + neck)
          + " "
          + n(y(brim * 0.91))
          + " "
          + n(centre + neck)
          + " "
          + n(y(brim * NECK_FROM))
          + "L"
          + n(centre + neck)
          + " "
          + n(y(brim))
          + "Z";
    }

    /** An open vessel: straight walls, the bowl's floor rounded, grips on pan and crock. */
    private String open(double wall) {
      double half = width / 2 + wall;
      double curve =
          (shape == Jar.Shape.BOWL ? Math.min(brim, half) * BOWL_CURVE : CORNER_MM) + wall;
      double bottom = floor + wall;
      String body =
          "M"
              + n(centre - half)
              + " "
              + n(y(brim))
              + "V"
              + n(bottom - curve)
              + "Q"
              + n(centre - half)
              + " "
              + n(bottom)
              + " "
              + n(centre - half + curve)
              + " "
              + n(bottom)
              + "H"
              + n(centre + half - curve)
              + "Q"
              + n(centre + half)
              + " "
              + n(bottom)
              + " "
              + n(centre + half)
              + " "
              + n(bottom - curve)
              + "V"
              + n(y(brim))
              + "Z";
      return wall == 0 || gripMm(shape) == 0 ? body : body + grip(-half) + grip(half);
    }

    private String grip(double half) {
      double out = Math.signum(half) * (GRIP_MM - 2);
      return "M"
          + n(centre + half)
          + " "
          + n(y(brim * 0.88))
          + "h"
          + n(out)
          + "v"
          + n(Math.min(9, brim * 0.2))
          + "h"
          + n(-out)
          + "Z";
    }

    String column(double topMm) {
      return "M"
          + n(centre - width / 2)
          + " "
          + n(y(topMm))
          + "h"
          + n(width)
          + "V"
          + n(floor)
          + "h"
          + n(-width)
          + "Z";
    }

    String line(double topMm) {
      return "M" + n(centre - width / 2) + " " + n(y(topMm)) + "h" + n(width);
    }

    /** A lid on jar and crock; nothing lies on bowl, pan and dish but a cloth. */
    String lid() {
      if (shape != Jar.Shape.JAR && shape != Jar.Shape.CROCK) {
        return cloth();
      }
      double half = (shape == Jar.Shape.JAR ? width / 2 * NECK_WIDTH : width / 2) + WALL_MM + 2;
      double bottom = y(brim) + 3;
      return "M"
          + n(centre - half)
          + " "
          + n(bottom)
          + "v"
          + n(-LID_MM + 1.5)
          + "q0 -1.5 1.5 -1.5h"
          + n(2 * half - 3)
          + "q1.5 0 1.5 1.5v"
          + n(LID_MM - 1.5)
          + "z";
    }

    String cloth() {
      double half = (shape == Jar.Shape.JAR ? width / 2 * NECK_WIDTH : width / 2) + WALL_MM;
      double bottom = y(brim) + 8;
      return "M"
          + n(centre - half)
          + " "
          + n(y(brim) - 1)
          + "q"
          + n(half)
          + " -5 "
          + n(2 * half)
          + " 0l3 9q"
          + n(-half / 2)
          + " 3 "
          + n(-half - 3)
          + " 0q"
          + n(-half / 2)
          + " -3 "
          + n(-half - 3)
          + " 0z"
          + "M"
          + n(centre - half - 1)
          + " "
          + n(bottom - 4)
          + "h"
          + n(2 * half + 2);
    }

    String shine() {
      double x = centre - width / 2 + 4.5;
      return "M" + n(x) + " " + n(y(brim * 0.8)) + "V" + n(y(brim * 0.36));
    }
  }
}
