package velvetcrock.products;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Learned;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Formula;
import velvetcrock.core.making.HardnessText;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.Melt;
import velvetcrock.core.making.Whipping;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductRules;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinGroup;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.Formats;

/**
 * A product's page.
 *
 * @param head which product, and how it stands
 * @param stage how far it has come
 * @param melt what is in the pan
 * @param work what there is to do at the pan
 * @param filled what it was filled into
 */
record ProductView(
    Head head,
    Stage stage,
    MeltView melt,
    Work work,
    Tins filled,
    List<Source> sources,
    List<Line> log,
    List<Caution> cautions) {

  /** Which product, and how it stands. */
  record Head(String code, String name, String making, String status) {}

  /**
   * How far it has come.
   *
   * @param pouring whether it can be poured, or what is left of it
   */
  record Stage(boolean inThePan, boolean filled, boolean abandoned, boolean pouring) {}

  /**
   * What is in the pan.
   *
   * @param passed which ceilings of the whole melt are passed; empty for none
   */
  record MeltView(
      PanDrawing pan,
      @Nullable HardnessScale scale,
      Map<String, String> facts,
      String passed,
      List<String> reasons,
      double fillsMl) {}

  /**
   * What there is to do at the pan.
   *
   * @param mend what the last spoon test asks for; empty where it asks nothing
   * @param reading what the last temperature lets one do; empty where none was read
   * @param stove what the stove reads now; null where nothing is on the heat or read
   * @param whip where a whipped butter stands; null for anything else
   */
  record Work(
      String tested,
      String mend,
      String reading,
      @Nullable Stove stove,
      @Nullable Whip whip,
      List<StepWords.WordedStep> steps) {}

  /** What it was filled into. */
  record Tins(List<TinView> tins, String shape) {}

  /**
   * A whipped butter's run.
   *
   * @param seconds until the next look; 0 when it is due or done
   * @param looks what it may look like
   */
  record Whip(String now, String next, long seconds, Map<String, String> looks, boolean done) {}

  /** What the stove reads now. */
  record Stove(String words, double celsius) {}

  /** Where a part comes from. */
  record Source(String name, String amount, @Nullable String link, List<Lot> lots) {}

  /** A lot that a part goes back to. */
  record Lot(String words, String link) {}

  /** A line of the log. */
  record Line(UUID id, String when, String by, String title, String detail, boolean struck) {}

  /** What is known of a product. */
  record Basis(
      ProductRecord product,
      List<Ledger.Line<ProductEvent>> log,
      List<Source> sources,
      ProductCost.Bill bill,
      Learned taste,
      HardnessText said,
      List<Caution> cautions,
      Optional<ProductState.Reading> stove,
      double fillsMl) {}

  static ProductView of(Basis known, Catalogue catalogue, Formats fmt) {
    ProductState state = known.product().state();
    ProductWords words = new ProductWords(catalogue, fmt);
    Melt melt = state.melt(catalogue);
    ProductRules rules = new ProductRules(catalogue);
    double largest = state.filling().groups().stream().mapToDouble(TinGroup::ml).max().orElse(30);
    Working working =
        ProductRules.working(state.plan(), state.parts(), melt, !state.drops().isEmpty(), largest);
    String name = words.name(state);
    return new ProductView(
        new ProductView.Head(
            known.product().code(),
            name,
            ProductWords.making(state.plan().making()),
            status(state, fmt)),
        new ProductView.Stage(
            state.status() == ProductState.Status.IN_THE_PAN,
            state.plan().making().filled(),
            state.abandonedAt() != null,
            state.plan().making().filled()
                && (state.status() == ProductState.Status.IN_THE_PAN || state.filling().kept())),
        new ProductView.MeltView(
            PanDrawing.of(state.parts(), melt, catalogue, fmt),
            scale(known, state, melt, fmt),
            facts(known, state, melt, catalogue, fmt),
            rules.wantsReason(state.parts(), state.drops(), melt.volumeMl(), state.plan().where()),
            state.reasons(),
            known.fillsMl()),
        new ProductView.Work(
            tested(state),
            mend(known, state, melt, rules, catalogue, fmt),
            reading(state, working, fmt),
            known.stove().map(r -> new Stove(fmt.degrees(r.celsius()), r.celsius())).orElse(null),
            whip(state, fmt.now()),
            new StepWords(catalogue, fmt).of(working, state.parts(), melt)),
        new ProductView.Tins(
            tins(known.product(), melt, rules, words, fmt),
            ProductWords.shape(state.plan().making())),
        known.sources(),
        known.log().stream().map(l -> line(l, words, fmt)).toList(),
        known.cautions());
  }

  private static String status(ProductState state, Formats fmt) {
    return switch (state.status()) {
      case IN_THE_PAN -> "In the pan since " + fmt.moment(state.begunAt());
      case POURED ->
          state.filling().tins().stream().filter(ProductState.Tin::there).count()
              + " of "
              + state.filling().tins().size()
              + " still here";
      case GONE -> state.plan().making().filled() ? "All gone" : "Made";
      case ABANDONED ->
          state.givenBack() ? "Abandoned; what was taken went back" : "Abandoned and lost";
    };
  }

  private static @Nullable HardnessScale scale(
      Basis known, ProductState state, Melt melt, Formats fmt) {
    if (state.plan().making().stiff().isEmpty()) {
      return null;
    }
    double hardness = melt.hardness() - (state.filling().stirred() ? Formula.STIRRED_SOFTER : 0);
    var target = ProductRules.target(state.plan());
    return HardnessScale.of(
        hardness,
        melt,
        target.isPresent() ? target.getAsDouble() : null,
        state.plan().making().stiff().get(),
        known.said(),
        known.taste(),
        fmt);
  }

  private static Map<String, String> facts(
      Basis known, ProductState state, Melt melt, Catalogue catalogue, Formats fmt) {
    Map<String, String> facts = new LinkedHashMap<>();
    facts.put("For", ProductWords.where(state.plan().where()));
    facts.put("Weighs", fmt.g(melt.massG()) + ", " + fmt.ml(melt.volumeMl()));
    boolean kept = state.abandonedAt() == null;
    if (state.plan().making().filled() && kept) {
      facts.put("Good until", fmt.fullDate(known.product().bestBefore()));
    }
    if (state.status() == ProductState.Status.IN_THE_PAN) {
      ProductWords.vitaminE(melt, fmt).ifPresent(words -> facts.put("Vitamin E", words));
    }
    if (!state.plan().forWhat().isEmpty()) {
      facts.put(
          "Infused for",
          StepWords.FOR_WHAT.getOrDefault(state.plan().forWhat(), state.plan().forWhat()));
    }
    if (kept) {
      Long bought = state.filling().boughtMinor();
      known
          .bill()
          .words(
              (state.filling().tins().size() > 1 ? "each" : "in all")
                  + (bought == null ? "" : ", bought " + fmt.money(bought)),
              fmt)
          .ifPresent(words -> facts.put("Costs", words));
    }
    state.overrun(catalogue).ifPresent(grown -> facts.put("Grew", "by " + fmt.percent(grown)));
    return facts;
  }

  private static String tested(ProductState state) {
    if (state.tests().isEmpty()) {
      return "";
    }
    ProductState.Test last = state.tests().get(state.tests().size() - 1);
    return "Last spoon test: " + ProductWords.feel(last.harder()) + ".";
  }

  private static String mend(
      Basis known,
      ProductState state,
      Melt melt,
      ProductRules rules,
      Catalogue catalogue,
      Formats fmt) {
    if (state.tests().isEmpty() || state.filling().pouredAt() != null) {
      return "";
    }
    ProductState.Test last = state.tests().get(state.tests().size() - 1);
    double still = last.stillOf(melt.massG());
    boolean changed = Math.abs(melt.hardness() - last.hardness()) > 0.05;
    if (Math.abs(last.harder()) < 0.25) {
      return changed ? "" : "It is right: pour it.";
    }
    if (changed) {
      return "Changed since the last test: melt it through and test again.";
    }
    try {
      Ingredient wax = melt.mainWax().map(w -> w.withMassG(1)).orElseGet(rules::usualWax);
      Formula mended = ProductRules.mend(melt, still, last.harder(), wax);
      return mended
          .addition()
          .map(
              add ->
                  "Add "
                      + fmt.g(add.massG())
                      + " of "
                      + name(add, catalogue)
                      + " to the "
                      + fmt.g(still)
                      + " in the pan, melt it through and test again.")
          .orElse("It is right: pour it.");
    } catch (Refused refused) {
      return refused.problems().get(0).message();
    }
  }

  private static String name(Ingredient add, Catalogue catalogue) {
    return switch (add.kind()) {
      case WAX -> catalogue.wax(add.key()).name().toLowerCase(Locale.ROOT);
      default ->
          catalogue.carriers().stream()
              .filter(c -> c.key().equals(add.key()))
              .map(c -> c.name().toLowerCase(Locale.ROOT))
              .findFirst()
              .orElse("the oil " + add.key());
    };
  }

  private static String reading(ProductState state, Working working, Formats fmt) {
    ProductState.Reading read = state.read();
    return read == null || state.filling().pouredAt() != null
        ? ""
        : "It read "
            + fmt.degrees(read.celsius())
            + " at "
            + fmt.clock(read.at())
            + ". "
            + StepWords.at(read.celsius(), working, fmt);
  }

  private static @Nullable Whip whip(ProductState state, Instant now) {
    Whipping whipping = state.whip().whipping();
    Instant since = state.whip().whippedAt();
    if (whipping == null || since == null || state.filling().pouredAt() != null) {
      return null;
    }
    Range minutes = whipping.minutes();
    long due =
        minutes == null
            ? 0
            : Math.round(minutes.middle() * 60) - Duration.between(since, now).toSeconds();
    Map<String, String> looks = new LinkedHashMap<>();
    for (Whipping.Look look : looks(whipping.stage())) {
      looks.put(look.name(), ProductWords.look(look));
    }
    return new Whip(
        stage(whipping),
        minutes == null
            ? "Spoon it into jars below."
            : "Look after "
                + Math.round(minutes.low())
                + "–"
                + Math.round(minutes.high())
                + " min, then tell how it looks.",
        Math.max(0, due),
        looks,
        whipping.stage() == Whipping.Stage.STANDS);
  }

  private static List<Whipping.Look> looks(Whipping.Stage stage) {
    return switch (stage) {
      case CHILL, CHILL_AGAIN ->
          List.of(Whipping.Look.LIQUID, Whipping.Look.EDGE_SET, Whipping.Look.SET_THROUGH);
      case SOFTEN -> List.of(Whipping.Look.SET_THROUGH, Whipping.Look.EDGE_SET);
      case WHIP, WHIP_AGAIN ->
          List.of(
              Whipping.Look.LIQUID,
              Whipping.Look.PALE,
              Whipping.Look.STANDS,
              Whipping.Look.MELTING);
      case STANDS -> List.of();
    };
  }

  private static String stage(Whipping whipping) {
    String again = whipping.again() ? ", a little longer" : "";
    return switch (whipping.stage()) {
      case CHILL -> "Chill it until the edge sets" + again;
      case SOFTEN -> "Let it soften in the room" + again;
      case WHIP -> "Whip it" + again;
      case CHILL_AGAIN -> "Chill it again" + again;
      case WHIP_AGAIN -> "Whip it until it stands" + again;
      case STANDS -> "It stands";
    };
  }

  /** What a group is filled into, one of it or several. */
  private static String vessels(TinGroup group) {
    String several = group.vessel().isBlank() ? "tins" : group.vessel();
    boolean plural = several.endsWith("s") && !several.endsWith("ss");
    return group.count() == 1 && plural ? several.substring(0, several.length() - 1) : several;
  }

  private static List<TinView> tins(
      ProductRecord product, Melt melt, ProductRules rules, ProductWords words, Formats fmt) {
    ProductState state = product.state();
    List<TinView> views = new ArrayList<>();
    for (TinGroup group : state.filling().groups()) {
      List<Drops.Count> counts = rules.drops(state.dropsOf(group, melt));
      double ml = group.ml() * group.count();
      views.add(
          new TinView(
              group.letter(),
              group.count()
                  + " "
                  + vessels(group)
                  + " of "
                  + fmt.ml(group.ml())
                  + " for "
                  + ProductWords.where(group.where())
                  + ", until "
                  + fmt.shortDate(product.bestBefore(group)),
              words.alone(group),
              counts.isEmpty()
                  ? List.of()
                  : NewProductView.lines(
                      Drops.of(counts, ml, Drops.USUAL_DROP_ML, group.where()), fmt),
              ProductRules.passed(counts, ml, group.where()),
              group.reason(),
              state.filling().tins().stream()
                  .filter(t -> t.group().equals(group.letter()))
                  .map(t -> TinView.one(t, fmt))
                  .toList()));
    }
    return views;
  }

  private static Line line(Ledger.Line<ProductEvent> line, ProductWords words, Formats fmt) {
    ProductEvent event = line.entry().event();
    return new Line(
        line.entry().id(),
        fmt.moment(line.entry().at()),
        line.by(),
        words.of(event).title(),
        words.of(event).detail(),
        line.replaced());
  }
}
