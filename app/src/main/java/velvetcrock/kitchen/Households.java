package velvetcrock.kitchen;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.outlook.Hours;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.Formats;

/** The household of the request: its settings, places and jars. */
@Service
public class Households {
  private static final int LONGEST_NAME = 60;
  private static final double MM_PER_CM = 10;
  private static final int MOST_JARS = 500;

  private final HouseholdRepository households;
  private final PlaceRepository places;
  private final OwnJarRepository ownJars;
  private final JarCountRepository jarCounts;
  private final CurrentHousehold current;
  private final Catalogue catalogue;
  private final EntityManager entities;
  private final Clock clock;

  Households(
      HouseholdRepository households,
      PlaceRepository places,
      OwnJarRepository ownJars,
      JarCountRepository jarCounts,
      CurrentHousehold current,
      Catalogue catalogue,
      EntityManager entities,
      Clock clock) {
    this.households = households;
    this.places = places;
    this.ownJars = ownJars;
    this.jarCounts = jarCounts;
    this.current = current;
    this.catalogue = catalogue;
    this.entities = entities;
    this.clock = clock;
  }

  /** The household of whoever is signed in. */
  @Transactional(readOnly = true)
  public Household current() {
    return households.findById(current.id()).orElseThrow();
  }

  /** The same, held against other writers until the transaction ends. */
  @Transactional
  public Household lockCurrent() {
    return households.lock(current.id()).orElseThrow();
  }

  /** The household of an id. */
  @Transactional(readOnly = true)
  public Optional<Household> find(UUID id) {
    return households.findById(id);
  }

  /** The demo household, if there is one. */
  @Transactional(readOnly = true)
  public Optional<Household> demo() {
    return households.findFirstByDemoOrderByCreatedAt(true);
  }

  /** Whether somebody has founded a household of their own. */
  @Transactional(readOnly = true)
  public boolean founded() {
    return households.findFirstByDemoOrderByCreatedAt(false).isPresent();
  }

  /** Formats for a household, now. */
  public Formats formats(Household household) {
    return new Formats(household.kitchen(), household.zone(), clock.instant());
  }

  /** The day it is in a household. */
  public LocalDate today(Household household) {
    return LocalDate.ofInstant(clock.instant(), household.zone());
  }

  /** The household's clock. */
  public LocalDateTime now(Household household) {
    return LocalDateTime.ofInstant(clock.instant(), household.zone());
  }

  /**
   * Founds a household.
   *
   * @throws Refused at {@code household}, {@code zone} or {@code kitchen}
   */
  @Transactional
  public Household found(String name, String zone, String kitchen, boolean demo) {
    Problems problems = new Problems();
    String called = name(problems, "household", name);
    ZoneId zoneId = problems.attempt("zone", () -> zone(zone));
    Kitchen measures = problems.attempt("kitchen", () -> kitchen(kitchen));
    problems.refuseIfAny();
    return households.save(
        new Household(UUID.randomUUID(), called, zoneId, measures, demo, clock.instant()));
  }

  /** Puts up the planks that every kitchen has, in the current household. */
  @Transactional
  public void furnish() {
    addPlace("Dark cupboard", Light.DARK, 17);
    addPlace("Counter", Light.ROOM, 20);
    addPlace("South window", Light.WINDOW, 24);
    addPlace("Stove", Light.ROOM, 22);
    addPlace("Fridge", Light.DARK, 4);
  }

  /**
   * Changes the household's settings.
   *
   * @throws Refused at {@code household}, {@code zone} or {@code kitchen}
   */
  @Transactional
  public void settle(String name, String zone, String kitchen) {
    Problems problems = new Problems();
    String called = name(problems, "household", name);
    ZoneId zoneId = problems.attempt("zone", () -> zone(zone));
    Kitchen measures = problems.attempt("kitchen", () -> kitchen(kitchen));
    problems.refuseIfAny();
    current().settle(called, zoneId, measures);
  }

