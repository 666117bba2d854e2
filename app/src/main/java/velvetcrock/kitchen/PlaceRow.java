package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.keeping.Light;

/** A plank as it is stored. */
@Entity
@Table(name = "place")
class PlaceRow {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String name;

  @Enumerated(EnumType.STRING)
  private Light light;

  private double celsius;
  private int position;

  /** For Hibernate. */
  protected PlaceRow() {}

  PlaceRow(Place place) {
    this.id = place.id();
    this.name = place.name();
    this.light = place.light();
    this.celsius = place.celsius();
    this.position = place.position();
  }

  Place place() {
    return new Place(id, name, light, celsius, position);
  }
}
