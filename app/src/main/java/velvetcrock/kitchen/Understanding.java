package velvetcrock.kitchen;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.charge.Level;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.measure.CrossCheck;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.PartOfAll;
import velvetcrock.core.measure.Rows;
import velvetcrock.web.Formats;
import velvetcrock.web.Happened;
import velvetcrock.web.Typed;

/** Says what an amount was understood as while it is typed, in weight and in volume. */
@Component
class Understanding {
  private static final String PARTS = "parts";

  private final Households households;
  private final Catalogues catalogues;

  Understanding(Households households, Catalogues catalogues) {
    this.households = households;
    this.catalogues = catalogues;
  }

  /**
   * What is understood.
   *
   * @param kind {@code weight}, {@code volume}, {@code count}, {@code depth} or {@code parts};
   *     {@code wrong} where it cannot be read; empty where nothing is to be said
   */
  record Told(String words, String kind) {
    static final Told NOTHING = new Told("", "");
  }

  /** What a time is understood as. */
  static Told tell(Happened when) {
    try {
      return new Told(when.words(), "time");
    } catch (Refused refused) {
      return new Told(refused.problems().get(0).message(), "wrong");
    }
  }

  /**
   * What something is understood as.
   *
   * @param rows what was typed; of a row of a mix what was typed in those before it, too
   * @param bare the unit that the field shows; empty where it wants one
   * @param of what it is an amount of
   */
  Told tell(List<String> rows, String bare, AmountOf of) {
    String typed = rows.get(rows.size() - 1);
    if (Typed.blank(typed)) {
      return Told.NOTHING;
    }
    Household house = households.current();
    Formats fmt = households.formats(house);
    MeasureReader reader = new MeasureReader(house.kitchen());
    OptionalDouble part = bare.equals(PARTS) ? OptionalDouble.empty() : PartOfAll.read(typed);
    if (part.isPresent()) {
      return new Told(fmt.percent(part.getAsDouble()) + " of what is there", "part");
    }
    Optional<Level> level =
        of.carrier().isPresent() ? Level.of(typed, house.units().lengths()) : Optional.empty();
    if (level.isPresent()) {
      return new Told(words(level.get(), fmt), "level");
    }
    try {
      Measure said =
          bare.equals(PARTS)
              ? row(rows, house.kitchen())
              : (bare.isEmpty() ? reader : reader.bare(bare)).readAny(typed);
      String kind = said.kind().name().toLowerCase(Locale.ROOT);
      return new Told(String.join(", ", words(said, of, house.kitchen(), fmt)), kind);
    } catch (Refused refused) {
      return new Told(refused.problems().get(0).message(), "wrong");
    }
  }

  private static String words(Level level, Formats fmt) {
    return level.share().isPresent()
        ? "the jar " + fmt.percent(level.share().getAsDouble()) + " full"
        : fmt.mm(level.aboveMm().orElse(0)) + " above the herb";
  }

  /**
   * What it is an amount of: at most one of these.
   *
   * @param herb as it lies in the cup
   * @param carrier an oil or a fat
   * @param other anything else whose weight by volume is known
   */
  record AmountOf(
      Optional<Amounts.Lying> herb,
      Optional<Carrier> carrier,
      Optional<CrossCheck.Substance> other) {
    static final AmountOf ANYTHING =
        new AmountOf(Optional.empty(), Optional.empty(), Optional.empty());
  }

  private static Measure row(List<String> rows, Kitchen kitchen) {
    return Rows.read(rows, kitchen, i -> "row").each().get(rows.size() - 1);
  }

  private List<String> words(Measure said, AmountOf of, Kitchen kitchen, Formats fmt) {
    Catalogue catalogue = catalogues.current();
    List<String> words = new ArrayList<>();
    switch (said.kind()) {
      case WEIGHT -> {
        words.add(fmt.g(said.amount()));
        substance(of, catalogue)
            .ifPresent(
                s -> {
                  CrossCheck.checked(said, kitchen, s);
                  words.add(
                      fmt.ml(spread(said.amount(), 1 / s.range().high(), 1 / s.range().low())));
                  fluid(said, s, kitchen).ifPresent(ml -> words.add(asFluid(said, ml, fmt)));
                });
      }
      case VOLUME -> {
        words.add(fmt.ml(said.amount()));
        substance(of, catalogue)
            .ifPresent(
                s -> {
                  CrossCheck.checked(said, kitchen, s);
                  Range lies = s.loose() ? said.loose() : said.amount();
                  words.add(fmt.g(spread(lies, s.range().low(), s.range().high())));
                });
      }
      case COUNT ->
          of.herb().ifPresent(h -> words.add(fmt.g(Amounts.pieces(said, h.herb(), h.state()))));
      case DEPTH -> words.add(fmt.mm(said.amount()));
      case PARTS -> {
        // parts say nothing by themselves
      }
    }
    return words;
  }

  private static Range spread(Range amount, double low, double high) {
    return new Range(amount.low() * low, amount.high() * high);
  }

  private static Optional<CrossCheck.Substance> substance(AmountOf of, Catalogue catalogue) {
    return of.herb()
        .map(h -> Amounts.loose(h.herb(), h.part(), h.cut(), h.state(), catalogue))
        .or(() -> of.carrier().map(c -> Amounts.substance(c, Carrier.ROOM_C)))
        .or(of::other);
  }

  /** What ounces of a liquid would be as fluid ounces. */
  private static Optional<Range> fluid(
      Measure said, CrossCheck.Substance substance, Kitchen kitchen) {
    if (substance.loose() || !said.text().toLowerCase(Locale.ROOT).matches(".*(oz|ounces?)\\b.*")) {
      return Optional.empty();
    }
    double ounce = new MeasureReader(Kitchen.US).read("1 oz").amount().middle();
    double fluidMl = new MeasureReader(kitchen).read("1 fl oz").amount().middle();
    return Optional.of(said.amount().times(fluidMl / ounce));
  }

  private static String asFluid(Measure said, Range ml, Formats fmt) {
    return "by weight; as fluid ounces it would be " + fmt.ml(ml);
  }
}
