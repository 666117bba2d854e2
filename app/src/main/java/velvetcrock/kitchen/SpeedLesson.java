package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.colour.SpeedFit;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;

/** What the colours of one jar, or one trial judged blind, taught of how fast a herb gives. */
@Entity
public class SpeedLesson {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private @Nullable UUID batchId;
  private @Nullable UUID trialId;
  private String herb;

  @Enumerated(EnumType.STRING)
  private Part part;

  @Enumerated(EnumType.STRING)
  private Cut cut;

  private String carrier;

  @Enumerated(EnumType.STRING)
  private @Nullable Method way;

  private double logSpeed;
  private double within;

  /** For Hibernate. */
  protected SpeedLesson() {}

  SpeedLesson(Teacher by, Speed.HerbInOil of, SpeedFit.Jar jar) {
    this.id = UUID.randomUUID();
    this.batchId = by.batch();
    this.trialId = by.trial();
    this.herb = of.herb();
    this.part = of.part();
    this.cut = of.cut();
    this.carrier = of.carrier();
    this.way = of.way();
    this.logSpeed = jar.logSpeed();
    this.within = jar.within();
  }

  /**
   * What taught it: one of the two.
   *
   * @param batch whose colours did
   * @param trial which did
   */
  public record Teacher(@Nullable UUID batch, @Nullable UUID trial) {}
}