  /**
   * Says when somebody is up and at home.
   *
   * @param typed the times as {@code 07:30}, the days by their names
   * @throws Refused at {@code wakes}, {@code sleeps}, {@code awayFrom} or {@code awayUntil}
   */
  @Transactional
  public void keepHours(HoursTyped typed) {
    Problems problems = new Problems();
    LocalTime wakes = problems.attempt("wakes", () -> time(typed.wakes()));
    LocalTime sleeps = problems.attempt("sleeps", () -> time(typed.sleeps()));
    LocalTime from = problems.attempt("awayFrom", () -> time(typed.awayFrom()));
    LocalTime until = problems.attempt("awayUntil", () -> time(typed.awayUntil()));
    problems.refuseIfAny();
    Set<DayOfWeek> days =
        typed.awayDays().stream()
            .flatMap(day -> Arrays.stream(DayOfWeek.values()).filter(d -> d.name().equals(day)))
            .collect(Collectors.toSet());
    current().keep(new Hours(wakes, sleeps, days, from, until));
  }

  /** Hours as they were typed. */
  public record HoursTyped(
      String wakes, String sleeps, List<String> awayDays, String awayFrom, String awayUntil) {}

  private static LocalTime time(String typed) {
    try {
      return LocalTime.parse(typed.strip());
    } catch (DateTimeException e) {
      throw new Refused("", "“" + typed.strip() + "” is not a time, such as 07:30.");
    }
  }

  /** The planks, in walking order. */
  @Transactional(readOnly = true)
  public List<Place> places() {
    return places.findAllByOrderByPosition();
  }

  /**
   * A plank by its id or its name.
   *
   * @throws Refused at {@code place}
   */
  @Transactional(readOnly = true)
  public Place place(String id) {
    return places().stream()
        .filter(p -> p.id().toString().equals(id) || p.name().equalsIgnoreCase(id))
        .findFirst()
        .orElseThrow(() -> new Refused("place", "Choose one of your places."));
  }

  /**
   * Puts up a plank.
   *
   * @param celsius how warm it is there, °C, −10 to 60
   * @throws Refused at {@code placeName} or {@code celsius}
   */
  @Transactional
  public Place addPlace(String name, Light light, double celsius) {
    Problems problems = new Problems();
    String called = name(problems, "placeName", name);
    problems.require(
        celsius >= -10 && celsius <= 60, "celsius", "A place is between −10 and 60 °C warm.");
    List<Place> present = places();
    problems.require(
        present.stream().noneMatch(p -> p.name().equalsIgnoreCase(called)),
        "placeName",
        "There is a place of that name already.");
    problems.refuseIfAny();
    return persisted(new Place(UUID.randomUUID(), called, light, celsius, present.size()));
  }

  /** All jars: the household's own first, then the common shapes. */
  @Transactional(readOnly = true)
  public List<Jar> jars() {
    List<Jar> jars =
        new ArrayList<>(ownJars.findAllByOrderByBrimMl().stream().map(OwnJar::jar).toList());
    jars.addAll(catalogue.jars());
    return jars;
  }

  /** The jars that the household measured itself. */
  @Transactional(readOnly = true)
  public List<OwnJar> ownJars() {
    return ownJars.findAllByOrderByBrimMl();
  }

  /**
   * Measures a vessel: the water that fills it to the brim, and its inner height or width.
   *
   * @param water as typed, such as {@code 512 g}; a volume is taken as water too
   * @param heightCm inner height as typed, cm; empty where the width is given
   * @param widthCm inner width as typed, cm; empty where the height is given
   * @param count how many of it there are, as typed; empty for one
   * @throws Refused at {@code jarName}, {@code water}, {@code height}, {@code width}, {@code shape}
   *     or {@code count}
   */
  @Transactional
  public OwnJar measureJar(JarTyped typed) {
    Problems problems = new Problems();
    String called = name(problems, "jarName", typed.name());
    Measure measured =
        problems.attempt("water", () -> new MeasureReader(current().kitchen()).read(typed.water()));
    Jar.Shape shape = problems.attempt("shape", () -> shape(typed.shape()));
    Integer count =
        problems.attempt("count", () -> typed.count().isBlank() ? 1 : count(typed.count()));
    boolean byHeight = typed.widthCm().isBlank();
    String field = byHeight ? "height" : "width";
    Double mm =
        problems.attempt(
            field, () -> number(byHeight ? typed.heightCm() : typed.widthCm(), field) * MM_PER_CM);
    problems.refuseIfAny();

    double ml = measured.amount().middle();
    Jar jar =
        byHeight
            ? Jar.measured("own", called, ml, mm, shape)
            : new Jar("own", called, ml, mm, shape);
    String how =
        typed.water().strip()
            + " of water, "
            + (byHeight
                ? typed.heightCm().strip() + " cm high"
                : typed.widthCm().strip() + " cm wide");
    return persisted(new OwnJar(UUID.randomUUID(), jar, how, count));
  }

