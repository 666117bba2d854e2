package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.colour.SpeedFit;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;

/** What the colours of one jar taught of how fast its herb gives. */
@Entity
class SpeedLesson {
  @Id private UUID batchId;
  @TenantId private UUID householdId;
  private String herb;

  @Enumerated(EnumType.STRING)
  private Part part;

  @Enumerated(EnumType.STRING)
  private Cut cut;

  private String carrier;
  private double logSpeed;
  private double within;

  /** For Hibernate. */
  protected SpeedLesson() {}

  SpeedLesson(UUID batchId, Speed.HerbInOil of, SpeedFit.Jar jar) {
    this.batchId = batchId;
    this.herb = of.herb();
    this.part = of.part();
    this.cut = of.cut();
    this.carrier = of.carrier();
    this.logSpeed = jar.logSpeed();
    this.within = jar.within();
  }

  Speed.HerbInOil of() {
    return new Speed.HerbInOil(herb, part, cut, carrier);
  }

  SpeedFit.Jar jar() {
    return new SpeedFit.Jar(logSpeed, within);
  }
}
