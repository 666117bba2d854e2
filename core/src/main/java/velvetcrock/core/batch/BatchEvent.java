package velvetcrock.core.batch;

import java.util.List;
import velvetcrock.core.log.Event;

/**
 * What can happen to a batch, from the charged jar to the last bottle. Each kind is a file of its
 * own with its checks, its stored name and what it does to the state; what else is to be said of
 * every kind is a {@link Visitor}, so that none can be forgotten.
 */
public sealed interface BatchEvent extends Event<BatchLog>
    permits JarEvent, HeatEvent, StrainingEvent, BottleEvent, RemarkEvent {

  /**
   * The same in a household's terms.
   *
   * @throws velvetcrock.core.Refused if it names a herb, an oil or a place that is unknown there
   */
  default BatchEvent in(Surroundings household) {
    return this;
  }

  /**
   * What goes in with it from the household's lots.
   *
   * @param state the batch's, with this
   */
  default List<FromLot> takes(BatchState state) {
    return List.of();
  }

  /**
   * What about it may move the date of a bottle, for the bottle's history.
   *
   * @param state the batch's, with this
   */
  default String movesDates(BatchState state) {
    return "more is known of its batch";
  }

  /** Whether it may happen to other batches too. */
  default boolean spreads() {
    return false;
  }

  /**
   * Whether it happens to another batch of the household too, whenever it happens to one: a bath
   * that is filled is filled for every pot that stands in it.
   *
   * @param mine the state of the batch that it is told of
   * @param other another's
   */
  default boolean alsoHappensTo(BatchState mine, BatchState other) {
    return false;
  }

  /** What a visitor says of this kind. */
  <R> R accept(Visitor<R> visitor);

  /**
   * What is to be said of each kind.
   *
   * @param <R> what it is
   */
  interface Visitor<R>
      extends JarEvent.Cases<R>,
          HeatEvent.Cases<R>,
          StrainingEvent.Cases<R>,
          BottleEvent.Cases<R>,
          RemarkEvent.Cases<R> {}
}
