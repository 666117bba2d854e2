package velvetcrock.papers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.JarFacts;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Part;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.papers.LabelText.Run;
import velvetcrock.papers.LabelText.Style;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;

/** Writes what a bottle's label says. It makes no medical claim. */
@Component
class LabelWriter {
  static final String ALWAYS = "Home preparation for own use. Patch test first. Weakens latex.";

  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;

  LabelWriter(Households households, Catalogues catalogues, Cautions cautions) {
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  /**
   * What else may stand on a label.
   *
   * @param inci whether the names for a cosmetic label
   * @param words the household's own
   * @param cautions whether the cautions, which may be shown beside it instead
   */
  record Extras(boolean inci, String words, boolean cautions) {
    /** Nothing but the cautions. */
    static final Extras NONE = new Extras(false, "", true);
  }

  /** The label of a bottle. */
  LabelText of(BottleRecord bottle, Extras extras) {
    Formats fmt = households.formats(households.current());
    BatchState state = bottle.batch().state();
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    Purpose purpose = state.charge().purpose();
    LabelText.Writing writing = new LabelText.Writing();
    writing
        .add(new Run(bottle.code() + "  " + reckoning.herbNames(), Style.NAME))
        .add(Style.ITALIC, botanical(reckoning))
        .add(
            Style.PLAIN,
            "Herb %s, infused in %s oil%s. %s."
                .formatted(
                    herbState(state),
                    reckoning.carriers().names(),
                    bottle.bottle().store().antioxidant().after(" "),
                    fmt.contents(bottle.bottle().filled().ml())))
        .add(
            new Run("Strained ", Style.PLAIN),
            new Run(date(fmt.date(Objects.requireNonNull(state.strainedAt())), fmt), Style.BOLD),
            new Run(", best before ", Style.PLAIN),
            new Run(date(bottle.bestBefore(), fmt), Style.BOLD))
        .add(Style.BOLD, use(purpose));
    String allergens = allergens(reckoning.carriers());
    if (!allergens.isEmpty()) {
      writing.add(
          new Run("Contains: ", Style.PLAIN),
          new Run(allergens, Style.BOLD),
          new Run(".", Style.PLAIN));
    }
    if (extras.cautions()) {
      mattering(state, reckoning)
          .forEach(caution -> writing.add(Style.PLAIN, fmt.own(caution.text())));
    }
    if (extras.inci()) {
      writing.add(Style.PLAIN, "INCI: " + inci(reckoning, bottle.bottle()) + ".");
    }
    return writing.add(Style.PLAIN, extras.words()).add(Style.PLAIN, ALWAYS).label(bottle.code());
  }

  /** A date that is not broken over two lines. */
  static String date(LocalDate date, Formats fmt) {
    return fmt.fullDate(date).replace(' ', '\u00A0');
  }

  /** The cautions that whoever holds the bottle should know. */
  private List<Caution> mattering(BatchState state, BatchReckoning reckoning) {
    return cautions.of(JarFacts.label(state, reckoning)).stream()
        .filter(c -> c.level() != Caution.Level.NOTE)
        .toList();
  }

  /** What it is for and what not. */
  private static String use(Purpose purpose) {
    return purpose.use() == Use.KITCHEN
        ? "For eating. Keep in the fridge."
        : (purpose == Purpose.SKIN ? "For the skin" : "For: " + EnumWords.of(purpose))
            + ". Not for eating.";
  }

  /** Botanical names, the heaviest herb first. */
  static String botanical(BatchReckoning reckoning) {
    return reckoning.botanicalNames();
  }

  /** How the herb went in: {@code dried, cut}. */
  static String herbState(BatchState state) {
    String words =
        state.charge().herbs().stream()
            .map(h -> h.state().name() + ", " + h.cut().name())
            .distinct()
            .collect(Collectors.joining("; "))
            .toLowerCase(Locale.ROOT);
    return state.charge().manner().blended() ? words + ", blended" : words;
  }

  private static String allergens(CarrierBlend carriers) {
    return carriers.shares().stream()
        .map(s -> s.carrier().allergen())
        .filter(a -> !a.isEmpty())
        .distinct()
        .collect(Collectors.joining(", "));
  }

  /**
   * Names for a cosmetic label, the heaviest first: oils, then what was drawn from herbs, then what
   * was stirred in.
   */
  private static String inci(BatchReckoning reckoning, BottleState bottle) {
    List<String> names = new ArrayList<>();
    reckoning.carriers().shares().stream()
        .sorted((a, b) -> Double.compare(b.share(), a.share()))
        .forEach(share -> names.add(share.carrier().inci()));
    for (HerbPortion in : reckoning.portionsByWeight()) {
      names.add(capitals(in.herb().botanical()) + " " + part(in.part()) + " Extract");
    }
    switch (bottle.store().antioxidant()) {
      case VITAMIN_E -> names.add("Tocopherol");
      case ROSEMARY -> names.add("Rosmarinus Officinalis Leaf Extract");
      case NONE -> {
        // nothing was stirred in
      }
    }
    return names.stream().distinct().collect(Collectors.joining(", "));
  }

  static String capitals(String botanical) {
    return Arrays.stream(botanical.replace("×", "").trim().split("\\s+"))
        .map(w -> w.substring(0, 1).toUpperCase(Locale.ROOT) + w.substring(1))
        .collect(Collectors.joining(" "));
  }

  private static String part(Part part) {
    return switch (part) {
      case FLOWER, HEAD -> "Flower";
      case LEAF -> "Leaf";
      case ROOT -> "Root";
      case BARK -> "Bark";
      case SEED -> "Seed";
      case FRUIT -> "Fruit";
      case RESIN -> "Bud";
    };
  }
}
