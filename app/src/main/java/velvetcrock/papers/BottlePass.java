package velvetcrock.papers;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** Opens a bottle's page for whoever holds it, until it is revoked. */
@Entity
class BottlePass {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private @Nullable UUID batchId;
  private @Nullable UUID productId;
  private String letter;
  private String token;
  private Instant madeAt;
  private @Nullable Instant revokedAt;

  /** For Hibernate. */
  protected BottlePass() {}

  BottlePass(@Nullable UUID batchId, String letter, String token, Instant madeAt) {
    this.id = UUID.randomUUID();
    this.batchId = batchId;
    this.letter = letter;
    this.token = token;
    this.madeAt = madeAt;
  }

  /** A pass to the tins of a group of a product. */
  static BottlePass ofProduct(UUID productId, String group, String token, Instant madeAt) {
    BottlePass pass = new BottlePass(null, group, token, madeAt);
    pass.productId = productId;
    return pass;
  }

  @Nullable UUID batchId() {
    return batchId;
  }

  String letter() {
    return letter;
  }

  String token() {
    return token;
  }

  void revoke(Instant at) {
    revokedAt = at;
  }
}
