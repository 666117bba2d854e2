package velvetcrock.kitchen;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Lengths;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.Units;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;

/** The vessels of the kitchen with how many there are and how many stand empty. */
@Service
public class Vessels {
  private static final int MOST_JARS = 500;

  private final OwnJarRepository ownJars;
  private final JarCountRepository jarCounts;
  private final Households households;
  private final Catalogue catalogue;
  private final EntityManager entities;
  private final List<VesselsInUse> inUse;

  Vessels(
      OwnJarRepository ownJars,
      JarCountRepository jarCounts,
      Households households,
      Catalogue catalogue,
      EntityManager entities,
      List<VesselsInUse> inUse) {
    this.ownJars = ownJars;
    this.jarCounts = jarCounts;
    this.households = households;
    this.catalogue = catalogue;
    this.entities = entities;
    this.inUse = inUse;
  }

  /** All of them: the household's own first, then the common shapes. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<JarAtHand> all() {
    List<OwnJar> own = ownJars();
    Map<String, Integer> counts = counts(own);
    List<VesselsInUse.Count> used = inUse.stream().map(VesselsInUse::now).toList();
    Kitchen kitchen = households.current().kitchen();
    Set<String> shipped = catalogue.jars().stream().map(Jar::key).collect(Collectors.toSet());
    return jars(own, kitchen).stream()
        .map(
            jar ->
                new JarAtHand(
                    jar,
                    counts.containsKey(jar.key())
                        ? OptionalInt.of(counts.get(jar.key()))
                        : OptionalInt.empty(),
                    used.stream().mapToInt(count -> count.of(jar)).sum(),
                    !shipped.contains(jar.key()) || jar.sold() == kitchen))
        .toList();
  }

  /** All jars: the household's own first, then the common shapes, of its own measure first. */
  @HeldUntilChanged(HouseholdPart.KITCHEN)
  @Transactional(readOnly = true)
  public List<Jar> jars() {
    return jars(ownJars(), households.current().kitchen());
  }

  private List<Jar> jars(List<OwnJar> own, Kitchen kitchen) {
    List<Jar> jars = new ArrayList<>(own.stream().map(OwnJar::jar).toList());
    catalogue.jars().stream()
        .sorted(Comparator.comparing(jar -> jar.sold() != kitchen))
        .forEach(jars::add);
    return jars;
  }

  /** The jars that the household measured itself. */
  @Transactional(readOnly = true)
  public List<OwnJar> ownJars() {
    return ownJars.findAllByOrderByBrimMlAscIdAsc();
  }

  /**
   * Measures a vessel: the water that fills it to the brim, and its inner height or width.
   *
   * @param water as typed, such as {@code 512 g}; a volume is taken as water too
   * @param height inner height as typed; empty where the width is given
   * @param width inner width as typed; empty where the height is given
   * @param count how many of it there are, as typed; empty for one
   * @throws Refused at {@code jarName}, {@code water}, {@code height}, {@code width}, {@code shape}
   *     or {@code count}
   */
  @Transactional
  public OwnJar measure(Typed typed) {
    Problems problems = new Problems();
    String called = Named.of(problems, "jarName", typed.name());
    Measure measured =
        problems.attempt(
            "water", () -> new MeasureReader(households.current().kitchen()).read(typed.water()));
    Jar.Shape shape = problems.attempt("shape", () -> shape(typed.shape()));
    Integer count =
        problems.attempt("count", () -> typed.count().isBlank() ? 1 : number(typed.count()));
    Units.Lengths lengths = households.current().units().lengths();
    boolean byHeight = typed.width().isBlank();
    String field = byHeight ? "height" : "width";
    Double mm =
        problems.attempt(
            field, () -> Lengths.mm(byHeight ? typed.height() : typed.width(), lengths.large()));
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
                ? withUnit(typed.height(), lengths) + " high"
                : withUnit(typed.width(), lengths) + " wide");
    return persisted(new OwnJar(UUID.randomUUID(), jar, how, count));
  }

  /** A vessel as it was typed; see {@link #measure}. */
  public record Typed(
      String name, String shape, String water, String height, String width, String count) {}

  /**
   * Says how many of a jar there are.
   *
   * @param key the jar's key
   * @param typed the count as typed; empty for not saying
   * @throws Refused at {@code count} or {@code jar}
   */
  @Transactional
  public void count(String key, String typed) {
    int count = number(typed);
    Optional<OwnJar> own =
        ownJars.findAllByOrderByBrimMlAscIdAsc().stream()
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
  @HeldUntilChanged(HouseholdPart.KITCHEN)
  @Transactional(readOnly = true)
  public Map<String, Integer> counts() {
    return counts(ownJars());
  }

  private Map<String, Integer> counts(List<OwnJar> own) {
    Map<String, Integer> counts = new HashMap<>();
    own.forEach(j -> counts.put(j.jar().key(), j.count()));
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

  private static String withUnit(String typed, Units.Lengths lengths) {
    String text = typed.strip();
    boolean bare = text.chars().noneMatch(Character::isLetter);
    return bare ? text + " " + lengths.large() : text;
  }

  private static int number(String typed) {
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
