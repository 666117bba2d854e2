package velvetcrock.core.charge;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Pieces;
import velvetcrock.core.measure.CrossCheck;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.PartOfAll;

/** Turns measured amounts into what the reckonings need: oil in ml, herb in g. */
public final class Amounts {
  private Amounts() {}

  /** A fat that is solid, as it comes off a spoon, g/ml (practice). */
  public static final CrossCheck.Substance SPOONED_FAT =
      new CrossCheck.Substance(0.80, new Range(0.70, 0.92), true);

  /** A carrier as it is measured at a temperature, °C: by the spoon where it is solid. */
  public static CrossCheck.Substance substance(Carrier carrier, double celsius) {
    if (carrier.solidAt(celsius)) {
      return SPOONED_FAT;
    }
    double density = carrier.densityAt(celsius);
    return new CrossCheck.Substance(density, Range.exactly(density), false);
  }

  /**
   * A carrier in ml at 20 °C, whatever was said of it; a solid fat as it will be once it is melted
   * and cooled.
   *
   * @throws velvetcrock.core.Refused at {@code amount}
   */
  public static Range oilMl(Measure said, Kitchen kitchen, Carrier carrier) {
    if (said.kind() != Measure.Kind.WEIGHT && said.kind() != Measure.Kind.VOLUME) {
      throw new Refused(
          "amount", "“" + said.text() + "” is no amount of oil: give a volume or a weight.");
    }
    CrossCheck.Substance as = substance(carrier, Carrier.ROOM_C);
    Measure measure = CrossCheck.checked(said, kitchen, as);
    double density = carrier.densityAt(Carrier.ROOM_C);
    if (measure.isWeight()) {
      return measure.amount().times(1 / density);
    }
    Range lies = as.loose() ? measure.loose() : measure.amount();
    return new Range(
        lies.low() * as.range().low() / density, lies.high() * as.range().high() / density);
  }

  /**
   * Oil in ml from what was typed; where weight and volume are both given, the one is checked
   * against the other.
   *
   * @throws velvetcrock.core.Refused at {@code amount}
   */
  public static Range oilMl(String text, Kitchen kitchen, CarrierBlend carriers) {
    double density = carriers.densityAt(Carrier.ROOM_C);
    CrossCheck.Substance liquid = new CrossCheck.Substance(density, Range.exactly(density), false);
    return oilMl(CrossCheck.read(text, kitchen, liquid), carriers);
  }

  /**
   * Oil in ml from what was typed of some that is there: an amount, or a part of all of it.
   *
   * @param thereMl how much there is, ml
   * @throws velvetcrock.core.Refused at {@code amount}
   */
  public static double ofOil(String text, double thereMl, Kitchen kitchen, CarrierBlend carriers) {
    OptionalDouble part = PartOfAll.read(text);
    return part.isPresent()
        ? part.getAsDouble() * thereMl
        : oilMl(text, kitchen, carriers).middle();
  }

  /**
   * Herb in g from what was typed; where weight and volume are both given, the one is checked
   * against the other.
   *
   * @throws velvetcrock.core.Refused at {@code amount}
   */
  public static Range herbMassG(
      String text,
      Kitchen kitchen,
      Herb herb,
      Part part,
      Cut cut,
      HerbState state,
      Catalogue catalogue) {
    Problems problems = new Problems();
    Measure any = problems.attempt("amount", () -> new MeasureReader(kitchen).readAny(text));
    problems.refuseIfAny();
    return herbMassG(any, kitchen, new Lying(herb, part, cut, state), catalogue);
  }

  /**
   * A herb as it lies in the cup, which may be another cut than goes into the jar.
   *
   * @param cut as it was measured
   */
  public record Lying(Herb herb, Part part, Cut cut, HerbState state) {}

  /**
   * The same of what was read.
   *
   * @throws velvetcrock.core.Refused at {@code text} or {@code amount}
   */
  public static Range herbMassG(Measure any, Kitchen kitchen, Lying as, Catalogue catalogue) {
    return switch (any.kind()) {
      case COUNT -> pieces(any, as.herb(), as.state());
      case WEIGHT, VOLUME -> {
        CrossCheck.Substance loose = loose(as.herb(), as.part(), as.cut(), as.state(), catalogue);
        yield herbMassG(
            CrossCheck.checked(any, kitchen, loose),
            as.herb(),
            as.part(),
            as.cut(),
            as.state(),
            catalogue);
      }
      case DEPTH, PARTS ->
          throw new Refused(
              "amount", "“" + any.text() + "” is no amount: give a weight, a volume or a count.");
    };
  }

  /**
   * What so many pieces weigh, g.
   *
   * @param state null for as it is usually counted
   * @throws velvetcrock.core.Refused at {@code text} where nobody counts this herb so
   */
  public static Range pieces(Measure count, Herb herb, @Nullable HerbState state) {
    Range each = Pieces.shipped().eachG(herb, count.noun(), state);
    return new Range(count.amount().low() * each.low(), count.amount().high() * each.high());
  }

  /** A herb as it lies loose in a cup, for checking a weight against a volume. */
  public static CrossCheck.Substance loose(
      Herb herb, Part part, Cut cut, HerbState state, Catalogue catalogue) {
    return new CrossCheck.Substance(
        catalogue.looseDensity(herb, part, cut, state),
        catalogue.looseRange(herb, part, cut, state),
        true);
  }

  /** Oil in ml: a volume as it is, a weight by the oil's density at 20 °C. */
  public static Range oilMl(Measure measure, CarrierBlend carriers) {
    return measure.isWeight()
        ? measure.amount().times(1 / carriers.densityAt(Carrier.ROOM_C))
        : measure.amount();
  }

  /**
   * Herb in g: a weight as it is; a volume by its loose density, from barely poured to pressed,
   * whose middle is the usual packing.
   */
  public static Range herbMassG(
      Measure measure, Herb herb, Part part, Cut cut, HerbState state, Catalogue catalogue) {
    if (measure.isWeight()) {
      return measure.amount();
    }
    Range loose = catalogue.looseRange(herb, part, cut, state);
    return new Range(measure.loose().low() * loose.low(), measure.loose().high() * loose.high());
  }
}
