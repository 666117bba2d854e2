package velvetcrock.trial;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.HeatWatch;
import velvetcrock.batch.PlainPulls;
import velvetcrock.batch.Verdicts;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.InTrial;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.trial.BlindTrial;
import velvetcrock.kitchen.Catalogues;

/** The jars of a trial as they stand, and what it shows of them that they were judged blind. */
@Component
class TrialJars implements Verdicts {
  private final Trials trials;
  private final Batches batches;
  private final HeatWatch watch;
  private final PlainPulls plainly;
  private final Catalogues catalogues;
  private final Clock clock;

  TrialJars(
      Trials trials,
      Batches batches,
      HeatWatch watch,
      PlainPulls plainly,
      Catalogues catalogues,
      Clock clock) {
    this.trials = trials;
    this.batches = batches;
    this.watch = watch;
    this.plainly = plainly;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /** A batch as it stands, with how far it has drawn; null while its oil is still to follow. */
  record Standing(BatchRecord batch, @Nullable Pull pull) {}

  /** Its jars in the order of their letters. */
  List<Standing> standing(Trials.Whole whole) {
    return standing(whole, (batch, at) -> watch.heat(batch, at).pull(at));
  }

  private List<Standing> standing(
      Trials.Whole whole, BiFunction<BatchRecord, Instant, Pull> drawn) {
    return whole.jars().stream()
        .map(jar -> batches.find(jar.code()))
        .map(
            batch -> {
              // by now, or when it was strained
              BatchState state = batch.state();
              Instant at = Objects.requireNonNullElseGet(state.strainedAt(), clock::instant);
              boolean draws = state.status() != BatchState.Status.RESTING;
              return new Standing(batch, draws ? drawn.apply(batch, at) : null);
            })
        .toList();
  }

  /** What it shows that it was judged blind, by the pull that its pages tell. */
  BlindTrial told(Trials.Whole whole, List<Standing> standing) {
    List<BlindTrial.Jar> jars = new ArrayList<>();
    for (int i = 0; i < standing.size(); i++) {
      TrialJar jar = whole.jars().get(i);
      BatchRecord batch = standing.get(i).batch();
      Pull pull = standing.get(i).pull();
      List<TrialJudging> blind =
          whole.judgings().stream()
              .filter(j -> j.letter().equals(jar.letter()) && j.blind())
              .toList();
      if (pull != null) {
        jars.add(
            new BlindTrial.Jar(
                jar.letter(),
                new BatchReckoning(catalogues.current(), batch.state()).speedOf(),
                pull,
                blind.stream().mapToInt(TrialJudging::strength).average().orElse(0),
                blind.size()));
      }
    }
    return new BlindTrial(jars);
  }

  /** The same by the model alone: what it teaches. */
  BlindTrial plain(Trials.Whole whole) {
    return told(whole, standing(whole, plainly::at));
  }

  @Override
  public String against(BatchRecord batch) {
    InTrial in = batch.state().charge().manner().trial();
    if (in == null || !trials.knows(in.id())) {
      return "";
    }
    Trials.Whole whole = trials.whole(in.id());
    if (whole.trial().hidden() || whole.judgings().isEmpty()) {
      return "";
    }
    return whole.jars().stream()
        .filter(jar -> jar.code().equals(batch.code()))
        .findFirst()
        .map(jar -> TrialView.against(told(whole, standing(whole)), jar.letter()))
        .orElse("");
  }
}
