package velvetcrock.kitchen;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.MapKeyColumn;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;
import org.hibernate.annotations.BatchSize;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.EssentialOil;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Powder;
import velvetcrock.core.materia.Wax;

/**
 * A thing that the household adds to the catalogue, or knows better than it: what it does not say
 * itself is as with the shipped thing that it is like.
 */
@Entity
public class OwnThing {
  @Id private UUID id;
  @TenantId private UUID householdId;

  @Enumerated(EnumType.STRING)
  private OwnKind kind;

  private String thingKey;
  private String likeKey;
  private String name;
  private @Nullable String botanical;

  @Enumerated(EnumType.STRING)
  private @Nullable Part part;

  private String source;
  private @Nullable String edible;
  private @Nullable String allergen;
  private @Nullable String hazards;

  @ElementCollection(fetch = FetchType.EAGER)
  @CollectionTable(name = "own_figure", joinColumns = @JoinColumn(name = "thing_id"))
  @MapKeyColumn(name = "name")
  @Column(name = "value")
  @BatchSize(size = 100)
  private Map<String, Double> figures;

  /** For Hibernate. */
  protected OwnThing() {}

  OwnThing(
      OwnKind kind,
      String thingKey,
      String likeKey,
      String name,
      @Nullable String botanical,
      @Nullable Part part,
      Map<String, Double> figures,
      String source) {
    this.id = UUID.randomUUID();
    this.kind = kind;
    this.thingKey = thingKey;
    this.likeKey = likeKey;
    this.name = name;
    this.botanical = botanical;
    this.part = part;
    this.figures = new HashMap<>(figures);
    this.source = source;
  }

  /** It, with what safety needs to know of it. */
  OwnThing with(OwnSafety safety) {
    this.edible = safety.edible();
    this.allergen = safety.allergen();
    this.hazards = String.join(",", safety.hazards());
    return this;
  }

  private OwnSafety safety() {
    return OwnSafety.stored(edible, allergen, hazards);
  }

  /** Its id. */
  public UUID id() {
    return id;
  }

  String thingKey() {
    return thingKey;
  }

  /** What it is. */
  public OwnKind kind() {
    return kind;
  }

  /** What it is called. */
  public String name() {
    return name;
  }

  /** Where its figures come from, as typed. */
  public String source() {
    return source;
  }

  /** The figures that are its own, by their names. */
  public Map<String, Double> figures() {
    return Map.copyOf(figures);
  }

  /** Its key in the catalogue. */
  public String key() {
    return thingKey;
  }

  /** Whether it takes the place of a shipped one. */
  public boolean replaces() {
    return thingKey.equals(likeKey);
  }

  Herb herb(Catalogue shipped) {
    Herb like = shipped.herb(likeKey);
    Part best = Optional.ofNullable(part).map(like::partNow).orElse(like.bestPart());
    return new Herb(
        thingKey,
        name,
        Optional.ofNullable(botanical).orElse(replaces() ? like.botanical() : name),
        Stream.concat(Stream.of(best), like.parts().stream().filter(p -> p != best)).toList(),
        figure("water", like.waterFresh() * 100) / 100,
        replaces() ? like.edible() : safety().eaten(),
        new Herb.Handling(
            like.handling().bestState(), like.handling().drawing(), like.handling().why()),
        new Herb.Colours(like.colours().tint(), like.colours().fleck()),
        replaces() ? like.cautions() : safety().codes(),
        source);
  }

  Carrier carrier(Catalogue shipped) {
    Carrier like = shipped.carrier(likeKey);
    return new Carrier(
        thingKey,
        name,
        replaces() ? like.inci() : Optional.ofNullable(botanical).orElse(name),
        new Carrier.Body(
            figure("density", like.body().density20()),
            figure("melts", like.body().meltsC()),
            like.body().viscosity20(),
            like.body().viscosity40(),
            like.body().molarG(),
            like.body().meltingKj()),
        (int) figure("months", like.keepsMonths()),
        replaces() ? like.edible() : safety().eaten(),
        replaces() ? like.allergen() : safety().labelled(),
        figure("hardness", like.hardness()),
        new Carrier.Nature(
            like.nature().feel(),
            like.nature().absorption(),
            like.nature().smell(),
            like.nature().make(),
            like.nature().chosenFor()),
        like.tint(),
        source);
  }

  Wax wax(Catalogue shipped) {
    Wax like = shipped.wax(likeKey);
    double pellets = figure("pellets", like.pelletDensity());
    return new Wax(
        thingKey,
        name,
        like.densitySolid(),
        like.densityMelted(),
        pellets,
        like.pelletRange().times(pellets / like.pelletDensity()),
        figure("melts", like.meltsC()),
        figure("hardness", like.hardness()),
        source);
  }

  Powder powder(Catalogue shipped) {
    Powder like = shipped.powder(likeKey);
    double bulk = figure("bulk", like.bulkDensity());
    Range range = like.bulkRange().times(bulk / like.bulkDensity());
    return new Powder(thingKey, name, bulk, range, figure("hardness", like.hardness()), source);
  }

  EssentialOil essentialOil(Catalogue shipped) {
    EssentialOil like = shipped.essentialOil(likeKey);
    return new EssentialOil(
        thingKey,
        name,
        Optional.ofNullable(botanical).orElse(replaces() ? like.botanical() : name),
        ceiling("ceiling", like.ceiling()),
        ceiling("pregnancy", like.pregnancy()),
        ceiling("child2To6", like.child2To6()),
        ceiling("child6To12", like.child6To12()),
        like.sun(),
        replaces() ? like.cautions() : safety().codes(),
        source);
  }

  private OptionalDouble ceiling(String figure, OptionalDouble like) {
    Double own = figures.get(figure);
    return own == null ? like : OptionalDouble.of(own);
  }

  private double figure(String figure, double like) {
    return figures.getOrDefault(figure, like);
  }
}
