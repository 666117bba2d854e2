package velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.making.Melt.Wanted;
import velvetcrock.core.materia.Catalogue;

/** What is left open in a melt is found, and lands where it should. */
class MeltTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final OptionalDouble NO_VOLUME = OptionalDouble.empty();
  private static final Random RANDOM = new Random(8);

  private static Ingredient oil(String key, double grams) {
    return Ingredient.of(CATALOGUE.carrier(key), grams, 20);
  }

  private static Ingredient wax(String key, double grams) {
    return Ingredient.of(CATALOGUE.wax(key), grams);
  }

  private static Wanted known(Ingredient part) {
    return new Wanted(part, false);
  }

  private static Wanted open(Ingredient part) {
    return new Wanted(part, true);
  }

  private static OptionalDouble aim(double hardness) {
    return OptionalDouble.of(hardness);
  }

  @Test
  void waxIsAsMuchAsTheFormulaSays() {
    Melt melt =
        Melt.solve(List.of(known(oil("olive", 100)), open(wax("beeswax", 1))), aim(16), NO_VOLUME);

    assertThat(melt.parts().get(1).massG()).isCloseTo(100 * 16 / 84.0, within(1e-9));
    assertThat(melt.hardness()).isCloseTo(16, within(1e-9));
  }

  @Test
  void butterIsFoundAtFixedWax() {
    Melt melt =
        Melt.solve(
            List.of(
                known(oil("olive", 100)), known(wax("beeswax", 10)), open(oil("cocoa-butter", 1))),
            aim(14),
            NO_VOLUME);

    assertThat(melt.hardness()).isCloseTo(14, within(1e-9));
    assertThat(melt.parts().get(1).massG()).isEqualTo(10);
    assertThat(melt.parts().get(2).massG()).isGreaterThan(30);
  }

  @Test
  void oilIsFoundForWaxThatThereIs() {
    Melt melt =
        Melt.solve(List.of(open(oil("olive", 1)), known(wax("beeswax", 20))), aim(20), NO_VOLUME);

    assertThat(melt.parts().get(0).massG()).isCloseTo(80, within(1e-9));
  }

  @RepeatedTest(40)
  void whateverIsLeftOpenLandsOnTargetAndFillsTheTins() {
    double target = 10 + 25 * RANDOM.nextDouble();
    double volume = 50 + 900 * RANDOM.nextDouble();
    List<Wanted> wanted = new ArrayList<>();
    wanted.add(open(oil("rapeseed", 1)));
    wanted.add(known(oil("shea", 0.02 * volume * (0.2 + RANDOM.nextDouble()))));
    wanted.add(open(wax(RANDOM.nextBoolean() ? "beeswax" : "candelilla", 1)));
    Melt melt = Melt.solve(wanted, aim(target), OptionalDouble.of(volume));

    assertThat(melt.hardness()).isCloseTo(target, within(1e-6));
    assertThat(melt.volumeMl()).isCloseTo(volume, within(1e-6));
  }

  @RepeatedTest(20)
  void scaledUpAndDownItReturnsToItself() {
    Melt melt =
        new Melt(
            List.of(
                oil("olive", 1 + 500 * RANDOM.nextDouble()),
                oil("shea", 1 + 90 * RANDOM.nextDouble()),
                wax("beeswax", 1 + 90 * RANDOM.nextDouble())));
    Melt there = melt.scaledTo(12_345).scaledTo(melt.massG());

    for (int i = 0; i < 3; i++) {
      assertThat(there.parts().get(i).massG()).isCloseTo(melt.parts().get(i).massG(), within(1e-9));
    }
    assertThat(there.percents()).isEqualTo(melt.percents());
    assertThat(melt.scaledTo(7).hardness()).isCloseTo(melt.hardness(), within(1e-9));
  }

  @Test
  void withoutHardnessOneOpenPartFillsTheVolume() {
    Melt melt =
        Melt.solve(
            List.of(known(oil("olive", 91.3)), open(oil("jojoba", 1))),
            OptionalDouble.empty(),
            OptionalDouble.of(150));

    assertThat(melt.volumeMl()).isCloseTo(150, within(1e-9));
    assertThat(melt.parts().get(1).massG()).isCloseTo(50 * 0.865, within(1e-6));
  }

  @Test
  void vitaminEIsDosedToTheOilsAndButtersAndNotToTheWax() {
    Melt melt = new Melt(List.of(oil("olive", 100), oil("cocoa-butter", 100), wax("beeswax", 900)));

    assertThat(melt.oilsG()).isEqualTo(200);
    assertThat(melt.vitaminE()).isPresent();
    assertThat(melt.vitaminE().get().massG().low()).isCloseTo(0.2, within(1e-9));
    assertThat(melt.vitaminE().get().massG().high()).isCloseTo(1.0, within(1e-9));
    assertThat(new Melt(List.of(wax("beeswax", 5))).vitaminE()).isEmpty();
  }

  @Test
  void whatCannotBeIsRefusedAtItsRow() {
    Wanted olive = known(oil("olive", 100));
    assertThatThrownBy(
            () ->
                Melt.solve(
                    List.of(olive, known(wax("beeswax", 60)), open(wax("candelilla", 1))),
                    aim(16),
                    NO_VOLUME))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("parts[2].amount")
        .hasMessageContaining("already");
    assertThatThrownBy(
            () ->
                Melt.solve(
                    List.of(open(oil("olive", 1)), open(wax("beeswax", 1))), aim(16), NO_VOLUME))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("how many tins");
    assertThatThrownBy(() -> Melt.solve(List.of(open(wax("beeswax", 1))), aim(16), NO_VOLUME))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("something else");
    assertThatThrownBy(
            () -> Melt.solve(List.of(open(oil("olive", 1))), OptionalDouble.empty(), NO_VOLUME))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("how much");
    assertThatThrownBy(
            () ->
                Melt.solve(
                    List.of(open(oil("olive", 1)), open(oil("olive", 1))),
                    aim(16),
                    OptionalDouble.of(90)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("equally hard");
    assertThatThrownBy(() -> new Melt(List.of())).isInstanceOf(Refused.class);
  }

  @ParameterizedTest
  @CsvSource({"candelilla", "carnauba", "soy-wax"})
  void anotherWaxKeepsTheFeel(String other) {
    Melt melt = new Melt(List.of(oil("olive", 100), wax("beeswax", 20)));
    Melt exchanged = melt.exchanged(1, wax(other, 1));

    assertThat(exchanged.hardness()).isCloseTo(melt.hardness(), within(1e-9));
    assertThat(exchanged.parts().get(1).key()).isEqualTo(other);
    assertThat(exchanged.parts().get(0).massG()).isEqualTo(100);
  }

  @ParameterizedTest
  @ValueSource(strings = {"shea", "mango-butter", "jojoba"})
  void anotherButterOrOilKeepsTheFeelByTheWax(String other) {
    Melt melt = new Melt(List.of(oil("olive", 100), oil("cocoa-butter", 20), wax("beeswax", 20)));
    Melt exchanged = melt.exchanged(1, oil(other, 1));

    assertThat(exchanged.hardness()).isCloseTo(melt.hardness(), within(1e-9));
    assertThat(exchanged.parts().get(1).massG()).isEqualTo(20);
    assertThat(exchanged.parts().get(2).massG()).isGreaterThan(20);
  }

  @Test
  void whereNothingCanMakeUpForItTheExchangeIsRefused() {
    Melt melt = new Melt(List.of(oil("olive", 100), oil("cocoa-butter", 20)));

    assertThatThrownBy(() -> melt.exchanged(1, oil("shea", 1)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("instead");
  }

  @Test
  void anInfusedOilIsAsHardAsItsCarriers() {
    CarrierBlend half =
        new CarrierBlend(
            List.of(
                new CarrierBlend.Share(CATALOGUE.carrier("olive"), 1),
                new CarrierBlend.Share(CATALOGUE.carrier("coconut"), 1)));
    Ingredient room = Ingredient.of("K7M-A", half, 100, 20);

    assertThat(room.hardness()).isCloseTo(8 * 0.926 / (0.926 + 0.913), within(1e-9));
    assertThat(room.kind()).isEqualTo(Ingredient.Kind.OIL);
    assertThat(room.meltsC()).isCloseTo(19, within(0.5));
    assertThat(Ingredient.of("K7M-A", half, 100, 28).hardness()).isZero();
  }

  @Test
  void theReckoningNamesEveryPart() {
    Melt melt = new Melt(List.of(oil("olive", 80), wax("beeswax", 20)));

    assertThat(melt.reckoning().lines()).extracting("name").contains("From olive", "From beeswax");
    assertThat(melt.mainWax()).map(Ingredient::key).contains("beeswax");
    assertThat(melt.densityGPerMl()).isBetween(0.91, 0.93);
  }

  @RepeatedTest(30)
  void percentagesAddToAHundred() {
    List<Double> amounts = new ArrayList<>();
    int count = 1 + RANDOM.nextInt(12);
    for (int i = 0; i < count; i++) {
      amounts.add(RANDOM.nextDouble() * RANDOM.nextInt(1000));
    }
    amounts.add(0.7);
    List<Double> percents = Percentages.of(amounts);

    assertThat(percents.stream().mapToLong(p -> Math.round(p * 10)).sum()).isEqualTo(1000);
    double sum = amounts.stream().mapToDouble(Double::doubleValue).sum();
    for (int i = 0; i < amounts.size(); i++) {
      assertThat(percents.get(i)).isCloseTo(100 * amounts.get(i) / sum, within(0.1 + 1e-9));
    }
  }

  @Test
  void sharesOfNothingAreRefused() {
    assertThatThrownBy(() -> Percentages.of(List.of(0.0))).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Percentages.of(List.of(2.0, -1.0))).isInstanceOf(Refused.class);
  }

  /** Ten of oil to one of wax is 1:10 whatever it is as hard as. */
  @Test
  void waxToOilIsWhatIsWeighedInAndNotWhatItIsAsHardAs() {
    Melt melt =
        new Melt(
            List.of(
                Ingredient.of(CATALOGUE.carrier("olive"), 60, 20),
                Ingredient.of(CATALOGUE.carrier("cocoa-butter"), 40, 20),
                Ingredient.of(CATALOGUE.wax("beeswax"), 10)));

    assertThat(melt.oilPerWax()).hasValueCloseTo(10.0, within(1e-9));
    double as = melt.asHardAsOilPerBeeswax().orElseThrow();
    assertThat(100 / (1 + as)).isCloseTo(melt.hardness(), within(1e-9));
    assertThat(as).isLessThan(5);
    assertThat(new Melt(List.of(Ingredient.of(CATALOGUE.carrier("olive"), 60, 20))).oilPerWax())
        .isEmpty();
  }
}
