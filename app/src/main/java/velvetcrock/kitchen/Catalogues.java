package velvetcrock.kitchen;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.text.Normalizer;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.core.Figures;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.colour.SpeedFit;
import velvetcrock.core.materia.Additions;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HouseholdChanges;
import velvetcrock.web.HouseholdCleared;
import velvetcrock.web.HouseholdPart;
import velvetcrock.web.NotFound;
import velvetcrock.web.Typed;

/** The catalogue as the household knows it: what ships, with its own in place of that. */
@Service
public class Catalogues {
  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_SOURCE = 200;
  private static final int REMEMBERED = 1000;

  private static final String AS_IT_IS_LIKE = "as with ";

  private final Catalogue shipped;
  private final OwnThingRepository things;
  private final SpeedLessonRepository speeds;
  private final CurrentHousehold current;
  private final EntityManager entities;
  private final TransactionTemplate reading;
  private final ApplicationEventPublisher events;
  private final HouseholdChanges changes;
  private final Cache<UUID, Held> known = Caffeine.newBuilder().maximumSize(REMEMBERED).build();

  Catalogues(
      Catalogue shipped,
      OwnThingRepository things,
      SpeedLessonRepository speeds,
      CurrentHousehold current,
      EntityManager entities,
      TransactionTemplate reading,
      HouseholdChanges changes,
      ApplicationEventPublisher events) {
    this.shipped = shipped;
    this.things = things;
    this.speeds = speeds;
    this.current = current;
    this.entities = entities;
    this.reading = reading;
    this.changes = changes;
    this.events = events;
  }

  /** What a household had when it had written so often. */
  private record Held(long changes, Catalogue catalogue) {}

  /**
   * The catalogue of whoever is signed in; what ships where nobody is. Held for as long as the
   * household has written nothing of its kitchen, by whichever instance.
   */
  public Catalogue current() {
    if (current.who().isEmpty()) {
      return shipped;
    }
    long now = changes.seen(HouseholdPart.KITCHEN);
    Held held = known.getIfPresent(current.id());
    if (held == null || held.changes() != now) {
      held = new Held(now, load());
      known.put(current.id(), held);
    }
    return held.catalogue();
  }

  private Catalogue load() {
    return reading.execute(
        status ->
            shipped
                .with(additions(things.findAllByOrderByNameAscIdAsc()))
                .with(together(speeds.taught())));
  }

  private static Map<Speed.HerbInOil, Speed> together(List<SpeedLessonRepository.Taught> taught) {
    return SpeedFit.each(
        taught.stream()
            .collect(
                Collectors.toMap(
                    SpeedLessonRepository.Taught::of, SpeedLessonRepository.Taught::shown)));
  }

  /**
   * Keeps what a jar's colours or a trial taught of how fast herbs give, in the place of what they
   * taught before.
   */
  @Transactional
  public void learned(SpeedLesson.Teacher by, Map<Speed.HerbInOil, SpeedFit.Jar> taught) {
    List<SpeedLesson> before = speeds.taughtBy(by.batch(), by.trial());
    if (taught.isEmpty() && before.isEmpty()) {
      return;
    }
    speeds.deleteAllInBatch(before);
    taught.forEach((of, jar) -> entities.persist(new SpeedLesson(by, of, jar)));
    forgetOnceWritten();
  }

  private Additions additions(List<OwnThing> own) {
    return new Additions(
        made(own, OwnKind.HERB, OwnThing::herb),
        made(own, OwnKind.CARRIER, OwnThing::carrier),
        made(own, OwnKind.WAX, OwnThing::wax),
        made(own, OwnKind.POWDER, OwnThing::powder),
        made(own, OwnKind.ESSENTIAL_OIL, OwnThing::essentialOil),
        List.of());
  }

  private <T> List<T> made(
      List<OwnThing> own, OwnKind kind, BiFunction<OwnThing, Catalogue, T> making) {
    return own.stream().filter(t -> t.kind() == kind).map(t -> making.apply(t, shipped)).toList();
  }

  /** What the household has of its own, by name. */
  @Transactional(readOnly = true)
  public List<OwnThing> own() {
    return things.findAllByOrderByNameAscIdAsc();
  }

  /** What ships, for comparing. */
  public Catalogue shipped() {
    return shipped;
  }

