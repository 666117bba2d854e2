package velvetcrock.batch;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.StoredInputs.HerbInData;
import velvetcrock.batch.StoredInputs.JarInData;
import velvetcrock.batch.StoredInputs.MannerData;
import velvetcrock.batch.StoredInputs.OilInData;
import velvetcrock.batch.StoredInputs.StandData;
import velvetcrock.core.Range;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.batch.DampChecked;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.JarEvent;
import velvetcrock.core.batch.LeftLonger;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.Moved;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.OilLooked;
import velvetcrock.core.batch.OilPoured;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.Scent;
import velvetcrock.core.batch.Shaken;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.ThrownOut;
import velvetcrock.core.batch.ToppedUp;
import velvetcrock.core.batch.Transferred;
import velvetcrock.core.batch.Turned;
import velvetcrock.core.batch.Visited;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Method;
import velvetcrock.ledger.Door;
import velvetcrock.ledger.Kind;
import velvetcrock.ledger.Stored;
import velvetcrock.ledger.StoredEvent;

/** Entries about the jar, as they are stored. */
interface StoredJar extends JarEvent.Cases<StoredEvent<BatchEvent>> {
  @Override
  default StoredEvent<BatchEvent> charged(Charged event) {
    return ChargedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> dampChecked(DampChecked event) {
    return DampCheckedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> oilPoured(OilPoured event) {
    return OilPouredData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> potWeighed(PotWeighed event) {
    return PotWeighedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> transferred(Transferred event) {
    return TransferredData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> shaken(Shaken event) {
    return ShakenData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> turned(Turned event) {
    return TurnedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> visited(Visited event) {
    return VisitedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> leftLonger(LeftLonger event) {
    return LeftLongerData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> allWell(AllWell event) {
    return AllWellData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> looked(Looked event) {
    return LookedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> oilLooked(OilLooked event) {
    return OilLookedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> smelled(Smelled event) {
    return SmelledData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> toppedUp(ToppedUp event) {
    return ToppedUpData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> moved(Moved event) {
    return MovedData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> coloured(Coloured event) {
    return ColouredData.of(event);
  }

  @Override
  default StoredEvent<BatchEvent> thrownOut(ThrownOut event) {
    return ThrownOutData.of(event);
  }

  @Kind(
      name = "charged",
      says = "The jar was charged, or taken on when it had been charged before.",
      door = Door.ANYBODY)
  record ChargedData(
      Method method,
      List<HerbInData> herbs,
      List<OilInData> carriers,
      @JsonUnwrapped OilData oil,
      @Nullable JarInData jar,
      double coverMm,
      Use use,
      @Nullable StandData stand,
      @JsonUnwrapped BegunData begun,
      boolean cleanAndDry,
      @Nullable MannerData manner)
      implements StoredEvent<BatchEvent> {

    /** The oil that was poured. */
    record OilData(Range oilMl, String oilText) {}

    /** When it was charged, and how well that is known. */
    record BegunData(LocalDate chargedOn, int aboutDays, boolean takenOn) {}

    static ChargedData of(Charged e) {
      return new ChargedData(
          e.method(),
          Stored.each(e.herbs(), HerbInData::of),
          Stored.each(e.carriers(), OilInData::of),
          new ChargedData.OilData(e.oil().oilMl(), e.oil().oilText()),
          JarInData.of(e.jar()),
          e.coverMm(),
          e.use(),
          StandData.of(e.stand()),
          new ChargedData.BegunData(
              e.begun().chargedOn(), e.begun().aboutDays(), e.begun().takenOn()),
          e.cleanAndDry(),
          e.manner() == null ? null : MannerData.of(e.manner()));
    }

    @Override
    public BatchEvent event() {
      return new Charged(
          method,
          Stored.each(herbs, HerbInData::value),
          Stored.each(carriers, OilInData::value),
          new Charged.Oil(oil.oilMl(), oil.oilText()),
          jar == null ? null : jar.value(),
          coverMm,
          use,
          stand == null ? null : stand.value(),
          new Charged.Begun(begun.chargedOn(), begun.aboutDays(), begun.takenOn()),
          cleanAndDry,
          manner == null ? null : manner.value());
    }
  }

  @Kind(name = "damp-checked", says = "The resting herb was looked at.", door = Door.ANYBODY)
  record DampCheckedData(boolean even) implements StoredEvent<BatchEvent> {
    static DampCheckedData of(DampChecked e) {
      return new DampCheckedData(e.even());
    }

    @Override
    public BatchEvent event() {
      return new DampChecked(even);
    }
  }

  @Kind(
      name = "oil-poured",
      says = "The rest is over and the oil was poured on.",
      door = Door.ANYBODY)
  record OilPouredData(double oilMl, String text, @Nullable Double grossG)
      implements StoredEvent<BatchEvent> {
    static OilPouredData of(OilPoured e) {
      return new OilPouredData(e.oilMl(), e.text(), e.grossG());
    }

    @Override
    public BatchEvent event() {
      return new OilPoured(oilMl, text, grossG);
    }
  }

  @Kind(
      name = "pot-weighed",
      says = "Vessel and all were weighed, to see how much water or spirit has left.",
      door = Door.ANYBODY)
  record PotWeighedData(double grossG, String text) implements StoredEvent<BatchEvent> {
    static PotWeighedData of(PotWeighed e) {
      return new PotWeighedData(e.grossG(), e.text());
    }

    @Override
    public BatchEvent event() {
      return new PotWeighed(grossG, text);
    }
  }

  @Kind(
      name = "oil-looked",
      says = "The oil was looked at for water, in the pot or after the cloth.",
      door = Door.ANYBODY)
  record OilLookedData(
      @Nullable Boolean still,
      @Nullable Double atC,
      @Nullable Boolean crisp,
      @Nullable Boolean waterLayer,
      @Nullable Boolean cloudy,
      boolean overnight)
      implements StoredEvent<BatchEvent> {
    static OilLookedData of(OilLooked e) {
      return new OilLookedData(
          e.still(), e.atC(), e.crisp(), e.waterLayer(), e.cloudy(), e.overnight());
    }

    @Override
    public BatchEvent event() {
      return new OilLooked(still, atC, crisp, waterLayer, cloudy, overnight);
    }
  }

  @Kind(name = "transferred", says = "All of it was put into another vessel.", door = Door.ANYBODY)
  record TransferredData(@Nullable JarInData jar) implements StoredEvent<BatchEvent> {
    static TransferredData of(Transferred e) {
      return new TransferredData(JarInData.of(e.jar()));
    }

    @Override
    public BatchEvent event() {
      return new Transferred(jar == null ? null : jar.value());
    }
  }

  @Kind(name = "shaken", says = "Shaken.", door = Door.ANYBODY)
  record ShakenData() implements StoredEvent<BatchEvent> {
    static ShakenData of(Shaken e) {
      return new ShakenData();
    }

    @Override
    public BatchEvent event() {
      return new Shaken();
    }
  }

  @Kind(
      name = "turned",
      says = "Turned upside down, or the herb pressed under.",
      door = Door.ANYBODY)
  record TurnedData(@JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Integer days)
      implements StoredEvent<BatchEvent> {
    static TurnedData of(Turned e) {
      return new TurnedData(e.days() == 0 ? null : e.days());
    }

    @Override
    public BatchEvent event() {
      return new Turned(days == null ? 0 : days);
    }
  }

  @Kind(
      name = "visited",
      says = "Visited: just what of shaking, level, looking and smelling was done.",
      door = Door.ANYBODY)
  record VisitedData(List<Visited.Act> acts) implements StoredEvent<BatchEvent> {
    static VisitedData of(Visited e) {
      return new VisitedData(List.copyOf(e.acts()));
    }

    @Override
    public BatchEvent event() {
      return new Visited(Set.copyOf(acts));
    }
  }

  @Kind(
      name = "left-longer",
      says = "Left longer on purpose, until a moment ahead, and why.",
      door = Door.ANYBODY)
  record LeftLongerData(Instant until, String why) implements StoredEvent<BatchEvent> {
    static LeftLongerData of(LeftLonger e) {
      return new LeftLongerData(e.until(), e.why());
    }

    @Override
    public BatchEvent event() {
      return new LeftLonger(until, why);
    }
  }

  @Kind(
      name = "all-well",
      says = "All well in one go: shaken, covered, smells right.",
      door = Door.ANYBODY)
  record AllWellData() implements StoredEvent<BatchEvent> {
    static AllWellData of(AllWell e) {
      return new AllWellData();
    }

    @Override
    public BatchEvent event() {
      return new AllWell();
    }
  }

  @Kind(name = "looked", says = "Looked at; what was not looked for is null.", door = Door.ANYBODY)
  record LookedData(
      @Nullable Boolean covered,
      @Nullable Boolean floating,
      @Nullable Bubbles bubbles,
      @Nullable Boolean mould,
      @Nullable Boolean translucent,
      @Nullable Boolean crisp)
      implements StoredEvent<BatchEvent> {
    static LookedData of(Looked e) {
      return new LookedData(
          e.covered(), e.floating(), e.bubbles(), e.mould(), e.translucent(), e.crisp());
    }

    @Override
    public BatchEvent event() {
      return new Looked(covered, floating, bubbles, mould, translucent, crisp);
    }
  }

  @Kind(
      name = "smelled",
      says = "Smelled at; the herb's scent apart from anything that is off.",
      door = Door.ANYBODY)
  record SmelledData(@Nullable Scent scent, @Nullable OffSmell off)
      implements StoredEvent<BatchEvent> {
    static SmelledData of(Smelled e) {
      return new SmelledData(e.scent(), e.off());
    }

    @Override
    public BatchEvent event() {
      return new Smelled(scent, off);
    }
  }

  @Kind(name = "topped-up", says = "Oil was added until the herb was covered.", door = Door.ANYBODY)
  record ToppedUpData(double ml, String carrier, String text) implements StoredEvent<BatchEvent> {
    static ToppedUpData of(ToppedUp e) {
      return new ToppedUpData(e.ml(), e.carrier(), e.text());
    }

    @Override
    public BatchEvent event() {
      return new ToppedUp(ml, carrier, text);
    }
  }

  @Kind(name = "moved", says = "Carried to another place.", door = Door.ANYBODY)
  record MovedData(@Nullable StandData stand) implements StoredEvent<BatchEvent> {
    static MovedData of(Moved e) {
      return new MovedData(StandData.of(e.stand()));
    }

    @Override
    public BatchEvent event() {
      return new Moved(stand == null ? null : stand.value());
    }
  }

  @Kind(name = "coloured", says = "Its colour was seen.", door = Door.ANYBODY)
  record ColouredData(Rgb colour, boolean plain, @Nullable UUID photo)
      implements StoredEvent<BatchEvent> {
    static ColouredData of(Coloured e) {
      return new ColouredData(e.colour(), e.plain(), e.photo());
    }

    @Override
    public BatchEvent event() {
      return new Coloured(colour, plain, photo);
    }
  }

  @Kind(
      name = "thrown-out",
      says = "The whole jar was thrown out before it was strained.",
      door = Door.ANYBODY)
  record ThrownOutData(Ending reason) implements StoredEvent<BatchEvent> {
    static ThrownOutData of(ThrownOut e) {
      return new ThrownOutData(e.reason());
    }

    @Override
    public BatchEvent event() {
      return new ThrownOut(reason);
    }
  }
}
