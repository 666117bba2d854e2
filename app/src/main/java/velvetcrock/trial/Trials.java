package velvetcrock.trial;

import jakarta.persistence.EntityManager;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;

/** Begins trials, takes what judges found, and concludes them. */
@Service
public class Trials {
  /** A trial has this many jars. */
  public static final int FEWEST = 2;

  /** A trial has at most this many. */
  public static final int MOST = 4;

  /** The scale of judging: 1 faint or foul to 5 strong or good. */
  static final int SCALE = 5;

  private static final int SHOWN = 60;
  private static final int LONGEST_NOTE = 200;
  private static final int LONGEST_CONCLUSION = 1000;

  private final TrialRepository trials;
  private final TrialJarRepository jars;
  private final TrialJudgingRepository judgings;
  private final Journal journal;
  private final Catalogues catalogues;
  private final CurrentHousehold current;
  private final EntityManager entities;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  Trials(
      TrialRepository trials,
      TrialJarRepository jars,
      TrialJudgingRepository judgings,
      Journal journal,
      Catalogues catalogues,
      CurrentHousehold current,
      EntityManager entities,
      Clock clock) {
    this.trials = trials;
    this.jars = jars;
    this.judgings = judgings;
    this.journal = journal;
    this.catalogues = catalogues;
    this.current = current;
    this.entities = entities;
    this.clock = clock;
  }

  /**
   * A trial that begins.
   *
   * @param herb key of its first herb
   * @param oil key of its first oil
   * @param blind whether it is judged without knowing which jar is which
   */
  public record Begun(String name, String herb, String oil, Differs differs, boolean blind) {}

  /** A jar as it was charged. */
  public record Charged(String code, String words) {}

  /**
   * What somebody found of a jar.
   *
   * @param strength 1 faint to 5 strong
   * @param smell 1 foul to 5 good
   */
  public record Found(int strength, int smell, String note) {
    /** Checks the marks. */
    public Found {
      if (strength < 1 || strength > SCALE || smell < 1 || smell > SCALE) {
        throw new Refused("judged", "Judge strength and smell of every glass.");
      }
      if (note.length() > LONGEST_NOTE) {
        throw new Refused("judged", "At most " + LONGEST_NOTE + " letters to a glass.");
      }
    }
  }

  /** A trial with its jars and what was found. */
  record Whole(Trial trial, List<TrialJar> jars, List<TrialJudging> judgings) {}

  /** Begins a trial with jars that have just been charged, lettered in their order. */
  @Transactional
  public void begin(UUID id, Begun begun, List<Charged> charged) {
    entities.persist(new Trial(id, begun, clock.instant()));
    List<Integer> glasses =
        new ArrayList<>(IntStream.rangeClosed(1, charged.size()).boxed().toList());
    Collections.shuffle(glasses, random);
    for (int i = 0; i < charged.size(); i++) {
      String letter = String.valueOf((char) ('A' + i));
      entities.persist(
          new TrialJar(id, charged.get(i).code(), letter, charged.get(i).words(), glasses.get(i)));
    }
  }

  /** A trial with its jars, in the order of their letters. */
  record WithJars(Trial trial, List<TrialJar> jars) {}

  /**
   * The newest trials.
   *
   * @param older whether there are more
   */
  record Newest(List<WithJars> trials, boolean older) {}

  /** The newest trials. */
  @Transactional(readOnly = true)
  Newest newest() {
    List<Trial> found = trials.findAllByOrderByMadeAtDescIdAsc(Limit.of(SHOWN + 1));
    List<Trial> newest = found.stream().limit(SHOWN).toList();
    Map<UUID, List<TrialJar>> byTrial =
        jars.findByTrialIdInOrderByLetter(newest.stream().map(Trial::id).toList()).stream()
            .collect(Collectors.groupingBy(TrialJar::trialId));
    return new Newest(
        newest.stream()
            .map(trial -> new WithJars(trial, byTrial.getOrDefault(trial.id(), List.of())))
            .toList(),
        found.size() > SHOWN);
  }

