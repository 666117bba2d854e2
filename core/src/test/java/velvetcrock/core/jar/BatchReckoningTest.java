package velvetcrock.core.jar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Leaving;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.MarcWeighed;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.Straining;
import velvetcrock.core.heat.Series;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;

/** What a batch's log comes to. */
class BatchReckoningTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate DAY = LocalDate.of(2026, 6, 1);
  private static final ZoneId ZONE = ZoneOffset.UTC;

  private final List<Entry<BatchEvent>> log = new ArrayList<>();

  private void say(int day, BatchEvent event) {
    Instant at = DAY.plusDays(day).atTime(12, 0).toInstant(ZoneOffset.UTC);
    log.add(new Entry<BatchEvent>(UUID.randomUUID(), log.size() + 1, at, event, null));
  }

  private BatchReckoning reckoning() {
    return new BatchReckoning(CATALOGUE, BatchLog.fold(log));
  }

  private static HerbIn herb(String key, Part part, Cut cut, HerbState state, Range grams) {
    double water = state == HerbState.DRIED ? 0.10 : state == HerbState.WILTED ? 0.5 : 0.8;
    return new HerbIn(key, part, cut, state, grams, water, "");
  }

  private static Charged charged(Range oilMl, HerbIn... herbs) {
    return new Charged(
        Method.COLD,
        List.of(herbs),
        List.of(new OilIn("rapeseed", 1, DAY.plusMonths(11), null, null)),
        new Charged.Oil(oilMl, ""),
        new JarIn("Jar", 900, 90),
        12,
        Use.SKIN,
        new Stand("place", "Dark cupboard", Light.DARK),
        new Charged.Begun(DAY, 0, false),
        true,
        Manner.PLAIN);
  }

  private static HerbIn yarrow(double grams) {
    return herb("yarrow", Part.FLOWER, Cut.CUT, HerbState.DRIED, Range.exactly(grams));
  }

  private static Strained strained(double ml) {
    Straining sure = new Straining(false, false, false, true);
    return new Strained(ml, "", Expression.SQUEEZE, new Range(200, 500), sure);
  }

  @Test
  void herbsAreNamedTheHeaviestFirst() {
    say(
        0,
        charged(
            Range.exactly(500),
            yarrow(10),
            herb("violet-leaf", Part.LEAF, Cut.WHOLE, HerbState.DRIED, Range.exactly(30)),
            herb("rosemary", Part.LEAF, Cut.GROUND, HerbState.DRIED, Range.exactly(20))));

    assertThat(reckoning().herbNames()).isEqualTo("Violet leaf, Rosemary and Yarrow");
    assertThat(reckoning().heaviestCut()).isEqualTo(Cut.WHOLE);
    assertThat(reckoning().heaviestPart()).isEqualTo(Part.LEAF);
  }

  @Test
  void twoHerbsAndOneAreNamedWithoutCommas() {
    say(
        0,
        charged(
            Range.exactly(500),
            yarrow(10),
            herb("rosemary", Part.LEAF, Cut.CUT, HerbState.DRIED, Range.exactly(20))));
    assertThat(reckoning().herbNames()).isEqualTo("Rosemary and Yarrow");

    log.clear();
    say(0, charged(Range.exactly(400), yarrow(30)));
    assertThat(reckoning().herbNames()).isEqualTo("Yarrow");
  }

  @ParameterizedTest
  @EnumSource(HerbState.class)
  void onlyDriedHerbIsSqueezedAsAMatterOfCourse(HerbState state) {
    say(
        0,
        charged(
            Range.exactly(400), herb("yarrow", Part.FLOWER, Cut.CUT, state, Range.exactly(40))));

    assertThat(reckoning().usualExpression())
        .isEqualTo(state == HerbState.DRIED ? Expression.SQUEEZE : Expression.DRIP);
  }

  @Test
  void aStrainingTeachesWhatAGramOfMarcKept() {
    say(0, charged(Range.exactly(400), yarrow(30)));
    assertThat(reckoning().lesson()).as("before it is strained").isEmpty();

    say(35, strained(340));
    List<Retention.Own> lesson = reckoning().lesson();
    assertThat(lesson).hasSize(1);
    assertThat(lesson.get(0).mlPerG().mean()).isBetween(1.4, 2.0);
  }

  @ParameterizedTest
  @CsvSource({"410, 400, 400", "380, 350, 450"})
  void nothingIsLearnedOfMoreThanWentInNorOfAGuess(double out, double leastMl, double mostMl) {
    say(0, charged(new Range(leastMl, mostMl), yarrow(30)));
    say(35, strained(out));

    assertThat(reckoning().lesson()).isEmpty();
  }

  @Test
  void aGuessedChargeMayYieldAllThatItsRangesAllow() {
    say(
        0,
        charged(
            new Range(350, 450),
            herb("yarrow", Part.FLOWER, Cut.CUT, HerbState.DRIED, new Range(20, 40))));
    var guessed = reckoning().yield(Expression.SQUEEZE);
    log.clear();
    say(0, charged(Range.exactly(400), yarrow(30)));
    var exact = reckoning().yield(Expression.SQUEEZE);

    assertThat(guessed.yieldMl()).isCloseTo(exact.yieldMl(), within(1e-9));
    assertThat(guessed.rangeMl().low()).isLessThan(exact.rangeMl().low() - 40);
    assertThat(guessed.rangeMl().high()).isGreaterThan(exact.rangeMl().high() + 40);
  }

  @Test
  void theBalanceClosesByTheBookWhateverStateTheHerbIsIn() {
    say(
        0,
        charged(
            Range.exactly(400),
            herb("yarrow", Part.FLOWER, Cut.CUT, HerbState.WILTED, Range.exactly(60))));
    double density = reckoning().carriers().densityAt(20);
    say(20, strained(300));
    double outG = 300 * density;
    double inG = 60 + 400 * density;
    say(20, new MarcWeighed(inG - outG, ""));

    var balance = reckoning().balance().orElseThrow();
    assertThat(balance.reckoning().lines()).extracting(l -> l.name()).contains("Yarrow, wilted");
    assertThat(balance.inG()).isCloseTo(inG, within(1e-6));
    assertThat(balance.unaccountedG()).isCloseTo(0, within(1e-6));
    assertThat(balance.closes()).isTrue();
  }

  @Test
  void aGapIsNeverHidden() {
    say(0, charged(Range.exactly(400), yarrow(30)));
    assertThat(reckoning().balance()).isEmpty();
    say(35, strained(300));
    say(35, new MarcWeighed(60, ""));

    var balance = reckoning().balance().orElseThrow();
    double density = reckoning().carriers().densityAt(20);
    assertThat(balance.unaccountedG() + balance.estimated().filmG())
        .isCloseTo(30 + 100 * density - 60, within(1e-6));
    assertThat(balance.estimated().marcG()).isZero();
    assertThat(balance.closes()).isFalse();
  }

  @Test
  void oilInNoBottleKeepsAsInAFullDarkOneInACoolCupboard() {
    say(0, charged(Range.exactly(400), yarrow(30)));
    say(35, strained(340));
    var loose = reckoning().keepingUnbottled(ZONE, Series.none());

    say(
        35,
        new Bottled(
            List.of(
                new BottleIn(
                    "A",
                    100,
                    100,
                    Store.Place.COOL,
                    Store.Glass.AMBER,
                    Store.Antioxidant.NONE,
                    true))));
    var bottled =
        reckoning().keeping(BatchLog.fold(log).bottle("A").orElseThrow(), ZONE, Series.none());

    assertThat(loose.early().bestBefore()).isEqualTo(bottled.early().bestBefore());
    assertThat(loose.early().decidedBy()).isEqualTo(bottled.early().decidedBy());
  }

  @Test
  void clearOilIsNoneBeforeStrainingAndLessWhatWasPouredOffAfter() {
    say(0, charged(Range.exactly(400), yarrow(30)));
    assertThat(reckoning().clearMl()).isZero();
    say(35, strained(340));
    assertThat(reckoning().clearMl()).isEqualTo(340);
    say(36, new Decanted(Leaving.SEDIMENT, 9.15, "", null));
    assertThat(reckoning().clearMl()).isBetween(328.0, 332.0);
  }
}
