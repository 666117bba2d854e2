package velvetcrock.core.product;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetcrock.core.Figures;
import velvetcrock.core.Learned;
import velvetcrock.core.Problems;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.keeping.BalmKeeping;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Extra;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.Formula;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.Melt;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;

/** What a product has to hold by the catalogue: ceilings, dates, volumes; and what it teaches. */
public final class ProductRules {
  /** How far tastes lie apart, as a standard deviation of hardness (typical). */
  private static final double TASTES_APART = 2.7;

  /** Tins filled a little more or less than their size. */
  private static final double FILLING_TOLERANCE = 1.05;

  /** An oil for pads is solid at this, °C. */
  private static final double PADS_SOLID_AT_C = 20;

  private final Catalogue catalogue;

  /** Rules by a catalogue. */
  public ProductRules(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  /**
   * Checks a product as it stands after an entry: one that adds essential oils above a ceiling has
   * its own reason, whatever was written before.
   *
   * @throws velvetcrock.core.Refused as {@link #check(ProductState)}, and at {@code drops}
   */
  public void check(ProductState state, ProductEvent last) {
    check(state);
    if (last instanceof StirredIn added) {
      Problems problems = new Problems();
      problems.require(
          stopped(added.parts()).isEmpty() || !added.reason().isBlank(),
          "parts",
          stopped(added.parts()));
      problems.refuseIfAny();
    }
    if (last instanceof StirredIn added && !added.drops().isEmpty()) {
      Problems problems = new Problems();
      String passed =
          passed(drops(state.drops()), state.melt(catalogue).volumeMl(), state.plan().where());
      problems.require(passed.isEmpty() || !added.reason().isBlank(), "drops", passed);
      problems.refuseIfAny();
    }
  }

  /**
   * Checks a product as it stands.
   *
   * @throws velvetcrock.core.Refused at {@code drops} or {@code fill[i].drops} where a ceiling is
   *     passed without a written reason, at {@code parts} where its kind cannot be made of these,
   *     at {@code fill} where more is filled than there is
   */
  public void check(ProductState state) {
    Problems problems = new Problems();
    Melt melt = state.melt(catalogue);
    state.parts().stream()
        .filter(p -> p.kind() != PartIn.Kind.CARRIER || p.infused() == null)
        .forEach(p -> problems.attempt("parts", () -> p.ingredient(catalogue, 20)));
    String cannot = cannotBe(state.plan().making(), melt);
    problems.require(cannot.isEmpty(), "parts", cannot);
    String stopped = stopped(state.parts());
    problems.require(stopped.isEmpty() || !state.reasons().isEmpty(), "parts", stopped);
    String passed = passed(drops(state.drops()), melt.volumeMl(), state.plan().where());
    problems.require(passed.isEmpty() || !state.reasons().isEmpty(), "drops", passed);
    filled(state, melt, problems);
    problems.refuseIfAny();
  }

  /** Why a melt cannot be of a kind; empty where it can. */
  public static String cannotBe(ProductKind kind, Melt melt) {
    boolean soft = melt.parts().stream().noneMatch(p -> p.meltsC() > PADS_SOLID_AT_C);
    return kind == ProductKind.COMPRESS_PADS && soft
        ? "Pads are soaked in an oil that is solid when cold: coconut, or a butter in it."
        : "";
  }

  private void filled(ProductState state, Melt melt, Problems problems) {
    if (state.filling().pouredAt() == null) {
      return;
    }
    boolean whipped = state.whip().whipping() != null;
    double stirredInMl =
        state.filling().groups().stream()
            .flatMap(g -> g.extras().stream())
            .map(p -> p.ingredient(catalogue, state.plan().usedAtC()))
            .mapToDouble(i -> i.massG() / i.density())
            .sum();
    double there = melt.volumeMl() * (whipped ? 3 : FILLING_TOLERANCE) + stirredInMl;
    problems.require(
        state.pouredMl() <= there,
        "fill",
        () ->
            "That is "
                + Math.round(state.pouredMl())
                + " ml, and "
                + Math.round(melt.volumeMl())
                + " ml are in the pan.");
    for (int i = 0; i < state.filling().groups().size(); i++) {
      TinGroup group = state.filling().groups().get(i);
      String over =
          passed(drops(state.dropsOf(group, melt)), group.ml() * group.count(), group.where());
      problems.require(
          over.isEmpty() || !group.reason().isBlank() || asTheMelt(group, state),
          "fill[" + i + "].drops",
          over);
    }
  }

  /** Whether a reason written for the whole melt holds for tins of it: same skin, nothing added. */
  private static boolean asTheMelt(TinGroup group, ProductState state) {
    return group.where() == state.plan().where()
        && group.drops().isEmpty()
        && !state.reasons().isEmpty();
  }

  /**
   * What is wrong with oils in it so that only a reason of one's own goes on; empty for nothing.
   */
  public static String stopped(List<PartIn> parts) {
    return parts.stream()
        .filter(part -> part.hazards().stream().anyMatch(Hazard::stops))
        .map(
            part ->
                Objects.requireNonNull(part.infused()).code()
                    + " "
                    + part.hazards().stream()
                        .filter(Hazard::stops)
                        .sorted()
                        .map(ProductRules::wrong)
                        .collect(Collectors.joining(" and ")))
        .distinct()
        .reduce((one, other) -> one + "; " + other)
        .map(all -> all + ". Say why it is used all the same.")
        .orElse("");
  }

  /** Why a melt wants a reason of one's own, in words; empty where it wants none. */
  public String wantsReason(List<PartIn> parts, List<DropsIn> drops, double ml, Drops.Where where) {
    return Stream.of(stopped(parts), passed(drops(drops), ml, where))
        .filter(words -> !words.isEmpty())
        .collect(Collectors.joining(" "));
  }

  private static String wrong(Hazard hazard) {
    return switch (hazard) {
      case WATER -> "has water in it that was not driven off";
      case MOULD -> "had mould in its jar";
      case MUSTY -> "smelled musty";
      case SOUR -> "smelled sour";
      case RANCID -> "smelled rancid";
      case FIZZ -> "fizzed";
      case UNCOVERED -> "had herb above its oil";
      case EATEN_FRESH -> "is of fresh herb for eating and good for days only";
    };
  }

  /** Drops with what the catalogue knows of them. */
  public List<Drops.Count> drops(List<DropsIn> drops) {
    List<Drops.Count> counts = new ArrayList<>();
    drops.forEach(d -> counts.add(new Drops.Count(catalogue.essentialOil(d.oil()), d.count())));
    return counts;
  }

  /** What ceilings are passed, in words; empty where none is. */
  public static String passed(List<Drops.Count> counts, double volumeMl, Drops.Where where) {
    if (counts.isEmpty()) {
      return "";
    }
    Drops drops = Drops.of(counts, volumeMl, Drops.USUAL_DROP_ML, where);
    if (drops.ok()) {
      return "";
    }
    List<String> words = new ArrayList<>();
    if (drops.percent() > drops.ceilingPercent()) {
      words.add(over("Essential oils together", drops.percent(), drops.ceilingPercent()));
    }
    drops.each().stream()
        .filter(e -> !e.ok())
        .filter(
            e ->
                e.ceilingPercent() < drops.ceilingPercent()
                    || drops.percent() <= drops.ceilingPercent())
        .forEach(e -> words.add(over(e.oil().name(), e.percent(), e.ceilingPercent())));
    if (drops.sunShare() > 1) {
      words.add("Those that make skin sensitive to the sun pass their shared ceiling");
    }
    return String.join("; ", words) + ". At most " + drops.mostDrops() + " drops pass.";
  }

  private static String over(String what, double percent, double ceiling) {
    return what
        + " "
        + Figures.plain(Math.round(percent * 100) / 100.0)
        + " %, at most "
        + Figures.plain(ceiling)
        + " % here";
  }

  /** The hardness that is aimed at, shifted for where it is used; empty where none is. */
  public static OptionalDouble target(Intent plan) {
    return plan.aim() <= 0
        ? OptionalDouble.empty()
        : OptionalDouble.of(
            Math.max(1, new Formula.Target(plan.aim(), plan.usedAtC()).shifted())
                + (plan.stirred() ? Formula.STIRRED_SOFTER : 0));
  }

  /**
   * Until when it is good.
   *
   * @param made the day it was made
   * @throws velvetcrock.core.Refused at {@code oilBestBefore} if a part is past its date
   */
  public static BalmKeeping keeping(ProductState state, LocalDate made) {
    return keeping(state.parts(), state.plan().place(), made);
  }

  /**
   * Until when the tins of a group are good: what is wet in them alone costs only their keeping.
   *
   * @throws velvetcrock.core.Refused as {@link #keeping(ProductState, LocalDate)}
   */
  public static BalmKeeping keeping(ProductState state, TinGroup group, LocalDate made) {
    return keeping(state.partsOf(group), state.plan().place(), made);
  }

  /** The earliest date of any tins that are still there; that of the whole where there are none. */
  public static LocalDate firstOver(ProductState state, LocalDate made) {
    return state.filling().groups().stream()
        .filter(
            g ->
                state.filling().tins().stream()
                    .anyMatch(t -> t.group().equals(g.letter()) && t.there()))
        .map(g -> keeping(state, g, made).bestBefore())
        .min(Comparator.naturalOrder())
        .orElseGet(() -> keeping(state, made).bestBefore());
  }

  /**
   * The same of parts that are still to be weighed in.
   *
   * @throws velvetcrock.core.Refused as {@link #keeping(ProductState, LocalDate)}
   */
  public static BalmKeeping keeping(List<PartIn> parts, Store.Place place, LocalDate made) {
    LocalDate until =
        parts.stream()
            .map(PartIn::goodUntil)
            .filter(Objects::nonNull)
            .min(Comparator.naturalOrder())
            .orElse(made.plusYears(1));
    return BalmKeeping.of(made, until, PartIn.wetness(parts), place);
  }

  /**
   * How a product is worked.
   *
   * @param parts what goes into the pan
   * @param melt the same as it counts
   * @param essential whether essential oils go in
   * @param largestMl the largest tin, ml
   */
  public static Working working(
      Intent plan, List<PartIn> parts, Melt melt, boolean essential, double largestMl) {
    Working.With with =
        new Working.With(
            parts.stream().anyMatch(p -> p.key().equals(Extra.VITAMIN_E.key())),
            essential,
            parts.stream().anyMatch(p -> p.kind() == PartIn.Kind.POWDER),
            parts.stream().anyMatch(PartIn::wet));
    return Working.of(plan.making(), melt, plan.in(), with, plan.stirred(), largestMl);
  }

  /**
   * What to add now for the last spoon test.
   *
   * @param melt what is in the pan
   * @param stillG what of it is still there, g
   * @param harder what the test wants, ΔH
   * @param wax what hardens it
   */
  public static Formula mend(Melt melt, double stillG, double harder, Ingredient wax) {
    return Formula.harder(melt.scaledTo(stillG).parts(), harder, wax);
  }

  /**
   * How much harder than usual a household likes one kind of what it makes with a wax: of every
   * product of that kind, the hardness that its last test found right, less what the kind aims at;
   * drawn towards 0 as {@link Learned} says. What is liked in a balm says nothing of a bar.
   *
   * @param products all that were tested
   * @param wax key of the wax
   * @param kind the kind
   */
  public Learned taste(List<ProductState> products, String wax, Firmness kind) {
    return Learned.of(
        0,
        TASTES_APART,
        products.stream()
            .filter(p -> !p.tests().isEmpty())
            .filter(p -> p.tests().get(p.tests().size() - 1).wax().equals(wax))
            .filter(p -> p.plan().making().stiff().equals(Optional.of(kind)))
            .mapToDouble(this::likedAboveUsual)
            .toArray());
  }

  private double likedAboveUsual(ProductState product) {
    ProductState.Test last = product.tests().get(product.tests().size() - 1);
    double usual =
        new Formula.Target(
                product.plan().making().stiff().orElseThrow().hardness().middle(),
                product.plan().usedAtC())
            .shifted();
    return last.hardness() + last.harder() - usual;
  }

  /** The wax a product hardens with where it has none of its own. */
  public Ingredient usualWax() {
    return Ingredient.of(catalogue.wax("beeswax"), 1);
  }
}
