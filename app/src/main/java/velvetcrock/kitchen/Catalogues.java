package velvetcrock.kitchen;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Additions;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;
import velvetcrock.web.CurrentHousehold;

/** The catalogue as the household knows it: what ships, with its own in place of that. */
@Service
public class Catalogues {
  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_SOURCE = 200;
  private static final int REMEMBERED = 1000;

  private final Catalogue shipped;
  private final OwnHerbRepository herbs;
  private final OwnCarrierRepository carriers;
  private final CurrentHousehold current;
  private final EntityManager entities;
  private final TransactionTemplate reading;
  private final Cache<UUID, Catalogue> known =
      Caffeine.newBuilder().maximumSize(REMEMBERED).build();

  Catalogues(
      Catalogue shipped,
      OwnHerbRepository herbs,
      OwnCarrierRepository carriers,
      CurrentHousehold current,
      EntityManager entities,
      TransactionTemplate reading) {
    this.shipped = shipped;
    this.herbs = herbs;
    this.carriers = carriers;
    this.current = current;
    this.entities = entities;
    this.reading = reading;
  }

  /** The catalogue of whoever is signed in; what ships where nobody is. */
  public Catalogue current() {
    return current.who().isEmpty() ? shipped : known.get(current.id(), id -> load());
  }

  private Catalogue load() {
    return reading.execute(
        status ->
            shipped.with(
                new Additions(
                    herbs.findAllByOrderByName().stream().map(h -> h.herb(shipped)).toList(),
                    carriers.findAllByOrderByName().stream().map(c -> c.carrier(shipped)).toList(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of())));
  }

  /** The household's own herbs, by name. */
  @Transactional(readOnly = true)
  public List<OwnHerb> ownHerbs() {
    return herbs.findAllByOrderByName();
  }

  /** The household's own carriers, by name. */
  @Transactional(readOnly = true)
  public List<OwnCarrier> ownCarriers() {
    return carriers.findAllByOrderByName();
  }

  /** What ships, for comparing. */
  public Catalogue shipped() {
    return shipped;
  }

  /**
   * A herb as it was typed.
   *
   * @param like key of the shipped herb that it is like, or whose figures it replaces
   * @param name its name; empty to keep that herb and replace its figures
   * @param waterPercent fresh water content, %
   * @param source where the figure comes from
   */
  public record HerbTyped(
      String like,
      String name,
      String botanical,
      String part,
      String waterPercent,
      String source) {}

  /**
   * Adds a herb, or replaces a shipped one's figures.
   *
   * @throws Refused at the field that cannot be
   */
  @Transactional
  public Herb keep(HerbTyped typed) {
    Problems problems = new Problems();
    Herb like = problems.attempt("herbLike", () -> shipped.herb(typed.like()));
    Part part = problems.attempt("herbPart", () -> part(typed.part(), like));
    Double water =
        problems.attempt(
            "herbWater",
            () ->
                typed.waterPercent().isBlank() && like != null
                    ? like.waterFresh()
                    : within(typed.waterPercent(), 30, 95, "% of water, from 30 to 95") / 100);
    String name = named(problems, "herbName", typed.name());
    String source = source(problems, "herbSource", typed.source());
    problems.refuseIfAny();

    boolean replaces = name.isEmpty();
    Herb herb =
        OwnHerb.made(
            like,
            replaces ? like.key() : key(name),
            replaces ? like.name() : name,
            typed.botanical().isBlank() ? like.botanical() : clipped(typed.botanical()),
            part,
            water,
            source);
    herbs.deleteByThingKey(herb.key());
    persist(new OwnHerb(herb, like.key()));
    return herb;
  }

  /** A carrier as it was typed; as {@link HerbTyped}. */
  public record CarrierTyped(
      String like, String name, String density, String keepsMonths, String source) {}

  /**
   * Adds a carrier, or replaces a shipped one's figures.
   *
   * @throws Refused at the field that cannot be
   */
  @Transactional
  public Carrier keep(CarrierTyped typed) {
    Problems problems = new Problems();
    Carrier like = problems.attempt("oilLike", () -> shipped.carrier(typed.like()));
    Double density =
        problems.attempt(
            "oilDensity",
            () ->
                typed.density().isBlank() && like != null
                    ? like.density20()
                    : within(typed.density(), 0.8, 1, "g/ml, from 0.8 to 1"));
    Double months =
        problems.attempt(
            "oilMonths",
            () ->
                typed.keepsMonths().isBlank() && like != null
                    ? (double) like.keepsMonths()
                    : within(typed.keepsMonths(), 1, 60, "months, from 1 to 60"));
    String name = named(problems, "oilName", typed.name());
    String source = source(problems, "oilSource", typed.source());
    problems.refuseIfAny();

    boolean replaces = name.isEmpty();
    Carrier carrier =
        OwnCarrier.made(
            like,
            replaces ? like.key() : key(name),
            replaces ? like.name() : name,
            density,
            months.intValue(),
            source);
    carriers.deleteByThingKey(carrier.key());
    persist(new OwnCarrier(carrier, like.key()));
    return carrier;
  }

  /**
   * Goes back to the shipped figures of a herb or carrier. A herb or carrier of one's own stays,
   * because batches may hold it.
   */
  @Transactional
  public void backToShipped(UUID id) {
    Stream.<OwnThing>concat(
            herbs.findAllByOrderByName().stream(), carriers.findAllByOrderByName().stream())
        .filter(thing -> thing.id().equals(id) && thing.replaces())
        .forEach(entities::remove);
    forgetAfterwards();
  }

  private void persist(OwnThing thing) {
    entities.flush();
    entities.persist(thing);
    forgetAfterwards();
  }

  private void forgetAfterwards() {
    UUID household = current.id();
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            known.invalidate(household);
          }
        });
  }

  private static Part part(String typed, Herb like) {
    if (typed.isBlank() && like != null) {
      return like.bestPart();
    }
    try {
      return Part.valueOf(typed);
    } catch (IllegalArgumentException e) {
      throw new Refused("herbPart", "Choose a part.");
    }
  }

  private static double within(String typed, double low, double high, String expected) {
    try {
      double value = Double.parseDouble(typed.strip().replace(',', '.').replace("%", ""));
      if (value >= low && value <= high) {
        return value;
      }
    } catch (NumberFormatException e) {
      // said below, as for a number out of range
    }
    throw new Refused("figure", "“" + typed.strip() + "” is not a number of " + expected + ".");
  }

  private static String named(Problems problems, String field, String typed) {
    String name = typed.strip();
    problems.require(
        name.length() <= LONGEST_NAME, field, "A name has at most " + LONGEST_NAME + " letters.");
    return name;
  }

  private static String source(Problems problems, String field, String typed) {
    String source = typed.strip();
    problems.require(
        !source.isEmpty(), field, "Say where the figure comes from: “weighed”, a book.");
    problems.require(
        source.length() <= LONGEST_SOURCE, field, "At most " + LONGEST_SOURCE + " letters.");
    return source;
  }

  private static String clipped(String typed) {
    String text = typed.strip();
    return text.substring(0, Math.min(LONGEST_NAME, text.length()));
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
