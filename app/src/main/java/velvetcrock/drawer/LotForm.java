package velvetcrock.drawer;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.measure.CrossCheck;
import velvetcrock.core.measure.CrossCheck.Substance;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.PriceText;
import velvetcrock.core.spirit.EthanolWater;
import velvetcrock.web.Dates;
import velvetcrock.web.Typed;

/**
 * A lot as it was typed.
 *
 * @param plant what belongs to a herb
 * @param dates the days of its life
 * @param price what was paid, {@code free}, or empty
 * @param amount how much, by weight or volume
 * @param other the same by the other measure, to check the first; may be empty
 * @param key names this putting, so that a second tap makes no second lot
 */
record LotForm(
    @Nullable String kind,
    @Nullable String thing,
    @Nullable String name,
    @JsonUnwrapped Plant plant,
    @Nullable String origin,
    @Nullable String from,
    @JsonUnwrapped Days dates,
    @Nullable String abv,
    @Nullable String price,
    @Nullable String amount,
    @Nullable String other,
    @Nullable String key) {

  /** What belongs to a herb. */
  record Plant(
      @Nullable String part,
      @Nullable String cut,
      @Nullable String state,
      @Nullable String water) {}

  /** The days of its life. */
  record Days(
      @Nullable String harvestedOn,
      @Nullable String boughtOn,
      @Nullable String openedOn,
      @Nullable String bestBefore) {}

  private static final double PERCENT = 100;

  static LotForm empty(String kind, @Nullable String thing) {
    return new LotForm(
        kind,
        thing,
        null,
        new LotForm.Plant(null, "CUT", "DRIED", null),
        null,
        null,
        new LotForm.Days(null, null, null, null),
        null,
        null,
        null,
        null,
        null);
  }

  /** What is known of a lot, to be said anew. */
  static LotForm of(Lot lot, Catalogue catalogue) {
    LotDetails d = lot.details();
    Double water = d.plant().waterFraction();
    Long price = d.priceMinor();
    return new LotForm(
        d.kind().name(),
        d.thing(),
        d.name(),
        new LotForm.Plant(
            d.plant().part() == null
                ? ""
                : name(catalogue.herb(d.thing()).partNow(d.plant().part())),
            name(d.plant().cut()),
            name(d.plant().state()),
            water == null ? "" : plain(water * PERCENT)),
        d.origin().name(),
        d.from(),
        new LotForm.Days(
            day(d.dates().harvestedOn()),
            day(d.dates().boughtOn()),
            day(d.dates().openedOn()),
            day(d.dates().bestBefore())),
        d.abvPercent() == null ? "" : plain(d.abvPercent()),
        price == null ? "" : price == 0 ? "free" : plain(price / PERCENT),
        null,
        null,
        null);
  }

  /** What it is, for showing the form; a herb where that cannot be read. */
  Kind kindOrHerb() {
    try {
      return lotKind();
    } catch (Refused refused) {
      return Kind.HERB;
    }
  }

  /**
   * What it is.
   *
   * @throws Refused at {@code kind}
   */
  Kind lotKind() {
    try {
      return Kind.valueOf(Typed.text(kind).toUpperCase(Locale.ROOT));
    } catch (IllegalArgumentException e) {
      throw new Refused("kind", "A herb, an oil, spirit or wax.");
    }
  }

  /**
   * What the lot is.
   *
   * @throws Refused at every field that cannot be read
   */
  LotDetails details(Catalogue catalogue, LocalDate today, Kitchen kitchen) {
    Kind is = lotKind();
    Problems problems = new Problems();
    boolean herb = is == Kind.HERB;
    String key = is == Kind.SPIRIT ? "" : Typed.text(thing);
    problems.attempt("thing", () -> known(is, key, catalogue));
    Part ofPart = herb ? problems.attempt("part", () -> part(catalogue, key)) : null;
    Cut ofCut =
        herb ? problems.attempt("cut", () -> Typed.named(Cut.class, plant.cut(), "cut")) : null;
    HerbState inState =
        herb
            ? problems.attempt("state", () -> Typed.named(HerbState.class, plant.state(), "state"))
            : null;
    Origin by = problems.attempt("origin", () -> origin(herb));
    Double waterPercent = problems.attempt("water", () -> number(plant.water(), "% of water"));
    Double strength =
        is == Kind.SPIRIT ? problems.attempt("abv", () -> number(abv, "% vol")) : null;
    LocalDate harvested = past(problems, "harvestedOn", dates.harvestedOn(), today);
    LocalDate bought = past(problems, "boughtOn", dates.boughtOn(), today);
    LocalDate opened = past(problems, "openedOn", dates.openedOn(), today);
    LocalDate until = problems.attempt("bestBefore", () -> Dates.read(dates.bestBefore()));
    Long minor =
        problems.attempt(
            "price", () -> PriceText.minor(Typed.text(price), bought(kitchen), kitchen));
    problems.refuseIfAny();
    return new LotDetails(
        is,
        key,
        Typed.text(name),
        new LotDetails.Plant(
            ofPart, ofCut, inState, waterPercent == null || !herb ? null : waterPercent / PERCENT),
        by,
        Typed.text(from),
        new LotDetails.Dates(herb ? harvested : null, bought, herb ? null : opened, until),
        strength,
        minor);
  }

  /**
   * How much there is, in the unit of the lot. Where weight and volume are both given they have to
   * agree.
   *
   * @throws Refused at {@code amount}
   */
  double amountOf(LotDetails details, Kitchen kitchen, Catalogue catalogue) {
    String typed =
        Typed.text(other).isEmpty()
            ? Typed.text(amount)
            : Typed.text(amount) + " = " + Typed.text(other);
    if (typed.isEmpty()) {
      throw new Refused("amount", "Say how much there is, such as 180 g or 500 ml.");
    }
    return switch (details.kind()) {
      case HERB -> {
        Herb herb = catalogue.herb(details.thing());
        Part of = Objects.requireNonNull(details.plant().part());
        Cut in = Objects.requireNonNull(details.plant().cut());
        HerbState as = Objects.requireNonNull(details.plant().state());
        yield Amounts.herbMassG(typed, kitchen, herb, of, in, as, catalogue).middle();
      }
      case WAX -> {
        Wax wax = catalogue.wax(details.thing());
        Measure read =
            CrossCheck.read(
                typed, kitchen, new Substance(wax.pelletDensity(), wax.pelletRange(), true));
        yield read.amount().middle() * (read.isWeight() ? 1 : wax.pelletDensity());
      }
      case CARRIER -> {
        Carrier carrier = catalogue.carrier(details.thing());
        yield ml(typed, kitchen, carrier.densityAt(Carrier.ROOM_C));
      }
      case SPIRIT ->
          ml(typed, kitchen, EthanolWater.density(Objects.requireNonNull(details.abvPercent())));
    };
  }

  private static double ml(String typed, Kitchen kitchen, double density) {
    Substance liquid = new Substance(density, Range.exactly(density), false);
    Measure read = CrossCheck.read(typed, kitchen, liquid);
    return read.amount().middle() / (read.isWeight() ? density : 1);
  }

  private static String known(Kind kind, String key, Catalogue catalogue) {
    return switch (kind) {
      case HERB -> catalogue.herb(key).name();
      case CARRIER -> catalogue.carrier(key).name();
      case WAX -> catalogue.wax(key).name();
      case SPIRIT -> "";
    };
  }

  private Part part(Catalogue catalogue, String key) {
    Herb herb = catalogue.herb(key);
    return herb.parts().stream()
        .filter(p -> p.name().equalsIgnoreCase(Typed.text(plant.part())))
        .findFirst()
        .orElse(herb.bestPart());
  }

  private Origin origin(boolean herb) {
    Origin by =
        Typed.text(origin).isEmpty() ? Origin.BOUGHT : Typed.named(Origin.class, origin, "origin");
    if (!herb && by != Origin.BOUGHT) {
      throw new Refused("origin", "Only herbs are grown or gathered here.");
    }
    return by;
  }

  /** How much was bought, for a price that is said by measure; null where that cannot be read. */
  private @Nullable Measure bought(Kitchen kitchen) {
    try {
      return new MeasureReader(kitchen).readAny(Typed.text(amount));
    } catch (Refused refused) {
      return null;
    }
  }

  private static @Nullable LocalDate past(
      Problems problems, String field, @Nullable String typed, LocalDate today) {
    LocalDate day = problems.attempt(field, () -> Dates.read(typed));
    problems.require(day == null || !day.isAfter(today), field, "That day is still to come.");
    return day;
  }

  private static @Nullable Double number(@Nullable String typed, String what) {
    String text = Typed.text(typed).replace(',', '.').replaceFirst("\\s*%.*$", "");
    if (text.isEmpty()) {
      return null;
    }
    try {
      return Double.parseDouble(text);
    } catch (NumberFormatException e) {
      throw new Refused("", "“" + shown(text) + "” is not a number of " + what + ".");
    }
  }

  private static String shown(String typed) {
    return typed.length() > 40 ? typed.substring(0, 40) + "…" : typed;
  }

  private static @Nullable String name(@Nullable Enum<?> value) {
    return value == null ? null : value.name();
  }

  private static String day(@Nullable LocalDate day) {
    return day == null ? "" : day.toString();
  }

  private static String plain(double value) {
    return BigDecimal.valueOf(value)
        .setScale(2, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .toPlainString();
  }
}
