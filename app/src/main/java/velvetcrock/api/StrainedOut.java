package velvetcrock.api;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleChecked;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.yield.Expression;

/** What came out of the cloth, as JSON tells it; nothing in it before it is strained. */
record StrainedOut(
    @Nullable Instant strainedAt,
    @Nullable StrainingOut strained,
    RemainsOut remains,
    double usedMl) {

  static StrainedOut of(BatchState state) {
    Strained strained = state.strained();
    return new StrainedOut(
        state.strainedAt(),
        strained == null ? null : StrainingOut.of(strained),
        RemainsOut.of(state.remains()),
        state.usedMl());
  }

  /** The straining. */
  record StrainingOut(
      double oilMl, String text, Expression expression, Range predictedMl, HowOut how) {
    static StrainingOut of(Strained strained) {
      return new StrainingOut(
          strained.oilMl(),
          strained.text(),
          strained.expression(),
          strained.predictedMl(),
          new HowOut(
              strained.how().secondPass(),
              strained.how().fineFilter(),
              strained.how().settles(),
              strained.how().sure()));
    }
  }

  /** What else was done. */
  record HowOut(boolean secondPass, boolean fineFilter, boolean settles, boolean sure) {}

  /** What stayed behind. */
  record RemainsOut(
      @Nullable Double marcG,
      double sedimentG,
      double waterG,
      double filmG,
      @Nullable Double clearMl,
      @Nullable Boolean settled) {
    static RemainsOut of(BatchState.Remains remains) {
      return new RemainsOut(
          remains.marcG(),
          remains.sedimentG(),
          remains.waterG(),
          remains.filmG(),
          remains.clearMl(),
          remains.settled());
    }
  }

  /** A bottle. */
  record BottleStateOut(
      FilledOut filled,
      double leftMl,
      boolean capped,
      Instant filledAt,
      @Nullable Instant halfAt,
      @Nullable Instant goneAt,
      @Nullable Ending goneBecause,
      @Nullable Instant openedAt,
      List<StoodOut> stays,
      @Nullable CheckOut checked) {
    static BottleStateOut of(BottleState bottle) {
      BottleState.Check check = bottle.checked();
      return new BottleStateOut(
          FilledOut.of(bottle.filled()),
          bottle.leftMl(),
          bottle.capped(),
          bottle.filledAt(),
          bottle.halfAt(),
          bottle.goneAt(),
          bottle.goneBecause(),
          bottle.openedAt(),
          bottle.stays().stream()
              .map(s -> new StoodOut(s.from(), StoreOut.of(s.store()), s.sizeMl(), s.opened()))
              .toList(),
          check == null ? null : new CheckOut(check.at(), FoundOut.of(check.found())));
    }
  }

  /** A bottle as it was filled. */
  record FilledOut(
      String letter,
      double ml,
      double sizeMl,
      Store.Place place,
      Store.Glass glass,
      Store.Antioxidant antioxidant,
      boolean cappedCold) {
    static FilledOut of(BottleIn bottle) {
      return new FilledOut(
          bottle.letter(),
          bottle.ml(),
          bottle.sizeMl(),
          bottle.place(),
          bottle.glass(),
          bottle.antioxidant(),
          bottle.cappedCold());
    }
  }

  /** How it stood from a moment on. */
  record StoodOut(Instant from, StoreOut store, double sizeMl, boolean opened) {}

  /** Where and how it stands. */
  record StoreOut(
      Store.Place place, Store.Glass glass, Store.Fill fill, Store.Antioxidant antioxidant) {
    static StoreOut of(Store store) {
      return new StoreOut(store.place(), store.glass(), store.fill(), store.antioxidant());
    }
  }

  /** How it was found. */
  record CheckOut(Instant at, FoundOut found) {}

  /** What was smelled and seen. */
  record FoundOut(String bottle, OffSmell off, boolean cloudy, boolean fizzing) {
    static FoundOut of(BottleChecked found) {
      return new FoundOut(found.bottle(), found.off(), found.cloudy(), found.fizzing());
    }
  }
}
