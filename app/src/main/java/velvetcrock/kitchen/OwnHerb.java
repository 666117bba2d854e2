package velvetcrock.kitchen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.hibernate.annotations.TenantId;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;

/**
 * A herb that the household adds, or knows better than the catalogue: what it does not say itself
 * is as with the herb that it is like.
 */
@Entity
public class OwnHerb {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private String herbKey;
  private String likeKey;
  private String name;
  private String botanical;

  @Enumerated(EnumType.STRING)
  private Part part;

  private double waterFresh;
  private String source;

  /** For Hibernate. */
  protected OwnHerb() {}

  OwnHerb(UUID id, Herb herb, String likeKey, String source) {
    this.id = id;
    this.herbKey = herb.key();
    this.likeKey = likeKey;
    this.name = herb.name();
    this.botanical = herb.botanical();
    this.part = herb.bestPart();
    this.waterFresh = herb.waterFresh();
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
    return herbKey.equals(likeKey);
  }

  /** It, as the core knows herbs. */
  public Herb herb(Catalogue shipped) {
    return made(shipped.herb(likeKey), herbKey, name, botanical, part, waterFresh, source);
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
