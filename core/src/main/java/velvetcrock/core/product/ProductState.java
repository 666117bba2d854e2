package velvetcrock.core.product;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.keeping.Wetness;
import velvetcrock.core.making.Melt;
import velvetcrock.core.making.Whipping;
import velvetcrock.core.materia.Catalogue;

/**
 * A product as its log says it stands.
 *
 * @param parts all that went into the pan, more of the same together
 * @param drops essential oils in the whole melt
 * @param reasons why ceilings are passed, as they were written
 * @param tests the spoon tests
 * @param read the last temperature that was read; null where none was
 * @param whip where a whipped butter stands
 * @param filling what it was filled into
 * @param remarks what was written about it
 */
public record ProductState(
    Intent plan,
    Instant begunAt,
    List<PartIn> parts,
    List<DropsIn> drops,
    List<String> reasons,
    List<Test> tests,
    @Nullable Reading read,
    Whip whip,
    Filling filling,
    @Nullable Instant abandonedAt,
    boolean givenBack,
    List<String> remarks) {

  /**
   * Where a whipped butter stands.
   *
   * @param whipping where a whipped butter stands; null for anything else
   * @param whippedAt since when it stands there
   */
  public record Whip(@Nullable Whipping whipping, @Nullable Instant whippedAt) {}

  /**
   * What it was filled into.
   *
   * @param groups what was poured; empty until it is
   * @param tins one by one
   * @param kept whether what was left waits in the pan to be poured
   */
  public record Filling(
      @Nullable Instant pouredAt,
      boolean stirred,
      List<TinGroup> groups,
      @Nullable Long boughtMinor,
      List<Tin> tins,
      boolean kept) {}

  private static final double SPOON_G = 3;

  /** Where a product stands. */
  public enum Status {
    /** Not poured yet. */
    IN_THE_PAN,
    /** Poured, and there are tins left. */
    POURED,
    /** Its tins are all gone, or it went into something else. */
    GONE,
    /** It came to nothing. */
    ABANDONED;

    /** Whether some of it is still there. */
    public boolean stands() {
      return this == IN_THE_PAN || this == POURED;
    }
  }

  /**
   * A spoon test.
   *
   * @param hardness of the melt as it was tested
   * @param stillG what was still in the pan, g; null where it was not said
   * @param wax key of its main wax; empty for none
   */
  public record Test(double harder, double hardness, @Nullable Double stillG, String wax) {
    /** What is still in the pan of so much, g: all but a spoonful where nothing was said. */
    public double stillOf(double allG) {
      return stillG == null ? Math.max(allG - SPOON_G, allG / 2) : Math.min(stillG, allG);
    }
  }

  /** A temperature that was read. */
  public record Reading(Instant at, double celsius) {}

  /**
   * A tin.
   *
   * @param name its letter and number
   * @param fate what became of it; null while nothing is noted
   * @param reactions what skins did that it was used on
   */
  public record Tin(
      String name,
      String group,
      @Nullable TinFate fate,
      @Nullable Instant since,
      String to,
      String remark,
      List<String> reactions) {
    /** Whether it is still there. */
    public boolean there() {
      return fate == null || fate == TinFate.KEPT;
    }
  }

  /** Where it stands. */
  public Status status() {
    if (abandonedAt != null) {
      return Status.ABANDONED;
    }
    if (!plan.making().filled()) {
      return Status.GONE;
    }
    if (filling.pouredAt() == null) {
      return Status.IN_THE_PAN;
    }
    return filling.tins().stream().anyMatch(Tin::there) ? Status.POURED : Status.GONE;
  }

  /** All that went into the pan as it counts. */
  public Melt melt(Catalogue catalogue) {
    return new Melt(parts.stream().map(p -> p.ingredient(catalogue, plan.usedAtC())).toList());
  }

  /** Whether anything wet went in. */
  public boolean wet() {
    return PartIn.wetness(parts) == Wetness.WET;
  }

  /** What was poured, ml. */
  public double pouredMl() {
    return filling.groups().stream().mapToDouble(TinGroup::volumeMl).sum();
  }

  /**
   * By how much whipping made it grow, as a share: what was filled against what was melted, less
   * what stays in the bowl.
   *
   * @return empty for what was not whipped or not poured
   */
  public Optional<Double> overrun(Catalogue catalogue) {
    if (whip.whipping() == null || filling.pouredAt() == null || filling.kept()) {
      return Optional.empty();
    }
    return Optional.of(pouredMl() / melt(catalogue).fillsMl(0) - 1);
  }

  /** All that is in the tins of a group: what went into the pan, and into these alone. */
  public List<PartIn> partsOf(TinGroup group) {
    List<PartIn> all = new ArrayList<>(parts);
    all.addAll(group.extras());
    return List.copyOf(all);
  }

  /** Whether anything wet is in the tins of a group. */
  public boolean wet(TinGroup group) {
    return PartIn.wetness(partsOf(group)) == Wetness.WET;
  }

  /** A group by its letter. */
  public Optional<TinGroup> group(String letter) {
    return filling.groups().stream().filter(g -> g.letter().equals(letter)).findFirst();
  }

  /** A tin by its name. */
  public Optional<Tin> tin(String name) {
    return filling.tins().stream().filter(t -> t.name().equals(name)).findFirst();
  }

  /**
   * Drops that reached a group: its share by volume of those in the whole melt, and its own. What
   * was not poured took its drops with it; only what air was whipped into fills more than it was.
   *
   * @param melt what they were stirred into
   */
  public List<DropsIn> dropsOf(TinGroup group, Melt melt) {
    double all = whip.whipping() == null ? Math.max(melt.volumeMl(), pouredMl()) : pouredMl();
    double share = all <= 0 ? 0 : group.volumeMl() / all;
    return dropsOf(group, share);
  }

  private List<DropsIn> dropsOf(TinGroup group, double share) {
    List<DropsIn> all = new ArrayList<>();
    for (DropsIn one : drops) {
      add(all, new DropsIn(one.oil(), one.count() * share));
    }
    group.drops().forEach(one -> add(all, one));
    return all;
  }

  private static void add(List<DropsIn> all, DropsIn more) {
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).oil().equals(more.oil())) {
        all.set(i, new DropsIn(more.oil(), all.get(i).count() + more.count()));
        return;
      }
    }
    all.add(more);
  }
}
