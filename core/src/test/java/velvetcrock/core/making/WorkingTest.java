package velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.Working.Code;
import velvetcrock.core.making.Working.Vessel;
import velvetcrock.core.making.Working.With;
import velvetcrock.core.materia.Catalogue;

/** How each kind is worked. */
class WorkingTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Melt SALVE =
      new Melt(
          List.of(
              Ingredient.of(CATALOGUE.carrier("olive"), 100, 20),
              Ingredient.of(CATALOGUE.wax("beeswax"), 19)));
  private static final With ALL = new With(true, true, true, true);

  private static List<Code> codes(Working working) {
    return working.steps().stream().map(Working.Step::code).toList();
  }

  private static Working.Step step(Working working, Code code) {
    return working.steps().stream().filter(s -> s.code() == code).findFirst().orElseThrow();
  }

  private static Working of(ProductKind making, Vessel in, With with, boolean stirred) {
    return Working.of(making, SALVE, in, with, stirred, 30);
  }

  @Test
  void aSalveIsMeltedTestedScentedPouredAndSet() {
    Working working = of(ProductKind.SALVE, Vessel.BATH, ALL, true);

    assertThat(codes(working))
        .containsExactly(
            Code.WEIGH,
            Code.MELT_BATH,
            Code.SPOON_TEST,
            Code.OFF_HEAT,
            Code.VITAMIN_E,
            Code.ESSENTIAL,
            Code.POWDERS,
            Code.WET,
            Code.STIR,
            Code.POUR,
            Code.SET,
            Code.LID);
    assertThat(step(working, Code.MELT_BATH).celsius().low()).isGreaterThanOrEqualTo(63);
    assertThat(step(working, Code.MELT_BATH).celsius().high()).isLessThanOrEqualTo(90);
    assertThat(step(working, Code.VITAMIN_E).celsius().high()).isEqualTo(65);
    assertThat(step(working, Code.ESSENTIAL).celsius().high()).isEqualTo(60);
    assertThat(step(working, Code.WET).celsius().high()).isEqualTo(40);
    assertThat(working.setsNearC()).isBetween(48.0, 52.0);
  }

  @Test
  void theWaxMeltedApartMeetsWarmedOil() {
    assertThat(codes(of(ProductKind.FIRM_BALM, Vessel.APART, With.NOTHING, false)))
        .containsSubsequence(Code.WAX_APART, Code.WARM_OIL, Code.JOIN, Code.POUR);
    assertThat(codes(of(ProductKind.FIRM_BALM, Vessel.CROCK, With.NOTHING, false)))
        .contains(Code.MELT_CROCK)
        .doesNotContain(Code.STIR);
  }

  @Test
  void barsAreScentedHotterAndTurnedOut() {
    Working bars = of(ProductKind.LOTION_BAR, Vessel.BATH, ALL, false);

    assertThat(step(bars, Code.ESSENTIAL).celsius().high()).isEqualTo(65);
    assertThat(codes(bars)).endsWith(Code.SET, Code.TURN_OUT);
  }

  @Test
  void largerTinsSetLater() {
    Working small = Working.of(ProductKind.SALVE, SALVE, Vessel.BATH, With.NOTHING, false, 15);
    Working large = Working.of(ProductKind.SALVE, SALVE, Vessel.BATH, With.NOTHING, false, 250);

    assertThat(step(large, Code.SET).minutes().low())
        .isGreaterThan(3 * step(small, Code.SET).minutes().low());
    assertThat(step(small, Code.SET).minutes().high()).isBetween(15.0, 60.0);
  }

  @Test
  void theColderItStandsTheSoonerItSets() {
    Working.Step set = step(of(ProductKind.SALVE, Vessel.BATH, With.NOTHING, false), Code.SET);

    assertThat(set.colder())
        .extracting(Working.Colder::place)
        .containsExactly(Store.Place.FRIDGE, Store.Place.FREEZER);
    double room = set.minutes().middle();
    assertThat(set.colder().get(0).minutes().middle()).isBetween(0.4 * room, 0.55 * room);
    assertThat(set.colder().get(1).minutes().middle()).isBetween(0.2 * room, 0.35 * room);
    Working pads =
        Working.of(ProductKind.COMPRESS_PADS, SALVE, Vessel.BATH, With.NOTHING, false, 30);
    assertThat(step(pads, Code.SET_COLD).colder().get(0).minutes().middle())
        .isLessThan(step(pads, Code.SET_COLD).minutes().middle());
  }

  @Test
  void aSmallMeltSetsFast() {
    Melt little = SALVE.scaledTo(8);

    assertThat(
            Working.of(ProductKind.SALVE, little, Vessel.BATH, With.NOTHING, false, 8)
                .shortWindow())
        .isTrue();
    assertThat(
            Working.of(
                    ProductKind.SALVE, SALVE.scaledTo(2000), Vessel.BATH, With.NOTHING, false, 30)
                .shortWindow())
        .isFalse();
  }

  @Test
  void whatIsNotMeltedHasItsOwnWay() {
    assertThat(codes(of(ProductKind.MASSAGE_OIL, Vessel.BATH, ALL, false)))
        .contains(Code.MIX, Code.ESSENTIAL, Code.BOTTLE)
        .doesNotContain(Code.MELT_BATH);
    assertThat(codes(of(ProductKind.POULTICE, Vessel.BATH, With.NOTHING, false)))
        .containsExactly(Code.SPREAD, Code.APPLY, Code.THROW_OUT);
    assertThat(codes(of(ProductKind.DRAWN, Vessel.BATH, With.NOTHING, false)))
        .containsExactly(Code.WEIGH, Code.HAND_OVER);
  }

  @Test
  void padsAreSetColdAndButterIsWhipped() {
    Melt coconut = new Melt(List.of(Ingredient.of(CATALOGUE.carrier("coconut"), 100, 20)));

    assertThat(
            codes(
                Working.of(
                    ProductKind.COMPRESS_PADS, coconut, Vessel.BATH, With.NOTHING, false, 10)))
        .containsSubsequence(Code.MELT_BATH, Code.SOAK, Code.SET_COLD, Code.FRIDGE);
    Melt butter = new Melt(List.of(Ingredient.of(CATALOGUE.carrier("shea"), 100, 20)));
    Working whipped =
        Working.of(ProductKind.WHIPPED_BUTTER, butter, Vessel.BATH, With.NOTHING, false, 60);
    assertThat(codes(whipped)).containsSubsequence(Code.CHILL, Code.WHIP, Code.JAR);
    assertThat(step(whipped, Code.CHILL).minutes().low()).isPositive();
  }

  @ParameterizedTest
  @EnumSource(ProductKind.class)
  void everyKindHasStepsWhoseTimesCanBe(ProductKind making) {
    Melt melt = making == ProductKind.COMPRESS_PADS ? butterAndOil() : SALVE;
    Working working = Working.of(making, melt, Vessel.BATH, ALL, true, 30);

    assertThat(working.steps()).hasSizeGreaterThan(1);
    assertThat(working.steps())
        .allSatisfy(
            s -> {
              if (s.minutes() != null) {
                assertThat(s.minutes().low()).isNotNegative().isFinite();
              }
              if (s.celsius() != null) {
                assertThat(s.celsius().low()).isLessThanOrEqualTo(s.celsius().high());
              }
            });
    assertThat(making.melted())
        .isEqualTo(making.stiff().isPresent() || making == ProductKind.COMPRESS_PADS);
  }

  private static Melt butterAndOil() {
    return new Melt(
        List.of(
            Ingredient.of(CATALOGUE.carrier("coconut"), 90, 20),
            Ingredient.of(CATALOGUE.carrier("olive"), 10, 20)));
  }
}
