package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Learned;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.HardnessText;
import velvetcrock.core.making.Melt;
import velvetcrock.web.Formats;

/**
 * The scale of hardness with where a mix falls and where the household likes it.
 *
 * @param bands the kinds along it
 * @param height of its drawing, px
 * @param at where this mix falls, as a percentage of its length
 * @param liked where the household likes it, or what is aimed at; null where nothing is
 * @param hardness as a number
 * @param ratio wax to oil and butter as weighed in; empty where there is no wax
 * @param asHardAs plain oil with beeswax that would be as hard; empty where that is the same
 * @param spoons wax to oil as a cook takes it
 * @param taste what the household's own tests say; may be empty
 * @param words the whole in words
 */
record HardnessScale(
    List<Band> bands,
    int height,
    String at,
    @Nullable String liked,
    String hardness,
    String ratio,
    String asHardAs,
    String spoons,
    String taste,
    String words) {
  private static final double MOST = 50;

  /**
   * Names stand in three rows, so that those of narrow bands do not run into each other; that of
   * its own kind in the first, for a phone shows no other and has no height for more. A kind that
   * lies across others has that row for itself.
   */
  private static final int ROWS = 3;

  private static final int FIRST_ROW = 57;

  private static final int ROW = 17;

  private static final int UNDER_NAMES = 6;
  private static final List<Firmness> ALONG =
      List.of(
          Firmness.OINTMENT,
          Firmness.SOFT_SALVE,
          Firmness.SALVE,
          Firmness.FIRM_BALM,
          Firmness.STICK,
          Firmness.LOTION_BAR);

  /** A kind along the scale. */
  record Band(String x, String width, String middle, int nameY, String name, boolean current) {}

  static HardnessScale of(
      double hardness,
      Melt melt,
      @Nullable Double aim,
      @Nullable Firmness kind,
      HardnessText said,
      Learned taste,
      Formats fmt) {
    List<Band> bands = new ArrayList<>();
    int own = kind == null ? 0 : Math.max(0, ALONG.indexOf(kind));
    boolean across = kind != null && !ALONG.contains(kind);
    for (Firmness along : ALONG) {
      int row = Math.floorMod(bands.size() - own, ROWS) + (across ? 1 : 0);
      bands.add(band(along, row, along == kind));
    }
    if (across) {
      bands.add(band(kind, 0, true));
    }
    String number = fmt.number(hardness, 1);
    boolean waxy = melt.mainWax().isPresent() && hardness >= 1;
    String ratio = waxy ? HardnessText.ratio(melt.oilPerWax()) : "";
    String asHardAs = waxy ? HardnessText.ratio(melt.asHardAsOilPerBeeswax()) : "";
    String liked = aim == null || kind == null ? "" : ", aimed at " + fmt.number(aim, 1);
    return new HardnessScale(
        bands,
        bands.stream().mapToInt(Band::nameY).max().orElse(FIRST_ROW) + UNDER_NAMES,
        percent(hardness),
        aim == null || aim <= 0 ? null : percent(aim),
        number,
        ratio,
        asHardAs.equals(ratio) ? "" : asHardAs,
        waxy ? said.asCooked(hardness) : "",
        taste(taste, fmt),
        "Hardness " + number + " of 50" + liked);
  }

  private static Band band(Firmness kind, int row, boolean current) {
    return new Band(
        percent(kind.hardness().low()),
        percent(kind.hardness().high() - kind.hardness().low()),
        percent(kind.hardness().middle()),
        FIRST_ROW + row * ROW,
        kind.name().toLowerCase(Locale.ROOT).replace('_', ' '),
        current);
  }

  private static String taste(Learned taste, Formats fmt) {
    if (taste.count() == 0) {
      return "";
    }
    String tests = taste.count() == 1 ? "one spoon test" : taste.count() + " spoon tests";
    if (Math.abs(taste.mean()) < 0.25) {
      return "Your " + tests + " found it right as usual.";
    }
    return "You like it "
        + fmt.number(Math.abs(taste.mean()), 1)
        + (taste.mean() > 0 ? " harder" : " softer")
        + " than usual, by "
        + tests
        + ".";
  }

  private static String percent(double hardness) {
    return Math.round(1000 * Math.min(MOST, Math.max(0, hardness)) / MOST) / 10.0 + "%";
  }
}
