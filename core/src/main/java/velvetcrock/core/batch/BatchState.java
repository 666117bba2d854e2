package velvetcrock.core.batch;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.heat.Assumed;

/**
 * What a log says of its batch.
 *
 * @param jar what is known of the jar
 * @param heat its times on the heat and what came of them
 * @param colours the colours that were seen
 * @param out what came out of the cloth; null until it is strained
 * @param bottles its bottles, in the order in which they were filled
 * @param end how it was thrown out as a jar; null if it was not
 * @param corrections how many entries replace another
 * @param entries how many entries there are
 */
public record BatchState(
    Status status,
    Charged charge,
    InJar jar,
    Heat heat,
    Colours colours,
    @Nullable Out out,
    List<BottleState> bottles,
    @Nullable End end,
    int corrections,
    int entries) {

  /**
   * What is known of a jar.
   *
   * @param stays where it has stood, oldest first; the last is where it stands
   * @param vessel what it stands in now
   * @param transfers how often it changed vessels
   * @param rest how the rest in spirit goes or went; null where there is none
   * @param weighings vessel and all as weighed since the oil went in, oldest first
   * @param toppedUpMl oil added since charging, ml
   * @param seen what was last seen and smelled
   * @param tended when it was last tended
   */
  public record InJar(
      List<Stay> stays,
      JarIn vessel,
      int transfers,
      @Nullable Rest rest,
      List<Weighed> weighings,
      double toppedUpMl,
      Observations seen,
      Tending tended,
      @Nullable Left left) {
    /** Copies the lists. */
    public InJar {
      stays = List.copyOf(stays);
      weighings = List.copyOf(weighings);
    }
  }

  /**
   * It is left longer, on purpose.
   *
   * @param until when it is looked at again
   * @param why in words; may be empty
   */
  public record Left(Instant until, String why) {}

  /** What was decided of leaving it longer; null where nothing was. */
  public @Nullable Left left() {
    return jar.left();
  }

  /**
   * What came out of the cloth.
   *
   * @param remains what was weighed of what stayed behind
   * @param usedMl what was used straight from the cloth, of what is in no bottle, ml
   */
  public record Out(Instant at, Strained strained, Remains remains, double usedMl) {}

  /** How a jar was thrown out. */
  public record End(Instant at, Ending because) {}

  /** Where the jar has stood, oldest first; the last is where it stands. */
  public List<Stay> stays() {
    return jar.stays();
  }

  /** What the jar stands in now. */
  public JarIn vessel() {
    return jar.vessel();
  }

  /** How often it changed vessels. */
  public int transfers() {
    return jar.transfers();
  }

  /** How the rest in spirit goes or went; null where there is none. */
  public @Nullable Rest rest() {
    return jar.rest();
  }

  /** Vessel and all as weighed since the oil went in, oldest first. */
  public List<Weighed> weighings() {
    return jar.weighings();
  }

  /** Oil added since charging, ml. */
  public double toppedUpMl() {
    return jar.toppedUpMl();
  }

  /** What was last seen and smelled. */
  public Observations seen() {
    return jar.seen();
  }

  /** When it was last tended. */
  public Tending tended() {
    return jar.tended();
  }

  /** When it was strained; null until it is. */
  public @Nullable Instant strainedAt() {
    return out == null ? null : out.at();
  }

  /** The straining; null until it is. */
  public @Nullable Strained strained() {
    return out == null ? null : out.strained();
  }

  /** What was weighed of what stayed behind when it was strained. */
  public Remains remains() {
    return out == null ? Remains.none() : out.remains();
  }

  /** What was used straight from the cloth, of what is in no bottle, ml. */
  public double usedMl() {
    return out == null ? 0 : out.usedMl();
  }

  /** When it was thrown out as a jar; null if it was not. */
  public @Nullable Instant endedAt() {
    return end == null ? null : end.at();
  }

  /** Why; null if it was not. */
  public @Nullable Ending endedBecause() {
    return end == null ? null : end.because();
  }

  /** Density of water, g/ml. */
  private static final double WATER_G_PER_ML = 1;

  /**
   * Colours seen.
   *
   * @param plain the plain carrier as it was last seen; null where nobody looked
   * @param seen the oil's, oldest first
   */
  public record Colours(@Nullable Rgb plain, List<ColourStory.Seen> seen) {
    /** Copies the list. */
    public Colours {
      seen = List.copyOf(seen);
    }

    static Colours none() {
      return new Colours(null, List.of());
    }

    Colours and(Coloured look, Instant at) {
      if (look.plain()) {
        return new Colours(look.colour(), seen);
      }
      List<ColourStory.Seen> all = new ArrayList<>(seen);
      all.add(new ColourStory.Seen(at, look.colour()));
      return new Colours(plain, all);
    }
  }

  /** Where in its life a batch is. */
  public enum Status {
    /** Dampened with spirit and resting, before the oil. */
    RESTING,
    /** In the jar. */
    INFUSING,
    /** Strained and not yet bottled. */
    STRAINED,
    /** In bottles. */
    BOTTLED,
    /** Every bottle at its end. */
    FINISHED,
    /** Thrown out before it was strained. */
    THROWN_OUT
  }

  /**
   * A rest in spirit.
   *
   * @param since when the herb was dampened
   * @param even whether it was last seen evenly damp; null if nobody has looked
   * @param pouredAt when the oil followed; null while it rests
   * @param pouredMl how much oil followed, ml; 0 while it rests
   */
  public record Rest(
      Instant since, @Nullable Boolean even, @Nullable Instant pouredAt, double pouredMl) {}

  /**
   * Vessel and all on the scale.
   *
   * @param grossG what they weighed, g
   * @param toppedUpMl oil that had been topped up by then, ml
   * @param vessel how often it had changed vessels by then
   */
  public record Weighed(Instant at, double grossG, double toppedUpMl, int vessel) {}

  /**
   * What was done on the heat.
   *
   * @param stints times on it, oldest first
   * @param felt what hands felt, oldest first
   * @param excursions stretches above the ceiling, oldest first
   */
  public record Heat(List<Stint> stints, List<Felt> felt, List<Excursion> excursions) {
    /** Copies the lists. */
    public Heat {
      stints = List.copyOf(stints);
      felt = List.copyOf(felt);
      excursions = List.copyOf(excursions);
    }

    static Heat none() {
      return new Heat(List.of(), List.of(), List.of());
    }

    /** The time on the heat that lasts still. */
    public Optional<Stint> now() {
      return stints.isEmpty() || stints.get(stints.size() - 1).off() != null
          ? Optional.empty()
          : Optional.of(stints.get(stints.size() - 1));
    }

    /** Hours on the heat in all until a moment. */
    public double hours(Instant until) {
      return stints.stream().mapToDouble(s -> s.hours(until)).sum();
    }
  }

  /**
   * A time on the heat.
   *
   * @param off when it ended; null while it lasts
   * @param turns of the knob, the first when it was put on
   * @param bath its water bath; null where there is none
   * @param filledAt when the bath was last full; null where there is none
   */
  public record Stint(
      Instant on,
      @Nullable Instant off,
      Heater heater,
      List<Turn> turns,
      @Nullable Bath bath,
      @Nullable Instant filledAt) {
    /** Copies the list. */
    public Stint {
      turns = List.copyOf(turns);
    }

    /** Where the knob is, or was at the end. */
    public Knob knob() {
      return turns.get(turns.size() - 1).knob();
    }

    /** How long it has lasted, h. */
    public double hours(Instant until) {
      Instant end = off == null || off.isAfter(until) ? until : off;
      return Math.max(0, ChronoUnit.MILLIS.between(on, end) / 3_600_000.0);
    }

    /** When the bath wants water; empty where there is none or nothing leaves it. */
    public Optional<Instant> topUpBy() {
      if (bath == null || filledAt == null) {
        return Optional.empty();
      }
      double minutes = bath.bath(heater.kind().burner()).minutesToTopUp();
      return Double.isInfinite(minutes)
          ? Optional.empty()
          : Optional.of(filledAt.plusSeconds(Math.round(minutes * 60)));
    }

    Stint ended(Instant at) {
      return new Stint(on, at, heater, turns, bath, filledAt);
    }

    Stint turned(Turn turn) {
      List<Turn> all = new ArrayList<>(turns);
      all.add(turn);
      return new Stint(on, off, heater, all, bath, filledAt);
    }

    Stint filled(Instant at) {
      return new Stint(on, off, heater, turns, bath, at);
    }
  }

  /** A turn of the knob. */
  public record Turn(Instant at, Knob knob) {}

  /** What a hand felt. */
  public record Felt(Instant at, Assumed.HandTest test) {}

  /**
   * A stretch above the ceiling.
   *
   * @param to when it came down; null while it lasts
   * @param answer what was done; null while nobody has answered
   */
  public record Excursion(
      Instant from,
      @Nullable Instant to,
      double peakC,
      double ceilingC,
      @Nullable HeatAnswer answer) {}

  /**
   * What stayed behind.
   *
   * @param marcG the marc, g; null where nobody weighed it
   * @param sedimentG sediment, g; 0 where none was left
   * @param waterG a layer of water, g; 0 where none was left
   * @param filmG film that was weighed, g; 0 where nobody did
   * @param clearMl the clear oil as it was last measured after decanting, ml; null where nobody did
   * @param settled whether it has stood overnight and been seen to
   */
  public record Remains(
      @Nullable Double marcG,
      double sedimentG,
      double waterG,
      double filmG,
      @Nullable Double clearMl,
      @Nullable Boolean settled) {
    static Remains none() {
      return new Remains(null, 0, 0, 0, null, null);
    }

    Remains marc(double massG) {
      return new Remains(massG, sedimentG, waterG, filmG, clearMl, settled);
    }

    Remains clear() {
      return new Remains(marcG, sedimentG, waterG, filmG, clearMl, true);
    }

    Remains left(Decanted left) {
      double massG = left.massG();
      Double clear = left.clearMl() == null ? clearMl : left.clearMl();
      return switch (left.what()) {
        case SEDIMENT -> new Remains(marcG, sedimentG + massG, waterG, filmG, clear, true);
        case WATER -> new Remains(marcG, sedimentG, waterG + massG, filmG, clear, true);
        case FILM -> new Remains(marcG, sedimentG, waterG, filmG + massG, clear, settled);
      };
    }
  }

  /** A stay in one place from a time on. */
  public record Stay(Instant from, Stand stand) {}

  /** When it was last tended, and how often it was shaken. */
  public record Tending(
      @Nullable Instant shakenAt,
      @Nullable Instant turnedAt,
      @Nullable Instant onItsLidUntil,
      @Nullable Instant lookedAt,
      @Nullable Instant smelledAt,
      @Nullable Instant toppedUpAt,
      @Nullable Instant levelAt,
      int shakes) {
    static Tending none() {
      return new Tending(null, null, null, null, null, null, null, 0);
    }

    Tending shaken(Instant at) {
      return new Tending(
          at, turnedAt, onItsLidUntil, lookedAt, smelledAt, toppedUpAt, levelAt, shakes + 1);
    }

    Tending turned(Instant at, @Nullable Instant until) {
      return new Tending(shakenAt, at, until, lookedAt, smelledAt, toppedUpAt, levelAt, shakes);
    }

    Tending looked(Instant at) {
      return new Tending(
          shakenAt, turnedAt, onItsLidUntil, at, smelledAt, toppedUpAt, levelAt, shakes);
    }

    Tending smelled(Instant at) {
      return new Tending(
          shakenAt, turnedAt, onItsLidUntil, lookedAt, at, toppedUpAt, levelAt, shakes);
    }

    Tending toppedUp(Instant at) {
      return new Tending(
          shakenAt, turnedAt, onItsLidUntil, lookedAt, smelledAt, at, levelAt, shakes);
    }

    Tending levelled(Instant at) {
      return new Tending(
          shakenAt, turnedAt, onItsLidUntil, lookedAt, smelledAt, toppedUpAt, at, shakes);
    }

    /** When it was visited last, for whatever; null where it never was. */
    public @Nullable Instant visitedAt() {
      return Stream.of(shakenAt, turnedAt, lookedAt, smelledAt, toppedUpAt, levelAt)
          .filter(Objects::nonNull)
          .max(Instant::compareTo)
          .orElse(null);
    }
  }

  /** Whether the jar still stands on the shelf. */
  public boolean standing() {
    return status == Status.RESTING || status == Status.INFUSING || status == Status.STRAINED;
  }

  /** Oil that has gone in so far, or is meant to after the rest, with all top-ups; ml. */
  public Range oilMl() {
    Range first =
        rest() != null && rest().pouredAt() != null
            ? Range.exactly(rest().pouredMl())
            : charge.oil().oilMl();
    return first.plus(Range.exactly(toppedUpMl()));
  }

  /** Where the jar stands, or last stood. */
  public Stand stand() {
    return stays().get(stays().size() - 1).stand();
  }

  /** Days since charging, by the household's calendar; 0 on the day itself. */
  public long day(LocalDate today) {
    return ChronoUnit.DAYS.between(charge.begun().chargedOn(), today);
  }

  /** A bottle by its letter. */
  public Optional<BottleState> bottle(String letter) {
    return bottles.stream().filter(b -> b.letter().equals(letter)).findFirst();
  }

  /**
   * The clear oil: what was measured after decanting, or else what was strained less the sediment
   * and water that were left behind since; ml, 0 before straining.
   *
   * @param density the oil's, g/ml
   */
  public double clearMl(double density) {
    if (out == null) {
      return 0;
    }
    Double measured = remains().clearMl();
    double left = remains().sedimentG() / density + remains().waterG() / WATER_G_PER_ML;
    return measured != null ? measured : Math.max(0, out.strained().oilMl() - left);
  }

  /** Clear oil not yet in a bottle, ml; 0 before straining. */
  public double unbottledMl(double density) {
    double bottled = bottles.stream().mapToDouble(b -> b.filled().ml()).sum();
    return Math.max(0, clearMl(density) - bottled - usedMl());
  }
}
