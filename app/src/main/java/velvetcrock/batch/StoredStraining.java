package velvetcrock.batch;

import org.jspecify.annotations.Nullable;
import velvetcrock.batch.StoredInputs.StrainingData;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.DrawnUnbottled;
import velvetcrock.core.batch.Leaving;
import velvetcrock.core.batch.MarcWeighed;
import velvetcrock.core.batch.StoodClear;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.StrainingEvent;
import velvetcrock.core.yield.Expression;
import velvetcrock.ledger.Door;
import velvetcrock.ledger.Kind;
import velvetcrock.ledger.StoredEvent;

/** Entries about the straining, as they are stored. */
interface StoredStraining extends StrainingEvent.Cases<StoredEvent<BatchEvent>> {
  @Override
  default StoredEvent<BatchEvent> strained(Strained event) {
    return StrainedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> marcWeighed(MarcWeighed event) {
    return MarcWeighedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> decanted(Decanted event) {
    return DecantedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> stoodClear(StoodClear event) {
    return StoodClearData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> drawnUnbottled(DrawnUnbottled event) {
    return DrawnUnbottledData.of(event);
  }

  @Kind(name = "strained", says = "Strained.", door = Door.ANYBODY)
  record StrainedData(
      double oilMl,
      String text,
      Expression expression,
      Range predictedMl,
      @Nullable StrainingData how)
      implements StoredEvent<BatchEvent> {
    static StrainedData of(Strained e) {
      return new StrainedData(
          e.oilMl(),
          e.text(),
          e.expression(),
          e.predictedMl(),
          e.how() == null ? null : StrainingData.of(e.how()));
    }

    @Override
    public BatchEvent event() {
      return new Strained(oilMl, text, expression, predictedMl, how == null ? null : how.value());
    }
  }

  @Kind(
      name = "marc-weighed",
      says = "The marc was weighed after it had been expressed.",
      door = Door.ANYBODY)
  record MarcWeighedData(double massG, String text) implements StoredEvent<BatchEvent> {
    static MarcWeighedData of(MarcWeighed e) {
      return new MarcWeighedData(e.massG(), e.text());
    }

    @Override
    public BatchEvent event() {
      return new MarcWeighed(massG, text);
    }
  }

  @Kind(
      name = "decanted",
      says =
          "Something was left behind when the oil was poured off. Sediment and water come out of the oil that was measured at straining; film never was in it.",
      door = Door.ANYBODY)
  record DecantedData(Leaving what, double massG, String text, @Nullable Double clearMl)
      implements StoredEvent<BatchEvent> {
    static DecantedData of(Decanted e) {
      return new DecantedData(e.what(), e.massG(), e.text(), e.clearMl());
    }

    @Override
    public BatchEvent event() {
      return new Decanted(what, massG, text, clearMl);
    }
  }

  @Kind(name = "stood-clear", says = "It stood overnight and nothing settled.", door = Door.ANYBODY)
  record StoodClearData() implements StoredEvent<BatchEvent> {
    static StoodClearData of(StoodClear e) {
      return new StoodClearData();
    }

    @Override
    public BatchEvent event() {
      return new StoodClear();
    }
  }

  @Kind(
      name = "drawn-unbottled",
      version = 2,
      says = "Some of the strained oil was used that is in no bottle.",
      door = Door.ANYBODY)
  record DrawnUnbottledData(double ml, String text, String what)
      implements StoredEvent<BatchEvent> {
    static DrawnUnbottledData of(DrawnUnbottled e) {
      return new DrawnUnbottledData(e.ml(), e.text(), e.what());
    }

    @Override
    public BatchEvent event() {
      return new DrawnUnbottled(ml, text, what);
    }
  }
}
