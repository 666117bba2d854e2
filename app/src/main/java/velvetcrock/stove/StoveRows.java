package velvetcrock.stove;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Service;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.materia.Method;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.Formats;

/** The pots on the stove as they are shown. */
@Service
class StoveRows {
  /** What came off the heat stays to be seen for so long. */
  private static final Duration STAYS = Duration.ofHours(36);

  private final Batches batches;
  private final LivePots pots;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Clock clock;

  StoveRows(Batches batches, LivePots pots, Catalogues catalogues, Cautions cautions, Clock clock) {
    this.batches = batches;
    this.pots = pots;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.clock = clock;
  }

  /** All of them, those that call first, then what is on the heat. */
  List<PotRow> all(Formats fmt) {
    return batches.standing().stream()
        .filter(b -> onTheStove(b.state()))
        .map(b -> row(b, fmt))
        .sorted(Comparator.comparing((PotRow r) -> !r.alarm()).thenComparing(r -> !r.onHeat()))
        .toList();
  }

  PotRow row(BatchRecord batch, Formats fmt) {
    return row(pots.shown(batch), fmt);
  }

  PotRow row(LivePot pot, Formats fmt) {
    return new PotWords(pot, catalogues.current(), cautions, fmt, clock.instant()).row();
  }

  /** Whether a batch belongs on the stove's page: drawn warm, or on the heat, or in the sun. */
  boolean onTheStove(BatchState state) {
    if (state.status() != BatchState.Status.INFUSING) {
      return false;
    }
    Method method = state.charge().method();
    List<BatchState.Stint> stints = state.heat().stints();
    if (state.heat().now().isPresent() || method.heated() || method == Method.SOLAR) {
      return true;
    }
    if (method != Method.TWO_STAGE) {
      return false;
    }
    Instant off = stints.isEmpty() ? null : stints.get(stints.size() - 1).off();
    return off == null || off.plus(STAYS).isAfter(clock.instant());
  }
}
