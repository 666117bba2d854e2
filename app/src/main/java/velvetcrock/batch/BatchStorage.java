package velvetcrock.batch;

import java.util.List;
import tools.jackson.databind.node.ObjectNode;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BathToppedUp;
import velvetcrock.core.batch.BottleChecked;
import velvetcrock.core.batch.BottleGone;
import velvetcrock.core.batch.BottleOpened;
import velvetcrock.core.batch.BottleStood;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Capped;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.batch.DampChecked;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.DrawnUnbottled;
import velvetcrock.core.batch.FeltByHand;
import velvetcrock.core.batch.GivenBack;
import velvetcrock.core.batch.HeatAnswered;
import velvetcrock.core.batch.KnobTurned;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.LookedBack;
import velvetcrock.core.batch.MarcWeighed;
import velvetcrock.core.batch.Moved;
import velvetcrock.core.batch.Noted;
import velvetcrock.core.batch.OilPoured;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.RanHot;
import velvetcrock.core.batch.Shaken;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.StoodClear;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.Struck;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.batch.ThrownOut;
import velvetcrock.core.batch.ToppedUp;
import velvetcrock.core.batch.Transferred;
import velvetcrock.core.batch.Turned;
import velvetcrock.ledger.Book;
import velvetcrock.ledger.EventStorage;
import velvetcrock.ledger.StoredEvent;
import velvetcrock.ledger.Subject;
import velvetcrock.ledger.UpCaster;

/** The stored form of every kind of entry. */
public final class BatchStorage implements BatchEvent.Visitor<StoredEvent<BatchEvent>> {
  /** All of them, both ways. */
  public static final EventStorage<BatchEvent> STORAGE =
      new EventStorage<BatchEvent>(
              event -> event.accept(new BatchStorage()),
              StoredJar.class,
              StoredHeat.class,
              StoredStraining.class,
              StoredBottles.class,
              StoredRemarks.class)
          .lifting(
              List.of(
                  new UpCaster("drawn", 1, BatchStorage::forProduct),
                  new UpCaster("drawn-unbottled", 1, BatchStorage::forProduct),
                  new UpCaster("given-back", 1, BatchStorage::forProduct)));

  /** The book of such logs. */
  static final Book<BatchEvent, BatchState> BOOK =
      new Book<>(Subject.BATCH, STORAGE, BatchLog::fold, BatchState.class, 1);

  /** What products drew was once written as drawn for a pot. */
  private static ObjectNode forProduct(ObjectNode data) {
    String what = data.path("what").asString("");
    if (what.startsWith("pot ")) {
      data.put("what", "product " + what.substring("pot ".length()));
    }
    return data;
  }

  @Override
  public StoredEvent<BatchEvent> charged(Charged event) {
    return StoredJar.ChargedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> dampChecked(DampChecked event) {
    return StoredJar.DampCheckedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> oilPoured(OilPoured event) {
    return StoredJar.OilPouredData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> potWeighed(PotWeighed event) {
    return StoredJar.PotWeighedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> transferred(Transferred event) {
    return StoredJar.TransferredData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> shaken(Shaken event) {
    return StoredJar.ShakenData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> turned(Turned event) {
    return StoredJar.TurnedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> allWell(AllWell event) {
    return StoredJar.AllWellData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> looked(Looked event) {
    return StoredJar.LookedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> smelled(Smelled event) {
    return StoredJar.SmelledData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> toppedUp(ToppedUp event) {
    return StoredJar.ToppedUpData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> moved(Moved event) {
    return StoredJar.MovedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> coloured(Coloured event) {
    return StoredJar.ColouredData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> thrownOut(ThrownOut event) {
    return StoredJar.ThrownOutData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> putOnHeat(PutOnHeat event) {
    return StoredHeat.PutOnHeatData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> knobTurned(KnobTurned event) {
    return StoredHeat.KnobTurnedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> takenOffHeat(TakenOffHeat event) {
    return StoredHeat.TakenOffHeatData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> feltByHand(FeltByHand event) {
    return StoredHeat.FeltByHandData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> bathToppedUp(BathToppedUp event) {
    return StoredHeat.BathToppedUpData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> ranHot(RanHot event) {
    return StoredHeat.RanHotData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> heatAnswered(HeatAnswered event) {
    return StoredHeat.HeatAnsweredData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> strained(Strained event) {
    return StoredStraining.StrainedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> marcWeighed(MarcWeighed event) {
    return StoredStraining.MarcWeighedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> decanted(Decanted event) {
    return StoredStraining.DecantedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> stoodClear(StoodClear event) {
    return StoredStraining.StoodClearData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> drawnUnbottled(DrawnUnbottled event) {
    return StoredStraining.DrawnUnbottledData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> bottled(Bottled event) {
    return StoredBottles.BottledData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> capped(Capped event) {
    return StoredBottles.CappedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> drawn(Drawn event) {
    return StoredBottles.DrawnData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> givenBack(GivenBack event) {
    return StoredBottles.GivenBackData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> bottleStood(BottleStood event) {
    return StoredBottles.BottleStoodData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> bottleOpened(BottleOpened event) {
    return StoredBottles.BottleOpenedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> bottleChecked(BottleChecked event) {
    return StoredBottles.BottleCheckedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> bottleGone(BottleGone event) {
    return StoredBottles.BottleGoneData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> noted(Noted event) {
    return StoredRemarks.NotedData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> lookedBack(LookedBack event) {
    return StoredRemarks.LookedBackData.of(event);
  }

  @Override
  public StoredEvent<BatchEvent> struck(Struck event) {
    return StoredRemarks.StruckData.of(event);
  }
}
