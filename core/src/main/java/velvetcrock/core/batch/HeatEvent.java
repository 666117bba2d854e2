package velvetcrock.core.batch;

/** What happens on the heat. */
public sealed interface HeatEvent extends BatchEvent
    permits PutOnHeat, KnobTurned, TakenOffHeat, FeltByHand, BathToppedUp, RanHot, HeatAnswered {
  /**
   * What is to be said of each kind.
   *
   * @param <R> what it is
   */
  interface Cases<R> {
    /** For PutOnHeat. */
    R putOnHeat(PutOnHeat event);

    /** For KnobTurned. */
    R knobTurned(KnobTurned event);

    /** For TakenOffHeat. */
    R takenOffHeat(TakenOffHeat event);

    /** For FeltByHand. */
    R feltByHand(FeltByHand event);

    /** For BathToppedUp. */
    R bathToppedUp(BathToppedUp event);

    /** For RanHot. */
    R ranHot(RanHot event);

    /** For HeatAnswered. */
    R heatAnswered(HeatAnswered event);
  }
}
