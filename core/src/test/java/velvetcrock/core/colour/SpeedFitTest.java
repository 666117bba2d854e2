package velvetcrock.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.colour.SpeedFit.Jar;
import velvetcrock.core.colour.SpeedFit.Look;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;

/** How fast a herb gives, learned from the course of its colour. */
class SpeedFitTest {
  private static final double END = 24;

  private static List<Look> course(double speed, double noise, Random random, double... thetas) {
    List<Look> looks = new ArrayList<>();
    for (double theta : thetas) {
      looks.add(new Look(theta, END * -Math.expm1(-speed * theta) + noise * random.nextGaussian()));
    }
    return looks;
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.4, 0.7, 1, 1.5, 2.6})
  void aCleanCourseIsFoundToTheHundredth(double speed) {
    Jar jar = SpeedFit.of(course(speed, 0, new Random(1), 0.2, 0.6, 1.1, 1.7, 2.4)).orElseThrow();

    assertThat(Math.exp(jar.logSpeed())).isCloseTo(speed, within(0.01 * speed));
  }

  @Test
  void fewLooksOrNoCourseTeachNothing() {
    assertThat(SpeedFit.of(course(1, 0, new Random(1), 0.4, 1.2))).isEmpty();
    assertThat(SpeedFit.of(List.of())).isEmpty();
    // a straight line: never seen to slow down, so that it could be as slow as one likes
    assertThat(SpeedFit.of(List.of(new Look(0.5, 2), new Look(1, 4), new Look(1.5, 6)))).isEmpty();
    // at once as dark as it ever is
    assertThat(SpeedFit.of(List.of(new Look(0.5, 20), new Look(1, 20), new Look(1.5, 20))))
        .isEmpty();
  }

  /** Whether the truth lies within its error as often as it should. */
  @Test
  void itsErrorIsWorthWhatItSays() {
    int inside = 0;
    int fitted = 0;
    for (int seed = 0; seed < 400; seed++) {
      Random random = new Random(seed);
      double speed = Math.exp(0.4 * random.nextGaussian());
      Optional<Jar> jar = SpeedFit.of(course(speed, 1, random, 0.2, 0.5, 0.9, 1.4, 2, 2.8));
      if (jar.isPresent()) {
        fitted++;
        if (Math.abs(jar.get().logSpeed() - Math.log(speed)) < 1.28 * jar.get().within()) {
          inside++;
        }
      }
    }
    assertThat(fitted).isGreaterThan(350);
    assertThat(inside / (double) fitted).isBetween(0.68, 0.97);
  }

  @Test
  void fromThreeJarsOnItMovesAndDrawsTowardsWhatIsReckoned() {
    Jar fast = new Jar(Math.log(2), 0.1);
    assertThat(together(List.of(fast, fast))).isEqualTo(Speed.unknown(2, 0));
    assertThat(together(List.of(fast, fast)).moves()).isFalse();

    Speed three = together(List.of(fast, fast, fast));
    assertThat(three.moves()).isTrue();
    assertThat(three.factor()).isCloseTo(Math.pow(2, 0.6), within(1e-9));
    Speed many = together(IntStream.range(0, 30).mapToObj(i -> fast).toList());
    assertThat(many.factor()).isBetween(three.factor(), 2.0);
    assertThat(many.range().high() / many.range().low())
        .isLessThan(three.range().high() / three.range().low());
  }

  @ParameterizedTest
  @InstancioSource(samples = 500)
  void whatIsLearnedLiesWithinItsRangeWhichIsNeverWiderThanKnowingNothing(@Given int seed) {
    Random random = new Random(seed);
    List<Jar> jars =
        IntStream.range(0, 3 + random.nextInt(20))
            .mapToObj(i -> new Jar(random.nextGaussian(), 0.2))
            .collect(Collectors.toList());
    Speed speed = together(jars);

    assertThat(speed.factor()).isBetween(speed.range().low(), speed.range().high());
    assertThat(speed.range().high() / speed.range().low())
        .isLessThanOrEqualTo(Speed.UNKNOWN_WITHIN * Speed.UNKNOWN_WITHIN + 1e-9);
  }

  private static Pull pull(Speed speed) {
    return Pull.of(
        List.of(new Pull.Leg(Trace.steady(20, 21 * 24), Agitation.DAILY)),
        CarrierBlend.of(Catalogue.shipped().carrier("olive")),
        new Pull.Herb(Cut.CUT, Part.FLOWER, false, speed));
  }

  @Test
  void thePullMovesWithItAndGrowsNarrower() {
    Speed unknown = Speed.UNKNOWN;
    Speed slow = together(IntStream.range(0, 8).mapToObj(i -> new Jar(-0.5, 0.1)).toList());
    Speed fast = together(IntStream.range(0, 8).mapToObj(i -> new Jar(0.5, 0.1)).toList());

    assertThat(pull(slow).pull()).isLessThan(pull(unknown).pull() - 0.05);
    assertThat(pull(fast).pull()).isGreaterThan(pull(unknown).pull() + 0.05);
    assertThat(width(pull(slow))).isLessThan(width(pull(unknown)) + 0.02);
    assertThat(width(pull(fast))).isLessThan(width(pull(unknown)));
    assertThat(pull(fast).theta()).isEqualTo(pull(unknown).theta());
  }

  private static double width(Pull pull) {
    return pull.range().high() - pull.range().low();
  }

  @Test
  void theWindowMovesInDaysAndNeverPastItsLatest() {
    Speed fast = together(List.of(new Jar(1, 0), new Jar(1, 0), new Jar(1, 0)));
    assertThat(fast.days(35, 56)).isEqualTo(Math.round(35 / fast.factor()));
    Speed slow = together(List.of(new Jar(-2, 0), new Jar(-2, 0), new Jar(-2, 0)));
    assertThat(slow.days(35, 56)).isEqualTo(56);
    assertThat(Speed.UNKNOWN.days(35, 56)).isEqualTo(35);
  }

  private static Speed together(List<Jar> jars) {
    return SpeedFit.together(SpeedFit.Shown.of(jars));
  }
}
