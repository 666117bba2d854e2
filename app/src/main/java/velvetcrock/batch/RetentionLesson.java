package velvetcrock.batch;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;

/** What one straining taught of one part. */
@Entity
class RetentionLesson {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID batchId;

  @Enumerated(EnumType.STRING)
  private Part part;

  @Enumerated(EnumType.STRING)
  private Expression expression;

  private double keptMlPerGram;

  /** For Hibernate. */
  protected RetentionLesson() {}

  RetentionLesson(UUID batchId, Retention.Own own) {
    this.id = UUID.randomUUID();
    this.batchId = batchId;
    this.part = own.part();
    this.expression = own.expression();
    this.keptMlPerGram = own.mlPerG().mean();
  }
}
