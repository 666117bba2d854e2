package velvetcrock.shelf;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.care.Care;
import velvetcrock.core.care.Task;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;

/** Takes what is said of the round's tasks: not now, not this time, or a timer. */
@Service
class RoundNotes {
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

  /** What counts now; asked by the day, so that the answer can be held. */
  List<RoundNote.Noted> live() {
    Instant now = clock.instant();
    return notes.since(now.truncatedTo(ChronoUnit.DAYS)).stream()
        .filter(note -> note.live(now))
        .toList();
  }

  /**
   * A thing that is spoken of.
   *
   * @param item what wants doing of it; empty where it does no longer
   */
  record Wanted(RoundNote.About about, Optional<RoundView.Item> item) {}

  /**
   * Puts tasks off, as long as care allows of their kind.
   *
   * @param until a number of minutes, or {@code tomorrow}
   * @param key names it, with what it is about
   * @throws velvetcrock.core.Refused at {@code task} or {@code until}
   */
  @Transactional
  void putOff(List<Wanted> wanted, String until, String key) {
    wanted.forEach(w -> putOff(w, until, key(key, w)));
  }

  private void putOff(Wanted wanted, String until, String key) {
    if (notes.existsByIdempotencyKey(key)) {
      return;
    }
    Task.Kind kind = kind(wanted.item());
    Household house = households.current();
    LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), house.zone());
    LocalDateTime latest = Care.putOffUntil(kind, now, house.hours().wakes());
    boolean tomorrow = until.equals("tomorrow");
    boolean allowed =
        tomorrow
            ? kind.longestWait().isEmpty()
            : Care.waits(kind).stream().anyMatch(m -> until.equals(String.valueOf(m)));
    Problems problems = new Problems();
    problems.require(
        allowed,
        "until",
        "This can wait " + Care.waits(kind).stream().map(m -> m + " min").toList() + " at most.");
    problems.refuseIfAny();
    LocalDateTime then = tomorrow ? latest : now.plusMinutes(Long.parseLong(until));
    keep(RoundNote.Deferral.PUT_OFF, wanted.about(), then.atZone(house.zone()).toInstant(), key);
  }

  /**
   * Skips tasks, with the reason.
   *
   * @param key names it, with what it is about
   * @throws velvetcrock.core.Refused at {@code task} where it is gone or may not be skipped, at
   *     {@code reason}
   */
  @Transactional
  void skip(List<Wanted> wanted, String key) {
    wanted.forEach(w -> skip(w, key(key, w)));
  }

  private static String key(String key, Wanted wanted) {
    return key + "/" + wanted.about().subject();
  }

  private void skip(Wanted wanted, String key) {
    RoundNote.About about = wanted.about();
    if (notes.existsByIdempotencyKey(key)) {
      return;
    }
    Task.Kind kind = kind(wanted.item());
    Problems problems = new Problems();
    problems.require(
        kind.skippable(), "task", "This does harm if it is left: do it, or put it off a little.");
    problems.require(!about.words().isBlank(), "reason", "Say why it is skipped.");
    problems.refuseIfAny();
    Household house = households.current();
    Instant then =
        Care.comesAgain(kind, households.today(house))
            .atTime(house.hours().wakes())
            .atZone(house.zone())
            .toInstant();
    if (keep(RoundNote.Deferral.SKIPPED, about, then, key)) {
      tell(about, link(wanted));
    }
  }

  /** Its own page, also where the line was of several. */
  private static String link(Wanted wanted) {
    RoundView.Item item = wanted.item().orElseThrow();
    return item.visit() == null ? item.link() : "/batches/" + wanted.about().subject();
  }

  private static Task.Kind kind(Optional<RoundView.Item> wanting) {
    return wanting
        .map(item -> item.says().kind())
        .orElseThrow(() -> new Refused("task", "That no longer wants doing."));
  }

  /**
   * Sets a timer.
   *
   * @param at when it was set; now if null
   * @throws velvetcrock.core.Refused at {@code minutes}
   */
  @Transactional
  void time(RoundNote.About about, double minutes, @Nullable Instant at, String key) {
    Problems problems = new Problems();
    problems.require(
        minutes > 0 && minutes <= LONGEST_TIMER_MINUTES,
        "minutes",
        "A timer runs for up to a day.");
    problems.refuseIfAny();
    Instant from = at == null ? clock.instant() : at;
    Instant until = from.plusSeconds(Math.round(minutes * 60));
    keep(RoundNote.Deferral.TIMER, about, until, key);
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

  private boolean keep(RoundNote.Deferral what, RoundNote.About about, Instant until, String key) {
    Problems problems = new Problems();
    problems.require(
        about.words().length() <= LONGEST_WORDS,
        "reason",
        "At most " + LONGEST_WORDS + " letters.");
    problems.require(
        !key.isBlank() && key.length() <= LONGEST_KEY && about.subject().length() <= LONGEST_KEY,
        "key",
        "Load the page again.");
    problems.refuseIfAny();
    if (notes.existsByIdempotencyKey(key)) {
      return false;
    }
    entities.persist(new RoundNote(what, about, until, clock.instant(), current.name(), key));
    return true;
  }

  private void tell(RoundNote.About about, String link) {
    JournalLine.Subject subject =
        new JournalLine.Subject(about.subject(), link, "", List.of(), List.of());
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
