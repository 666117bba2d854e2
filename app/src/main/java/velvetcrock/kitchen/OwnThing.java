package velvetcrock.kitchen;

import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/**
 * A thing that the household adds to the catalogue, or knows better than it: what it does not say
 * itself is as with the shipped thing that it is like.
 */
@MappedSuperclass
public abstract class OwnThing {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String thingKey;
  private String likeKey;
  private String name;
  private String source;

  /** For Hibernate. */
  protected OwnThing() {}

  OwnThing(String thingKey, String likeKey, String name, String source) {
    this.id = UUID.randomUUID();
    this.thingKey = thingKey;
    this.likeKey = likeKey;
    this.name = name;
    this.source = source;
  }

  /** Its id. */
  public UUID id() {
    return id;
  }

  /** What it is called. */
  public String name() {
    return name;
  }

  /** Where its figures come from, as typed. */
  public String source() {
    return source;
  }

  /** Whether it takes the place of a shipped one. */
  public boolean replaces() {
    return thingKey.equals(likeKey);
  }

  String key() {
    return thingKey;
  }

  String likeKey() {
    return likeKey;
  }
}
