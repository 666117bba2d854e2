package velvetcrock.products;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.Learned;
import velvetcrock.core.Range;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.log.Entry;
import velvetcrock.core.making.Drops.Where;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.HardnessText;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.Melt;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Whipping;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.product.Abandoned;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.MeltRead;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.Poured;
import velvetcrock.core.product.ProductBegun;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductLog;
import velvetcrock.core.product.ProductRemarked;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.ProductStruck;
import velvetcrock.core.product.SkinReacted;
import velvetcrock.core.product.SpoonTested;
import velvetcrock.core.product.StirredIn;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinGroup;
import velvetcrock.core.product.TinWent;
import velvetcrock.core.product.WhippingSeen;
import velvetcrock.ledger.Told;
import velvetcrock.web.Formats;
import velvetcrock.web.Forms;

/** How products are drawn and said. */
class ProductWordsTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Formats FMT =
      new Formats(Kitchen.METRIC, ZoneOffset.UTC, LocalDate.of(2026, 11, 25));
  private static final ProductWords WORDS = new ProductWords(CATALOGUE, FMT);
  private static final HardnessText SAID =
      new HardnessText(
          CATALOGUE.wax("beeswax"),
          CATALOGUE.carrier("olive"),
          velvetcrock.core.measure.Units.metric(Kitchen.METRIC));
  private static final Learned NOTHING = Learned.of(0, 2.7);

  private static PartIn part(PartIn.Kind kind, String key, double grams) {
    return new PartIn(kind, key, null, null, grams, "", null);
  }

  private static PartIn infused(double grams, @Nullable String letter, String... herbs) {
    PartIn.Infused of =
        new PartIn.Infused(
            "K7M", letter, List.of(new PartIn.OilShare("rapeseed", 1)), List.of(herbs));
    return new PartIn(PartIn.Kind.CARRIER, of.code(), of, null, grams, "", null);
  }

  private static Melt melt(List<PartIn> parts) {
    return new Melt(parts.stream().map(p -> p.ingredient(CATALOGUE, 20)).toList());
  }

  private static Intent plan(ProductKind making, String name) {
    return new Intent(
        making, name, Where.BODY, 20, 16, Working.Vessel.BATH, false, Store.Place.COOL, "", "");
  }

  private static ProductState product(ProductKind making, String name, PartIn... parts) {
    return ProductLog.fold(
        List.of(
            new Entry<>(
                UUID.randomUUID(),
                1,
                Instant.EPOCH,
                new ProductBegun(plan(making, name), List.of(parts), List.of(), ""),
                null)));
  }

  @Test
  void aPotIsCalledByItsNameOrByItsHerbs() {
    assertThat(WORDS.name(product(ProductKind.SALVE, "Ferry salve", infused(9, "A", "yarrow"))))
        .isEqualTo("Ferry salve");
    assertThat(
            WORDS.name(
                product(ProductKind.SALVE, "", infused(9, "A", "yarrow", "calendula", "rose"))))
        .isEqualTo("Yarrow and Calendula salve");
    assertThat(WORDS.name(product(ProductKind.BATH_OIL, "", part(PartIn.Kind.CARRIER, "olive", 9))))
        .isEqualTo("Bath oil");
  }

  @Test
  void partsAreNamed() {
    assertThat(ProductParts.name(infused(9, "A", "yarrow"), CATALOGUE))
        .isEqualTo("Yarrow oil, K7M-A");
    assertThat(ProductParts.name(infused(9, null, "yarrow"), CATALOGUE))
        .isEqualTo("Yarrow oil, K7M");
    assertThat(ProductParts.name(part(PartIn.Kind.WAX, "beeswax", 9), CATALOGUE))
        .isEqualTo("Beeswax");
    assertThat(ProductParts.name(part(PartIn.Kind.POWDER, "clay", 9), CATALOGUE)).isEqualTo("Clay");
    assertThat(ProductParts.name(part(PartIn.Kind.EXTRA, "vitamin-e", 9), CATALOGUE))
        .isEqualTo("Vitamin E");
    assertThat(ProductParts.name(part(PartIn.Kind.EXTRA, "honey", 9), CATALOGUE))
        .isEqualTo("Honey");
    assertThat(ProductParts.inLot(part(PartIn.Kind.CARRIER, "olive", 91.3), CATALOGUE))
        .isCloseTo(100, within(1e-9));
    assertThat(ProductParts.inLot(part(PartIn.Kind.WAX, "beeswax", 20), CATALOGUE)).isEqualTo(20);
  }

  @ParameterizedTest
  @CsvSource({
    "3.5,far too soft",
    "1.5,a bit soft",
    "0,right",
    "0.4,right",
    "-1,a bit hard",
    "-4,far too hard"
  })
  void aTestIsSaidInItsWord(double harder, String said) {
    assertThat(ProductWords.feel(harder)).isEqualTo(said);
  }

  @Test
  void everyEntryHasItsTitle() {
    List<ProductEvent> events =
        List.of(
            new ProductBegun(
                plan(ProductKind.SALVE, ""),
                List.of(infused(60, "A", "yarrow"), part(PartIn.Kind.WAX, "beeswax", 9)),
                List.of(new DropsIn("lavender", 1)),
                "asked"),
            new StirredIn(List.of(), List.of(new DropsIn("lavender", 12)), ""),
            new SpoonTested(1.5, 16, null),
            new MeltRead(61),
            new WhippingSeen(Whipping.Look.EDGE_SET),
            new Poured(
                List.of(
                    new TinGroup(
                        "A",
                        "tins",
                        30,
                        2,
                        Where.FACE,
                        List.of(new DropsIn("lavender", 3)),
                        "asked")),
                false,
                null),
            new Abandoned(true, "called away"),
            new Abandoned(false, ""),
            new TinWent("A1", TinFate.GIVEN, "the ferry crew", "with thanks"),
            new SkinReacted("A1", "red"),
            new ProductRemarked("stir longer"),
            new ProductStruck());
    assertThat(events.stream().map(WORDS::of).map(Told::title))
        .containsExactly(
            "Weighed in: salve",
            "Added",
            "Spoon test: a bit soft",
            "It reads 61 °C",
            "It looks: set at the edge",
            "Poured: 2 vessels",
            "Abandoned, all given back",
            "Abandoned, lost",
            "Tin A1: given away, to the ferry crew",
            "A skin reacted to tin A1",
            "Remark",
            "Taken back");
    assertThat(events.stream().map(WORDS::of).map(Told::detail))
        .containsExactly(
            "60 g Yarrow oil, K7M-A, 9 g Beeswax; 1 drop lavender; asked",
            "12 drops lavender",
            "",
            "",
            "",
            "2 × 30 ml for the face, 3 drops lavender, asked",
            "called away",
            "",
            "with thanks",
            "red",
            "“stir longer”",
            "");
  }

  @Test
  void whatMeltsHottestLiesAtTheBottomOfThePan() {
    List<PartIn> parts =
        List.of(
            part(PartIn.Kind.WAX, "beeswax", 20),
            infused(60, "A", "yarrow"),
            part(PartIn.Kind.CARRIER, "shea", 20));
    PanDrawing pan = PanDrawing.of(parts, melt(parts), CATALOGUE, FMT);

    assertThat(pan.layers())
        .extracting("name")
        .containsExactly("Yarrow oil, K7M-A", "Shea butter", "Beeswax");
    assertThat(pan.layers().get(0).amount()).isEqualTo("60 g, 60 %");
    double volume = melt(parts).volumeMl();
    assertThat(pan.layers().get(2).height()).isCloseTo(168 * (20 / 0.96) / volume, within(0.1));
    assertThat(pan.words()).contains("Shea butter 20 g, 20 %");
  }

  @Test
  void namesOfThinLayersDoNotRunIntoEachOther() {
    List<PartIn> parts =
        List.of(
            infused(90, "A", "yarrow"),
            part(PartIn.Kind.EXTRA, "vitamin-e", 0.5),
            part(PartIn.Kind.POWDER, "clay", 0.5),
            part(PartIn.Kind.WAX, "carnauba", 1),
            part(PartIn.Kind.WAX, "beeswax", 1));
    PanDrawing pan = PanDrawing.of(parts, melt(parts), CATALOGUE, FMT);

    for (int i = 1; i < pan.layers().size(); i++) {
      assertThat(pan.layers().get(i).labelY() - pan.layers().get(i - 1).labelY())
          .isGreaterThanOrEqualTo(39.9);
    }
    assertThat(pan.layers().get(4).labelY()).isLessThan(pan.height());
  }

  @Test
  void theScaleShowsWhereAMixFalls() {
    HardnessScale scale = HardnessScale.of(16, waxed(16), 17.0, Firmness.SALVE, SAID, NOTHING, FMT);

    assertThat(scale.at()).isEqualTo("32.0%");
    assertThat(scale.liked()).isEqualTo("34.0%");
    assertThat(scale.ratio()).isEqualTo("1:5.3");
    assertThat(scale.words()).isEqualTo("Hardness 16 of 50, aimed at 17");
    assertThat(scale.bands())
        .filteredOn(HardnessScale.Band::current)
        .allMatch(b -> b.nameY() == 57);
    assertThat(HardnessScale.of(16, waxed(16), null, null, SAID, NOTHING, FMT).bands())
        .extracting(HardnessScale.Band::nameY)
        .as("of no kind")
        .containsExactly(57, 74, 91, 57, 74, 91);
    assertThat(scale.bands().stream().filter(HardnessScale.Band::current))
        .extracting("name")
        .containsExactly("salve");
    assertThat(scale.taste()).isEmpty();
  }

  /** Plain oil with so much beeswax that it is so hard. */
  private static Melt waxed(double hardness) {
    Ingredient oil = Ingredient.of(CATALOGUE.carrier("olive"), 100 - hardness, 20);
    return new Melt(
        hardness == 0
            ? List.of(oil)
            : List.of(oil, Ingredient.of(CATALOGUE.wax("beeswax"), hardness)));
  }

  @Test
  void withoutWaxThereIsNoRatioAndOffTheScaleStaysOnIt() {
    HardnessScale butter =
        HardnessScale.of(11, waxed(0), null, Firmness.WHIPPED_BUTTER, SAID, NOTHING, FMT);
    assertThat(butter.ratio()).isEmpty();
    assertThat(butter.liked()).isNull();
    assertThat(butter.bands())
        .extracting(HardnessScale.Band::name, HardnessScale.Band::nameY)
        .as("its own kind lies across others, and has the first row for itself")
        .containsExactly(
            tuple("ointment", 74),
            tuple("soft salve", 91),
            tuple("salve", 108),
            tuple("firm balm", 74),
            tuple("stick", 91),
            tuple("lotion bar", 108),
            tuple("whipped butter", 57));
    assertThat(butter.height()).isEqualTo(114);
    assertThat(HardnessScale.of(99, waxed(60), null, Firmness.STICK, SAID, NOTHING, FMT).at())
        .isEqualTo("100.0%");
  }

  @Test
  void tasteIsSaid() {
    assertThat(taste(1.5, 1.5, 1.5))
        .isEqualTo("You like it 0.8 harder than usual, by 3 spoon tests.");
    assertThat(taste(-1.5, -1.5, -1.5)).contains("softer");
    assertThat(taste(0)).isEqualTo("Your one spoon test found it right as usual.");
  }

  private static String taste(double... own) {
    return HardnessScale.of(16, waxed(16), null, Firmness.SALVE, SAID, Learned.of(0, 2.7, own), FMT)
        .taste();
  }

  @ParameterizedTest
  @CsvSource({
    "2,5,2–5 min",
    "0.2,0.4,1 min",
    "16,40,16–40 min",
    "60,300,1–5 h",
    "150,400,2.5–6.5 h"
  })
  void timesAreSaidWithoutFalseDigits(double low, double high, String said) {
    assertThat(StepWords.minutes(new Range(low, high))).isEqualTo(said);
  }

  @ParameterizedTest
  @EnumSource(ProductKind.class)
  void everyStepOfEveryKindIsSaid(ProductKind making) {
    List<PartIn> parts =
        List.of(part(PartIn.Kind.CARRIER, "coconut", 60), part(PartIn.Kind.WAX, "beeswax", 15));
    Working working =
        Working.of(
            making,
            melt(parts),
            Working.Vessel.APART,
            new Working.With(true, true, true, true),
            true,
            30);
    List<StepWords.WordedStep> said = new StepWords(CATALOGUE, FMT).of(working, parts, melt(parts));

    assertThat(said).hasSameSizeAs(working.steps());
    assertThat(said)
        .allSatisfy(s -> assertThat(s.what()).isNotBlank())
        .allSatisfy(s -> assertThat(s.detail()).endsWith("."))
        .flatExtracting(StepWords.WordedStep::clocks)
        .allSatisfy(c -> assertThat(c.seconds()).isNotNegative());
    assertThat(ProductWords.making(making)).isNotBlank();
    assertThat(NewProductView.vessel(making, 1)).isNotEqualTo(NewProductView.vessel(making, 2));
    assertThat(ProductWords.shape(making)).isNotBlank();
  }

  @Test
  void aTemperatureSaysWhatCanBeDone() {
    List<PartIn> parts =
        List.of(part(PartIn.Kind.CARRIER, "olive", 80), part(PartIn.Kind.WAX, "beeswax", 16));
    Working working =
        Working.of(
            ProductKind.SALVE,
            melt(parts),
            Working.Vessel.BATH,
            new Working.With(true, true, false, false),
            false,
            30);

    assertThat(StepWords.at(57, working, FMT))
        .contains("stir in vitamin e")
        .contains("stir in the essential oils")
        .contains("pour");
    assertThat(StepWords.at(63, working, FMT)).doesNotContain("essential");
    assertThat(StepWords.at(30, working, FMT)).contains("warm it again to pour");
    assertThat(StepWords.at(120, working, FMT)).contains("let it cool");
  }

  @ParameterizedTest
  @EnumSource(Where.class)
  void everySkinHasItsWords(Where where) {
    assertThat(ProductWords.where(where)).isNotBlank();
    assertThat(ProductWords.wheres()).containsEntry(where.name(), ProductWords.where(where));
  }

  @ParameterizedTest
  @EnumSource(TinFate.class)
  void everyFateHasItsWords(TinFate fate) {
    ProductState.Tin tin =
        new ProductState.Tin(
            "A1", "A", fate, Instant.parse("2026-11-20T10:00:00Z"), "Una", "well", List.of());
    TinView.One one = TinView.one(tin, FMT);

    assertThat(one.fate())
        .startsWith(ProductWords.fate(fate))
        .contains("to Una")
        .endsWith(": well");
    assertThat(one.look()).isEqualTo(fate == TinFate.KEPT ? "full" : "away");
  }

  @Test
  void aRecipeSaysWhatChanged() {
    RecipeBody before =
        RecipeBody.of(
                plan(ProductKind.SALVE, "x"),
                List.of(infused(80, "A", "yarrow"), part(PartIn.Kind.WAX, "beeswax", 20)),
                List.of())
            .named("Salve", "");
    RecipeBody after =
        RecipeBody.of(
                plan(ProductKind.FIRM_BALM, "x"),
                List.of(
                    infused(70, "B", "yarrow"),
                    part(PartIn.Kind.WAX, "candelilla", 20),
                    part(PartIn.Kind.CARRIER, "shea", 10)),
                List.of(new DropsIn("lavender", 5)))
            .named("Salve", "");

    assertThat(before.percents()).containsExactly(80.0, 20.0);
    assertThat(after.changedFrom(before, CATALOGUE, FMT))
        .containsExactly(
            "salve became firm balm",
            "Yarrow in cold-pressed rapeseed 80 → 70 %",
            "Candelilla wax new, 20 %",
            "Shea butter new, 10 %",
            "Beeswax left out",
            "essential oils otherwise");
    assertThat(before.changedFrom(before, CATALOGUE, FMT)).isEmpty();
  }

  @Test
  void theSentenceKeepsWhatWasTyped() {
    NewProductForm empty = Forms.blank(NewProductForm.class);
    List<NewProductForm.Row> usual = List.of(new NewProductForm.Row("carrier:olive", "100 ml"));
    NewProductForm form = empty.completed(usual, FMT);

    assertThat(form.making()).isEqualTo("SALVE");
    assertThat(form.parts()).isEqualTo(usual);
    assertThat(form.sent().key()).isNotBlank();
    assertThat(set(form, "parts+").parts()).hasSize(2);
    assertThat(set(set(form, "parts+"), "parts-0").parts()).hasSize(1);
    assertThat(set(form, "parts-0").parts()).hasSize(1);
    assertThat(set(form, "drops+").drops()).hasSize(1);
    assertThat(set(set(form, "drops+"), "drops-0").drops()).isEmpty();
    assertThat(set(form, "parts-x").parts()).hasSize(1);
    assertThat(form.anew()).isFalse();
    assertThat(form.keeping().place()).isEqualTo("COOL");
    assertThat(form.firstOil()).isEmpty();
  }

  private static NewProductForm set(NewProductForm form, String change) {
    return new NewProductForm(
            form.making(),
            form.name(),
            new NewProductForm.Keeping(
                form.keeping().where(), form.keeping().place(), form.keeping().forWhat()),
            new NewProductForm.Firmness(form.firmness().used(), form.firmness().hardness()),
            new NewProductForm.Melting(form.melting().in(), form.melting().stirred()),
            form.parts(),
            form.drops(),
            new NewProductForm.Tins(form.tins().count(), form.tins().size()),
            new NewProductForm.Cloth(form.wrap().cloth(), form.wrap().pad(), form.wrap().layers()),
            form.reason(),
            form.recipe(),
            new NewProductForm.Sent(form.sent().key(), form.sent().was(), change))
        .completed(List.of(), FMT);
  }
}
