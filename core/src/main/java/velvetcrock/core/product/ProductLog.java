package velvetcrock.core.product;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Whipping;

/** Folds the log of a product into its state; refuses what could not have happened. */
public final class ProductLog {
  private @Nullable Intent plan;
  private Instant begunAt = Instant.EPOCH;
  private final List<PartIn> parts = new ArrayList<>();
  private final List<DropsIn> drops = new ArrayList<>();
  private final List<String> reasons = new ArrayList<>();
  private final List<ProductState.Test> tests = new ArrayList<>();
  private ProductState.@Nullable Reading read;
  private @Nullable Whipping whipping;
  private @Nullable Instant whippedAt;
  private @Nullable Instant pouredAt;
  private boolean stirred;
  private boolean kept;
  private final List<TinGroup> groups = new ArrayList<>();
  private @Nullable Long boughtMinor;
  private final List<ProductState.Tin> tins = new ArrayList<>();
  private @Nullable Instant abandonedAt;
  private boolean givenBack;
  private final List<String> remarks = new ArrayList<>();

  private ProductLog() {}

  /**
   * Folds a log.
   *
   * @param entries in any order, the first with how it was begun
   * @throws Refused at the field of the entry that could not have happened
   */
  public static ProductState fold(List<Entry<ProductEvent>> entries) {
    return fold(new Log<>(entries));
  }

  /** The same. */
  public static ProductState fold(Log<ProductEvent> log) {
    ProductLog fold = new ProductLog();
    log.counting().forEach(e -> e.event().applyTo(fold, e.at()));
    return fold.state();
  }

  /** The pan, while it is not poured. */
  ProductLog pan() {
    there();
    require(pouredAt == null, "kind", "It is poured already.");
    return this;
  }

  private void there() {
    require(abandonedAt == null, "kind", "This came to nothing.");
  }

  void begun(ProductBegun event, Instant at) {
    plan = event.plan();
    begunAt = at;
    event.parts().forEach(this::add);
    drops.addAll(event.drops());
    reason(event.reason());
    if (event.plan().making() == ProductKind.WHIPPED_BUTTER) {
      whipping = Whipping.begun();
      whippedAt = at;
    }
  }

  void remarked(String text) {
    remarks.add(text);
  }

  void reckonedAnew(OilReckonedAnew event) {
    if (parts.stream().noneMatch(part -> part.is(event.oil()))) {
      return;
    }
    parts.replaceAll(part -> part.known(event));
    if (event.hazards().stream().anyMatch(Hazard::stops)) {
      // nobody could give a reason for what nobody knew
      reason("What is wrong with " + event.oil() + " became known only afterwards.");
    }
  }

  void stirredIn(StirredIn event) {
    event.parts().forEach(this::add);
    drops.addAll(event.drops());
    reason(event.reason());
  }

  void tested(SpoonTested event) {
    tests.add(new ProductState.Test(event.harder(), event.hardness(), event.stillG(), mainWax()));
  }

  void read(double celsius, Instant at) {
    read = new ProductState.Reading(at, celsius);
  }

  void whipped(Whipping.Look look, Instant at) {
    require(whipping != null, "look", "Only a whipped butter is whipped.");
    whipping = whipping.after(look);
    whippedAt = at;
  }

  void abandoned(Abandoned event, Instant at) {
    pan();
    abandonedAt = at;
    givenBack = event.givenBack();
    if (!event.why().isBlank()) {
      remarks.add(event.why());
    }
  }

  void reacted(SkinReacted event) {
    there();
    int i = tin(event.tin());
    ProductState.Tin tin = tins.get(i);
    List<String> reactions = new ArrayList<>(tin.reactions());
    reactions.add(event.what());
    tins.set(
        i,
        new ProductState.Tin(
            tin.name(),
            tin.group(),
            tin.fate(),
            tin.since(),
            tin.to(),
            tin.remark(),
            List.copyOf(reactions)));
  }

  private void add(PartIn part) {
    for (int i = 0; i < parts.size(); i++) {
      if (parts.get(i).sameAs(part)) {
        parts.set(i, parts.get(i).withMassG(parts.get(i).massG() + part.massG()));
        return;
      }
    }
    parts.add(part);
  }

  private String mainWax() {
    return parts.stream()
        .filter(p -> p.kind() == PartIn.Kind.WAX)
        .max(Comparator.comparingDouble(PartIn::massG))
        .map(PartIn::key)
        .orElse("");
  }

  private void reason(String text) {
    if (!text.isBlank()) {
      reasons.add(text);
    }
  }

  void poured(Poured event, Instant at) {
    there();
    require(pouredAt == null || kept, "kind", "It is poured already.");
    Intent made = Objects.requireNonNull(plan);
    require(made.making().filled(), "kind", "This is not filled into anything.");
    Set<String> letters = new HashSet<>();
    groups.forEach(group -> letters.add(group.letter()));
    for (TinGroup group : event.groups()) {
      require(letters.add(group.letter()), "fill", "Two groups are called " + group.letter() + ".");
      groups.add(group);
      reason(group.reason());
      for (int n = 1; n <= group.count(); n++) {
        tins.add(
            new ProductState.Tin(
                group.letter() + n, group.letter(), null, null, "", "", List.of()));
      }
    }
    pouredAt = pouredAt == null ? at : pouredAt;
    stirred = stirred || event.stirred();
    boughtMinor = event.boughtMinor() == null ? boughtMinor : event.boughtMinor();
    kept = event.kept();
  }

  void went(TinWent event, Instant at) {
    there();
    int i = tin(event.tin());
    ProductState.Tin tin = tins.get(i);
    require(
        tin.there() || tin.fate() == event.fate() || tin.fate() == TinFate.GIVEN,
        "tin",
        "Tin " + tin.name() + " is gone already.");
    tins.set(
        i,
        new ProductState.Tin(
            tin.name(),
            tin.group(),
            event.fate(),
            at,
            event.to().isEmpty() ? tin.to() : event.to(),
            event.remark().isEmpty() ? tin.remark() : event.remark(),
            tin.reactions()));
  }

  private int tin(String name) {
    for (int i = 0; i < tins.size(); i++) {
      if (tins.get(i).name().equals(name)) {
        return i;
      }
    }
    throw new Refused("tin", "There is no tin " + name + " of this product.");
  }

  private ProductState state() {
    if (plan == null) {
      throw new Refused("replaces", "That it was begun stays in its log.");
    }
    return new ProductState(
        plan,
        begunAt,
        List.copyOf(parts),
        List.copyOf(drops),
        List.copyOf(reasons),
        List.copyOf(tests),
        read,
        new ProductState.Whip(whipping, whippedAt),
        new ProductState.Filling(
            pouredAt, stirred, List.copyOf(groups), boughtMinor, List.copyOf(tins), kept),
        abandonedAt,
        givenBack,
        List.copyOf(remarks));
  }

  private static void require(boolean rule, String field, String message) {
    if (!rule) {
      throw new Refused(field, message);
    }
  }
}
