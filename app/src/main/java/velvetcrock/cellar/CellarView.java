package velvetcrock.cellar;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.log.BatchReckoning;
import velvetcrock.core.log.Event;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.web.Formats;
import velvetcrock.web.JarDrawing;

/**
 * The bottles along time.
 *
 * @param months the months of the line, with where each begins, in hundredths
 * @param total oil in all bottles
 */
record CellarView(List<BottleCard> bottles, List<Month> months, String total) {
  private static final int SHORTEST_LINE_DAYS = 180;
  private static final int SOON_DAYS = 30;
  private static final double FULL_WIDTH = 1000;
  private static final int LANES = 4;
  private static final double LABEL_WIDTH = 64;

  /** A month on the line. */
  record Month(String name, double at) {}

  /**
   * A bottle.
   *
   * @param at where its date falls on the line, in thousandths
   * @param lane which of the line's lanes its mark hangs in, so that near dates stay apart
   */
  record BottleCard(
      String code,
      String link,
      String herb,
      String oil,
      String left,
      String until,
      String why,
      String mood,
      double at,
      int lane,
      BottleDrawing drawing) {}

  static CellarView of(List<BottleRecord> bottles, Catalogue catalogue, Formats fmt) {
    LocalDate today = fmt.today();
    LocalDate last =
        bottles.stream().map(BottleRecord::bestBefore).max(LocalDate::compareTo).orElse(today);
    double days = Math.max(SHORTEST_LINE_DAYS, ChronoUnit.DAYS.between(today, last) * 1.06);
    List<BottleCard> cards = new ArrayList<>();
    double[] lastInLane = new double[LANES];
    Arrays.fill(lastInLane, -LABEL_WIDTH);
    for (BottleRecord bottle : bottles) {
      double at = at(bottle, days, today);
      int lane = 0;
      while (lane < LANES - 1 && at - lastInLane[lane] < LABEL_WIDTH) {
        lane++;
      }
      lastInLane[lane] = at;
      cards.add(card(bottle, lane, at, catalogue, fmt));
    }
    double total = bottles.stream().mapToDouble(b -> b.bottle().leftMl()).sum();
    return new CellarView(cards, months(today, days), fmt.volume(total));
  }

  private static BottleCard card(
      BottleRecord record, int lane, double at, Catalogue catalogue, Formats fmt) {
    LocalDate today = fmt.today();
    long left = ChronoUnit.DAYS.between(today, record.bestBefore());
    String until =
        record.bestBefore().equals(record.bestBeforeLate())
            ? fmt.date(record.bestBefore())
            : fmt.dates(record.bestBefore(), record.bestBeforeLate());
    Store.Place place = record.bottle().filled().place();
    return new BottleCard(
        record.code(),
        "/cellar/" + record.batch().code() + "/" + record.bottle().letter(),
        herbs(record, catalogue),
        "in "
            + new BatchReckoning(catalogue, record.batch().state())
                .carriers()
                .names()
                .toLowerCase(Locale.ROOT),
        fmt.ml(record.bottle().leftMl()) + " left",
        left < 0 ? "past " + until : "until " + until,
        left < 0 ? fmt.days(-left) + " over" : fmt.days(left) + ", " + place(place),
        left < 0 ? "stop" : left <= SOON_DAYS ? "care" : "resting",
        at,
        lane,
        drawing(record, catalogue, fmt));
  }

  private static double at(BottleRecord record, double days, LocalDate today) {
    double left = ChronoUnit.DAYS.between(today, record.bestBefore());
    return Math.round(FULL_WIDTH * Math.max(0, Math.min(days, left)) / days);
  }

  static String herbs(BottleRecord record, Catalogue catalogue) {
    return new BatchReckoning(catalogue, record.batch().state()).herbNames();
  }

  static BottleDrawing drawing(BottleRecord record, Catalogue catalogue, Formats fmt) {
    Event.Charged charge = record.batch().state().charge();
    Herb herb = catalogue.herb(charge.herbs().get(0).herb());
    String carrier = catalogue.carrier(charge.carriers().get(0).carrier()).tint();
    double size = record.bottle().filled().sizeMl();
    return BottleDrawing.of(
        record.code(),
        size,
        record.bottle().leftMl(),
        record.bottle().filled().glass() == Store.Glass.AMBER,
        JarDrawing.mix(carrier, herb.tint(), 0.9),
        "Bottle of " + fmt.ml(size) + " with " + fmt.ml(record.bottle().leftMl()) + " left");
  }

  static String place(Store.Place place) {
    return switch (place) {
      case FRIDGE -> "in the fridge";
      case COOL -> "cool cupboard";
      case ROOM -> "in the room";
      case WARM -> "on a warm shelf";
    };
  }

  private static List<Month> months(LocalDate today, double days) {
    List<Month> months = new ArrayList<>();
    YearMonth month = YearMonth.from(today).plusMonths(1);
    int step = days > 500 ? 3 : days > 240 ? 2 : 1;
    double at;
    while ((at = ChronoUnit.DAYS.between(today, month.atDay(1))) < days) {
      String name = month.getMonth().getDisplayName(TextStyle.SHORT, Locale.UK);
      String year = month.getMonthValue() <= step ? " " + month.getYear() : "";
      months.add(new Month(name + year, Math.round(FULL_WIDTH * at / days)));
      month = month.plusMonths(step);
    }
    return months;
  }
}
