package velvetcrock.batch;

import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.StoredInputs.BottleInData;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BottleChecked;
import velvetcrock.core.batch.BottleEvent;
import velvetcrock.core.batch.BottleGone;
import velvetcrock.core.batch.BottleOpened;
import velvetcrock.core.batch.BottleStood;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Capped;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.GivenBack;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.keeping.Store;
import velvetcrock.ledger.Door;
import velvetcrock.ledger.Kind;
import velvetcrock.ledger.Stored;
import velvetcrock.ledger.StoredEvent;

/** Entries about bottles, as they are stored. */
interface StoredBottles extends BottleEvent.Cases<StoredEvent<BatchEvent>> {
  @Override
  default StoredEvent<BatchEvent> bottled(Bottled event) {
    return BottledData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> capped(Capped event) {
    return CappedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> drawn(Drawn event) {
    return DrawnData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> givenBack(GivenBack event) {
    return GivenBackData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> bottleStood(BottleStood event) {
    return BottleStoodData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> bottleOpened(BottleOpened event) {
    return BottleOpenedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> bottleChecked(BottleChecked event) {
    return BottleCheckedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> bottleGone(BottleGone event) {
    return BottleGoneData.of(event);
  }

  @Kind(name = "bottled", says = "Bottled, into one or more bottles.", door = Door.ANYBODY)
  record BottledData(List<BottleInData> bottles) implements StoredEvent<BatchEvent> {
    static BottledData of(Bottled e) {
      return new BottledData(Stored.each(e.bottles(), BottleInData::of));
    }

    @Override
    public BatchEvent event() {
      return new Bottled(Stored.each(bottles, BottleInData::value));
    }
  }

  @Kind(
      name = "capped",
      says = "The bottles that stood open to cool were capped.",
      door = Door.ANYBODY)
  record CappedData() implements StoredEvent<BatchEvent> {
    static CappedData of(Capped e) {
      return new CappedData();
    }

    @Override
    public BatchEvent event() {
      return new Capped();
    }
  }

  @Kind(name = "drawn", version = 2, says = "Some was drawn off a bottle.", door = Door.ANYBODY)
  record DrawnData(String bottle, double ml, String text, String what)
      implements StoredEvent<BatchEvent> {
    static DrawnData of(Drawn e) {
      return new DrawnData(e.bottle(), e.ml(), e.text(), e.what());
    }

    @Override
    public BatchEvent event() {
      return new Drawn(bottle, ml, text, what);
    }
  }

  @Kind(
      name = "given-back",
      version = 2,
      says = "Some that had been drawn came back.",
      door = Door.ANYBODY)
  record GivenBackData(@Nullable String bottle, double ml, String what)
      implements StoredEvent<BatchEvent> {
    static GivenBackData of(GivenBack e) {
      return new GivenBackData(e.bottle(), e.ml(), e.what());
    }

    @Override
    public BatchEvent event() {
      return new GivenBack(bottle, ml, what);
    }
  }

  @Kind(
      name = "bottle-stood",
      says =
          "It stands otherwise from now on: elsewhere, in other glass, in a bottle of another size, or with an antioxidant stirred in.",
      door = Door.ANYBODY)
  record BottleStoodData(
      String bottle,
      Store.Place place,
      Store.Glass glass,
      double sizeMl,
      Store.Antioxidant antioxidant)
      implements StoredEvent<BatchEvent> {
    static BottleStoodData of(BottleStood e) {
      return new BottleStoodData(e.bottle(), e.place(), e.glass(), e.sizeMl(), e.antioxidant());
    }

    @Override
    public BatchEvent event() {
      return new BottleStood(bottle, place, glass, sizeMl, antioxidant);
    }
  }

  @Kind(name = "bottle-opened", says = "It was opened for the first time.", door = Door.ANYBODY)
  record BottleOpenedData(String bottle) implements StoredEvent<BatchEvent> {
    static BottleOpenedData of(BottleOpened e) {
      return new BottleOpenedData(e.bottle());
    }

    @Override
    public BatchEvent event() {
      return new BottleOpened(bottle);
    }
  }

  @Kind(name = "bottle-checked", says = "It was smelled at and looked at.", door = Door.ANYBODY)
  record BottleCheckedData(String bottle, OffSmell off, boolean cloudy, boolean fizzing)
      implements StoredEvent<BatchEvent> {
    static BottleCheckedData of(BottleChecked e) {
      return new BottleCheckedData(e.bottle(), e.off(), e.cloudy(), e.fizzing());
    }

    @Override
    public BatchEvent event() {
      return new BottleChecked(bottle, off, cloudy, fizzing);
    }
  }

  @Kind(name = "bottle-gone", says = "A bottle came to its end.", door = Door.ANYBODY)
  record BottleGoneData(String bottle, Ending reason) implements StoredEvent<BatchEvent> {
    static BottleGoneData of(BottleGone e) {
      return new BottleGoneData(e.bottle(), e.reason());
    }

    @Override
    public BatchEvent event() {
      return new BottleGone(bottle, reason);
    }
  }
}
