package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;

/**
 * A carrier that the household adds, or knows better than the catalogue: what it does not say
 * itself is as with the carrier that it is like.
 */
@Entity
public class OwnCarrier {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String carrierKey;
  private String likeKey;
  private String name;
  private double density20;
  private int keepsMonths;
  private String source;

  /** For Hibernate. */
  protected OwnCarrier() {}

  OwnCarrier(UUID id, Carrier carrier, String likeKey, String source) {
    this.id = id;
    this.carrierKey = carrier.key();
    this.likeKey = likeKey;
    this.name = carrier.name();
    this.density20 = carrier.density20();
    this.keepsMonths = carrier.keepsMonths();
    this.source = source;
  }

  /** Its id. */
  public UUID id() {
    return id;
  }

  /** Where its figures come from, as typed. */
  public String source() {
    return source;
  }

  /** Whether it takes the place of a shipped one. */
  public boolean replaces() {
    return carrierKey.equals(likeKey);
  }

  /** It, as the core knows carriers. */
  public Carrier carrier(Catalogue shipped) {
    return made(shipped.carrier(likeKey), carrierKey, name, density20, keepsMonths, source);
  }

  static Carrier made(
      Carrier like, String key, String name, double density20, int keepsMonths, String source) {
    return new Carrier(
        key,
        name,
        like.inci(),
        density20,
        like.meltsC(),
        like.viscosity20(),
        like.viscosity40(),
        keepsMonths,
        like.edible(),
        like.allergen(),
        like.hardness(),
        like.feel(),
        like.absorption(),
        like.smell(),
        like.make(),
        like.chosenFor(),
        like.tint(),
        source);
  }
}
