package velvetcrock.batch;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Bath;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.InTrial;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Straining;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Part;

/** What entries of several kinds hold, as it is stored. */
final class StoredInputs {
  private StoredInputs() {}

  record HerbInData(
      String herb,
      Part part,
      Cut cut,
      HerbState state,
      Range massG,
      double waterFraction,
      String text,
      @Nullable UUID lot) {
    static HerbInData of(HerbIn v) {
      return new HerbInData(
          v.herb(), v.part(), v.cut(), v.state(), v.massG(), v.waterFraction(), v.text(), v.lot());
    }

    HerbIn value() {
      return new HerbIn(herb, part, cut, state, massG, waterFraction, text, lot);
    }
  }

  record OilInData(
      String carrier,
      double share,
      @Nullable LocalDate bestBefore,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate pressedOn,
      @Nullable UUID lot,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Boolean dateUnknown) {
    static OilInData of(OilIn v) {
      return new OilInData(
          v.carrier(),
          v.share(),
          v.bestBefore(),
          v.openedOn(),
          v.pressedOn(),
          v.lot(),
          v.dateUnknown() ? true : null);
    }

    OilIn value() {
      return new OilIn(
          carrier, share, bestBefore, openedOn, pressedOn, lot, Boolean.TRUE.equals(dateUnknown));
    }
  }

  record JarInData(
      String name, double brimMl, double innerDiameterMm, @Nullable String key, Jar.Shape shape) {
    static JarInData of(JarIn v) {
      return new JarInData(v.name(), v.brimMl(), v.innerDiameterMm(), v.key(), v.shape());
    }

    JarIn value() {
      return new JarIn(name, brimMl, innerDiameterMm, key, shape);
    }
  }

  record StandData(String place, String name, Light light, @Nullable Double celsius) {
    static StandData of(Stand v) {
      return new StandData(v.place(), v.name(), v.light(), v.celsius());
    }

    Stand value() {
      return new Stand(place, name, light, celsius);
    }
  }

  record MannerData(
      boolean blended,
      @Nullable SpiritInData spirit,
      @Nullable String again,
      List<String> read,
      @Nullable InTrialData trial,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Purpose forWhom,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable EarlierData earlier) {
    static MannerData of(Manner v) {
      return new MannerData(
          v.blended(),
          v.spirit() == null ? null : SpiritInData.of(v.spirit()),
          v.again(),
          v.read(),
          v.trial() == null ? null : InTrialData.of(v.trial()),
          v.forWhom(),
          v.earlier() == null ? null : EarlierData.of(v.earlier()));
    }

    Manner value() {
      return new Manner(
          blended,
          spirit == null ? null : spirit.value(),
          again,
          read,
          trial == null ? null : trial.value(),
          forWhom,
          earlier == null ? null : earlier.value());
    }
  }

  record EarlierData(
      String batch,
      @Nullable String bottle,
      @Nullable List<String> herbs,
      @Nullable LocalDate chargedOn,
      @Nullable LocalDate goodUntil,
      @Nullable Double spentDays,
      @Nullable Set<Hazard> hazards) {
    static EarlierData of(Earlier v) {
      return new EarlierData(
          v.batch(),
          v.bottle(),
          v.herbs(),
          v.chargedOn(),
          v.goodUntil(),
          v.spentDays(),
          v.hazards());
    }

    Earlier value() {
      return new Earlier(
          batch,
          bottle,
          herbs == null ? List.of() : herbs,
          chargedOn,
          goodUntil,
          spentDays == null ? 0 : spentDays,
          hazards == null ? Set.of() : hazards);
    }
  }

  record InTrialData(UUID id, String words, @Nullable Integer aimDays) {
    static InTrialData of(InTrial v) {
      return new InTrialData(v.id(), v.words(), v.aimDays());
    }

    InTrial value() {
      return new InTrial(id, words, aimDays);
    }
  }

  record SpiritInData(double abvPercent, double massG, String text, @Nullable UUID lot) {
    static SpiritInData of(SpiritIn v) {
      return new SpiritInData(v.abvPercent(), v.massG(), v.text(), v.lot());
    }

    SpiritIn value() {
      return new SpiritIn(abvPercent, massG, text, lot);
    }
  }

  record StrainingData(
      boolean secondPass,
      boolean fineFilter,
      boolean settles,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Boolean sure) {
    static StrainingData of(Straining v) {
      return new StrainingData(v.secondPass(), v.fineFilter(), v.settles(), v.sure() ? true : null);
    }

    Straining value() {
      return new Straining(secondPass, fineFilter, settles, Boolean.TRUE.equals(sure));
    }
  }

  record BottleInData(
      String letter,
      double ml,
      double sizeMl,
      Store.Place place,
      Store.Glass glass,
      Store.Antioxidant antioxidant,
      boolean cappedCold) {
    static BottleInData of(BottleIn v) {
      return new BottleInData(
          v.letter(), v.ml(), v.sizeMl(), v.place(), v.glass(), v.antioxidant(), v.cappedCold());
    }

    BottleIn value() {
      return new BottleIn(letter, ml, sizeMl, place, glass, antioxidant, cappedCold);
    }
  }

  record HeaterData(@Nullable String key, String name, Appliance kind) {
    static HeaterData of(Heater v) {
      return new HeaterData(v.key(), v.name(), v.kind());
    }

    Heater value() {
      return new Heater(key, name, kind);
    }
  }

  record KnobData(String name, @Nullable Double settlesC, @Nullable Double settleHours) {
    static KnobData of(Knob v) {
      return new KnobData(v.name(), v.settlesC(), v.settleHours());
    }

    Knob value() {
      return new Knob(name, settlesC, settleHours);
    }
  }

  record BathData(String name, double depthMm, double lowestMm, double widthMm, double watts) {
    static BathData of(Bath v) {
      return new BathData(v.name(), v.depthMm(), v.lowestMm(), v.widthMm(), v.watts());
    }

    Bath value() {
      return new Bath(name, depthMm, lowestMm, widthMm, watts);
    }
  }
}
