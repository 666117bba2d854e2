package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.List;
import java.util.stream.Stream;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;

/** A herb of the household's own. */
@Entity
public class OwnHerb extends OwnThing {
  private String botanical;

  @Enumerated(EnumType.STRING)
  private Part part;

  private double waterFresh;

  /** For Hibernate. */
  protected OwnHerb() {}

  OwnHerb(Herb herb, String likeKey) {
    super(herb.key(), likeKey, herb.name(), herb.source());
    this.botanical = herb.botanical();
    this.part = herb.bestPart();
    this.waterFresh = herb.waterFresh();
  }

  /** It, as the core knows herbs. */
  public Herb herb(Catalogue shipped) {
    return made(shipped.herb(likeKey()), key(), name(), botanical, part, waterFresh, source());
  }

  static Herb made(
      Herb like,
      String key,
      String name,
      String botanical,
      Part part,
      double waterFresh,
      String source) {
    List<Part> parts =
        Stream.concat(Stream.of(part), like.parts().stream().filter(p -> p != part)).toList();
    return new Herb(
        key,
        name,
        botanical,
        parts,
        waterFresh,
        like.edible(),
        like.bestState(),
        like.drawing(),
        like.why(),
        like.eachG(),
        like.tint(),
        like.fleck(),
        like.cautions(),
        source);
  }
}
