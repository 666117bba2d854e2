package velvetcrock.trial;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A trial. */
@Entity
class Trial {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String name;
  private String herbKey;
  private String oilKey;

  @Enumerated(EnumType.STRING)
  private Differs differs;

  private boolean blind;
  private Instant madeAt;
  private @Nullable Instant revealedAt;
  private @Nullable String conclusion;
  private @Nullable Instant concludedAt;
  private @Nullable String concludedBy;

  /** For Hibernate. */
  protected Trial() {}

  Trial(UUID id, Trials.Begun begun, Instant madeAt) {
    this.id = id;
    this.name = begun.name();
    this.herbKey = begun.herb();
    this.oilKey = begun.oil();
    this.differs = begun.differs();
    this.blind = begun.blind();
    this.madeAt = madeAt;
  }

  UUID id() {
    return id;
  }

  String name() {
    return name;
  }

  String herbKey() {
    return herbKey;
  }

  String oilKey() {
    return oilKey;
  }

  Differs differs() {
    return differs;
  }

  Instant madeAt() {
    return madeAt;
  }

  /** Whether nobody is to know yet which glass is which jar. */
  boolean hidden() {
    return blind && revealedAt == null;
  }

  @Nullable String conclusion() {
    return conclusion;
  }

  @Nullable Instant concludedAt() {
    return concludedAt;
  }

  @Nullable String concludedBy() {
    return concludedBy;
  }

  void reveal(Instant at) {
    if (revealedAt == null) {
      revealedAt = at;
    }
  }

  void conclude(String words, Instant at, String by) {
    reveal(at);
    conclusion = words;
    concludedAt = at;
    concludedBy = by;
  }
}
