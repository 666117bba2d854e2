package velvetcrock.bench;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.OilPoured;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.Vessels;
import velvetcrock.web.Dates;
import velvetcrock.web.Typed;

/** Reads what is known of a jar that was begun before: what is not known becomes a range. */
@Component
class TakeOnReader {
  private static final double UNKNOWN_ABV = 40;
  private static final double LEAST_FILL = 0.75;
  private static final double SOLIDS_SHARE = 1 / 1.40;
  private static final int OLDEST_DAYS = 3 * 365;
  private static final double MOST_HOURS = 240;
  private static final int NOON = 12;

  /** It stood as cool as its place. */
  private static final String COOL = "COOL";

  private static final List<Integer> ABOUT = List.of(0, 3, 7, 14, 30, 60);

  private final Households households;
  private final Vessels vessels;
  private final Places places;
  private final Catalogues catalogues;

  TakeOnReader(Households households, Vessels vessels, Places places, Catalogues catalogues) {
    this.households = households;
    this.vessels = vessels;
    this.places = places;
    this.catalogues = catalogues;
  }

  /**
   * What was read.
   *
   * @param heat what heat it has had; null where none
   * @param poured the oil that followed spirit; null where there was none
   */
  record TakenOn(Charged charged, @Nullable Warmed heat, @Nullable Pouring poured) {}

  /**
   * Oil poured on once the spirit had had its day.
   *
   * @param at when; null for now
   */
  record Pouring(OilPoured oil, @Nullable Instant at) {}

  /** Heat that it has had, as felt by hand, h. */
  record Warmed(Instant from, double hours, Assumed.HandTest felt) {}

  private record InHerb(Herb herb, HerbState state, Cut cut, String typed) {}

  private record InOil(Carrier carrier, String typed) {}

  /**
   * Reads it.
   *
   * @param form completed
   * @throws Refused at every field that cannot be read
   */
  TakenOn read(TakeOnForm form) {
    Household house = households.current();
    LocalDate today = households.today(house);
    Problems problems = new Problems();
    List<InHerb> herbs = herbs(Objects.requireNonNull(form.herbs()), problems);
    List<InOil> oils = oils(Objects.requireNonNull(form.oils()), problems);
    Jar jar = problems.attempt("jar", () -> jar(Typed.text(form.jar())));
    Place place = problems.attempt("place", () -> places.one(Typed.text(form.place())));
    Use use = problems.attempt("use", () -> Typed.named(Use.class, form.use(), "use"));
    Integer about = problems.attempt("about", () -> about(Typed.text(form.begun().about())));
    LocalDate on = problems.attempt("chargedOn", () -> day(form.begun().chargedOn(), today));
    LocalDate bestBefore =
        problems.attempt("bestBefore", () -> Dates.read(form.dates().bestBefore()));
    LocalDate opened = problems.attempt("openedOn", () -> Dates.read(form.dates().openedOn()));
    Method warmed = problems.attempt("method", () -> method(form));
    problems.refuseIfAny();
    Warmed heat = problems.attempt(() -> heat(form, warmed, Objects.requireNonNull(on), house));
    Double abv = problems.attempt("abv", () -> abv(form));
    List<Range> masses = masses(herbs, form, Objects.requireNonNull(jar), house, problems);
    problems.refuseIfAny();
    Range herbG = masses.stream().reduce(Range.exactly(0), Range::plus);
    List<Range> amounts = amounts(oils, herbG, jar, house, problems);
    problems.refuseIfAny();
    List<HerbIn> in = new ArrayList<>();
    for (int i = 0; i < herbs.size(); i++) {
      InHerb herb = herbs.get(i);
      in.add(
          new HerbIn(
              herb.herb().key(),
              herb.herb().bestPart(),
              herb.cut(),
              herb.state(),
              masses.get(i),
              herb.herb().waterFraction(herb.state()),
              herb.typed()));
    }
    Range oilMl = amounts.stream().reduce(Range.exactly(0), Range::plus);
    boolean undated = bestBefore == null && opened == null;
    List<OilIn> carriers = new ArrayList<>();
    for (int i = 0; i < oils.size(); i++) {
      carriers.add(
          new OilIn(
              oils.get(i).carrier().key(),
              amounts.get(i).middle() / oilMl.middle(),
              bestBefore,
              opened,
              null,
              null,
              undated));
    }
    return new TakenOn(
        new Charged(
            warmed == null ? Objects.requireNonNull(place).method() : warmed,
            in,
            carriers,
            new Charged.Oil(oilMl, oils.size() == 1 ? oils.get(0).typed() : ""),
            JarIn.of(jar),
            ChargeOrder.USUAL_COVER_MM,
            use,
            place.stand(),
            new Charged.Begun(on, about, true),
            false,
            new Manner(
                form.blended() != null,
                warmed == Method.SPIRIT
                    ? new SpiritIn(
                        Objects.requireNonNull(abv),
                        SpiritStep.USUAL_DOSE * herbG.middle(),
                        "",
                        null)
                    : null,
                null,
                List.of())),
        heat,
        warmed == Method.SPIRIT ? pouring(oilMl.middle(), on, today, house) : null);
  }