  /**
   * A trial.
   *
   * @throws NotFound if there is none of that id here
   */
  @Transactional(readOnly = true)
  Whole whole(UUID id) {
    return new Whole(
        trial(id),
        jars.findByTrialIdOrderByLetter(id),
        judgings.findByTrialIdOrderByJudgedAtAscIdAsc(id));
  }

  /** Whether there is a trial of that id here. */
  boolean knows(UUID id) {
    return trials.existsById(id);
  }

  private Trial trial(UUID id) {
    return trials.findById(id).orElseThrow(() -> new NotFound("There is no such trial here."));
  }

  /**
   * Takes what somebody found of every jar.
   *
   * @param found by the numbers of the glasses
   * @throws Refused if a glass is missing or the trial is concluded
   */
  @Transactional
  void judge(UUID id, Map<String, Found> found) {
    Map<String, Found> byLetter = new HashMap<>();
    for (TrialJar jar : whole(id).jars()) {
      Found one = found.get(String.valueOf(jar.glass()));
      if (one != null) {
        byLetter.put(jar.letter(), one);
      }
    }
    judgeByLetter(id, byLetter);
  }

  /**
   * The same by the letters of the jars.
   *
   * @throws Refused if a jar is missing or the trial is concluded
   */
  @Transactional
  public void judgeByLetter(UUID id, Map<String, Found> found) {
    Whole whole = whole(id);
    Problems problems = new Problems();
    problems.require(
        whole.trial().conclusion() == null, "judged", "This trial is concluded already.");
    problems.require(
        whole.jars().stream().allMatch(jar -> found.containsKey(jar.letter())),
        "judged",
        "Judge strength and smell of every glass.");
    problems.refuseIfAny();
    TrialJudging.Circumstances said =
        new TrialJudging.Circumstances(current.name(), clock.instant(), whole.trial().hidden());
    for (TrialJar jar : whole.jars()) {
      Found one = Objects.requireNonNull(found.get(jar.letter()));
      entities.persist(new TrialJudging(id, jar.letter(), one, said));
      if (!one.note().isEmpty()) {
        String which = said.blind() ? "glass " + jar.glass() : "jar " + jar.letter();
        tell(whole.trial(), "trial-judged", "Judged " + which + ":", "“" + one.note() + "”");
      }
    }
  }

  /** Tells which glass was which jar; what is judged from then on is not blind. */
  @Transactional
  public void reveal(UUID id) {
    trial(id).reveal(clock.instant());
  }

  /**
   * Notes what a trial showed, for the herb’s page and the journal.
   *
   * @throws Refused at {@code conclusion} if there is none, or one has been noted
   */
  @Transactional
  public void conclude(UUID id, String words) {
    Problems problems = new Problems();
    Trial trial = trial(id);
    problems.require(!words.isBlank(), "conclusion", "Write what it showed.");
    problems.require(
        words.length() <= LONGEST_CONCLUSION,
        "conclusion",
        "At most " + LONGEST_CONCLUSION + " letters.");
    problems.require(trial.conclusion() == null, "conclusion", "This trial is concluded already.");
    problems.refuseIfAny();
    trial.conclude(words, clock.instant(), current.name());
    tell(trial, "trial-concluded", "Trial concluded:", "“" + words + "”");
  }

  private void tell(Trial trial, String kind, String title, String detail) {
    Catalogue catalogue = catalogues.current();
    Herb herb = catalogue.herb(trial.herbKey());
    Carrier oil = catalogue.carrier(trial.oilKey());
    JournalLine.Subject subject =
        new JournalLine.Subject(
            trial.name(),
            "/trials/" + trial.id(),
            String.join(", ", herb.name(), herb.botanical(), oil.name()),
            List.of(herb.key()),
            List.of(oil.key()));
    journal.keep(
        new JournalLine(
            UUID.randomUUID(),
            kind,
            subject,
            clock.instant(),
            current.name(),
            title,
            detail,
            false),
        null);
  }
}
