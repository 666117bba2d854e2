package velvetcrock.kitchen;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.keeping.Light;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;

/** The planks on which jars stand. */
@Service
public class Places {
  private final PlaceRepository places;
  private final EntityManager entities;

  Places(PlaceRepository places, EntityManager entities) {
    this.places = places;
    this.entities = entities;
  }

  /** Puts up the planks that every kitchen has, in walking order. */
  @Transactional
  public void furnish() {
    add("Dark cupboard", Light.DARK, 17);
    add("Counter", Light.ROOM, 20);
    add("South window", Light.WINDOW, 24);
    add("Stove", Light.ROOM, 22);
    add("Fridge", Light.DARK, 4);
  }

  /** The planks, in walking order. */
  @HeldUntilChanged(HouseholdPart.KITCHEN)
  @Transactional(readOnly = true)
  public List<Place> all() {
    return planks();
  }

  private List<Place> planks() {
    return places.findAllByOrderByPositionAscIdAsc().stream().map(PlaceRow::place).toList();
  }

  /**
   * A plank by its id or its name.
   *
   * @throws Refused at {@code place}
   */
  @HeldUntilChanged(HouseholdPart.KITCHEN)
  @Transactional(readOnly = true)
  public Place one(String id) {
    return planks().stream()
        .filter(p -> p.id().toString().equals(id) || p.name().equalsIgnoreCase(id))
        .findFirst()
        .orElseThrow(() -> new Refused("place", "Choose one of your places."));
  }

  /**
   * Puts up a plank.
   *
   * @param celsius how warm it is there, °C, −30 to 60
   * @throws Refused at {@code placeName} or {@code celsius}
   */
  @Transactional
  public Place add(String name, Light light, double celsius) {
    Problems problems = new Problems();
    String called = Named.of(problems, "placeName", name);
    problems.require(
        celsius >= -30 && celsius <= 60, "celsius", "A place is between −30 and 60 °C warm.");
    List<Place> present = planks();
    problems.require(
        present.stream().noneMatch(p -> p.name().equalsIgnoreCase(called)),
        "placeName",
        "There is a place of that name already.");
    problems.refuseIfAny();
    Place place = new Place(UUID.randomUUID(), called, light, celsius, present.size());
    entities.persist(new PlaceRow(place));
    return place;
  }
}
