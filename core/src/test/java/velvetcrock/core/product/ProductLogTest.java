package velvetcrock.core.product;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.Learned;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.keeping.BalmKeeping;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.log.Entry;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Drops.Where;
import velvetcrock.core.making.Extra;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.Formula;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Whipping;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;

/** What happens to a product, folded; and the rules that it holds. */
class ProductLogTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final ProductRules RULES = new ProductRules(CATALOGUE);
  private static final Instant NOON = Instant.parse("2026-11-25T12:00:00Z");
  private static final LocalDate MADE = LocalDate.of(2026, 11, 25);

  private final List<Entry<ProductEvent>> log = new ArrayList<>();

  @BeforeEach
  void clear() {
    log.clear();
  }

  private UUID say(ProductEvent event) {
    return say(event, null);
  }

  private UUID say(ProductEvent event, @Nullable UUID replaces) {
    UUID id = UUID.randomUUID();
    log.add(new Entry<>(id, log.size() + 1, NOON.plusSeconds(log.size()), event, replaces));
    return id;
  }

  private ProductState state() {
    return ProductLog.fold(log);
  }

  private static Intent plan(ProductKind making, Where where, double aim) {
    return new Intent(
        making, "", where, 20, aim, Working.Vessel.BATH, false, Store.Place.COOL, "", "");
  }

  private static PartIn part(PartIn.Kind kind, String key, double grams) {
    return new PartIn(kind, key, null, null, grams, grams + " g", null);
  }

  private static PartIn infused(double grams, @Nullable LocalDate until) {
    return new PartIn(
        PartIn.Kind.CARRIER,
        "K7M-A",
        new PartIn.Infused("K7M", "A", List.of(new PartIn.OilShare("olive", 1)), List.of("yarrow")),
        null,
        grams,
        "",
        until);
  }

  private void begin(ProductKind making, Where where, List<PartIn> parts, List<DropsIn> drops) {
    say(new ProductBegun(plan(making, where, 16), parts, drops, ""));
  }

  private void salve() {
    begin(
        ProductKind.SALVE,
        Where.BODY,
        List.of(infused(91.3, null), part(PartIn.Kind.WAX, "beeswax", 17.4)),
        List.of());
  }

  private static TinGroup group(
      String letter, double ml, int count, Where where, DropsIn... drops) {
    return new TinGroup(letter, "tins", ml, count, where, List.of(drops), "");
  }

  @Test
  void moreOfTheSameIsOnePart() {
    salve();
    say(new StirredIn(List.of(part(PartIn.Kind.WAX, "beeswax", 2)), List.of(), ""));
    say(new StirredIn(List.of(part(PartIn.Kind.EXTRA, "vitamin-e", 1)), List.of(), ""));

    assertThat(state().parts()).hasSize(3);
    assertThat(state().parts().get(1).massG()).isCloseTo(19.4, within(1e-9));
    assertThat(state().status()).isEqualTo(ProductState.Status.IN_THE_PAN);
    assertThat(state().melt(CATALOGUE).massG()).isCloseTo(111.7, within(1e-9));
  }

  @Test
  void pouringMakesTinsAndTheirFatesAreFollowed() {
    salve();
    say(
        new Poured(
            List.of(group("A", 30, 2, Where.BODY), group("B", 15, 3, Where.BODY)), false, 450L));
    say(new TinWent("A1", TinFate.GIVEN, "the ferry crew", "with thanks"));
    say(new SkinReacted("A1", "itching"));
    say(new TinWent("B3", TinFate.USED_UP, "", ""));

    ProductState state = state();
    assertThat(state.filling().tins())
        .extracting("name")
        .containsExactly("A1", "A2", "B1", "B2", "B3");
    assertThat(state.tin("A1").orElseThrow().reactions()).containsExactly("itching");
    assertThat(state.tin("A1").orElseThrow().to()).isEqualTo("the ferry crew");
    assertThat(state.filling().tins().stream().filter(ProductState.Tin::there)).hasSize(3);
    assertThat(state.status()).isEqualTo(ProductState.Status.POURED);
    assertThat(state.filling().boughtMinor()).isEqualTo(450);
    assertThatThrownBy(
            () -> {
              say(new TinWent("B3", TinFate.GIVEN, "x", ""));
              state();
            })
        .isInstanceOf(Refused.class)
        .hasMessageContaining("gone already");
  }

  @Test
  void whenAllTinsAreGoneThePotIs() {
    salve();
    say(new Poured(List.of(group("A", 100, 1, Where.BODY)), false, null));
    say(new TinWent("A1", TinFate.SPOILED, "", "rancid"));

    assertThat(state().status()).isEqualTo(ProductState.Status.GONE);
  }

  @Test
  void whatCannotHaveHappenedIsRefused() {
    assertThatThrownBy(() -> ProductLog.fold(List.of())).isInstanceOf(Refused.class);
    salve();
    say(new Poured(List.of(group("A", 30, 2, Where.BODY)), false, null));
    List<ProductEvent> impossible =
        List.of(
            new Poured(List.of(group("B", 30, 1, Where.BODY)), false, null),
            new StirredIn(List.of(), List.of(new DropsIn("lavender", 3)), ""),
            new SpoonTested(1, 16, null),
            new TinWent("Z9", TinFate.KEPT, "", ""),
            new SkinReacted("Z9", "red"),
            new Abandoned(true, ""));
    for (ProductEvent event : impossible) {
      List<Entry<ProductEvent>> all = new ArrayList<>(log);
      all.add(new Entry<>(UUID.randomUUID(), 9, NOON.plusSeconds(99), event, null));
      assertThatThrownBy(() -> ProductLog.fold(all)).as("%s", event).isInstanceOf(Refused.class);
    }
  }

  @Test
  void nothingHappensToAPotThatCameToNothingButARemark() {
    salve();
    say(new Abandoned(true, "called away"));
    say(new ProductRemarked("try again"));

    assertThat(state().status()).isEqualTo(ProductState.Status.ABANDONED);
    assertThat(state().givenBack()).isTrue();
    assertThat(state().remarks()).containsExactly("called away", "try again");
    say(new MeltRead(60));
    assertThatThrownBy(this::state).isInstanceOf(Refused.class);
  }

  @Test
  void anEntryTakenBackCountsForNothing() {
    salve();
    UUID added = say(new StirredIn(List.of(part(PartIn.Kind.WAX, "beeswax", 9)), List.of(), ""));
    say(new ProductStruck(), added);

    assertThat(state().parts().get(1).massG()).isEqualTo(17.4);
  }

  @Test
  void aWhippedButterIsFollowedAndItsOverrunMeasured() {
    begin(
        ProductKind.WHIPPED_BUTTER,
        Where.BODY,
        List.of(part(PartIn.Kind.CARRIER, "shea", 91.5)),
        List.of());
    say(new WhippingSeen(Whipping.Look.EDGE_SET));
    say(new WhippingSeen(Whipping.Look.STANDS));
    assertThat(state().whip().whipping().stage()).isEqualTo(Whipping.Stage.STANDS);
    say(new Poured(List.of(group("A", 48.5, 3, Where.BODY)), false, null));

    assertThat(state().overrun(CATALOGUE))
        .hasValueSatisfying(o -> assertThat(o).isCloseTo(0.5, within(0.001)));
    RULES.check(state());
  }

  @Test
  void onlyAWhippedButterIsWhipped() {
    salve();
    say(new WhippingSeen(Whipping.Look.STANDS));

    assertThatThrownBy(this::state).isInstanceOf(Refused.class).hasMessageContaining("whipped");
  }

  @Test
  void aCeilingIsPassedOnlyWithAWrittenReason() {
    List<PartIn> parts = List.of(infused(91.3, null));
    List<DropsIn> forty = List.of(new DropsIn("lavender", 60));
    begin(ProductKind.MASSAGE_OIL, Where.BODY, parts, forty);
    assertThatThrownBy(() -> RULES.check(state()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("drops")
        .hasMessageContaining("At most 40 drops");
    log.clear();
    say(
        new ProductBegun(
            plan(ProductKind.MASSAGE_OIL, Where.BODY, 0),
            parts,
            forty,
            "for one knee, for a week"));
    RULES.check(state());
    assertThat(state().reasons()).containsExactly("for one knee, for a week");
  }

  @Test
  void aReasonForTheBodyIsNoneForTheSmallAndNoneForMoreDrops() {
    say(
        new ProductBegun(
            plan(ProductKind.SALVE, Where.BODY, 16),
            List.of(infused(91.3, null), part(PartIn.Kind.WAX, "beeswax", 17.4)),
            List.of(new DropsIn("lavender", 60)),
            "for one knee, for a week"));
    ProductEvent more = new StirredIn(List.of(), List.of(new DropsIn("lavender", 9)), "");
    UUID added = say(more);
    assertThatThrownBy(() -> RULES.check(state(), more))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("drops");
    ProductEvent said = new StirredIn(List.of(), List.of(new DropsIn("lavender", 9)), "asked");
    say(new ProductStruck(), added);
    say(said);
    RULES.check(state(), said);

    say(
        new Poured(
            List.of(group("A", 30, 2, Where.BODY), group("B", 15, 3, Where.CHILD_6_12)),
            false,
            null));
    assertThatThrownBy(() -> RULES.check(state()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("fill[1].drops")
        .message()
        .doesNotContain("fill[0].drops");
  }

  @Test
  void tinsForTheSmallBearLess() {
    begin(
        ProductKind.SALVE,
        Where.BODY,
        List.of(infused(91.3, null), part(PartIn.Kind.WAX, "beeswax", 17.4)),
        List.of(new DropsIn("lavender", 22)));
    RULES.check(state());
    say(
        new Poured(
            List.of(group("A", 30, 2, Where.BODY), group("B", 15, 3, Where.CHILD_2_6)),
            false,
            null));

    assertThatThrownBy(() -> RULES.check(state()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("fill[1].drops")
        .hasMessageContaining("0.5 %");
  }

  @Test
  void scentInSingleTinsReachesOnlyThese() {
    salve();
    say(
        new Poured(
            List.of(
                group("A", 30, 2, Where.BODY, new DropsIn("lavender", 20)),
                group("B", 15, 3, Where.UNDER_2)),
            false,
            null));
    RULES.check(state());

    ProductState state = state();
    assertThat(state.dropsOf(state.group("A").orElseThrow(), state.melt(CATALOGUE))).hasSize(1);
    assertThat(state.dropsOf(state.group("B").orElseThrow(), state.melt(CATALOGUE))).isEmpty();
  }

  @Test
  void dropsOfTheMeltAreSharedOutByVolume() {
    begin(
        ProductKind.SALVE,
        Where.BODY,
        List.of(infused(91.3, null), part(PartIn.Kind.WAX, "beeswax", 17.4)),
        List.of(new DropsIn("lavender", 20)));
    say(
        new Poured(
            List.of(
                group("A", 30, 2, Where.BODY, new DropsIn("lavender", 4)),
                group("B", 15, 4, Where.BODY)),
            false,
            null));
    ProductState state = state();

    assertThat(state.dropsOf(state.group("A").orElseThrow(), state.melt(CATALOGUE)).get(0).count())
        .isCloseTo(14, within(1e-9));
    assertThat(state.dropsOf(state.group("B").orElseThrow(), state.melt(CATALOGUE)).get(0).count())
        .isCloseTo(10, within(1e-9));
  }

  /** What stays in the pan keeps its drops: a good product is not refused for pouring less. */
  @Test
  void dropsDoNotCrowdIntoTheTinsWhereLessIsPouredThanWasMelted() {
    begin(
        ProductKind.SALVE,
        Where.BODY,
        List.of(infused(91.3, null), part(PartIn.Kind.WAX, "beeswax", 17.4)),
        List.of(new DropsIn("lavender", 40)));
    say(new Poured(List.of(group("A", 30, 2, Where.BODY)), false, null));
    ProductState state = state();
    RULES.check(state);

    double melted = state.melt(CATALOGUE).volumeMl();
    assertThat(state.dropsOf(state.group("A").orElseThrow(), state.melt(CATALOGUE)).get(0).count())
        .isCloseTo(40 * 60 / melted, within(1e-9));
  }

  @Test
  void whatIsLikedInASalveSaysNothingOfABar() {
    salve();
    say(new SpoonTested(3.5, 14, null));

    assertThat(RULES.taste(List.of(state()), "beeswax", Firmness.SALVE).count()).isEqualTo(1);
    assertThat(RULES.taste(List.of(state()), "beeswax", Firmness.LOTION_BAR).count()).isZero();
  }

  @Test
  void noMoreIsFilledThanThereIs() {
    salve();
    say(new Poured(List.of(group("A", 30, 9, Where.BODY)), false, null));

    assertThatThrownBy(() -> RULES.check(state()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("270 ml");
  }

  @Test
  void padsWantAnOilThatIsSolidWhenCold() {
    begin(ProductKind.COMPRESS_PADS, Where.BODY, List.of(infused(90, null)), List.of());
    assertThatThrownBy(() -> RULES.check(state())).hasMessageContaining("solid when cold");
    log.clear();
    begin(
        ProductKind.COMPRESS_PADS,
        Where.BODY,
        List.of(part(PartIn.Kind.CARRIER, "coconut", 90)),
        List.of());
    RULES.check(state());
  }

  @ParameterizedTest
  @EnumSource(Extra.class)
  void wetThingsCostTheKeeping(Extra extra) {
    LocalDate until = MADE.plusMonths(20);
    begin(
        ProductKind.SALVE,
        Where.BODY,
        List.of(infused(90, until), part(PartIn.Kind.EXTRA, extra.key(), 2)),
        List.of());
    BalmKeeping keeping = ProductRules.keeping(state(), MADE);

    LocalDate dry = MADE.plusMonths(extra == Extra.HONEY ? 3 : 12);
    assertThat(keeping.bestBefore()).isEqualTo(extra.wet() && extra != Extra.HONEY ? MADE : dry);
  }

  @Test
  void whatIsWetInSomeTinsCostsOnlyTheseTheirKeeping() {
    begin(
        ProductKind.SALVE,
        Where.BODY,
        List.of(infused(91.3, MADE.plusMonths(5)), part(PartIn.Kind.WAX, "beeswax", 17.4)),
        List.of());
    TinGroup plain = group("A", 30, 2, Where.BODY);
    TinGroup honey =
        new TinGroup(
            "B",
            "tins",
            15,
            3,
            Where.BODY,
            List.of(),
            List.of(part(PartIn.Kind.EXTRA, "honey", 6)),
            "");
    say(new Poured(List.of(plain, honey), false, null));
    RULES.check(state());

    assertThat(ProductRules.keeping(state(), plain, MADE).bestBefore())
        .isEqualTo(MADE.plusMonths(5));
    assertThat(ProductRules.keeping(state(), honey, MADE).bestBefore()).isEqualTo(MADE);
    assertThat(state().wet(plain)).isFalse();
    assertThat(state().partsOf(honey)).extracting("key").contains("honey", "beeswax");
    assertThat(state().partsOf(plain)).extracting("key").doesNotContain("honey");
    assertThat(ProductRules.firstOver(state(), MADE)).isEqualTo(MADE);
    for (String tin : List.of("B1", "B2", "B3")) {
      say(new TinWent(tin, TinFate.USED_UP, "", ""));
    }
    assertThat(ProductRules.firstOver(state(), MADE)).isEqualTo(MADE.plusMonths(5));
  }

  @Test
  void waxDoesNotGoIntoSingleTins() {
    assertThatThrownBy(
            () ->
                new TinGroup(
                    "A",
                    "tins",
                    30,
                    1,
                    Where.BODY,
                    List.of(),
                    List.of(part(PartIn.Kind.WAX, "beeswax", 2)),
                    ""))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("stirred in last");
  }

  @Test
  void aPotIsGoodAsLongAsTheFirstOfItsParts() {
    begin(
        ProductKind.SALVE,
        Where.BODY,
        List.of(infused(90, MADE.plusMonths(5)), part(PartIn.Kind.WAX, "beeswax", 9)),
        List.of());
    assertThat(ProductRules.keeping(state(), MADE).bestBefore()).isEqualTo(MADE.plusMonths(5));
    log.clear();
    begin(ProductKind.SALVE, Where.BODY, List.of(infused(90, MADE.minusDays(1))), List.of());
    assertThatThrownBy(() -> ProductRules.keeping(state(), MADE)).isInstanceOf(Refused.class);
  }

  @Test
  void tasteIsLearnedForAWax() {
    salve();
    say(new SpoonTested(1.5, 17.5, null));
    Learned taste = RULES.taste(List.of(state(), state(), state()), "beeswax", Firmness.SALVE);

    assertThat(taste.mean()).isCloseTo(1.5, within(1e-9));
    assertThat(taste.count()).isEqualTo(3);
    assertThat(RULES.taste(List.of(state()), "candelilla", Firmness.SALVE).count()).isZero();
  }

  @Test
  void whatATestAsksForIsReckonedForWhatIsStillInThePan() {
    salve();
    Ingredient wax = Ingredient.of(CATALOGUE.wax("beeswax"), 1);
    Formula mended = ProductRules.mend(state().melt(CATALOGUE), 50, 1.5, wax);
    double grams = mended.addition().orElseThrow().massG();
    double was = state().melt(CATALOGUE).hardness();

    assertThat((50 * was + 100 * grams) / (50 + grams)).isCloseTo(was + 1.5, within(1e-9));
    assertThat(
            ProductRules.mend(state().melt(CATALOGUE), 50, -1.5, wax)
                .addition()
                .orElseThrow()
                .kind())
        .isEqualTo(Ingredient.Kind.OIL);
  }

  @Test
  void whatIsStillInThePanIsAllButASpoonfulUnlessItIsSaid() {
    ProductState.Test unsaid = new ProductState.Test(1.5, 16, null, "beeswax");
    assertThat(unsaid.stillOf(100)).isEqualTo(97);
    assertThat(unsaid.stillOf(4)).isEqualTo(2);
    assertThat(new ProductState.Test(1.5, 16, 60.0, "beeswax").stillOf(100)).isEqualTo(60);
    assertThatThrownBy(() -> new SpoonTested(1, 16, -3.0)).isInstanceOf(Refused.class);
  }

  @Test
  void aWarmPocketAndStirringAskForMore() {
    Intent pocket =
        new Intent(
            ProductKind.SALVE,
            "",
            Where.BODY,
            28,
            16,
            Working.Vessel.BATH,
            true,
            Store.Place.COOL,
            "",
            "");

    assertThat(ProductRules.target(pocket).orElseThrow()).isCloseTo(16 + 2.4 + 1.5, within(1e-9));
    assertThat(ProductRules.target(plan(ProductKind.SALVE, Where.BODY, 0))).isEmpty();
  }

  @Test
  void entriesHoldWhatTheyMust() {
    assertThatThrownBy(() -> part(PartIn.Kind.WAX, "", 1)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> part(PartIn.Kind.WAX, "beeswax", 0)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new DropsIn("lavender", 0)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new StirredIn(List.of(), List.of(), "")).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new MeltRead(900)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new ProductRemarked(" ")).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new SpoonTested(99, 16, null)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> group("A", 30, 0, Where.BODY)).isInstanceOf(Refused.class);
    assertThatThrownBy(
            () ->
                ProductLog.fold(
                    List.of(
                        new Entry<>(
                            UUID.randomUUID(),
                            1,
                            NOON,
                            new ProductBegun(
                                plan(ProductKind.SALVE, Where.BODY, 16), List.of(), List.of(), ""),
                            null))))
        .isInstanceOf(Refused.class);
  }

  /** What is said to pass does, and one drop more of all of it does not. */
  @RepeatedTest(60)
  void theMostDropsThatAreNamedAreTheMost() {
    Random random = new Random();
    List<String> oils = CATALOGUE.essentialOils().stream().map(e -> e.key()).toList();
    Where where = Where.values()[random.nextInt(Where.values().length)];
    double volume = 20 + 500 * random.nextDouble();
    List<DropsIn> drops = new ArrayList<>();
    for (int i = 0; i < 1 + random.nextInt(3); i++) {
      drops.add(new DropsIn(oils.get(random.nextInt(oils.size())), 1 + random.nextInt(400)));
    }
    double count = drops.stream().mapToDouble(DropsIn::count).sum();
    Drops reckoned = Drops.of(RULES.drops(drops), volume, Drops.USUAL_DROP_ML, where);
    int most = reckoned.mostDrops();

    assertThat(ProductRules.passed(RULES.drops(drops), volume, where).isEmpty())
        .isEqualTo(most >= count);
    if (most >= 1) {
      assertThat(ProductRules.passed(scaled(drops, most / count), volume, where)).isEmpty();
    }
    assertThat(ProductRules.passed(scaled(drops, (most + 1.01) / count), volume, where))
        .contains("At most " + most + " drops pass");
  }

  private static List<Drops.Count> scaled(List<DropsIn> drops, double factor) {
    return RULES.drops(drops.stream().map(d -> new DropsIn(d.oil(), d.count() * factor)).toList());
  }

  @Test
  void whatIsKnownOfAnOilLaterMovesItsDateAndBringsItsHazards() {
    say(begunOf(infused(80, MADE.plusDays(300)), part(PartIn.Kind.WAX, "beeswax", 12)));
    assertThat(ProductRules.firstOver(state(), MADE)).isEqualTo(MADE.plusDays(300));

    say(new OilReckonedAnew("K7M-A", MADE.plusDays(40), Set.of(), "its figures"));
    assertThat(ProductRules.firstOver(state(), MADE)).isEqualTo(MADE.plusDays(40));
    assertThat(state().reasons()).isEmpty();
    say(new OilReckonedAnew("K7M-B", MADE.plusDays(3), Set.of(Hazard.MOULD), "another bottle"));
    assertThat(ProductRules.firstOver(state(), MADE)).isEqualTo(MADE.plusDays(40));

    say(new OilReckonedAnew("K7M-A", MADE.plusDays(14), Set.of(Hazard.WATER), "it was cloudy"));
    assertThat(state().wet()).isTrue();
    assertThat(ProductRules.stopped(state().parts())).contains("K7M-A has water in it");
    assertThat(state().reasons()).singleElement().asString().contains("known only afterwards");
    // what nobody knew does not stop its log
    RULES.check(state());
  }

  @Test
  void whatBecameKnownSaysOfWhichOilAndStays() {
    assertThatThrownBy(() -> new OilReckonedAnew(" ", MADE, Set.of(), "x"))
        .isInstanceOf(Refused.class);
    assertThat(new OilReckonedAnew("K7M-A", MADE, Set.of(), "x").staysBecause()).isPresent();
  }

  private static ProductBegun begunOf(PartIn... parts) {
    return new ProductBegun(plan(ProductKind.SALVE, Where.BODY, 0), List.of(parts), List.of(), "");
  }
}
