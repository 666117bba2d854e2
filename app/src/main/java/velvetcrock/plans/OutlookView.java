package velvetcrock.plans;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Reckoning;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.outlook.Obstacle;
import velvetcrock.core.outlook.Outlook;
import velvetcrock.core.outlook.Route;
import velvetcrock.core.outlook.SafeFor;
import velvetcrock.core.outlook.Span;
import velvetcrock.core.outlook.Step;
import velvetcrock.core.outlook.Timetable;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;
import velvetcrock.web.MoneyWords;
import velvetcrock.web.PromiseWords;
import velvetcrock.web.SpeedWords;
import velvetcrock.web.TimeAxis;

/**
 * The ways to what is wanted, drawn along time.
 *
 * @param headline how many ways get there, or that none does
 * @param by where the day wanted lies on the line
 * @param byDay the same with its words
 * @param nearest what is possible instead, where nothing gets there
 * @param looked the way that is looked at; null where there is none
 */
record OutlookView(
    String headline,
    String underline,
    List<TimeAxis.Tick> ticks,
    String by,
    TimeAxis.Tick byDay,
    List<Lane> fits,
    List<Lane> outs,
    List<Instead> nearest,
    @Nullable Looked looked,
    Reckoning reckoning) {
  private static final int MOST_LOOKS = 90;

  /** What this leans to: the coolest that meets the day, of those the one that pulls most. */
  private static final Comparator<Route> COOLEST_FIRST =
      Comparator.comparingDouble((Route r) -> r.method().celsius())
          .thenComparing(Comparator.comparingDouble((Route r) -> r.outcome().pull()).reversed());

  private static final double LATE_SHARE = 0.6;
  private static final int LATE_DAYS = 10;

  /**
   * A way as a lane of the drawing.
   *
   * @param id names it in the form
   * @param slack until where one may still wait
   * @param course what is drawn of it along time
   * @param words the same for who does not see the drawing
   * @param alike ways that begin when it does and cannot be told apart from it by what they extract
   */
  record Lane(
      String id,
      String name,
      String school,
      boolean looked,
      String slack,
      Course course,
      String tint,
      List<String> facts,
      List<String> outs,
      String words,
      List<Lane> alike) {
    private Lane with(List<Lane> others) {
      return new Lane(
          id, name, school, looked, slack, course, tint, facts, outs, words, List.copyOf(others));
    }

    /** Whether one of those alike is looked at. */
    public boolean looksWithin() {
      return alike.stream().anyMatch(Lane::looked);
    }

    /**
     * What is drawn of it along time.
     *
     * @param drawing where it draws
     * @param after from straining until it is ready
     * @param heat where it stands on the heat
     * @param looks where somebody looks or shakes, as a path; empty where nobody does
     */
    record Course(
        TimeAxis.@Nullable Piece drawing,
        TimeAxis.@Nullable Piece after,
        List<TimeAxis.Piece> heat,
        String looks) {}
  }

  /** What could be wanted instead: the fields of the form that it changes. */
  record Instead(String words, Map<String, String> fields) {}

  /** A name with a value. */
  record Fact(String name, String value, @Nullable String note) {}

  /** A step of the way, with its day. */
  record Stepped(String when, String what, String minutes) {}

  /** The way that is looked at, in full. */
  record Looked(
      String title,
      String id,
      boolean fits,
      List<Fact> facts,
      List<Stepped> steps,
      List<String> toGet,
      List<Caution> cautions) {}

  static OutlookView of(
      Asked asked,
      Outlook outlook,
      String way,
      LocalDateTime now,
      Catalogue catalogue,
      Cautions cautions,
      Formats fmt) {
    return new Drawing(asked, outlook, way, now, catalogue, cautions, fmt).draw();
  }

  private static final class Drawing {
    private final Asked asked;
    private final Outlook outlook;
    private final LocalDateTime now;
    private final Catalogue catalogue;
    private final Formats fmt;
    private final RouteWords words;
    private final TimeAxis axis;
    private final @Nullable Route looked;

    Drawing(
        Asked asked,
        Outlook outlook,
        String way,
        LocalDateTime now,
        Catalogue catalogue,
        Cautions cautions,
        Formats fmt) {
      this.asked = asked;
      this.outlook = outlook;
      this.now = now;
      this.catalogue = catalogue;
      this.fmt = fmt;
      this.words = new RouteWords(cautions, fmt);
      this.axis = new TimeAxis(now, end());
      this.looked =
          outlook.routes().stream()
              .filter(r -> id(r).equals(way))
              .findFirst()
              .or(() -> outlook.routes().stream().filter(Route::fits).min(COOLEST_FIRST))
              .orElse(null);
    }

    private LocalDateTime deadline() {
      return asked.by().plusDays(1).atStartOfDay();
    }

    /** A little past the day wanted; further where ways come too late, but not by everything. */
    private LocalDateTime end() {
      LocalDateTime wanted = deadline().isAfter(now) ? deadline() : now.plusDays(1);
      Duration ahead = Duration.between(now, wanted);
      LocalDateTime late =
          outlook.routes().stream()
              .flatMap(r -> r.times().timetable().stream())
              .map(Timetable::ready)
              .max(Comparator.naturalOrder())
              .orElse(wanted);
      LocalDateTime farthest =
          wanted.plusHours((long) (ahead.toHours() * LATE_SHARE)).plusDays(LATE_DAYS);
      LocalDateTime shown = late.isBefore(farthest) ? late : farthest;
      LocalDateTime least = wanted.plusMinutes((long) (ahead.toMinutes() * 0.04) + 60);
      return shown.isAfter(least) ? shown : least;
    }

    OutlookView draw() {
      List<Route> fit = outlook.routes().stream().filter(Route::fits).toList();
      String need = fmt.ml(outlook.needOilMl()) + " of infused oil";
      String wanted =
          asked.things().stream().map(t -> t.words(fmt)).collect(Collectors.joining(", "));
      return new OutlookView(
          fit.isEmpty()
              ? everywhere(Obstacle.Kind.LATE).isPresent()
                  ? "No way gets there by " + fmt.nearDate(asked.by())
                  : "No way gets there"
              : fit.size() == 1 ? "One way gets there" : fit.size() + " ways get there",
          fit.isEmpty()
              ? why(wanted)
              : wanted
                  + ": "
                  + need
                  + ", with what wax, pan and cloth keep. We lean to the coolest in time.",
          axis.ticks(fmt, deadline()),
          axis.percent(deadline()),
          axis.tick(fmt.shortDate(asked.by()), deadline()),
          grouped(fit),
          outlook.routes().stream().filter(r -> !r.fits()).map(this::lane).toList(),
          fit.isEmpty() ? instead() : List.of(),
          looked == null ? null : looked(looked),
          outlook.reckoning());
    }

    /** What rules out every way alike. */
    private String why(String wanted) {
      String same =
          Arrays.stream(Obstacle.Kind.values())
              .filter(kind -> kind != Obstacle.Kind.LATE && everywhere(kind).isPresent())
              .map(kind -> outlook.routes().get(0).obstacle(kind).orElseThrow())
              .map(words::out)
              .collect(Collectors.joining(". "));
      return wanted + (same.isEmpty() ? "." : ": " + same + ".");
    }

    private Lane lane(Route route) {
      Optional<Timetable> timetable = route.times().timetable();
      return new Lane(
          id(route),
          RouteWords.name(route),
          words.school(route),
          route == looked,
          timetable.map(t -> axis.percent(t.begins())).orElse("0%"),
          new Lane.Course(
              timetable.map(t -> axis.piece(t.inJar())).orElse(null),
              timetable.map(t -> axis.piece(new Span(t.inJar().until(), t.ready()))).orElse(null),
              timetable.map(t -> t.onHeat().stream().map(axis::piece).toList()).orElse(List.of()),
              timetable.map(this::looks).orElse("")),
          catalogue.herb(asked.herb().key()).colours().tint(),
          route.fits() ? facts(route, timetable.orElseThrow()) : List.of(),
          words.outs(route),
          timetable.map(this::told).orElse(""),
          List.of());
    }

    private String looks(Timetable timetable) {
      return axis.strokes(
          timetable.steps().stream()
              .filter(s -> s.kind() == Step.Kind.CHECK && s.at().isBefore(axis.until()))
              .map(Step::at),
          MOST_LOOKS);
    }

    /** Those that cannot be told apart stand under the first of them. */
    private List<Lane> grouped(List<Route> routes) {
      List<List<Route>> groups = new ArrayList<>();
      for (Route route : routes) {
        groups.stream()
            .filter(group -> alike(group.get(0), route))
            .findFirst()
            .ifPresentOrElse(
                group -> group.add(route), () -> groups.add(new ArrayList<>(List.of(route))));
      }
      return groups.stream()
          .map(group -> lane(group.get(0)).with(group.stream().skip(1).map(this::lane).toList()))
          .toList();
    }

    private static boolean alike(Route one, Route other) {
      return begins(one).equals(begins(other))
          && one.outcome().keeps().equals(other.outcome().keeps())
          && !one.outcome().drawn().toldApartFrom(other.outcome().drawn());
    }

    private static Optional<LocalDate> begins(Route route) {
      return route.times().timetable().map(t -> t.begins().toLocalDate());
    }

    private String told(Timetable timetable) {
      return "begun "
          + fmt.nearDate(timetable.begins().toLocalDate())
          + ", strained "
          + fmt.nearDate(timetable.inJar().until().toLocalDate())
          + ", ready "
          + fmt.nearDate(timetable.ready().toLocalDate());
    }

    private List<String> facts(Route route, Timetable timetable) {
      List<String> facts = new ArrayList<>();
      facts.add(
          timetable.begins().toLocalDate().equals(now.toLocalDate())
              ? "begin today"
              : "begin by " + fmt.shortDate(timetable.begins().toLocalDate()));
      facts.add("extracted: " + fmt.pull(route.outcome().drawn()));
      facts.add(work(timetable));
      facts.add(PromiseWords.keepsTo(route.outcome().keeps(), fmt));
      if (route.bill().minor() >= 1) {
        facts.add("costs " + money(route));
      }
      return facts;
    }

    private String money(Route route) {
      List<String> unpriced =
          route.bill().unpriced().stream().map(EnumWords::plain).map(w -> "the " + w).toList();
      return "about " + MoneyWords.cost(route.bill().minor(), "", unpriced, fmt);
    }

    private String work(Timetable timetable) {
      int goes = timetable.onHeat().size();
      return fmt.time(timetable.handsOnMinutes() / 60.0)
          + ", "
          + timetable.checks()
          + (timetable.checks() == 1 ? " check" : " checks")
          + (goes > 1 ? ", in " + goes + " goes" : "");
    }

    private Looked looked(Route route) {
      List<Fact> facts = new ArrayList<>();
      facts.add(
          new Fact(
              "Herb",
              fmt.g(route.amounts().herbMassG()),
              route.herb().state().name().toLowerCase(Locale.ROOT)
                  + ", "
                  + route.herb().cut().name().toLowerCase(Locale.ROOT)));
      facts.add(
          new Fact(
              "Oil",
              fmt.ml(route.amounts().oilMl()),
              fmt.ratio(route.amounts().oilPerHerb())
                  + ", strength "
                  + fmt.number(route.outcome().strength(), 1)));
      if (route.amounts().spiritMl() > 0) {
        facts.add(new Fact("Spirit", fmt.ml(route.amounts().spiritMl()), "to dampen the herb"));
      }
      route.jars().ifPresent(jars -> facts.add(new Fact("In", jars(jars), null)));
      facts.add(
          new Fact(
              "Strain",
              fmt.dates(route.times().strainFrom(), route.times().strainUntil()),
              "infused for " + fmt.hours(route.times().hours())));
      facts.add(
          new Fact(
              "Shelf life",
              fmt.number(
                      route.outcome().keepingSpentDays(),
                      route.outcome().keepingSpentDays() < 10 ? 1 : 0)
                  + " days used",
              PromiseWords.goodUntil(route.outcome().keeps(), fmt)));
      facts.add(
          new Fact(
              "Extracted",
              fmt.pull(route.outcome().drawn()) + SpeedWords.after(route.outcome().speed(), fmt),
              asStrongAs(route).orElse(null)));
      if (route.bill().minor() >= 1) {
        facts.add(
            new Fact(
                "Costs",
                money(route),
                route.bill().unpriced().isEmpty()
                    ? "by your lots’ prices"
                    : "the rest by your lots’ prices"));
      }
      return new Looked(
          RouteWords.name(route) + ", " + words.school(route),
          id(route),
          route.fits(),
          facts,
          route.times().timetable().map(t -> steps(t, fmt)).orElse(List.of()),
          toGet(route),
          route.cautions());
    }

    /** The other ways that get there and are as strong for all that is known. */
    private Optional<String> asStrongAs(Route route) {
      List<String> others =
          outlook.routes().stream()
              .filter(r -> r.fits() && r != route)
              .filter(r -> !r.outcome().drawn().toldApartFrom(route.outcome().drawn()))
              .map(RouteWords::name)
              .distinct()
              .filter(name -> !name.equals(RouteWords.name(route)))
              .map(name -> name.toLowerCase(Locale.ROOT))
              .toList();
      return others.isEmpty()
          ? Optional.empty()
          : Optional.of("cannot be told apart from: " + String.join(", ", others));
    }

    private List<String> toGet(Route route) {
      List<String> toGet = new ArrayList<>();
      if (!asked.shopping()) {
        return toGet;
      }
      String herb = asked.herb().name().toLowerCase(Locale.ROOT);
      if (route.missing().herbMissingG() > 0) {
        toGet.add(fmt.g(route.missing().herbMissingG()) + " of " + herb);
      }
      if (route.missing().oilMissingMl() > 0) {
        toGet.add(
            fmt.ml(route.missing().oilMissingMl())
                + " of "
                + asked.carrier().name().toLowerCase(Locale.ROOT));
      }
      if (route.missing().spiritMissingMl() > 0) {
        toGet.add(fmt.ml(route.missing().spiritMissingMl()) + " of spirit, 75 % or more");
      }
      return toGet;
    }

    private static String jars(JarChoice jars) {
      Map<String, Integer> counts = new LinkedHashMap<>();
      jars.fills().forEach(f -> counts.merge(f.jar().name(), 1, Integer::sum));
      return counts.entrySet().stream()
          .map(e -> (e.getValue() == 1 ? "" : e.getValue() + " × ") + e.getKey())
          .collect(Collectors.joining(", "));
    }

    /** What would be possible, where nothing is: the day, the amount, the oil, the shopping. */
    private List<Instead> instead() {
      List<Instead> instead = new ArrayList<>();
      outlook
          .soonest()
          .ifPresent(
              soonest -> {
                LocalDate ready =
                    soonest.obstacle(Obstacle.Kind.LATE).map(Obstacle::on).orElseThrow();
                instead.add(
                    new Instead(
                        "By "
                            + fmt.nearDate(ready)
                            + ": the soonest, "
                            + RouteWords.name(soonest).toLowerCase(Locale.ROOT),
                        Map.of("by", ready.toString())));
              });
      everywhere(Obstacle.Kind.NO_JAR)
          .ifPresent(
              most ->
                  instead.add(
                      new Instead(
                          "About " + fmt.ml(most) + " of oil: what your empty jars are for",
                          oil(most * 0.9))));
      if (everywhere(Obstacle.Kind.LACKS_HERB).isPresent()
          || everywhere(Obstacle.Kind.LACKS_OIL).isPresent()) {
        instead.add(new Instead("The same with shopping", Map.of("from", "shopping")));
      }
      if (everywhere(Obstacle.Kind.NUTS).isPresent()
          || everywhere(Obstacle.Kind.NOT_FOR_EATING).isPresent()) {
        otherOils(instead);
      }
      return instead;
    }

    private Map<String, String> oil(double ml) {
      return Map.of(
          "things[0].what", "OIL", "things[0].size", fmt.typedMl(Math.round(ml / 10) * 10));
    }

    /** An obstacle that every way meets, with the most that any says. */
    private Optional<Double> everywhere(Obstacle.Kind kind) {
      boolean all =
          !outlook.routes().isEmpty()
              && outlook.routes().stream().allMatch(r -> r.obstacle(kind).isPresent());
      return all
          ? outlook.routes().stream()
              .map(r -> r.obstacle(kind).orElseThrow().amount())
              .max(Comparator.naturalOrder())
          : Optional.empty();
    }

    private void otherOils(List<Instead> instead) {
      boolean eaten = asked.safeFor().contains(SafeFor.KITCHEN);
      if (eaten && !asked.herb().edible()) {
        instead.add(new Instead("For the skin, not for eating", Map.of("safeFor", "")));
        return;
      }
      catalogue.carriers().stream()
          .filter(c -> c.allergen().isEmpty() && !c.solidAt(20) && (!eaten || c.edible()))
          .limit(3)
          .forEach(
              c ->
                  instead.add(
                      new Instead(
                          "In " + c.name().toLowerCase(Locale.ROOT), Map.of("carrier", c.key()))));
    }
  }

  /** The steps of a timetable; looks of one day in one line. */
  static List<Stepped> steps(Timetable timetable, Formats fmt) {
    List<Stepped> steps = new ArrayList<>();
    List<Step> looks = new ArrayList<>();
    for (Step step : timetable.steps()) {
      if (step.kind() == Step.Kind.CHECK) {
        looks.add(step);
        continue;
      }
      flush(looks, steps, fmt);
      steps.add(
          new Stepped(
              when(step.at(), fmt),
              RouteWords.step(step.kind()),
              step.minutes() > 2 ? step.minutes() + " min" : ""));
    }
    flush(looks, steps, fmt);
    steps.add(new Stepped(when(timetable.ready(), fmt), "Ready", ""));
    return steps;
  }

  private static void flush(List<Step> looks, List<Stepped> steps, Formats fmt) {
    if (looks.isEmpty()) {
      return;
    }
    LocalDate first = looks.get(0).at().toLocalDate();
    LocalDate last = looks.get(looks.size() - 1).at().toLocalDate();
    String when =
        first.equals(last)
            ? fmt.nearDate(first)
                + " "
                + looks.get(0).at().toLocalTime()
                + (looks.size() > 1 ? "–" + looks.get(looks.size() - 1).at().toLocalTime() : "")
            : fmt.dates(first, last);
    steps.add(
        new Stepped(
            when, looks.size() == 1 ? "Check it" : "Check it, " + looks.size() + " times", ""));
    looks.clear();
  }

  private static String when(LocalDateTime at, Formats fmt) {
    return fmt.nearDate(at.toLocalDate()) + " " + at.toLocalTime().withSecond(0).withNano(0);
  }

  static String id(Route route) {
    return route.method().name() + "-" + route.school().name();
  }
}
