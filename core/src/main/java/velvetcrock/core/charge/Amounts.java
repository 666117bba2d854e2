package velvetcrock.core.charge;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
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
    Optional<Measure> count = count(text, kitchen);
    if (count.isPresent()) {
      return pieces(count.get(), herb, state);
    }
    Measure read = CrossCheck.read(text, kitchen, loose(herb, part, cut, state, catalogue));
    return herbMassG(read, herb, part, cut, state, catalogue);
  }

  private static Optional<Measure> count(String text, Kitchen kitchen) {
    try {
      return Optional.of(new MeasureReader(kitchen).readAny(text))
          .filter(m -> m.kind() == Measure.Kind.COUNT);
    } catch (Refused notAnAmount) {
      return Optional.empty(); // it may still be a weight with its own check
    }
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
    return new Range(measure.amount().low() * loose.low(), measure.amount().high() * loose.high());
  }
}
