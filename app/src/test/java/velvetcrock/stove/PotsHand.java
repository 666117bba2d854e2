package velvetcrock.stove;

import java.time.Clock;
import org.springframework.stereotype.Component;
import velvetcrock.batch.Batches;

/** Opens pots for tests, as after a start. */
@Component
public class PotsHand {
  private final LivePots pots;
  private final Batches batches;
  private final Clock clock;

  PotsHand(LivePots pots, Batches batches, Clock clock) {
    this.pots = pots;
    this.batches = batches;
    this.clock = clock;
  }

  /** Nothing is held in memory, as after a start. */
  public void begin() {
    pots.forgetAll();
  }

  /** Whether a pot that is looked at is shown by its outline. */
  public boolean isByOutline(String code) {
    return pots.shown(code).isByOutline();
  }

  /** The hottest of a pot as it is judged by, °C. */
  public double hottest(String code) {
    return pots.heat(batches.find(code), clock.instant()).statistics().orElseThrow().peakC();
  }

  /** A pot as it is shown at one moment. */
  public record Look(boolean byOutline, double hottest, int drawn) {}

  /** And as it is shown. */
  public Look look(String code) {
    LivePot pot = pots.shown(code);
    double hottest = pots.shown(pot.batch(), clock.instant()).statistics().orElseThrow().peakC();
    int drawn = pot.reduced(TraceOut.Span.ALL, PotOutline.COLUMNS).from();
    return new Look(pot.isByOutline(), hottest, drawn);
  }
}
