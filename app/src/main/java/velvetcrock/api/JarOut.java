package velvetcrock.api;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.api.ChargeOut.StandOut;
import velvetcrock.api.ChargeOut.VesselOut;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.InOil;
import velvetcrock.core.batch.Observations;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.Scent;

/** What is known of a jar, as JSON tells it. */
record JarOut(
    List<StayOut> stays,
    VesselOut vessel,
    int transfers,
    @Nullable RestOut rest,
    List<WeighedOut> weighings,
    double toppedUpMl,
    SeenOut seen,
    TendedOut tended) {

  static JarOut of(BatchState.InJar jar) {
    BatchState.Rest rest = jar.rest();
    return new JarOut(
        jar.stays().stream().map(s -> new StayOut(s.from(), StandOut.of(s.stand()))).toList(),
        VesselOut.of(jar.vessel()),
        jar.transfers(),
        rest == null
            ? null
            : new RestOut(rest.since(), rest.even(), rest.pouredAt(), rest.pouredMl()),
        jar.weighings().stream()
            .map(w -> new WeighedOut(w.at(), w.grossG(), w.toppedUpMl(), w.vessel()))
            .toList(),
        jar.toppedUpMl(),
        SeenOut.of(jar.seen()),
        TendedOut.of(jar.tended()));
  }

  /** A stay in one place. */
  record StayOut(Instant from, StandOut stand) {}

  /** A rest in spirit. */
  record RestOut(
      Instant since, @Nullable Boolean even, @Nullable Instant pouredAt, double pouredMl) {}

  /** Vessel and all on the scale. */
  record WeighedOut(Instant at, double grossG, double toppedUpMl, int vessel) {}

  /** What was last seen and smelled. */
  record SeenOut(
      @Nullable Boolean covered,
      @Nullable Boolean floating,
      @Nullable Bubbles bubbles,
      @Nullable Boolean mould,
      @Nullable Boolean translucent,
      @Nullable Boolean crisp,
      @Nullable Scent scent,
      @Nullable OffSmell offSmell,
      boolean lookAgain,
      InOilOut oil) {
    static SeenOut of(Observations seen) {
      return new SeenOut(
          seen.covered(),
          seen.floating(),
          seen.bubbles(),
          seen.mould(),
          seen.translucent(),
          seen.crisp(),
          seen.scent(),
          seen.offSmell(),
          seen.lookAgain(),
          InOilOut.of(seen.oil()));
    }
  }

  /** What was last seen of water in the oil. */
  record InOilOut(
      @Nullable Boolean still,
      @Nullable Double stillAtC,
      @Nullable Boolean waterLayer,
      @Nullable Boolean cloudy,
      @Nullable Boolean clear) {
    static InOilOut of(InOil oil) {
      return new InOilOut(oil.still(), oil.stillAtC(), oil.waterLayer(), oil.cloudy(), oil.clear());
    }
  }

  /** When it was last tended. */
  record TendedOut(
      @Nullable Instant shakenAt,
      @Nullable Instant turnedAt,
      @Nullable Instant lookedAt,
      @Nullable Instant smelledAt,
      @Nullable Instant toppedUpAt,
      int shakes) {
    static TendedOut of(BatchState.Tending tended) {
      return new TendedOut(
          tended.shakenAt(),
          tended.turnedAt(),
          tended.lookedAt(),
          tended.smelledAt(),
          tended.toppedUpAt(),
          tended.shakes());
    }
  }
}
