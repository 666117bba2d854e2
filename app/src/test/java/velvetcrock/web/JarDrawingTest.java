package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.materia.Jar;

/** A drawing is a measurement that is looked at: its lines stand where the reckoning says. */
class JarDrawingTest {
  private static final Pattern SURFACE = Pattern.compile("M([\\d.]+) ([\\d.]+)h([\\d.]+)");
  private static final Pattern FLECK = Pattern.compile("M(-?[\\d.]+) (-?[\\d.]+)");

  private static JarDrawing jar(double bedMm, double oilMm, boolean floats) {
    return JarDrawing.of(
        new JarDrawing.Filled(
            "k7m",
            bedMm,
            oilMm,
            105,
            80,
            Jar.Shape.JAR,
            floats,
            true,
            false,
            "#ddbb4c",
            "#7d8250",
            "A jar"),
        2);
  }

  private static double surfaceY(JarDrawing drawing) {
    Matcher matcher = SURFACE.matcher(drawing.surface());
    assertThat(matcher.matches()).isTrue();
    return Double.parseDouble(matcher.group(2));
  }

  @Test
  void theSurfaceStandsAsManyMillimetresUpAsTheOil() {
    assertThat(surfaceY(jar(60, 30, false)) - surfaceY(jar(60, 90, false))).isEqualTo(60);
  }

  @Test
  void anEmptyJarHasNeitherOilNorHerb() {
    JarDrawing empty = jar(0, 0, false);

    assertThat(empty.oil()).isEmpty();
    assertThat(empty.surface()).isEmpty();
    assertThat(empty.flecks()).isEmpty();
    assertThat(empty.glass()).isNotEmpty();
  }

  @Test
  void oilIsNeverDrawnOverTheBrim() {
    assertThat(jar(60, 500, false).oil()).isEqualTo(jar(60, 105, false).oil());
  }

  @Test
  void floatingHerbHangsBelowTheSurfaceAndRestingHerbLiesOnTheFloor() {
    assertThat(meanFleckY(jar(30, 90, true))).isLessThan(meanFleckY(jar(30, 90, false)) - 30);
  }

  private static double meanFleckY(JarDrawing drawing) {
    return FLECK
        .matcher(drawing.flecks())
        .results()
        .mapToDouble(m -> Double.parseDouble(m.group(2)))
        .average()
        .orElseThrow();
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void noFleckLiesOutsideTheJar(@Given int seed) {
    double bed = 5 + Math.floorMod(seed, 100);
    JarDrawing drawing = jar(bed, bed + 15, Math.floorMod(seed / 101, 2) == 0);

    FLECK
        .matcher(drawing.flecks())
        .results()
        .forEach(
            m -> {
              assertThat(Double.parseDouble(m.group(1))).isBetween(0.0, 90.4);
              assertThat(Double.parseDouble(m.group(2))).isBetween(0.0, 124.2);
            });
  }

  @Test
  void aWiderJarIsDrawnWiderAtTheSameScale() {
    JarDrawing.Filled narrow =
        new JarDrawing.Filled(
            "a", 50, 60, 100, 60, Jar.Shape.JAR, false, true, true, "#ffffff", "#000000", "");
    JarDrawing.Filled wide =
        new JarDrawing.Filled(
            "a", 50, 60, 100, 90, Jar.Shape.JAR, false, false, true, "#ffffff", "#000000", "");

    assertThat(
            JarDrawing.of(wide, 2).sheet().widthPx() - JarDrawing.of(narrow, 2).sheet().widthPx())
        .isEqualTo(60);
    assertThat(JarDrawing.of(wide, 2).sheet().heightPx())
        .isEqualTo(JarDrawing.of(narrow, 2).sheet().heightPx());
    assertThat(JarDrawing.of(wide, 2).lidded()).isFalse();
    assertThat(JarDrawing.of(wide, 2).lid()).isNotEqualTo(JarDrawing.of(narrow, 2).lid());
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "1.25, 1.3", "-0.04, 0", "-3.96, -4", "12, 12", "7.949, 7.9"})
  void coordinatesAreTenths(double value, String written) {
    assertThat(Coordinates.n(value)).isEqualTo(written);
  }

  @ParameterizedTest
  @CsvSource({"0, #102030", "1, #ffffff", "0.5, #889098"})
  void coloursMixByShare(double share, String mixed) {
    assertThat(JarDrawing.mix("#102030", "#ffffff", share)).isEqualTo(mixed);
  }

  @ParameterizedTest
  @EnumSource(Jar.Shape.class)
  void onlyJarAndCrockHaveALidAndEveryVesselHoldsItsOilAtItsLevel(Jar.Shape shape) {
    JarDrawing drawing =
        JarDrawing.of(
            new JarDrawing.Filled(
                "v", 40, 60, 110, 160, shape, false, true, false, "#ffffff", "#000000", ""),
            1);

    assertThat(drawing.lidded()).isEqualTo(shape == Jar.Shape.JAR || shape == Jar.Shape.CROCK);
    assertThat(surfaceY(drawing)).isEqualTo(surfaceY(jar(40, 60, false)) + 5);
    assertThat(drawing.glass()).doesNotContain("NaN");
  }
}
