package velvetcrock.core.product;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.keeping.Wetness;
import velvetcrock.core.making.Extra;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.materia.Catalogue;

/**
 * A part as it went into the pan, with where it came from.
 *
 * @param key in the catalogue, or that of an {@link Extra}; for infused oil what names it
 * @param infused what the oil was infused with; null for what is plain
 * @param lot the lot of the drawer that it was taken from; null for what was simply there
 * @param massG g, above 0
 * @param text what was typed
 * @param goodUntil its own date; null where it has none
 */
public record PartIn(
    Kind kind,
    String key,
    @Nullable Infused infused,
    @Nullable UUID lot,
    double massG,
    String text,
    @Nullable LocalDate goodUntil) {

  /** What sort of thing a part is. */
  public enum Kind {
    /** An oil or butter, plain or infused. */
    CARRIER,
    /** A wax. */
    WAX,
    /** A powder. */
    POWDER,
    /** Vitamin E or something wet. */
    EXTRA
  }

  /**
   * An infused oil, as it was when it went in.
   *
   * @param batch the code of its batch
   * @param letter its bottle; null for oil straight from the cloth
   * @param oils its carriers in shares by volume
   * @param herbs keys of its herbs, the heaviest first
   * @param hazards what was wrong with it when it went in
   */
  public record Infused(
      String batch,
      @Nullable String letter,
      List<OilShare> oils,
      List<String> herbs,
      Set<Hazard> hazards) {
    /** Copies the lists. */
    public Infused {
      oils = List.copyOf(oils);
      herbs = List.copyOf(herbs);
      hazards = Set.copyOf(hazards);
    }

    /** One of which nothing was wrong. */
    public Infused(String batch, @Nullable String letter, List<OilShare> oils, List<String> herbs) {
      this(batch, letter, oils, herbs, Set.of());
    }

    /** The bottle's name, or its batch's where it was never bottled. */
    public String code() {
      return letter == null ? batch : batch + "-" + letter;
    }
  }

  /** A carrier's share of an infused oil. */
  public record OilShare(String carrier, double share) {}

  /**
   * Checks what has to be there.
   *
   * @throws Refused at {@code kind}, {@code key}, {@code massG} or {@code text}
   */
  public PartIn {
    Problems problems = new Problems();
    problems.require(kind != null, "kind", "This is missing.");
    problems.require(key != null && !key.isBlank(), "key", "This is missing.");
    problems.require(
        massG >= 0.001 && massG <= 100_000, "massG", "More than nothing and at most 100 kg.");
    problems.require(text != null && text.length() <= 200, "text", "At most 200 letters.");
    problems.refuseIfAny();
  }

  /** The same in another weight. */
  public PartIn withMassG(double grams) {
    return new PartIn(kind, key, infused, lot, grams, text, goodUntil);
  }

  /** Whether it is the infused oil of a name. */
  boolean is(String oil) {
    return infused != null && infused.code().equals(oil);
  }

  /** The same with what is known of its oil now, if it is that oil. */
  PartIn known(OilReckonedAnew now) {
    if (!is(now.oil())) {
      return this;
    }
    Infused its =
        new Infused(
            infused.batch(), infused.letter(), infused.oils(), infused.herbs(), now.hazards());
    return new PartIn(kind, key, its, lot, massG, text, now.until());
  }

  /** Whether another part is more of the same. */
  boolean sameAs(PartIn other) {
    return kind == other.kind
        && key.equals(other.key)
        && Objects.equals(infused, other.infused)
        && Objects.equals(lot, other.lot);
  }

  /** Whether it is of what is stirred in last, into a whole melt or into single tins. */
  public boolean stirredInLast() {
    return kind == Kind.EXTRA || kind == Kind.POWDER;
  }

  /** Whether it brings water. */
  public boolean wet() {
    return kind == Kind.EXTRA && extra().wet() || hazards().contains(Hazard.WATER);
  }

  /** Up to so much honey, as a share of the weight, is hardly water (practice). */
  private static final double LITTLE_HONEY = 0.05;

  /** What water some parts together have in them. */
  public static Wetness wetness(List<PartIn> parts) {
    double totalG = parts.stream().mapToDouble(PartIn::massG).sum();
    double honeyG = parts.stream().filter(PartIn::honey).mapToDouble(PartIn::massG).sum();
    boolean little = honeyG <= LITTLE_HONEY * totalG;
    if (parts.stream().anyMatch(part -> part.wet() && !(part.honey() && little))) {
      return Wetness.WET;
    }
    return honeyG > 0 ? Wetness.LITTLE_HONEY : Wetness.DRY;
  }

  /** Whether it is honey. */
  public boolean honey() {
    return kind == Kind.EXTRA && key.equals(Extra.HONEY.key());
  }

  /** What is wrong with the infused oil that it is; nothing of any other part. */
  public Set<Hazard> hazards() {
    return infused == null ? Set.of() : infused.hazards();
  }

  /**
   * The extra that it is.
   *
   * @throws Refused at {@code key} if it is none
   */
  public Extra extra() {
    return Extra.of(key)
        .orElseThrow(() -> new Refused("key", "“" + key + "” is nothing that is stirred in."));
  }

  /** The carriers of an infused oil. */
  public CarrierBlend blend(Catalogue catalogue) {
    return new CarrierBlend(
        infused == null
            ? List.of(new CarrierBlend.Share(catalogue.carrier(key), 1))
            : infused.oils().stream()
                .map(o -> new CarrierBlend.Share(catalogue.carrier(o.carrier()), o.share()))
                .toList());
  }

  /**
   * The part as it counts in hardness and volume.
   *
   * @param usedAtC where the product is used, °C
   * @throws Refused at {@code key} if the catalogue does not know it
   */
  public Ingredient ingredient(Catalogue catalogue, double usedAtC) {
    return switch (kind) {
      case CARRIER ->
          infused == null
              ? Ingredient.of(catalogue.carrier(key), massG, usedAtC)
              : Ingredient.of(infused.code(), blend(catalogue), massG, usedAtC);
      case WAX -> Ingredient.of(catalogue.wax(key), massG);
      case POWDER -> Ingredient.of(catalogue.powder(key), massG);
      case EXTRA -> Ingredient.of(extra(), massG);
    };
  }
}
