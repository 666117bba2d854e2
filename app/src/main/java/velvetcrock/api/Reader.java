package velvetcrock.api;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Balance.Weighed;

/** Reads the parts of a request into the core's terms, collecting what is wrong by field. */
final class Reader {
  private static final int MOST_PARTS = 50;
  private static final int MOST_ROWS = 1000;
  private static final int LONGEST_NAME = 100;
  private static final int EARLIEST_YEAR = 1900;
  private static final int LATEST_YEAR = 2200;
  private static final double SMALLEST_SHARE = 1e-6;

  /** Other names of the ways of drawing. */
  private static final Map<String, String> METHOD_NAMES =
      Map.of(
          "crock-warm", "crock",
          "hot", "simmer",
          "double-boiler", "simmer",
          "alcohol", "spirit",
          "alcohol-intermediary", "spirit");

  private final Catalogue catalogue;
  private final Problems problems = new Problems();

  Reader(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  Problems problems() {
    return problems;
  }

  /** A value that has to be there. */
  <T> @Nullable T need(String field, @Nullable T value) {
    problems.require(value != null, field, "This is missing.");
    return value;
  }

  /** A choice by its lower-case word; {@code usual} where none is sent. */
  <E extends Enum<E>> @Nullable E choice(
      String field, Class<E> type, @Nullable String word, @Nullable E usual) {
    if (word == null) {
      return usual == null ? need(field, null) : usual;
    }
    for (E value : type.getEnumConstants()) {
      if (word(value).equals(word)) {
        return value;
      }
    }
    List<String> words = new ArrayList<>();
    for (E value : type.getEnumConstants()) {
      words.add(word(value));
    }
    problems.add(field, "“" + word + "” is none of " + String.join(", ", words) + ".");
    return null;
  }

  static String word(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** A way of drawing, by its word or one of the names it also goes by. */
  @Nullable Method method(String field, @Nullable String word, Method usual) {
    return choice(
        field, Method.class, word == null ? null : METHOD_NAMES.getOrDefault(word, word), usual);
  }

  /** A date within living memory and foresight. */
  @Nullable LocalDate date(String field, @Nullable LocalDate date) {
    return date == null
            || problems.require(
                date.getYear() >= EARLIEST_YEAR && date.getYear() <= LATEST_YEAR,
                field,
                "A date lies between " + EARLIEST_YEAR + " and " + LATEST_YEAR + ".")
        ? date
        : null;
  }

  List<Weighed> weighed(String list, @Nullable List<Requests.WeighedIn> sent) {
    List<Weighed> weighed = new ArrayList<>();
    List<Requests.WeighedIn> all = sent == null ? List.of() : sent;
    problems.require(all.size() <= MOST_ROWS, list, "At most 1000.");
    for (int i = 0; i < Math.min(all.size(), MOST_ROWS); i++) {
      Requests.WeighedIn in = all.get(i);
      String at = list + "[" + i + "]";
      Double mass = need(at + ".massG", in == null ? null : in.massG());
      if (mass != null) {
        String what = in.what() == null || in.what().isBlank() ? "something" : in.what().strip();
        weighed.add(new Weighed(what.substring(0, Math.min(LONGEST_NAME, what.length())), mass));
      }
    }
    return weighed;
  }

  List<HerbPortion> herbs(@Nullable List<Requests.HerbIn> herbs) {
    List<HerbPortion> portions = new ArrayList<>();
    List<Requests.HerbIn> sent = herbs == null ? List.of() : herbs;
    problems.require(!sent.isEmpty() && sent.size() <= MOST_PARTS, "herbs", "Name 1 to 50 herbs.");
    for (int i = 0; i < Math.min(sent.size(), MOST_PARTS); i++) {
      HerbPortion portion = herb("herbs[" + i + "]", sent.get(i));
      if (portion != null) {
        portions.add(portion);
      }
    }
    return portions;
  }

  private @Nullable HerbPortion herb(String at, Requests.@Nullable HerbIn in) {
    if (in == null) {
      problems.add(at, "This is missing.");
      return null;
    }
    Herb herb =
        in.herb() == null
            ? need(at + ".herb", null)
            : problems.attempt(at + ".herb", () -> catalogue.herb(in.herb()));
    Part part =
        choice(at + ".part", Part.class, in.part(), herb == null ? Part.LEAF : herb.bestPart());
    Cut cut = choice(at + ".cut", Cut.class, in.cut(), null);
    HerbState state = choice(at + ".state", HerbState.class, in.state(), HerbState.DRIED);
    Double mass = need(at + ".massG", in.massG());
    if (herb == null || part == null || cut == null || state == null || mass == null) {
      return null;
    }
    double water = in.waterFraction() == null ? herb.waterFraction(state) : in.waterFraction();
    return under(at, () -> new HerbPortion(herb, part, cut, state, mass, water));
  }

  /** Runs a step whose problems keep their own names below a path. */
  <T> @Nullable T under(String at, Supplier<T> step) {
    Problems own = new Problems();
    T result = own.attempt(step);
    own.found().forEach(p -> problems.add(at + "." + p.field(), p.message()));
    return result;
  }

  @Nullable CarrierBlend blend(@Nullable List<Requests.CarrierIn> carriers) {
    List<CarrierDates> dated = dated(carriers);
    return dated.isEmpty()
        ? null
        : problems.attempt(
            () ->
                new CarrierBlend(
                    dated.stream()
                        .map(c -> new CarrierBlend.Share(c.carrier(), c.share()))
                        .toList()));
  }

  /** Whether any carrier is given by an amount in place of a share. */
  static boolean byAmount(@Nullable List<Requests.CarrierIn> carriers) {
    return carriers != null
        && carriers.stream().anyMatch(c -> c != null && (c.ml() != null || c.massG() != null));
  }

  /** The oil that carriers given by amounts come to; null where one of them is none. */
  @Nullable Ratio oil(@Nullable List<Requests.CarrierIn> carriers) {
    double ml = dated(carriers).stream().mapToDouble(CarrierDates::share).sum();
    return problems.none() ? problems.attempt("carriers", () -> new Ratio.Oil(ml)) : null;
  }

  /** A carrier’s share by volume, or its ml at 20 °C where all are given by amounts. */
  private double share(Requests.CarrierIn in, Carrier carrier, boolean byAmount, String at) {
    if (!byAmount) {
      return in.share() == null ? 1 : in.share();
    }
    boolean one = (in.ml() == null) != (in.massG() == null) && in.share() == null;
    if (!problems.require(
        one, at, "Give ml or massG for every carrier, or a share for every one.")) {
      return 1;
    }
    return in.ml() != null
        ? in.ml()
        : Objects.requireNonNull(in.massG()) / carrier.densityAt(Carrier.ROOM_C);
  }

  List<CarrierDates> dated(@Nullable List<Requests.CarrierIn> carriers) {
    return dated(carriers, null);
  }

  /**
   * Carriers with their dates.
   *
   * @param from the day from which one of unknown age counts; null where ages do not matter
   */
  List<CarrierDates> dated(@Nullable List<Requests.CarrierIn> carriers, @Nullable LocalDate from) {
    List<CarrierDates> dated = new ArrayList<>();
    List<Requests.CarrierIn> sent = carriers == null ? List.of() : carriers;
    problems.require(
        !sent.isEmpty() && sent.size() <= MOST_PARTS, "carriers", "Name 1 to 50 carriers.");
    for (int i = 0; i < Math.min(sent.size(), MOST_PARTS); i++) {
      Requests.CarrierIn in = sent.get(i);
      String at = "carriers[" + i + "]";
      if (in == null || in.carrier() == null) {
        problems.add(at + ".carrier", "This is missing.");
        continue;
      }
      Carrier carrier = problems.attempt(at + ".carrier", () -> catalogue.carrier(in.carrier()));
      double share = carrier == null ? 1 : share(in, carrier, byAmount(sent), at);
      LocalDate bestBefore = date(at + ".bestBefore", in.bestBefore());
      LocalDate openedOn = date(at + ".openedOn", in.openedOn());
      LocalDate pressedOn = date(at + ".pressedOn", in.pressedOn());
      if (problems.require(
              share >= SMALLEST_SHARE && share <= 1 / SMALLEST_SHARE,
              at + ".share",
              "Each share is above 0; " + share + " was read.")
          && carrier != null) {
        CarrierDates known = new CarrierDates(carrier, share, bestBefore, openedOn, pressedOn);
        boolean unknown = Boolean.TRUE.equals(in.dateUnknown()) && from != null;
        dated.add(unknown ? known.orUnknown(from) : known);
      }
    }
    return dated;
  }

  @Nullable Trace trace(@Nullable List<Requests.PointIn> points) {
    if (points == null) {
      return Trace.none();
    }
    for (int i = 0; i < points.size(); i++) {
      Requests.PointIn point = points.get(i);
      if (point == null || point.hours() == null || point.celsius() == null) {
        problems.add("trace[" + i + "]", "A point has hours and celsius.");
        return null;
      }
    }
    return problems.attempt(
        () ->
            new Trace(points.stream().map(p -> new Trace.Point(p.hours(), p.celsius())).toList()));
  }

  /** A number that may be missing. */
  static @Nullable Double boxed(OptionalDouble number) {
    return number.isPresent() ? number.getAsDouble() : null;
  }
}