  /**
   * Adds a thing, or replaces a shipped one's figures.
   *
   * @return its name
   * @throws Refused at the field that cannot be
   */
  @Transactional
  public String keep(OwnKind kind, OwnTyped typed) {
    Problems problems = new Problems();
    OwnKind.Choice like = problems.attempt("like", () -> chosen(kind, Typed.text(typed.like())));
    Part part = problems.attempt("part", () -> part(Typed.text(typed.part())));
    Map<String, Double> figures = new LinkedHashMap<>();
    for (OwnKind.Figure figure : kind.figures()) {
      String text = typed.figure(figure.key());
      if (!text.isEmpty()) {
        problems.attempt(
            "figures." + figure.key(), () -> figures.put(figure.key(), within(text, figure)));
      }
    }
    String name = shortEnough(problems, "name", typed.name(), LONGEST_NAME);
    String botanical = shortEnough(problems, "botanical", typed.botanical(), LONGEST_NAME);
    String source = shortEnough(problems, "source", typed.source(), LONGEST_SOURCE);
    problems.require(
        !source.isEmpty() || figures.isEmpty(),
        "source",
        "Say where the figure comes from: “weighed”, a book.");
    problems.require(
        !name.isEmpty() || !figures.isEmpty() || !botanical.isEmpty() || part != null,
        "name",
        "Give it another name, or a figure of your own.");
    OwnSafety safety = OwnSafety.of(typed, problems);
    problems.refuseIfAny();

    String key = name.isEmpty() ? like.key() : key(name);
    things.findByKindAndThingKey(kind, key).ifPresent(entities::remove);
    entities.flush();
    String called = name.isEmpty() ? like.name() : name;
    entities.persist(
        new OwnThing(
                kind,
                key,
                like.key(),
                called,
                botanical.isEmpty() ? null : botanical,
                part,
                figures,
                source.isEmpty() ? AS_IT_IS_LIKE + like.name() : source)
            .with(safety));
    changed(kind, key);
    return called;
  }

  /** The key under which a thing of one's own of a name is kept. */
  static String keyOf(String name) {
    return key(name.strip());
  }

  /**
   * Goes back to the shipped figures of a thing. A thing of one's own stays, because batches may
   * hold it.
   */
  @Transactional
  public void backToShipped(UUID id) {
    OwnThing thing =
        things
            .findById(id)
            .filter(OwnThing::replaces)
            .orElseThrow(() -> new NotFound("There are no own figures of that name."));
    entities.remove(thing);
    changed(thing.kind(), thing.thingKey());
  }

  /** Forgets the catalogue once this is written, and only then has others reckon anew. */
  private void changed(OwnKind kind, String key) {
    forgetOnceWritten();
    current.who().ifPresent(by -> events.publishEvent(new FiguresChanged(by, kind, key)));
  }

  @TransactionalEventListener
  void forget(HouseholdCleared cleared) {
    known.invalidate(cleared.household());
  }

  private void forgetOnceWritten() {
    UUID household = current.id();
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            known.invalidate(household);
          }
        });
  }

  private OwnKind.Choice chosen(OwnKind kind, String key) {
    return kind.shipped(shipped).stream()
        .filter(choice -> choice.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new Refused("like", "Choose the " + kind.word() + " that it is like."));
  }

  private static @Nullable Part part(String typed) {
    if (typed.isEmpty()) {
      return null;
    }
    try {
      return Part.valueOf(typed);
    } catch (IllegalArgumentException e) {
      throw new Refused("part", "Choose a part.");
    }
  }

  private static double within(String typed, OwnKind.Figure figure) {
    try {
      double value = Double.parseDouble(typed.replace(',', '.').replace("%", ""));
      if (value >= figure.low() && value <= figure.high()) {
        return value;
      }
    } catch (NumberFormatException e) {
      // said below, as for a number out of range
    }
    throw new Refused(
        figure.key(),
        "“%s” is not a number from %s to %s%s."
            .formatted(
                typed,
                Figures.plain(figure.low()),
                Figures.plain(figure.high()),
                figure.unit().isEmpty() ? "" : " " + figure.unit()));
  }

  private static String shortEnough(
      Problems problems, String field, @Nullable String typed, int longest) {
    String text = Typed.text(typed);
    problems.require(text.length() <= longest, field, "At most " + longest + " letters.");
    return text;
  }

  /** A key for a name: plain letters and hyphens, apart from every shipped key. */
  private static String key(String name) {
    String slug =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .toLowerCase(Locale.ROOT)
            .replaceAll("\\p{M}", "")
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    return "own-" + (slug.isEmpty() ? Integer.toHexString(name.hashCode()) : slug);
  }
}
