package velvetcrock.batch;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.StoredInputs.BathData;
import velvetcrock.batch.StoredInputs.HeaterData;
import velvetcrock.batch.StoredInputs.KnobData;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BathToppedUp;
import velvetcrock.core.batch.FeltByHand;
import velvetcrock.core.batch.HeatAnswer;
import velvetcrock.core.batch.HeatAnswered;
import velvetcrock.core.batch.HeatEvent;
import velvetcrock.core.batch.KnobTurned;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.RanHot;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.heat.Assumed;
import velvetcrock.ledger.Door;
import velvetcrock.ledger.Kind;
import velvetcrock.ledger.StoredEvent;

/** Entries about the heat, as they are stored. */
interface StoredHeat extends HeatEvent.Cases<StoredEvent<BatchEvent>> {
  @Override
  default StoredEvent<BatchEvent> putOnHeat(PutOnHeat event) {
    return PutOnHeatData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> knobTurned(KnobTurned event) {
    return KnobTurnedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> takenOffHeat(TakenOffHeat event) {
    return TakenOffHeatData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> feltByHand(FeltByHand event) {
    return FeltByHandData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> bathToppedUp(BathToppedUp event) {
    return BathToppedUpData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> ranHot(RanHot event) {
    return RanHotData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> heatAnswered(HeatAnswered event) {
    return HeatAnsweredData.of(event);
  }

  @Kind(name = "put-on-heat", says = "It was put on the heat.", door = Door.ANYBODY)
  record PutOnHeatData(
      @Nullable HeaterData heater, @Nullable KnobData knob, @Nullable BathData bath)
      implements StoredEvent<BatchEvent> {
    static PutOnHeatData of(PutOnHeat e) {
      return new PutOnHeatData(
          HeaterData.of(e.heater()),
          KnobData.of(e.knob()),
          e.bath() == null ? null : BathData.of(e.bath()));
    }

    @Override
    public BatchEvent event() {
      return new PutOnHeat(
          heater == null ? null : heater.value(),
          knob == null ? null : knob.value(),
          bath == null ? null : bath.value());
    }
  }

  @Kind(name = "knob-turned", says = "The knob was turned.", door = Door.ANYBODY)
  record KnobTurnedData(@Nullable KnobData knob) implements StoredEvent<BatchEvent> {
    static KnobTurnedData of(KnobTurned e) {
      return new KnobTurnedData(KnobData.of(e.knob()));
    }

    @Override
    public BatchEvent event() {
      return new KnobTurned(knob == null ? null : knob.value());
    }
  }

  @Kind(
      name = "taken-off-heat",
      says = "It was taken off the heat, or the heat was switched off.",
      door = Door.ANYBODY)
  record TakenOffHeatData() implements StoredEvent<BatchEvent> {
    static TakenOffHeatData of(TakenOffHeat e) {
      return new TakenOffHeatData();
    }

    @Override
    public BatchEvent event() {
      return new TakenOffHeat();
    }
  }

  @Kind(name = "felt-by-hand", says = "A hand felt how warm it is.", door = Door.ANYBODY)
  record FeltByHandData(Assumed.HandTest test) implements StoredEvent<BatchEvent> {
    static FeltByHandData of(FeltByHand e) {
      return new FeltByHandData(e.test());
    }

    @Override
    public BatchEvent event() {
      return new FeltByHand(test);
    }
  }

  @Kind(name = "bath-topped-up", says = "The bath was filled up again.", door = Door.ANYBODY)
  record BathToppedUpData() implements StoredEvent<BatchEvent> {
    static BathToppedUpData of(BathToppedUp e) {
      return new BathToppedUpData();
    }

    @Override
    public BatchEvent event() {
      return new BathToppedUp();
    }
  }

  @Kind(
      name = "ran-hot",
      says = "It was above its ceiling for longer than five minutes.",
      door = Door.HOUSE)
  record RanHotData(Instant from, @Nullable Instant to, double peakC, double ceilingC)
      implements StoredEvent<BatchEvent> {
    static RanHotData of(RanHot e) {
      return new RanHotData(e.from(), e.to(), e.peakC(), e.ceilingC());
    }

    @Override
    public BatchEvent event() {
      return new RanHot(from, to, peakC, ceilingC);
    }
  }

  @Kind(name = "heat-answered", says = "What was done about it.", door = Door.ANYBODY)
  record HeatAnsweredData(Instant from, HeatAnswer answer) implements StoredEvent<BatchEvent> {
    static HeatAnsweredData of(HeatAnswered e) {
      return new HeatAnsweredData(e.from(), e.answer());
    }

    @Override
    public BatchEvent event() {
      return new HeatAnswered(from, answer);
    }
  }
}
