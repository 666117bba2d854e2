package velvetcrock.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.colour.SpeedFit;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;
import velvetcrock.core.trial.BlindTrial.Jar;

/** What jars that were judged blind show of how fast their herb gives. */
class BlindTrialTest {
  private static final CarrierBlend OLIVE = CarrierBlend.of(Catalogue.shipped().carrier("olive"));
  private static final Speed.HerbInOil COLD = way(Method.COLD);
  private static final Speed.HerbInOil WARM = way(Method.WARM);

  private static Speed.HerbInOil way(Method method) {
    return new Speed.HerbInOil("yarrow", Part.FLOWER, Cut.CUT, "olive", method);
  }

  private static Pull pull(double celsius, double hours) {
    return Pull.of(
        List.of(new Pull.Leg(Trace.steady(celsius, hours), Agitation.DAILY)),
        OLIVE,
        new Pull.Herb(Cut.CUT, Part.FLOWER, false));
  }

  private static final Pull MONTHS = pull(20, 42 * 24);
  private static final Pull HOURS = pull(55, 4);

  private static BlindTrial judged(double cold, double warm, int judges) {
    return new BlindTrial(
        List.of(new Jar("A", COLD, MONTHS, cold, judges), new Jar("B", WARM, HOURS, warm, judges)));
  }

  @Test
  void asThePullHasItNothingIsAgainstItAndTheSpeedStays() {
    double apart = 4 * (MONTHS.pull() - HOURS.pull());
    BlindTrial trial = judged(3 + apart, 3, 4);

    assertThat(trial.against("A")).isEmpty();
    assertThat(trial.speeds().values())
        .allSatisfy(jar -> assertThat(jar.logSpeed()).isCloseTo(0, within(1e-4)));
  }

  @Test
  void theOtherWayRoundMovesTheWayThatCameOutStrongerUpAndTheOtherDown() {
    BlindTrial trial = judged(2, 4.5, 3);

    assertThat(trial.against("A")).extracting(Jar::letter).containsExactly("B");
    assertThat(trial.against("B")).extracting(Jar::letter).containsExactly("A");
    Map<Speed.HerbInOil, SpeedFit.Jar> taught = trial.speeds();
    assertThat(taught.get(WARM).logSpeed()).isGreaterThan(0.5);
    assertThat(taught.get(COLD).logSpeed()).isLessThan(-0.1);
    assertThat(taught.get(WARM).judged()).isTrue();
    assertThat(taught.get(WARM).within()).isLessThan(Math.log(2));
  }

  @Test
  void whatThePullCannotTellApartIsNotAgainstItWhoeverCameOutStronger() {
    BlindTrial close =
        new BlindTrial(
            List.of(
                new Jar("A", COLD, MONTHS, 1, 5),
                new Jar("B", way(Method.SPIRIT), pull(25, 38 * 24), 5, 5)));
    assertThat(close.against("A")).isEmpty();
    assertThat(close.against("no such letter")).isEmpty();
  }

  @Test
  void whoWasNotJudgedBlindSaysNothing() {
    BlindTrial one =
        new BlindTrial(List.of(new Jar("A", COLD, MONTHS, 0, 0), new Jar("B", WARM, HOURS, 5, 2)));
    assertThat(one.against("B")).isEmpty();
    assertThat(one.speeds()).isEmpty();
    assertThat(new BlindTrial(List.of()).speeds()).isEmpty();
  }

  /** Many judges of four jars that stood for other weeks find the speed by which they were made. */
  @ParameterizedTest
  @CsvSource({"0.5", "1", "2"})
  void manyJudgesOfJarsOfOtherWeeksFindTheSpeed(double speed) {
    List<Jar> jars = new ArrayList<>();
    double[] weeks = {0.4, 1, 3, 8};
    for (int i = 0; i < weeks.length; i++) {
      Pull pull = pull(20, weeks[i] * 7 * 24);
      jars.add(new Jar("" + i, COLD, pull, 0.7 + 4 * pull.course().at(speed), 400));
    }
    SpeedFit.Jar taught = new BlindTrial(jars).speeds().get(COLD);

    assertThat(Math.exp(taught.logSpeed())).isCloseTo(speed, within(0.05 * speed));
    assertThat(taught.within()).isLessThan(0.15);
  }

