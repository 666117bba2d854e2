package velvetcrock.core.yield;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Balance.Weighed;
import velvetcrock.core.yield.Retention.Own;

class BalanceTest {
  @Test
  void aBatchByTheBookCloses() {
    Balance balance =
        Balance.of(
            List.of(new Weighed("olive", 274), new Weighed("yarrow", 60)),
            List.of(new Weighed("oil", 190), new Weighed("marc", 138), new Weighed("film", 4)),
            0);

    assertThat(balance.unaccountedG()).isCloseTo(2, within(1e-9));
    assertThat(balance.closes()).isTrue();
    assertThat(balance.causes()).isEmpty();
  }

  @Test
  void anUnweighedMarcIsTheLikeliestCause() {
    Balance balance =
        Balance.of(
            List.of(new Weighed("olive", 274), new Weighed("yarrow", 60)),
            List.of(new Weighed("oil", 190)),
            0);

    assertThat(balance.closes()).isFalse();
    assertThat(balance.causes().get(0)).contains("spent herb (marc) was not weighed");
  }

  @Test
  void moreOutThanInPointsAtAVesselOrWater() {
    Balance balance =
        Balance.of(List.of(new Weighed("olive", 100)), List.of(new Weighed("oil", 130)), 0);

    assertThat(balance.unaccountedG()).isCloseTo(-30, within(1e-9));
    assertThat(balance.causes()).hasSize(3).first().asString().contains("vessel");
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void itClosesByConstruction(@Given int[] seeds) {
    List<Weighed> in = new ArrayList<>(List.of(new Weighed("oil", 100)));
    for (int seed : seeds) {
      in.add(new Weighed("herb", Math.floorMod(seed, 5000) / 10.0));
    }
    double driven = 20;
    Balance open = Balance.of(in, List.of(new Weighed("marc", 50)), driven);
    Balance shut =
        Balance.of(
            in,
            List.of(
                new Weighed("marc", 50), new Weighed("the rest", Math.max(0, open.unaccountedG()))),
            driven);

    assertThat(shut.unaccountedG()).isCloseTo(0, within(1e-9));
    assertThat(shut.closes()).isTrue();
    assertThat(open.inG()).isCloseTo(open.outG() + driven + open.unaccountedG(), within(1e-9));
  }

  @Test
  void whatStaysBehindOrLeavesIsNoMoreThanWentIn() {
    List<Weighed> in = List.of(new Weighed("olive", 100), new Weighed("yarrow", 20));
    assertThatThrownBy(
            () -> Balance.of(in, List.of(new Weighed("oil", 60), new Weighed("marc", 126)), 0))
        .hasMessageContaining("out[1].massG");
    assertThatThrownBy(
            () -> Balance.of(in, List.of(new Weighed("marc", 90), new Weighed("film", 40)), 0))
        .hasMessageContaining("out[1].massG");
    assertThatThrownBy(() -> Balance.of(in, List.of(new Weighed("oil", 60)), 130))
        .hasMessageContaining("drivenOffG");
    assertThat(Balance.of(in, List.of(new Weighed("marc", 119)), 0).outG()).isEqualTo(119);
  }

  @Test
  void aNegativeWeightIsNamedByItsPlace() {
    assertThatThrownBy(
            () -> Balance.of(List.of(new Weighed("oil", 1)), List.of(new Weighed("marc", -1)), 0))
        .hasMessageContaining("out[0].massG");
  }

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final List<HerbPortion> YARROW =
      List.of(
          HerbPortion.usual(CATALOGUE.herb("yarrow"), Part.FLOWER, Cut.CUT, HerbState.DRIED, 60));

  @Test
  void withoutExperienceTheTypicalValueStands() {
    Retention retention = Retention.of(Part.FLOWER, Expression.SQUEEZE, List.of());

    assertThat(retention.mlPerG()).isEqualTo(1.5);
    assertThat(retention.range().high() - 1.5)
        .isCloseTo(1.28 * 0.375 * Math.sqrt(4 / 3.0), within(1e-9));
  }

  @Test
  void theFirstBatchOfOnesOwnMovesItAQuarterOfTheWay() {
    Retention retention =
        Retention.of(
            Part.FLOWER,
            Expression.SQUEEZE,
            List.of(
                new Own(Part.FLOWER, Expression.SQUEEZE, 1.1),
                new Own(Part.FLOWER, Expression.PRESS, 0.2),
                new Own(Part.ROOT, Expression.SQUEEZE, 9)));

    assertThat(retention.batches()).isEqualTo(1);
    assertThat(retention.mlPerG()).isCloseTo(1.4, within(1e-9));
  }

  @Test
  void manyLikeBatchesMakeTheRangeNarrow() {
    List<Own> alike =
        java.util.Collections.nCopies(40, new Own(Part.FLOWER, Expression.SQUEEZE, 1.2));
    Retention retention = Retention.of(Part.FLOWER, Expression.SQUEEZE, alike);

    assertThat(retention.mlPerG()).isCloseTo(1.2, within(0.03));
    assertThat(retention.range().high() - retention.range().low()).isLessThan(0.4);
  }

  @Test
  void whatAStrainingTeachesPredictsTheNext() {
    List<Own> learned = Strainer.learn(600, 540, YARROW, Expression.SQUEEZE);

    assertThat(learned).hasSize(1);
    assertThat(learned.get(0).mlPerG().mean()).isCloseTo((600 - 540 - 9) / 54.0, within(1e-9));
    assertThat(Strainer.predict(600, YARROW, Expression.SQUEEZE, learned).yieldMl())
        .isGreaterThan(Strainer.predict(600, YARROW, Expression.SQUEEZE).yieldMl());
    assertThatThrownBy(() -> Strainer.learn(600, 700, YARROW, Expression.SQUEEZE))
        .hasMessageContaining("cameOutMl");
  }
}
