package velvetcrock.shelf;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;

/** Takes what is said of the round's tasks: not now, not this time, or a timer. */
@Service
class RoundNotes {
  private static final List<String> PAGES =
      List.of("/batches/", "/cellar/", "/drawer/", "/plans/", "/stove/");

  private static final int LONGEST_WORDS = 120;
  private static final int LONGEST_KEY = 160;
  private static final int LONGEST_TIMER_MINUTES = 24 * 60;

  private final RoundNoteRepository notes;
  private final Households households;
  private final Journal journal;
  private final CurrentHousehold current;
  private final EntityManager entities;
  private final Clock clock;

  RoundNotes(
      RoundNoteRepository notes,
      Households households,
      Journal journal,
      CurrentHousehold current,
      EntityManager entities,
      Clock clock) {
    this.notes = notes;
    this.households = households;
    this.journal = journal;
    this.current = current;
    this.entities = entities;
    this.clock = clock;
  }

  /** What counts now. */
  @Transactional(readOnly = true)
  List<RoundNote> live() {
    return notes.live(clock.instant());
  }

  /**
   * Puts a task off.
   *
   * @param until {@code 15}, {@code 60} or {@code 180} minutes, or {@code tomorrow}
   * @throws velvetcrock.core.Refused at {@code until}
   */
  @Transactional
  void putOff(RoundNote.Said about, String until, String key) {
    Instant now = clock.instant();
    Problems problems = new Problems();
    problems.require(
        List.of("15", "60", "180", "tomorrow").contains(until), "until", "Say until when.");
    problems.refuseIfAny();
    Instant then =
        until.equals("tomorrow")
            ? morningIn(1)
            : now.plus(Duration.ofMinutes(Long.parseLong(until)));
    keep(RoundNote.What.PUT_OFF, about, then, key);
  }

  /**
   * Skips a task, with the reason.
   *
   * @param days until it would come again
   * @param link the page of what it is about
   * @throws velvetcrock.core.Refused at {@code reason}
   */
  @Transactional
  void skip(RoundNote.Said about, int days, String link, String key) {
    Problems problems = new Problems();
    problems.require(!about.words().isBlank(), "reason", "Say why it is skipped.");
    problems.refuseIfAny();
    if (keep(RoundNote.What.SKIPPED, about, morningIn(Math.max(1, days)), key)) {
      tell(about, link);
    }
  }

  /**
   * Sets a timer.
   *
   * @throws velvetcrock.core.Refused at {@code minutes}
   */
  @Transactional
  void time(RoundNote.Said about, double minutes, String key) {
    Problems problems = new Problems();
    problems.require(
        minutes > 0 && minutes <= LONGEST_TIMER_MINUTES,
        "minutes",
        "A timer runs for up to a day.");
    problems.refuseIfAny();
    Instant until = clock.instant().plusSeconds(Math.round(minutes * 60));
    keep(RoundNote.What.TIMER, about, until, key);
  }

  /**
   * Stops a timer, or has a task back that was put off or skipped.
   *
   * @throws NotFound if there is no such note here
   */
  @Transactional
  void takeBack(UUID id) {
    notes
        .findById(id)
        .orElseThrow(() -> new NotFound("There is no such timer or note here."))
        .takeBack(clock.instant());
  }

  private boolean keep(RoundNote.What what, RoundNote.Said about, Instant until, String key) {
    Problems problems = new Problems();
    problems.require(
        about.words().length() <= LONGEST_WORDS,
        "reason",
        "At most " + LONGEST_WORDS + " letters.");
    problems.require(
        !key.isBlank() && key.length() <= LONGEST_KEY && about.subject().length() <= LONGEST_KEY,
        "key",
        "Load the page anew.");
    problems.refuseIfAny();
    if (notes.existsByIdempotencyKey(key)) {
      return false;
    }
    entities.persist(new RoundNote(what, about, until, clock.instant(), current.name(), key));
    return true;
  }

  /** The morning of a day to come, when somebody gets up. */
  private Instant morningIn(int days) {
    Household house = households.current();
    return households
        .today(house)
        .plusDays(days)
        .atTime(house.hours().wakes())
        .atZone(house.zone())
        .toInstant();
  }

  private void tell(RoundNote.Said about, String link) {
    boolean known = PAGES.stream().anyMatch(link::startsWith);
    JournalLine.Subject subject =
        new JournalLine.Subject(about.subject(), known ? link : "/round", "", List.of(), List.of());
    journal.keep(
        new JournalLine(
            UUID.randomUUID(),
            "skipped",
            subject,
            clock.instant(),
            current.name(),
            "Skipped, " + about.task().toLowerCase(Locale.ROOT).replace('_', ' ') + ":",
            about.words(),
            false),
        null);
  }
}