  /** Whether the truth lies within its error about as often as it says. */
  @Test
  void itsErrorIsWorthWhatItSays() {
    Pull fortnight = pull(20, 14 * 24);
    Pull twoDays = pull(55, 48);
    int inside = 0;
    int taught = 0;
    for (int seed = 0; seed < 400; seed++) {
      Random random = new Random(seed);
      double cold = Math.exp(Math.log(2) * random.nextGaussian());
      double warm = Math.exp(Math.log(2) * random.nextGaussian());
      int judges = 3 + random.nextInt(6);
      double noise = 1 / Math.sqrt(judges);
      double coldMark = 1 + 4 * fortnight.course().at(cold) + noise * random.nextGaussian();
      double warmMark = 1 + 4 * twoDays.course().at(warm) + noise * random.nextGaussian();
      SpeedFit.Jar jar =
          new BlindTrial(
                  List.of(
                      new Jar("A", COLD, fortnight, coldMark, judges),
                      new Jar("B", WARM, twoDays, warmMark, judges)))
              .speeds()
              .get(WARM);
      if (jar != null) {
        taught++;
        inside += Math.abs(jar.logSpeed() - Math.log(warm)) < 1.28 * jar.within() ? 1 : 0;
      }
    }
    assertThat(taught).isGreaterThan(350);
    assertThat(inside / (double) taught).isBetween(0.68, 0.92);
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void neitherTheOrderOfTheJarsNorAKinderJudgeMatters(@Given int seed) {
    Random random = new Random(seed);
    List<Jar> jars = new ArrayList<>();
    List<Jar> kinder = new ArrayList<>();
    for (int i = 0; i < 2 + random.nextInt(3); i++) {
      Pull pull = pull(15 + 50 * random.nextDouble(), 2 + 600 * random.nextDouble());
      Speed.HerbInOil way = way(Method.values()[i]);
      double mark = 1 + 3 * random.nextDouble();
      int judges = 1 + random.nextInt(5);
      jars.add(new Jar("" + i, way, pull, mark, judges));
      kinder.add(new Jar("" + i, way, pull, mark + 1, judges));
    }
    Collections.shuffle(kinder, random);
    Map<Speed.HerbInOil, SpeedFit.Jar> one = new BlindTrial(jars).speeds();
    Map<Speed.HerbInOil, SpeedFit.Jar> other = new BlindTrial(kinder).speeds();

    assertThat(other.keySet()).isEqualTo(one.keySet());
    one.forEach(
        (way, jar) -> {
          assertThat(other.get(way).logSpeed()).isCloseTo(jar.logSpeed(), within(1e-3));
          assertThat(Math.abs(jar.logSpeed())).isLessThan(Math.log(40));
          assertThat(jar.within()).isPositive().isLessThanOrEqualTo(Math.log(2));
        });
  }

  /** Trials count as jars do, and only for the way that they tried. */
  @Test
  void trialsAndColoursTogetherMoveTheWayThatWasTried() {
    SpeedFit.Jar colour = new SpeedFit.Jar(0.4, 0.1);
    SpeedFit.Jar trial = new SpeedFit.Jar(0.9, 0.5, true);
    Map<Speed.HerbInOil, Speed> speeds =
        SpeedFit.each(
            Map.of(
                COLD.anyWay(),
                SpeedFit.Shown.of(List.of(colour, colour)),
                WARM,
                SpeedFit.Shown.of(List.of(trial))));
    Catalogue catalogue = Catalogue.shipped().with(speeds);

    Speed warm = catalogue.speed(WARM);
    assertThat(warm.moves()).isTrue();
    assertThat(warm.jars()).isEqualTo(2);
    assertThat(warm.trials()).isEqualTo(1);
    assertThat(Math.log(warm.factor())).isCloseTo((0.4 + 0.4 + 0.9) / 5, within(1e-9));
    assertThat(catalogue.speed(COLD)).isEqualTo(Speed.unknown(2, 0));
    assertThat(catalogue.speed(way(Method.SPIRIT))).isEqualTo(Speed.unknown(2, 0));
  }
}
