package velvetcrock.batch;

import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;

/**
 * How far jars had drawn by the model alone, before anything was learned of how fast herbs give:
 * what was learned must not teach itself.
 */
@Component
public class PlainPulls {
  private final Catalogues catalogues;
  private final ReadingStore readings;
  private final Households households;

  PlainPulls(Catalogues catalogues, ReadingStore readings, Households households) {
    this.catalogues = catalogues;
    this.readings = readings;
    this.households = households;
  }

  /** How far a batch had drawn at a moment. */
  public Pull at(BatchRecord batch, Instant at) {
    return new Jar(batch.id(), batch.state()).at(at);
  }

  /** The same of a jar whose readings are read once for many moments. */
  Jar of(UUID batchId, BatchState state) {
    return new Jar(batchId, state);
  }

  /** A jar with its readings. */
  final class Jar {
    private final BatchState state;
    private final Series series;
    private final Catalogue plain;

    private Jar(UUID batchId, BatchState state) {
      this.state = state;
      this.series = readings.series(batchId);
      this.plain = catalogues.current().with(Map.of());
    }

    Catalogue catalogue() {
      return plain;
    }

    Pull at(Instant at) {
      Series until = Series.none();
      for (int i = 0; i < series.size() && series.millis(i) <= at.toEpochMilli(); i++) {
        until = until.with(series.millis(i), series.celsius(i));
      }
      return new PotHeat(plain, state, until, at, households.current().zone()).pull(at);
    }
  }
}
