package velvetcrock.cellar;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.batch.DatedOil;
import velvetcrock.batch.Hoard;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.keeping.OwnShelfLife;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.stock.Enough;
import velvetcrock.web.Formats;
import velvetcrock.web.JarDrawing;

/**
 * The bottles along time, and what there is by oil or herb.
 *
 * @param bottles those to be used first, as many as a page holds
 * @param more how many stand behind them
 * @param months the months of the line, with where each begins, in thousandths
 * @param total oil in all bottles that are meant
 * @param enough what that is enough for; what is past its date does not count
 * @param groups what there is by oil or by herb; empty along time
 * @param taught what bottles that came to their end taught
 * @param only what the page shows alone; null for all
 */
record CellarView(
    List<BottleCard> bottles,
    long more,
    List<Month> months,
    String total,
    String enough,
    List<Group> groups,
    List<String> taught,
    @Nullable String only) {
  /** How many bottles a page draws. */
  static final int MOST = 48;

  private static final int SHORTEST_LINE_DAYS = 180;
  private static final int SOON_DAYS = 30;
  private static final double FULL_WIDTH = 1000;
  private static final int LANES = 4;
  private static final double LABEL_WIDTH = 64;
  private static final int MOST_PIECES = 60;

  /** By what the cellar is sorted. */
  enum By {
    /** Along time. */
    TIME,
    /** By the oil. */
    OIL,
    /** By the herb. */
    HERB
  }

  /** A month on the line. */
  record Month(String name, double at) {}

  /**
   * What there is of an oil or a herb.
   *
   * @param pieces its bottles side by side, those to be used first at the left
   */
  record Group(
      String name, String link, String amount, String enough, String until, List<Piece> pieces) {}

  /** Bottles of near dates as a piece of a bar, in thousandths of the largest group. */
  record Piece(double x, double width, String mood, String title) {}

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

  /**
   * What the cellar holds.
   *
   * @param shown the bottles to be used first; none where they are sorted by oil or herb
   * @param dated what there is by oil or herb; none along time
   */
  record Contents(
      List<BottleRecord> shown,
      Hoard hoard,
      List<DatedOil> dated,
      Map<BottleBook.Shelf, OwnShelfLife> own,
      By by,
      BottleBook.Which which) {}

  /** Whether there is no bottle at all. */
  public boolean empty() {
    return bottles.isEmpty() && groups.isEmpty();
  }

  static CellarView of(Contents contents, Catalogue catalogue, Formats fmt) {
    LocalDate today = fmt.today();
    List<BottleRecord> bottles = contents.shown();
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
    return new CellarView(
        cards,
        contents.hoard().bottles() - bottles.size(),
        months(today, days),
        fmt.volume(contents.hoard().ml()),
        enough(contents.hoard().goodMl(), fmt),
        groups(contents, catalogue, fmt),
        taught(contents.own(), catalogue, fmt),
        only(contents.which(), catalogue));
  }

  private static @Nullable String only(BottleBook.Which which, Catalogue catalogue) {
    if (which.herb() != null) {
      return catalogue.herb(which.herb()).name();
    }
    return which.carrier() == null ? null : catalogue.carrier(which.carrier()).name();
  }

  private static List<Group> groups(Contents contents, Catalogue catalogue, Formats fmt) {
    boolean oil = contents.by() == By.OIL;
    Map<String, List<DatedOil>> by =
        contents.dated().stream()
            .collect(Collectors.groupingBy(DatedOil::key, LinkedHashMap::new, Collectors.toList()));
    double most = by.values().stream().mapToDouble(CellarView::ml).max().orElse(1);
    Function<String, String> name =
        key -> oil ? catalogue.carrier(key).name() : catalogue.herb(key).name();
    return by.entrySet().stream()
        .sorted(Comparator.comparing((Map.Entry<String, List<DatedOil>> e) -> -ml(e.getValue())))
        .map(
            e ->
                new Group(
                    name.apply(e.getKey()),
                    "/cellar?" + (oil ? "oil=" : "herb=") + e.getKey(),
                    fmt.volume(ml(e.getValue())) + " in " + bottles(e.getValue()),
                    enough(goodMl(e.getValue(), fmt.today()), fmt),
                    "first until " + fmt.date(e.getValue().get(0).bestBefore()),
                    pieces(e.getValue(), most, fmt)))
        .toList();
  }

  private static double ml(List<DatedOil> oils) {
    return oils.stream().mapToDouble(DatedOil::ml).sum();
  }

  private static double goodMl(List<DatedOil> oils, LocalDate today) {
    return ml(oils.stream().filter(o -> !o.bestBefore().isBefore(today)).toList());
  }

  private static String bottles(List<DatedOil> oils) {
    long count = oils.stream().mapToLong(DatedOil::bottles).sum();
    return count == 1 ? "1 bottle" : count + " bottles";
  }

  private static List<Piece> pieces(List<DatedOil> oils, double mostMl, Formats fmt) {
    List<Piece> pieces = new ArrayList<>();
    double x = 0;
    int one = Math.max(1, (int) Math.ceil(oils.size() / (double) MOST_PIECES));
    for (int i = 0; i < oils.size(); i += one) {
      List<DatedOil> piece = oils.subList(i, Math.min(oils.size(), i + one));
      LocalDate first = piece.get(0).bestBefore();
      double width = FULL_WIDTH * ml(piece) / mostMl;
      pieces.add(
          new Piece(
              Math.round(x * 10) / 10.0,
              Math.max(1, Math.round(width * 10) / 10.0 - 2),
              mood(ChronoUnit.DAYS.between(fmt.today(), first)),
              fmt.ml(ml(piece)) + " in " + bottles(piece) + ", until " + fmt.date(first)));
      x += width;
    }
    return pieces;
  }

  /** What an amount of good oil is enough for. */
  private static String enough(double goodMl, Formats fmt) {
    String words =
        Enough.of(goodMl).stream()
            .map(enough -> words(enough, fmt))
            .collect(Collectors.joining(", or "));
    return words.isEmpty() ? "" : "Enough for " + words;
  }

  private static String words(Enough enough, Formats fmt) {
    boolean one = enough.count() == 1;
    return enough.count()
        + switch (enough.what()) {
          case TIN_OF_SALVE -> (one ? " tin of " : " tins of ") + fmt.ml(30) + " of salve";
          case HAND_OIL -> (one ? " hand oil of " : " hand oils of ") + fmt.ml(50);
          case ROLL_ON -> one ? " roll-on" : " roll-ons";
          case MASSAGE -> one ? " massage" : " massages";
          case GIFT_BOTTLE -> (one ? " gift bottle of " : " gift bottles of ") + fmt.ml(100);
        };
  }

  private static List<String> taught(
      Map<BottleBook.Shelf, OwnShelfLife> own, Catalogue catalogue, Formats fmt) {
    return own.entrySet().stream()
        .sorted(Comparator.comparing(e -> -e.getValue().turned()))
        .map(
            e ->
                catalogue.carrier(e.getKey().carrier()).name()
                    + ", "
                    + place(e.getKey().place())
                    + ": "
                    + taught(e.getValue(), fmt))
        .toList();
  }

  /** What bottles of one carrier in one place taught, in words. */
  static String taught(OwnShelfLife life, Formats fmt) {
    String good =
        life.good() == 0
            ? ""
            : life.good()
                + " used up while good, the oldest after "
                + fmt.days(life.longestGoodDays());
    if (life.turned() == 0) {
      return good;
    }
    String turned =
        life.turned()
            + (life.turned() == 1
                ? " turned, after " + fmt.days(life.earliestDays())
                : " turned, the first after "
                    + fmt.days(life.earliestDays())
                    + ", half of them by "
                    + fmt.days(life.medianDays()));
    return good.isEmpty() ? turned : turned + "; " + good;
  }

  private static BottleCard card(
      BottleRecord record, int lane, double at, Catalogue catalogue, Formats fmt) {
    LocalDate today = fmt.today();
    long left = ChronoUnit.DAYS.between(today, record.bestBefore());
    String until = fmt.date(record.bestBefore());
    Store.Place place = record.bottle().store().place();
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
        record.bottle().spoiled()
            ? "spoiled: throw it out"
            : left < 0 ? fmt.days(-left) + " over" : fmt.days(left) + ", " + place(place),
        record.bottle().spoiled() ? "stop" : mood(left),
        at,
        lane,
        drawing(record, catalogue, fmt));
  }

  private static String mood(long left) {
    return left < 0 ? "stop" : left <= SOON_DAYS ? "care" : "resting";
  }

  private static double at(BottleRecord record, double days, LocalDate today) {
    double left = ChronoUnit.DAYS.between(today, record.bestBefore());
    return Math.round(FULL_WIDTH * Math.max(0, Math.min(days, left)) / days);
  }

  static String herbs(BottleRecord record, Catalogue catalogue) {
    return new BatchReckoning(catalogue, record.batch().state()).herbNames();
  }

  static BottleDrawing drawing(BottleRecord record, Catalogue catalogue, Formats fmt) {
    Charged charge = record.batch().state().charge();
    Herb herb = catalogue.herb(charge.herbs().get(0).herb());
    String carrier = catalogue.carrier(charge.carriers().get(0).carrier()).tint();
    double size = record.bottle().sizeMl();
    List<ColourStory.Seen> seen = record.batch().state().colours().seen();
    return BottleDrawing.of(
        record.code(),
        size,
        record.bottle().leftMl(),
        record.bottle().store().glass() == Store.Glass.AMBER,
        seen.isEmpty()
            ? JarDrawing.mix(carrier, herb.colours().tint(), 0.9)
            : seen.get(seen.size() - 1).colour().hex(),
        "Bottle of " + fmt.ml(size) + " with " + fmt.ml(record.bottle().leftMl()) + " left");
  }

  static String place(Store.Place place) {
    return switch (place) {
      case FREEZER -> "in the freezer";
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
