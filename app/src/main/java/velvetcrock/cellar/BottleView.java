package velvetcrock.cellar;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.Reckoning;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.Keeping.Change;
import velvetcrock.core.keeping.Keeping.Rule;
import velvetcrock.core.log.BatchReckoning.KeepingRange;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.web.Formats;

/**
 * A bottle's page: until when it is good and why.
 *
 * @param legs where its keeping went and goes, as parts of a bar
 * @param gains what would lengthen it
 */
record BottleView(
    String code,
    String batch,
    String letter,
    String herb,
    String botanical,
    String left,
    String until,
    String why,
    String stored,
    boolean gone,
    BottleDrawing drawing,
    List<LegBar> legs,
    List<String> gains,
    List<Caution> cautions,
    Reckoning reckoning) {

  /**
   * A leg.
   *
   * @param from where it begins on the bar, in hundredths
   * @param percent its share of the keeping that was brought
   */
  record LegBar(String name, String words, double from, double percent, int kind) {}

  static BottleView of(
      BottleRecord record,
      KeepingRange keeping,
      Catalogue catalogue,
      Cautions cautions,
      Formats fmt) {
    Keeping early = keeping.early();
    var charge = record.batch().state().charge();
    var herb = catalogue.herb(charge.herbs().get(0).herb());
    var filled = record.bottle().filled();
    String stored =
        CellarView.place(filled.place())
            + ", "
            + filled.glass().name().toLowerCase(Locale.ROOT)
            + " glass"
            + (record.bottle().halfAt() == null ? "" : ", half empty")
            + switch (filled.antioxidant()) {
              case NONE -> "";
              case VITAMIN_E -> ", with vitamin E";
              case ROSEMARY -> ", with rosemary extract";
            };
    return new BottleView(
        record.code(),
        record.batch().code(),
        record.bottle().letter(),
        CellarView.herbs(record, catalogue),
        herb.botanical(),
        fmt.ml(record.bottle().leftMl()) + " of " + fmt.ml(filled.ml()) + " left",
        keeping.exact()
            ? fmt.fullDate(early.bestBefore())
            : fmt.fullDate(early.bestBefore()) + " to " + fmt.fullDate(keeping.late().bestBefore()),
        why(early.decidedBy()),
        stored,
        record.bottle().goneAt() != null,
        CellarView.drawing(record, catalogue, fmt),
        legs(early, fmt),
        early.lengthen().stream()
            .limit(3)
            .map(g -> change(g.change()) + ": " + fmt.days(g.days()) + " more")
            .toList(),
        cautions.forKeeping(early, charge.use()),
        early.reckoning());
  }

  private static List<LegBar> legs(Keeping keeping, Formats fmt) {
    List<LegBar> bars = new ArrayList<>();
    double all = Math.max(1, keeping.startDays());
    double from = 0;
    int kind = 0;
    for (Keeping.Leg leg : keeping.legs()) {
      double percent = Math.min(100 - from, 100 * leg.spentDays() / all);
      if (percent > 0) {
        bars.add(
            new LegBar(
                leg.name(),
                fmt.number(leg.days(), 0)
                    + " days at "
                    + fmt.number(leg.rate(), 2)
                    + " a day spend "
                    + fmt.number(leg.spentDays(), 0),
                Math.round(from * 10) / 10.0,
                Math.round(percent * 10) / 10.0,
                Math.min(kind, 2)));
      }
      from += percent;
      kind++;
    }
    return bars;
  }

  static String why(Rule rule) {
    return switch (rule) {
      case CARRIER_DATE ->
          "The carrier oil’s own date decides: an infusion never outlives its oil.";
      case AGEING -> "Ageing decides: infusing and storage have spent what the carrier brought.";
      case TWELVE_MONTHS ->
          "Twelve months from straining decide: no oil of dried herb is given longer outside the fridge.";
      case TWENTY_FOUR_MONTHS_FRIDGE -> "Two years from straining decide, even in the fridge.";
      case FREE_WATER ->
          "Water decides: with free water in it, it keeps 14 days in the fridge and not at all elsewhere.";
      case KITCHEN_FRESH -> "Fresh herb for eating: four days from charging, in the fridge.";
      case KITCHEN_DRIED -> "Dried herb for eating: three months in the fridge.";
      case STOOD_WARM -> "It stood warmer than the fridge for over two hours: throw it out.";
      case KITCHEN_NOT_IN_FRIDGE -> "Oil for eating is kept in the fridge and nowhere else.";
    };
  }

  private static String change(Change change) {
    return switch (change) {
      case FRIDGE -> "In the fridge";
      case COOL -> "In a cool cupboard";
      case AMBER -> "In amber glass";
      case FULL -> "In a bottle that it fills to the neck";
      case VITAMIN_E -> "With vitamin E";
      case ROSEMARY -> "With rosemary extract";
    };
  }
}
