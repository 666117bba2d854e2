package velvetcrock.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.Batches;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.InTrial;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.yield.Expression;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Place;
import velvetcrock.kitchen.Places;
import velvetcrock.trial.Differs;
import velvetcrock.trial.Trials;
import velvetcrock.trial.Trials.Found;

/** The demo household's trial: the same herb whole, cut and ground. */
@Component
@Order(2)
class DemoTrial implements DemoPart {
  private static final String DARK = "Dark cupboard";
  private static final String HERB = "st-johns-wort";
  private static final String OIL = "sunflower-high-oleic";
  private static final int CHARGED_DAYS_AGO = 47;
  private static final int STRAINED_DAYS_AGO = 6;
  private static final double HERB_G = 20;
  private static final double OIL_ML = 190;
  private static final double BOTTLE_ML = 160;

  private final Batches batches;
  private final BatchActs acts;
  private final Trials trials;
  private final Places places;
  private final Catalogue catalogue;
  private final Clock clock;

  DemoTrial(
      Batches batches,
      BatchActs acts,
      Trials trials,
      Places places,
      Catalogue catalogue,
      Clock clock) {
    this.batches = batches;
    this.acts = acts;
    this.trials = trials;
    this.places = places;
    this.catalogue = catalogue;
    this.clock = clock;
  }

  /** What became of a jar: its colours by days ago, and what came out of it. */
  private record Course(Cut cut, Map<Integer, String> colours, double ml) {}

  private static final List<Course> COURSES =
      List.of(
          new Course(Cut.WHOLE, Map.of(40, "#d9a63a", 26, "#c7782c", 7, "#b35a24"), 158),
          new Course(Cut.CUT, Map.of(40, "#c7772c", 26, "#a8451f", 7, "#9a351b"), 150),
          new Course(Cut.GROUND, Map.of(40, "#ab471f", 26, "#93301a", 7, "#8f2d19"), 138));

  @Override
  public void furnish(Household cottage) {
    places.all().stream()
        .filter(p -> p.name().equals(DARK))
        .findFirst()
        .ifPresent(p -> run(cottage, p));
  }

  private void run(Household cottage, Place place) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), cottage.zone());
    UUID id = UUID.randomUUID();
    List<Trials.Charged> jars = new ArrayList<>();
    for (Course course : COURSES) {
      String words = course.cut().name().toLowerCase(Locale.ROOT);
      String code = charge(id, course.cut(), words, place, today.minusDays(CHARGED_DAYS_AGO));
      course
          .colours()
          .forEach(
              (daysAgo, hex) ->
                  say(cottage, code, daysAgo, new Coloured(Rgb.of(hex), false, null)));
      Range predicted =
          new BatchReckoning(catalogue, batches.find(code).state())
              .yield(Expression.SQUEEZE)
              .rangeMl();
      say(
          cottage,
          code,
          STRAINED_DAYS_AGO,
          new Strained(
              course.ml(), Math.round(course.ml()) + " ml", Expression.SQUEEZE, predicted));
      say(
          cottage,
          code,
          STRAINED_DAYS_AGO,
          new Bottled(
              List.of(
                  new BottleIn(
                      "A",
                      course.ml(),
                      BOTTLE_ML,
                      Store.Place.COOL,
                      Store.Glass.AMBER,
                      Store.Antioxidant.NONE,
                      true))));
      jars.add(new Trials.Charged(code, words));
    }
    trials.begin(
        id, new Trials.Begun("St John’s wort by cut", HERB, OIL, Differs.CUT, false), jars);
    judge(id, true);
    judge(id, false);
    trials.conclude(
        id, "Ground is no stronger than cut, clouds, and gives least. Cut it next time.");
  }

  private void judge(UUID id, boolean first) {
    List<Found> found =
        first
            ? List.of(
                new Found(2, 4, ""), new Found(4, 4, "red and warm"), new Found(4, 3, "dusty"))
            : List.of(new Found(3, 4, ""), new Found(5, 4, ""), new Found(4, 2, "cloudy"));
    trials.judgeByLetter(id, Map.of("A", found.get(0), "B", found.get(1), "C", found.get(2)));
  }

  private String charge(UUID trial, Cut cut, String words, Place place, LocalDate on) {
    Herb herb = catalogue.herb(HERB);
    Jar jar = catalogue.jar("jar-250");
    Charged charged =
        new Charged(
            place.method(),
            List.of(
                new HerbIn(
                    HERB,
                    herb.bestPart(),
                    cut,
                    HerbState.DRIED,
                    Range.exactly(HERB_G),
                    Herb.WATER_DRIED,
                    "20 g")),
            List.of(new OilIn(OIL, 1, on.plusMonths(16), on, null)),
            new Charged.Oil(Range.exactly(OIL_ML), ""),
            new JarIn(jar.name(), jar.brimMl(), jar.innerDiameterMm()),
            12,
            Use.SKIN,
            place.stand(),
            new Charged.Begun(on, 0, false),
            true,
            new Manner(false, null, null, List.of(), new InTrial(trial, words, null)));
    return acts.charge(charged, UUID.randomUUID().toString()).code();
  }

  private void say(Household cottage, String code, int daysAgo, BatchEvent event) {
    LocalDate day = LocalDate.ofInstant(clock.instant(), cottage.zone()).minusDays(daysAgo);
    Instant at = day.atTime(LocalTime.of(9, 0)).atZone(cottage.zone()).toInstant();
    acts.append(code, event, at, null, UUID.randomUUID().toString());
  }
}
