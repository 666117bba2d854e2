package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** How many the household has of a common shape of jar. */
@Entity
class JarCount {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String jarKey;
  private int count;

  /** For Hibernate. */
  protected JarCount() {}

  JarCount(String jarKey, int count) {
    this.id = UUID.randomUUID();
    this.jarKey = jarKey;
    this.count = count;
  }

  String jarKey() {
    return jarKey;
  }

  int count() {
    return count;
  }

  void counted(int now) {
    count = now;
  }
}
