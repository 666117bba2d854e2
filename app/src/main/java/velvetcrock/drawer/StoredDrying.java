package velvetcrock.drawer;

import java.util.UUID;
import velvetcrock.core.drawer.DryingBegun;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.DryingStruck;
import velvetcrock.core.drawer.LoadThrownOut;
import velvetcrock.core.drawer.LoadWeighed;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.drawer.PutAway;
import velvetcrock.core.drawer.Snap;
import velvetcrock.core.drawer.Snapped;
import velvetcrock.core.drawer.WaterKnown;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.moisture.DryingCurve.Way;
import velvetcrock.ledger.Door;
import velvetcrock.ledger.Kind;
import velvetcrock.ledger.StoredEvent;

/** Entries about a load that dries, as they are stored. */
interface StoredDrying extends DryingEvent.Visitor<StoredEvent<DryingEvent>> {
  @Override
  default StoredEvent<DryingEvent> dryingBegun(DryingBegun event) {
    return DryingBegunData.of(event);
  }

  @Override
  default StoredEvent<DryingEvent> loadWeighed(LoadWeighed event) {
    return LoadWeighedData.of(event);
  }

  @Override
  default StoredEvent<DryingEvent> snapped(Snapped event) {
    return SnappedData.of(event);
  }

  @Override
  default StoredEvent<DryingEvent> waterKnown(WaterKnown event) {
    return WaterKnownData.of(event);
  }

  @Override
  default StoredEvent<DryingEvent> putAway(PutAway event) {
    return PutAwayData.of(event);
  }

  @Override
  default StoredEvent<DryingEvent> loadThrownOut(LoadThrownOut event) {
    return LoadThrownOutData.of(event);
  }

  @Override
  default StoredEvent<DryingEvent> dryingStruck(DryingStruck event) {
    return DryingStruckData.of(event);
  }

  @Kind(name = "begun", says = "It was hung up or spread.", door = Door.ANYBODY)
  record DryingBegunData(
      String herb,
      Part part,
      Cut cut,
      Way way,
      double freshG,
      String text,
      double waterFraction,
      Origin origin,
      String from)
      implements StoredEvent<DryingEvent> {
    static DryingBegunData of(DryingBegun e) {
      return new DryingBegunData(
          e.herb(),
          e.part(),
          e.cut(),
          e.way(),
          e.freshG(),
          e.text(),
          e.waterFraction(),
          e.origin(),
          e.from());
    }

    @Override
    public DryingEvent event() {
      return new DryingBegun(herb, part, cut, way, freshG, text, waterFraction, origin, from);
    }
  }

  @Kind(name = "weighed", says = "It was weighed.", door = Door.ANYBODY)
  record LoadWeighedData(double massG, String text) implements StoredEvent<DryingEvent> {
    static LoadWeighedData of(LoadWeighed e) {
      return new LoadWeighedData(e.massG(), e.text());
    }

    @Override
    public DryingEvent event() {
      return new LoadWeighed(massG, text);
    }
  }

  @Kind(name = "snapped", says = "Leaf and stem were bent.", door = Door.ANYBODY)
  record SnappedData(Snap snap) implements StoredEvent<DryingEvent> {
    static SnappedData of(Snapped e) {
      return new SnappedData(e.snap());
    }

    @Override
    public DryingEvent event() {
      return new Snapped(snap);
    }
  }

  @Kind(
      name = "water-known",
      says = "Its fresh water content turned out to be another.",
      door = Door.ANYBODY)
  record WaterKnownData(double waterFraction) implements StoredEvent<DryingEvent> {
    static WaterKnownData of(WaterKnown e) {
      return new WaterKnownData(e.waterFraction());
    }

    @Override
    public DryingEvent event() {
      return new WaterKnown(waterFraction);
    }
  }

  @Kind(
      name = "put-away",
      says = "Put away as a lot: dry, or wilted on the way there.",
      door = Door.ANYBODY)
  record PutAwayData(double massG, double waterFraction, UUID lot, HerbState state)
      implements StoredEvent<DryingEvent> {
    static PutAwayData of(PutAway e) {
      return new PutAwayData(e.massG(), e.waterFraction(), e.lot(), e.state());
    }

    @Override
    public DryingEvent event() {
      return new PutAway(massG, waterFraction, lot, state);
    }
  }

  @Kind(name = "thrown-out", says = "Spoiled or given up.", door = Door.ANYBODY)
  record LoadThrownOutData() implements StoredEvent<DryingEvent> {
    static LoadThrownOutData of(LoadThrownOut e) {
      return new LoadThrownOutData();
    }

    @Override
    public DryingEvent event() {
      return new LoadThrownOut();
    }
  }

  @Kind(
      name = "struck",
      says = "Nothing: takes back the entry that it replaces.",
      door = Door.ANYBODY)
  record DryingStruckData() implements StoredEvent<DryingEvent> {
    static DryingStruckData of(DryingStruck e) {
      return new DryingStruckData();
    }

    @Override
    public DryingEvent event() {
      return new DryingStruck();
    }
  }
}