  /** The oil followed a day later, as is usual. */
  private static Pouring pouring(double oilMl, LocalDate on, LocalDate today, Household house) {
    LocalDate day = on.plusDays(1);
    return new Pouring(
        new OilPoured(oilMl, "", null),
        day.isBefore(today) ? day.atTime(NOON, 0).atZone(house.zone()).toInstant() : null);
  }

  /** What nobody knows counts as weak, which brings more water. */
  private static double abv(TakeOnForm form) {
    return Typed.text(form.heat().abv()).isEmpty()
        ? UNKNOWN_ABV
        : Typed.number(form.heat().abv(), 20, 100, "% vol");
  }

  private List<InHerb> herbs(List<TakeOnForm.HerbRow> rows, Problems problems) {
    List<InHerb> herbs = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      TakeOnForm.HerbRow row = rows.get(i);
      String at = "herbs[" + i + "].";
      Herb herb =
          problems.attempt(at + "herb", () -> catalogues.current().herb(Typed.text(row.herb())));
      HerbState state =
          problems.attempt(at + "state", () -> Typed.named(HerbState.class, row.state(), "state"));
      Cut cut = problems.attempt(at + "cut", () -> Typed.named(Cut.class, row.cut(), "cut"));
      if (herb != null && state != null && cut != null) {
        herbs.add(new InHerb(herb, state, cut, Typed.text(row.amount())));
      }
    }
    return herbs;
  }

  private List<InOil> oils(List<TakeOnForm.OilRow> rows, Problems problems) {
    List<InOil> oils = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      TakeOnForm.OilRow row = rows.get(i);
      Carrier carrier =
          problems.attempt(
              "oils[" + i + "].carrier",
              () -> catalogues.current().carrier(Typed.text(row.carrier())));
      if (carrier != null) {
        oils.add(new InOil(carrier, Typed.text(row.amount())));
      }
    }
    return oils;
  }

  /** Herbs as typed, or from how far up they stand: shares of their bed by loose density. */
  private List<Range> masses(
      List<InHerb> herbs, TakeOnForm form, Jar jar, Household house, Problems problems) {
    long said = herbs.stream().filter(h -> !h.typed().isEmpty()).count();
    problems.require(
        said == 0 || said == herbs.size(),
        "herbs[" + firstUnsaid(herbs.stream().map(InHerb::typed).toList()) + "].amount",
        "Say how much of each, or of none: then they share what stands in the jar.");
    List<Range> masses = new ArrayList<>();
    for (int i = 0; i < herbs.size(); i++) {
      InHerb in = herbs.get(i);
      Range mass =
          in.typed().isEmpty()
              ? catalogues
                  .current()
                  .looseRange(in.herb(), in.herb().bestPart(), in.cut(), in.state())
                  .times(fill(form) * jar.brimMl() / herbs.size())
              : problems.attempt(
                  "herbs[" + i + "].amount",
                  () ->
                      Amounts.herbMassG(
                          in.typed(),
                          house.kitchen(),
                          in.herb(),
                          in.herb().bestPart(),
                          in.cut(),
                          in.state(),
                          catalogues.current()));
      if (mass != null) {
        masses.add(mass);
      }
    }
    return masses;
  }

  private static int firstUnsaid(List<String> typed) {
    return Math.max(0, typed.indexOf(""));
  }

  private static double fill(TakeOnForm form) {
    String typed = Typed.text(form.herbFill());
    return typed.matches("0\\.\\d+") ? Double.parseDouble(typed) : 0.5;
  }

  /**
   * Oils as typed, or what fills the jar to between three quarters and its fill line over the herb,
   * in equal shares.
   */
  private List<Range> amounts(
      List<InOil> oils, Range herbG, Jar jar, Household house, Problems problems) {
    long said = oils.stream().filter(o -> !o.typed().isEmpty()).count();
    problems.require(
        said == 0 || said == oils.size(),
        "oils[" + firstUnsaid(oils.stream().map(InOil::typed).toList()) + "].amount",
        "Say how much of each oil, or of none: then they share what fills the jar.");
    double least = LEAST_FILL * jar.brimMl() - herbG.high() * SOLIDS_SHARE;
    double most = Jar.FILL_LINE * jar.brimMl() - herbG.low() * SOLIDS_SHARE;
    problems.require(
        said > 0 || least > 0,
        "oils[0].amount",
        "So much herb leaves no room for oil in this jar. Give the oil, or check herb and jar.");
    List<Range> amounts = new ArrayList<>();
    for (int i = 0; i < oils.size(); i++) {
      InOil in = oils.get(i);
      Range amount =
          in.typed().isEmpty()
              ? Range.between(Math.max(0, least), most).times(1.0 / oils.size())
              : problems.attempt(
                  "oils[" + i + "].amount",
                  () -> Amounts.oilMl(in.typed(), house.kitchen(), CarrierBlend.of(in.carrier())));
      if (amount != null) {
        amounts.add(amount);
      }
    }
    return amounts;
  }

  private static @Nullable Method method(TakeOnForm form) {
    String typed = Typed.text(form.heat().method());
    return typed.isEmpty() || typed.equals(COOL)
        ? null
        : Typed.named(Method.class, typed, "method");
  }

  /** Heat from noon of the day on which it was begun. */
  private static @Nullable Warmed heat(
      TakeOnForm form, @Nullable Method method, LocalDate on, Household house) {
    if (method == null || Typed.text(form.heat().hours()).isEmpty()) {
      return null;
    }
    double hours = Typed.number(form.heat().hours(), 0.1, MOST_HOURS, "hours");
    Assumed.HandTest felt = Typed.named(Assumed.HandTest.class, form.heat().felt(), "felt");
    return new Warmed(on.atTime(NOON, 0).atZone(house.zone()).toInstant(), hours, felt);
  }

  private Jar jar(String key) {
    return vessels.jars().stream()
        .filter(j -> j.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new Refused("jar", "Choose one of the jars."));
  }

  private static LocalDate day(@Nullable String typed, LocalDate today) {
    LocalDate day =
        Optional.ofNullable(Dates.read(typed))
            .orElseThrow(() -> new Refused("chargedOn", "Give the day, as near as you know it."));
    if (day.isAfter(today) || day.isBefore(today.minusDays(OLDEST_DAYS))) {
      throw new Refused(
          "chargedOn", "It was begun today or within the last three years; " + day + " was read.");
    }
    return day;
  }

  private static Integer about(String typed) {
    return ABOUT.stream()
        .filter(days -> String.valueOf(days).equals(typed.isEmpty() ? "0" : typed))
        .findFirst()
        .orElseThrow(() -> new Refused("about", "Choose one of the list."));
  }
}
