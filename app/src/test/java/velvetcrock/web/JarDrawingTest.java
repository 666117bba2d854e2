package velvetcrock.web;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.core.io.ClassPathResource;
import velvetcrock.core.materia.Jar;

/** A drawing is a measurement that is looked at: its lines stand where the reckoning says. */
class JarDrawingTest {
  private static final Pattern SURFACE = Pattern.compile("M([\\d.]+) ([\\d.]+)h([\\d.]+)");
  private static final double SHEET_MM = 130;
  private static final double BAND_MM = 5;

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
    assertThat(empty.flecks()).isNull();
    assertThat(empty.glass()).isNotEmpty();
  }

  @Test
  void oilIsNeverDrawnOverTheBrim() {
    assertThat(jar(60, 500, false).oil()).isEqualTo(jar(60, 105, false).oil());
  }

  private static JarDrawing.Flecks flecks(JarDrawing drawing) {
    return Objects.requireNonNull(drawing.flecks());
  }

  @Test
  void floatingHerbHangsBelowTheSurfaceAndRestingHerbLiesOnTheFloor() {
    double floor = Double.parseDouble(flecks(jar(30, 90, false)).floor());
    assertThat(Double.parseDouble(flecks(jar(30, 90, true)).floor())).isEqualTo(floor - 60);
    assertThat(surfaceY(jar(30, 90, false))).isEqualTo(floor - 90);
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void theHerbIsAsHighAsItsBedAndCoversTheJar(@Given int seed) {
    double bed = 5 + Math.floorMod(seed, 85);
    double wide = 40 + Math.floorMod(seed / 101, 300);
    JarDrawing drawing =
        JarDrawing.of(
            new JarDrawing.Filled(
                "" + seed, bed, bed, 105, wide, Jar.Shape.PAN, false, true, false, "", "", ""),
            1);

    JarDrawing.Flecks flecks = flecks(drawing);
    int bands = Integer.parseInt(flecks.sheet().replace("leaf-", ""));
    assertThat(bands * BAND_MM).isBetween(bed - BAND_MM / 2, bed + BAND_MM / 2);
    String[] surface = drawing.surface().split("[M h]");
    double left = Double.parseDouble(surface[1]);
    List<Double> from = flecks.from().stream().map(Double::parseDouble).toList();
    assertThat(from.get(0)).isLessThanOrEqualTo(left);
    assertThat(from.get(from.size() - 1) + SHEET_MM).isGreaterThanOrEqualTo(left + wide - 0.2);
    for (int i = 1; i < from.size(); i++) {
      assertThat(from.get(i) - from.get(i - 1)).isCloseTo(SHEET_MM, within(0.11));
    }
  }

  /** Every sheet that a drawing may ask for is among those that are shipped. */
  @Test
  void allSheetsAreShipped() throws Exception {
    String shipped = new ClassPathResource("static/assets/flecks.svg").getContentAsString(UTF_8);
    for (String kind : List.of("leaf-", "grain-")) {
      for (int bands : new int[] {1, 2, 17, 36}) {
        assertThat(shipped).contains("<g id=\"" + kind + bands + "\">");
      }
    }
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