  /** A vessel as it was typed; see {@link #measureJar}. */
  public record JarTyped(
      String name, String shape, String water, String heightCm, String widthCm, String count) {}

  /**
   * Says how many of a jar there are.
   *
   * @param key the jar's key
   * @param typed the count as typed; empty for not saying
   * @throws Refused at {@code count} or {@code jar}
   */
  @Transactional
  public void countJar(String key, String typed) {
    int count = count(typed);
    Optional<OwnJar> own =
        ownJars.findAllByOrderByBrimMl().stream()
            .filter(j -> j.jar().key().equals(key))
            .findFirst();
    if (own.isPresent()) {
      own.get().counted(count);
      return;
    }
    catalogue.jar(key);
    Optional<JarCount> before = jarCounts.findByJarKey(key);
    if (before.isPresent()) {
      before.get().counted(count);
    } else {
      persisted(new JarCount(key, count));
    }
  }

  /**
   * How many there are of each jar, by key. Until the household has counted any of the common
   * shapes, they are not in it: then nobody knows, and any may be proposed.
   */
  @Transactional(readOnly = true)
  public Map<String, Integer> jarCounts() {
    Map<String, Integer> counts = new HashMap<>();
    ownJars.findAllByOrderByBrimMl().forEach(j -> counts.put(j.jar().key(), j.count()));
    List<JarCount> common = jarCounts.findAll();
    if (!common.isEmpty()) {
      catalogue.jars().forEach(j -> counts.put(j.key(), 0));
      common.forEach(c -> counts.put(c.jarKey(), c.count()));
    }
    return counts;
  }

  private <T> T persisted(T entity) {
    entities.persist(entity);
    return entity;
  }

  private static String name(Problems problems, String field, String name) {
    String trimmed = name.strip();
    problems.require(!trimmed.isEmpty(), field, "Give it a name.");
    problems.require(
        trimmed.length() <= LONGEST_NAME,
        field,
        "A name has at most " + LONGEST_NAME + " letters.");
    return trimmed;
  }

  private static ZoneId zone(String zone) {
    try {
      return ZoneId.of(zone.strip());
    } catch (DateTimeException e) {
      throw new Refused("zone", "“" + zone + "” is not a time zone, such as Europe/Oslo.");
    }
  }

  private static Kitchen kitchen(String kitchen) {
    try {
      return Kitchen.valueOf(kitchen);
    } catch (IllegalArgumentException e) {
      throw new Refused("kitchen", "Choose US, metric or imperial measures.");
    }
  }

  private static double number(String text, String field) {
    try {
      return Double.parseDouble(text.strip().replace(',', '.'));
    } catch (NumberFormatException e) {
      throw new Refused(
          field, "“" + text.strip() + "” is not a number of centimetres, such as 11.5.");
    }
  }

  private static int count(String typed) {
    try {
      int count = Integer.parseInt(typed.strip());
      if (count >= 0 && count <= MOST_JARS) {
        return count;
      }
    } catch (NumberFormatException e) {
      // said below, as for a number out of range
    }
    throw new Refused(
        "count", "“" + typed.strip() + "” is not a number from 0 to " + MOST_JARS + ".");
  }

  private static Jar.Shape shape(String typed) {
    try {
      return typed.isBlank() ? Jar.Shape.JAR : Jar.Shape.valueOf(typed);
    } catch (IllegalArgumentException e) {
      throw new Refused("shape", "A jar, bowl, pan, oven dish or crock.");
    }
  }
}
