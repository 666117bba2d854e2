package velvetcrock.drawer;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.drawer.LotAdded;
import velvetcrock.core.drawer.LotCounted;
import velvetcrock.core.drawer.LotDescribed;
import velvetcrock.core.drawer.LotEnded;
import velvetcrock.core.drawer.LotEnding;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.drawer.LotGivenBack;
import velvetcrock.core.drawer.LotOpened;
import velvetcrock.core.drawer.LotPicked;
import velvetcrock.core.drawer.LotStruck;
import velvetcrock.core.drawer.LotTaken;
import velvetcrock.drawer.StoredDetails.LotDetailsData;
import velvetcrock.ledger.Door;
import velvetcrock.ledger.Kind;
import velvetcrock.ledger.StoredEvent;

/** Entries about a lot, as they are stored. */
interface StoredLot extends LotEvent.Visitor<StoredEvent<LotEvent>> {
  @Override
  default StoredEvent<LotEvent> lotAdded(LotAdded event) {
    return LotAddedData.of(event);
  }

  @Override
  default StoredEvent<LotEvent> lotPicked(LotPicked event) {
    return LotPickedData.of(event);
  }

  @Override
  default StoredEvent<LotEvent> lotTaken(LotTaken event) {
    return LotTakenData.of(event);
  }

  @Override
  default StoredEvent<LotEvent> lotGivenBack(LotGivenBack event) {
    return LotGivenBackData.of(event);
  }

  @Override
  default StoredEvent<LotEvent> lotCounted(LotCounted event) {
    return LotCountedData.of(event);
  }

  @Override
  default StoredEvent<LotEvent> lotDescribed(LotDescribed event) {
    return LotDescribedData.of(event);
  }

  @Override
  default StoredEvent<LotEvent> lotOpened(LotOpened event) {
    return LotOpenedData.of(event);
  }

  @Override
  default StoredEvent<LotEvent> lotEnded(LotEnded event) {
    return LotEndedData.of(event);
  }

  @Override
  default StoredEvent<LotEvent> lotStruck(LotStruck event) {
    return LotStruckData.of(event);
  }

  @Kind(name = "added", says = "It was put into the drawer.", door = Door.ANYBODY)
  record LotAddedData(@Nullable LotDetailsData details, double amount, String text)
      implements StoredEvent<LotEvent> {
    static LotAddedData of(LotAdded e) {
      return new LotAddedData(LotDetailsData.of(e.details()), e.amount(), e.text());
    }

    @Override
    public LotEvent event() {
      return new LotAdded(details == null ? null : details.value(), amount, text);
    }
  }

  @Kind(name = "picked", says = "More of it was picked.", door = Door.ANYBODY)
  record LotPickedData(double amount, String text, LocalDate on) implements StoredEvent<LotEvent> {
    static LotPickedData of(LotPicked e) {
      return new LotPickedData(e.amount(), e.text(), e.on());
    }

    @Override
    public LotEvent event() {
      return new LotPicked(amount, text, on);
    }
  }

  @Kind(name = "taken", version = 2, says = "Some went into something.", door = Door.ANYBODY)
  record LotTakenData(double amount, String what) implements StoredEvent<LotEvent> {
    static LotTakenData of(LotTaken e) {
      return new LotTakenData(e.amount(), e.what());
    }

    @Override
    public LotEvent event() {
      return new LotTaken(amount, what);
    }
  }

  @Kind(
      name = "given-back",
      version = 2,
      says = "Some that had been taken came back.",
      door = Door.ANYBODY)
  record LotGivenBackData(double amount, String what) implements StoredEvent<LotEvent> {
    static LotGivenBackData of(LotGivenBack e) {
      return new LotGivenBackData(e.amount(), e.what());
    }

    @Override
    public LotEvent event() {
      return new LotGivenBack(amount, what);
    }
  }

  @Kind(
      name = "counted",
      says = "It was counted or weighed: so much there is, whatever was reckoned.",
      door = Door.ANYBODY)
  record LotCountedData(double amount, String text) implements StoredEvent<LotEvent> {
    static LotCountedData of(LotCounted e) {
      return new LotCountedData(e.amount(), e.text());
    }

    @Override
    public LotEvent event() {
      return new LotCounted(amount, text);
    }
  }

  @Kind(name = "described", says = "What it is was said anew.", door = Door.ANYBODY)
  record LotDescribedData(@Nullable LotDetailsData details) implements StoredEvent<LotEvent> {
    static LotDescribedData of(LotDescribed e) {
      return new LotDescribedData(LotDetailsData.of(e.details()));
    }

    @Override
    public LotEvent event() {
      return new LotDescribed(details == null ? null : details.value());
    }
  }

  @Kind(name = "opened", says = "It was opened.", door = Door.ANYBODY)
  record LotOpenedData(LocalDate on) implements StoredEvent<LotEvent> {
    static LotOpenedData of(LotOpened e) {
      return new LotOpenedData(e.on());
    }

    @Override
    public LotEvent event() {
      return new LotOpened(on);
    }
  }

  @Kind(name = "ended", says = "It is no more.", door = Door.ANYBODY)
  record LotEndedData(LotEnding reason) implements StoredEvent<LotEvent> {
    static LotEndedData of(LotEnded e) {
      return new LotEndedData(e.reason());
    }

    @Override
    public LotEvent event() {
      return new LotEnded(reason);
    }
  }

  @Kind(
      name = "struck",
      says = "Nothing: takes back the entry that it replaces.",
      door = Door.ANYBODY)
  record LotStruckData() implements StoredEvent<LotEvent> {
    static LotStruckData of(LotStruck e) {
      return new LotStruckData();
    }

    @Override
    public LotEvent event() {
      return new LotStruck();
    }
  }
}
