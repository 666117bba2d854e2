package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.ZoneId;
import java.util.UUID;
import velvetcrock.core.measure.Kitchen;

/** A household. */
@Entity
public class Household {
  @Id private UUID id;
  private String name;
  private String zone;

  @Enumerated(EnumType.STRING)
  private Kitchen kitchen;

  private boolean demo;
  private Instant createdAt;

  /** For Hibernate. */
  protected Household() {}

  Household(UUID id, String name, ZoneId zone, Kitchen kitchen, boolean demo, Instant createdAt) {
    this.id = id;
    this.name = name;
    this.zone = zone.getId();
    this.kitchen = kitchen;
    this.demo = demo;
    this.createdAt = createdAt;
  }

  /** Its id. */
  public UUID id() {
    return id;
  }

  /** Its name. */
  public String name() {
    return name;
  }

  /** Its time zone, by which days are counted. */
  public ZoneId zone() {
    return ZoneId.of(zone);
  }

  /** Its kitchen measures. */
  public Kitchen kitchen() {
    return kitchen;
  }

  /** Whether it is the demo. */
  public boolean demo() {
    return demo;
  }

  void settle(String newName, ZoneId newZone, Kitchen newKitchen) {
    name = newName;
    zone = newZone.getId();
    kitchen = newKitchen;
  }
}
