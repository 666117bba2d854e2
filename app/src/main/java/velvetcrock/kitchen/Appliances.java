package velvetcrock.kitchen;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Settled;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;
import velvetcrock.web.Typed;

/**
 * What the household keeps oil warm on, and what its settings turned out to be. Where nothing has
 * been learned of a setting, the stand-in's figure of its kind is typical.
 */
@Service
public class Appliances {
  private static final int LONGEST_NAME = 60;
  private static final int MOST_HELD = 50;

  private final ApplianceRepository appliances;
  private final ApplianceRunRepository runs;
  private final EntityManager entities;
  private final Clock clock;

  Appliances(
      ApplianceRepository appliances,
      ApplianceRunRepository runs,
      EntityManager entities,
      Clock clock) {
    this.appliances = appliances;
    this.runs = runs;
    this.entities = entities;
    this.clock = clock;
  }

  /**
   * What a setting turned out to be.
   *
   * @param runs how many runs that was learned from
   * @param settled their mean
   * @param meansC between which means they lay, °C
   */
  public record Learned(String setting, int runs, Settled settled, Range meansC) {}

  /**
   * An appliance with what has been learned of it, the coolest setting first.
   *
   * @param holds how many jars it holds at once
   */
  public record Owned(UUID id, String name, Appliance kind, int holds, List<Learned> learned) {
    /** What has been learned of a setting. */
    public Optional<Learned> of(String setting) {
      return learned.stream().filter(l -> l.setting().equalsIgnoreCase(setting)).findFirst();
    }
  }

  /**
   * A run on one setting.
   *
   * @param begunAt when the knob was turned to it
   */
  public record Run(UUID applianceId, String setting, Instant begunAt, Settled settled) {}

  /** All of the household's, the oldest first. */
  @HeldUntilChanged(HouseholdPart.KITCHEN)
  @Transactional(readOnly = true)
  public List<Owned> all() {
    return owned();
  }

  private List<Owned> owned() {
    Map<UUID, List<Learned>> learned =
        runs.taught().stream()
            .collect(
                Collectors.groupingBy(
                    ApplianceRunRepository.Taught::applianceId,
                    Collectors.mapping(
                        ApplianceRunRepository.Taught::learned, Collectors.toList())));
    return appliances.findAllByOrderByCreatedAtAscIdAsc().stream()
        .map(
            a ->
                new Owned(
                    a.id(), a.name(), a.kind(), a.holds(), learned.getOrDefault(a.id(), List.of())))
        .toList();
  }

  /**
   * Adds one.
   *
   * @throws Refused at {@code applianceName}
   */
  @Transactional
  public Owned add(String name, Appliance kind) {
    String called = name.strip().isEmpty() ? kind.words() : name.strip();
    if (called.length() > LONGEST_NAME) {
      throw new Refused("applianceName", "A name has at most " + LONGEST_NAME + " letters.");
    }
    if (appliances.findByNameIgnoreCase(called).isPresent()) {
      throw new Refused("applianceName", "There is one of that name already.");
    }
    OwnAppliance added = new OwnAppliance(called, kind, clock.instant());
    entities.persist(added);
    return new Owned(added.id(), added.name(), added.kind(), added.holds(), List.of());
  }

  /**
   * Says how many jars one holds at once.
   *
   * @param typed from 1 to 50
   * @throws Refused at {@code holds} or {@code appliance}
   */
  @Transactional
  public void count(String id, String typed) {
    int holds =
        (int)
            Math.round(Typed.at("holds", () -> Typed.number(typed, 1, MOST_HELD, "jars at once")));
    appliances.findAllByOrderByCreatedAtAscIdAsc().stream()
        .filter(a -> a.id().toString().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refused("appliance", "Choose one of your appliances."))
        .counted(holds);
  }

  /**
   * One by its id, or the household's first of a kind, added if there is none.
   *
   * @param named an id, or the name of a kind
   * @throws Refused at {@code appliance}
   */
  @Transactional
  public Owned choose(String named) {
    List<Owned> all = owned();
    Optional<Owned> own = all.stream().filter(k -> k.id().toString().equals(named)).findFirst();
    if (own.isPresent()) {
      return own.get();
    }
    try {
      Appliance kind = Appliance.valueOf(named);
      return all.stream()
          .filter(k -> k.kind() == kind)
          .findFirst()
          .orElseGet(() -> add(kind.words(), kind));
    } catch (IllegalArgumentException e) {
      throw new Refused("appliance", "Choose what it stands on.");
    }
  }

  /** Puts what a batch's runs taught in the place of what they taught before. */
  @Transactional
  public void learn(UUID batchId, List<Run> taught) {
    runs.deleteAll(runs.findByBatchId(batchId));
    entities.flush();
    taught.forEach(run -> entities.persist(new ApplianceRun(batchId, run)));
  }
}
