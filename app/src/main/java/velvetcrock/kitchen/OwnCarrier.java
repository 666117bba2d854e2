package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;

/** A carrier of the household's own. */
@Entity
public class OwnCarrier extends OwnThing {
  private double density20;
  private int keepsMonths;

  /** For Hibernate. */
  protected OwnCarrier() {}

  OwnCarrier(Carrier carrier, String likeKey) {
    super(carrier.key(), likeKey, carrier.name(), carrier.source());
    this.density20 = carrier.density20();
    this.keepsMonths = carrier.keepsMonths();
  }

  /** It, as the core knows carriers. */
  public Carrier carrier(Catalogue shipped) {
    return made(shipped.carrier(likeKey()), key(), name(), density20, keepsMonths, source());
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
