package velvetcrock.trial;

import java.util.UUID;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.SpeedLesson;
import velvetcrock.web.CatchUp;
import velvetcrock.web.MovedIn;

/** Learns from trials that were judged blind how fast herbs give, way by way. */
@Component
class TrialTeacher {
  private final Trials trials;
  private final TrialJars jars;
  private final Catalogues catalogues;
  private final CatchUp catchUp;

  TrialTeacher(Trials trials, TrialJars jars, Catalogues catalogues, CatchUp catchUp) {
    this.trials = trials;
    this.jars = jars;
    this.catalogues = catalogues;
    this.catchUp = catchUp;
  }

  /** Learns from trials that were judged before anything was learned of them. */
  @EventListener({ApplicationReadyEvent.class, MovedIn.class})
  void catchUp() {
    catchUp.each(
        "select id from trial t where revealed_at is not null and not exists"
            + " (select 1 from speed_lesson l where l.trial_id = t.id)"
            + " and exists (select 1 from trial_judging j where j.trial_id = t.id and j.blind)",
        this::learn);
  }

  /** Tells which glass was which jar, and learns from what was judged until then. */
  @Transactional
  void reveal(UUID id) {
    trials.reveal(id);
    learn(id);
  }

  /**
   * Notes what a trial showed, which reveals it.
   *
   * @throws velvetcrock.core.Refused as {@link Trials#conclude}
   */
  @Transactional
  void conclude(UUID id, String words) {
    trials.conclude(id, words);
    learn(id);
  }

  private void learn(UUID id) {
    catalogues.learned(new SpeedLesson.Teacher(null, id), jars.plain(trials.whole(id)).speeds());
  }
}
