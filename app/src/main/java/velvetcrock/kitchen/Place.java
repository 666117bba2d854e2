package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Method;

/** A plank on which jars stand. */
@Entity
public class Place {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String name;

  @Enumerated(EnumType.STRING)
  private Light light;

  private double celsius;
  private int position;

  /** For Hibernate. */
  protected Place() {}

  Place(UUID id, String name, Light light, double celsius, int position) {
    this.id = id;
    this.name = name;
    this.light = light;
    this.celsius = celsius;
    this.position = position;
  }

  /** Its id. */
  public UUID id() {
    return id;
  }

  /** Its name. */
  public String name() {
    return name;
  }

  /** The light there. */
  public Light light() {
    return light;
  }

  /** How warm it is there, °C. */
  public double celsius() {
    return celsius;
  }

  /** Its place in the walk round the kitchen, from 0. */
  public int position() {
    return position;
  }

  /** The way of infusing that a jar standing here follows. */
  public Method method() {
    return light == Light.WINDOW ? Method.SOLAR : Method.COLD;
  }

  /** It, as the log names it. */
  public Stand stand() {
    return new Stand(id.toString(), name, light, celsius);
  }
}
