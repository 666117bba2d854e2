package velvetcrock.api;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;

/** What went into the jar, as JSON tells it. */
record ChargeOut(
    Method method,
    List<HerbOut> herbs,
    List<CarrierOut> carriers,
    @JsonUnwrapped OilOut oil,
    VesselOut jar,
    double coverMm,
    Use use,
    StandOut stand,
    @JsonUnwrapped BegunOut begun,
    boolean cleanAndDry,
    MannerOut manner) {

  static ChargeOut of(Charged charge) {
    return new ChargeOut(
        charge.method(),
        charge.herbs().stream().map(HerbOut::of).toList(),
        charge.carriers().stream().map(CarrierOut::of).toList(),
        new OilOut(charge.oil().oilMl(), charge.oil().oilText()),
        VesselOut.of(charge.jar()),
        charge.coverMm(),
        charge.use(),
        StandOut.of(charge.stand()),
        new BegunOut(
            charge.begun().chargedOn(), charge.begun().aboutDays(), charge.begun().takenOn()),
        charge.cleanAndDry(),
        MannerOut.of(charge.manner()));
  }

  /** A herb. */
  record HerbOut(
      String herb,
      Part part,
      Cut cut,
      HerbState state,
      Range massG,
      double waterFraction,
      String text,
      @Nullable UUID lot) {
    static HerbOut of(HerbIn herb) {
      return new HerbOut(
          herb.herb(),
          herb.part(),
          herb.cut(),
          herb.state(),
          herb.massG(),
          herb.waterFraction(),
          herb.text(),
          herb.lot());
    }
  }

  /** A carrier with the dates known of it. */
  record CarrierOut(
      String carrier,
      double share,
      @Nullable LocalDate bestBefore,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate pressedOn,
      @Nullable UUID lot) {
    static CarrierOut of(OilIn oil) {
      return new CarrierOut(
          oil.carrier(), oil.share(), oil.bestBefore(), oil.openedOn(), oil.pressedOn(), oil.lot());
    }
  }

  /** The oil that was poured. */
  record OilOut(Range oilMl, String oilText) {}

  /** A vessel by its inside. */
  record VesselOut(
      String name, double brimMl, double innerDiameterMm, @Nullable String key, Jar.Shape shape) {
    static VesselOut of(JarIn jar) {
      return new VesselOut(jar.name(), jar.brimMl(), jar.innerDiameterMm(), jar.key(), jar.shape());
    }
  }

  /** Where it stands. */
  record StandOut(String place, String name, Light light, @Nullable Double celsius) {
    static StandOut of(Stand stand) {
      return new StandOut(stand.place(), stand.name(), stand.light(), stand.celsius());
    }
  }

  /** When it was charged, and how well that is known. */
  record BegunOut(LocalDate chargedOn, int aboutDays, boolean takenOn) {}

  /** How it was charged, where it was not simply poured. */
  record MannerOut(
      boolean blended,
      @Nullable SpiritOut spirit,
      @Nullable String again,
      List<String> read,
      @Nullable TrialOut trial,
      @Nullable Purpose forWhom) {
    static MannerOut of(Manner manner) {
      return new MannerOut(
          manner.blended(),
          manner.spirit() == null
              ? null
              : new SpiritOut(
                  manner.spirit().abvPercent(),
                  manner.spirit().massG(),
                  manner.spirit().text(),
                  manner.spirit().lot()),
          manner.again(),
          manner.read(),
          manner.trial() == null
              ? null
              : new TrialOut(manner.trial().id(), manner.trial().words(), manner.trial().aimDays()),
          manner.forWhom());
    }
  }

  /** The spirit that it was dampened with. */
  record SpiritOut(double abvPercent, double massG, String text, @Nullable UUID lot) {}

  /** What it is in a trial. */
  record TrialOut(UUID id, String words, @Nullable Integer aimDays) {}
}
