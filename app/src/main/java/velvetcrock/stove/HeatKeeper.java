package velvetcrock.stove;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.LoggedEntry;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.RanHot;
import velvetcrock.core.heat.HeatStatistics;
import velvetcrock.core.heat.Series;
import velvetcrock.core.heat.Settled;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.kitchen.Appliances;

/**
 * Writes down what readings show: times above the ceiling into the batch's log, and what a setting
 * turned out to be beside its appliance.
 */
@Service
class HeatKeeper {
  private static final Logger LOG = LoggerFactory.getLogger(HeatKeeper.class);
  private static final double MILLIS_PER_HOUR = 3_600_000;

  /** Times nearer to one another than this are the same. */
  private static final Duration SAME = Duration.ofSeconds(2);

  /** Peaks nearer to one another than this are the same, °C. */
  private static final double SAME_C = 0.05;

  private final Batches batches;
  private final BatchActs acts;
  private final Appliances appliances;

  HeatKeeper(Batches batches, BatchActs acts, Appliances appliances) {
    this.batches = batches;
    this.acts = acts;
    this.appliances = appliances;
  }

  /**
   * Brings the log in line with the times above the ceiling that readings show. Each entry is an
   * act of its own: one that its log cannot take leaves the others as they are.
   */
  void logExcursions(BatchRecord batch, PotHeat heat) {
    List<RanHot> found = found(batch, heat);
    List<BatchState.Excursion> logged = batch.state().heat().excursions();
    for (RanHot hot : found) {
      Optional<BatchState.Excursion> known = known(logged, hot);
      if (known.isEmpty()) {
        log(batch, hot, null);
      } else if (grown(known.get(), hot)) {
        log(
            batch,
            sameStart(hot, known.get().from()),
            entry(batch, known.get().from()).orElse(null));
      }
    }
    for (BatchState.Excursion known : logged) {
      if (known.answer() == null && found.stream().noneMatch(f -> same(f.from(), known.from()))) {
        entry(batch, known.from()).ifPresent(id -> strike(batch, id));
      }
    }
  }

  /** Whether the log says of times above the ceiling what the readings show. */
  boolean saysIt(BatchRecord batch, PotHeat heat) {
    List<RanHot> found = found(batch, heat);
    List<BatchState.Excursion> logged = batch.state().heat().excursions();
    return found.stream().allMatch(f -> known(logged, f).filter(l -> !grown(l, f)).isPresent())
        && logged.stream()
            .allMatch(
                l -> l.answer() != null || found.stream().anyMatch(f -> same(f.from(), l.from())));
  }

  private static Optional<BatchState.Excursion> known(
      List<BatchState.Excursion> logged, RanHot hot) {
    return logged.stream().filter(l -> same(l.from(), hot.from())).findFirst();
  }

  /** Once it is thrown out, its probe reads something else. */
  private static List<RanHot> found(BatchRecord batch, PotHeat heat) {
    Instant end = batch.state().endedAt();
    return found(heat).stream().filter(hot -> end == null || hot.from().isBefore(end)).toList();
  }

  private static List<RanHot> found(PotHeat heat) {
    if (heat.readings() < 2) {
      return List.of();
    }
    List<RanHot> found = new ArrayList<>();
    Optional<HeatStatistics.Excursion> now = heat.excursionNow();
    for (HeatStatistics.Excursion e : heat.statistics().orElseThrow().excursions()) {
      boolean lasts = now.filter(n -> n.fromHours() == e.fromHours()).isPresent();
      found.add(
          new RanHot(
              at(heat, e.fromHours()),
              lasts ? null : at(heat, e.toHours()),
              e.peakC(),
              heat.goal().ceilingC()));
    }
    return found;
  }

  private static Instant at(PotHeat heat, double hours) {
    return Instant.ofEpochMilli(heat.zeroMillis() + Math.round(hours * MILLIS_PER_HOUR))
        .truncatedTo(ChronoUnit.SECONDS);
  }

  private static boolean same(Instant one, Instant other) {
    return Duration.between(one, other).abs().compareTo(SAME) <= 0;
  }

  /** Written once when it begins and once when it is over; and where late readings change that. */
  private static boolean grown(BatchState.Excursion logged, RanHot found) {
    Instant was = logged.to();
    Instant is = found.to();
    if (was == null || is == null) {
      return was != is;
    }
    return !same(was, is) || Math.abs(logged.peakC() - found.peakC()) > SAME_C;
  }

  private static RanHot sameStart(RanHot hot, Instant from) {
    return new RanHot(from, hot.to(), hot.peakC(), hot.ceilingC());
  }

  private Optional<UUID> entry(BatchRecord batch, Instant from) {
    return batches.log(batch).stream()
        .filter(e -> !e.replaced())
        .filter(e -> e.entry().event() instanceof RanHot hot && hot.from().equals(from))
        .map(LoggedEntry::entry)
        .map(velvetcrock.core.log.Entry::id)
        .findFirst();
  }

  private void log(BatchRecord batch, RanHot hot, @Nullable UUID replaces) {
    try {
      acts.append(
          batch.code(),
          hot,
          hot.from(),
          replaces,
          // After a correction the same may be written once more: a file taken back and sent again.
          "ran-hot:%s:%s:%s:%s:%s"
              .formatted(
                  batch.id(), hot.from(), hot.to(), hot.peakC(), batch.state().corrections()));
    } catch (Refused refused) {
      LOG.info(
          "A time above the ceiling of {} was not logged: {}", batch.code(), refused.getMessage());
    }
  }

  private void strike(BatchRecord batch, UUID entry) {
    try {
      acts.undo(batch.code(), entry);
    } catch (Refused refused) {
      LOG.info("A time above the ceiling of {} stays: {}", batch.code(), refused.getMessage());
    }
  }

  /** Learns from every stretch on one setting that readings cover. */
  void learn(BatchRecord batch, Series readings) {
    List<Appliances.Run> taught = new ArrayList<>();
    for (BatchState.Stint stint : batch.state().heat().stints()) {
      String key = stint.heater().key();
      if (key == null || stint.off() == null) {
        continue;
      }
      for (int i = 0; i < stint.turns().size(); i++) {
        BatchState.Turn turn = stint.turns().get(i);
        Instant to = i + 1 < stint.turns().size() ? stint.turns().get(i + 1).at() : stint.off();
        long begin = turn.at().toEpochMilli();
        Settled.of(readings.points(begin, to.toEpochMilli(), begin))
            .ifPresent(
                settled ->
                    taught.add(
                        new Appliances.Run(
                            UUID.fromString(key), turn.knob().name(), turn.at(), settled)));
      }
    }
    appliances.learn(batch.id(), taught);
  }
}
