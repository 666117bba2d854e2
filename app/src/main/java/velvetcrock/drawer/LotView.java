package velvetcrock.drawer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.drawer.LotFacts;
import velvetcrock.core.log.Event;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.Formats;

/**
 * A lot's page.
 *
 * @param percent how full it is against its fullest, in hundredths
 * @param offers what can be done with it
 */
record LotView(
    UUID id,
    String name,
    String state,
    String origin,
    String amount,
    int percent,
    String unit,
    List<Fact> facts,
    List<Caution> worries,
    List<Line> log,
    Offers offers,
    String front) {

  /**
   * What can be done with it.
   *
   * @param picks whether pickings can be added
   * @param opens whether it can still be opened
   * @param of what its amounts are of, as hints beside fields ask for it
   */
  record Offers(boolean standing, boolean picks, boolean opens, String of) {}

  /** A code on a lid: signs in turn letter and digit. */
  private static final Pattern BATCH = Pattern.compile("[A-Z][0-9][A-Z](?:[0-9][A-Z])*");

  private static final String PRODUCT = "product ";

  /** A figure with its name. */
  record Fact(String name, String value) {}

  /** A line of its log. */
  record Line(
      UUID id,
      String title,
      String when,
      String by,
      boolean replaced,
      boolean canUndo,
      String link) {}

  static LotView of(
      LotRecord record,
      List<Ledger.Line<LotEvent>> log,
      Catalogue catalogue,
      Cautions cautions,
      Formats fmt) {
    Lot lot = record.lot();
    LotDetails details = lot.details();
    LotWords words = new LotWords(catalogue, fmt);
    String key = details.kind() == Kind.SPIRIT ? "spirit" : details.thing();
    return new LotView(
        record.id(),
        words.name(lot),
        words.state(lot),
        words.origin(lot),
        words.amount(lot),
        (int) Math.round(lot.most() == 0 ? 0 : 100 * lot.amount() / lot.most()),
        details.kind().unit(),
        facts(lot, words, catalogue, fmt),
        cautions.of(LotFacts.of(List.of(lot), catalogue, fmt.today())),
        newestFirst(log).map(l -> line(l, lot, words, fmt)).toList(),
        new LotView.Offers(
            lot.standing(),
            lot.standing() && details.origin() != Origin.BOUGHT,
            lot.standing() && details.kind() == Kind.CARRIER && details.dates().openedOn() == null,
            substance(details)),
        "/drawer/of/" + details.kind() + "/" + key);
  }

  private static String substance(LotDetails details) {
    return switch (details.kind()) {
      case HERB -> "herb:" + details.thing();
      case CARRIER -> "oil:" + details.thing();
      case WAX -> "thing:wax:" + details.thing();
      default -> "";
    };
  }

  /** The newest line of a log in front, where the eye falls first. */
  static <E extends Event<?>> Stream<Ledger.Line<E>> newestFirst(List<Ledger.Line<E>> log) {
    return IntStream.range(0, log.size()).mapToObj(i -> log.get(log.size() - 1 - i));
  }

  private static List<Fact> facts(Lot lot, LotWords words, Catalogue catalogue, Formats fmt) {
    LotDetails d = lot.details();
    List<Fact> facts = new ArrayList<>();
    facts.add(new Fact("On hand", words.amount(lot)));
    lot.goodUntil(catalogue).ifPresent(u -> facts.add(new Fact("Good until", fmt.date(u))));
    if (d.kind() == Kind.HERB) {
      facts.add(
          new Fact(
              "Water",
              fmt.percent(lot.waterFraction(catalogue))
                  + (d.plant().waterFraction() == null ? ", as usual" : ", its own")));
    }
    Optional.ofNullable(d.dates().boughtOn())
        .ifPresent(on -> facts.add(new Fact("Bought", fmt.date(on))));
    Optional.ofNullable(d.dates().openedOn())
        .ifPresent(on -> facts.add(new Fact("Opened", fmt.date(on))));
    Optional.ofNullable(d.dates().bestBefore())
        .ifPresent(on -> facts.add(new Fact("Best before, printed", fmt.date(on))));
    if (d.priceMinor() != null) {
      facts.add(new Fact("Paid", price(d.priceMinor(), lot.most(), d.kind(), fmt)));
    }
    if (!lot.pickings().isEmpty()) {
      facts.add(
          new Fact(
              "Pickings",
              lot.pickings().stream()
                  .map(p -> fmt.shortDate(p.on()) + " " + words.amount(d.kind(), p.amount()))
                  .collect(Collectors.joining(", "))));
    }
    return facts;
  }

  private static String price(long minor, double of, Kind kind, Formats fmt) {
    if (minor == 0) {
      return "free";
    }
    String paid = "%.2f".formatted(minor / 100.0);
    return of > 0 ? paid + ", " + fmt.number(minor / of, 2) + " a hundred " + kind.unit() : paid;
  }

  private static Line line(Ledger.Line<LotEvent> line, Lot lot, LotWords words, Formats fmt) {
    LotEvent event = line.entry().event();
    return new Line(
        line.entry().id(),
        event.accept(words.telling(lot)).title(),
        fmt.moment(line.entry().at()),
        line.by(),
        line.replaced(),
        !line.replaced() && event.staysBecause().isEmpty(),
        page(event.wentInto()));
  }

  /** The page of the batch or product that something went into; empty where it was neither. */
  private static String page(String what) {
    if (BATCH.matcher(what).matches()) {
      return "/batches/" + what;
    }
    return what.startsWith(PRODUCT) ? "/products/" + what.substring(PRODUCT.length()) : "";
  }
}
