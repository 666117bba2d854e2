package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
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

  @Enumerated(EnumType.STRING)
  private Jar.Shape shape;

  private int count;

  /** For Hibernate. */
  protected OwnJar() {}

  OwnJar(UUID id, Jar jar, String measuredText, int count) {
    this.id = id;
    this.name = jar.name();
    this.brimMl = jar.brimMl();
    this.innerDiameterMm = jar.innerDiameterMm();
    this.measuredText = measuredText;
    this.shape = jar.shape();
    this.count = count;
  }

  /** It, as the core knows jars. */
  public Jar jar() {
    return new Jar(id.toString(), name, brimMl, innerDiameterMm, shape);
  }

  /** What was typed when it was measured. */
  public String measuredText() {
    return measuredText;
  }

  /** How many of it there are. */
  public int count() {
    return count;
  }

  void counted(int now) {
    count = now;
  }
}
