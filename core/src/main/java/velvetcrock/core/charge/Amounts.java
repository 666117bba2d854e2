package velvetcrock.core.charge;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
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

/** Turns measured amounts into what the reckonings need: oil in ml, herb in g. */
public final class Amounts {
  private Amounts() {}

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
    if (any.kind() == Measure.Kind.COUNT) {
      return pieces(any, herb, state);
    }
    Measure read = CrossCheck.read(text, kitchen, loose(herb, part, cut, state, catalogue));
    return herbMassG(read, herb, part, cut, state, catalogue);
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
