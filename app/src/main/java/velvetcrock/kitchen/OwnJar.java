package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.materia.Jar;

/** A jar that the household measured with water. */
@Entity
public class OwnJar {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String name;
  private double brimMl;
  private double innerDiameterMm;
  private String measuredText;

  /** For Hibernate. */
  protected OwnJar() {}

  OwnJar(UUID id, Jar jar, String measuredText) {
    this.id = id;
    this.name = jar.name();
    this.brimMl = jar.brimMl();
    this.innerDiameterMm = jar.innerDiameterMm();
    this.measuredText = measuredText;
  }

  /** It, as the core knows jars. */
  public Jar jar() {
    return new Jar(id.toString(), name, brimMl, innerDiameterMm);
  }

  /** What was typed when it was measured. */
  public String measuredText() {
    return measuredText;
  }
}
