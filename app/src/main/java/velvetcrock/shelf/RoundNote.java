package velvetcrock.shelf;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** What was said of a task of the round. */
@Entity
class RoundNote {
  @Id private UUID id;
  @TenantId private UUID householdId;

  @Enumerated(EnumType.STRING)
  private Deferral what;

  private String subject;
  private String task;
  private String words;
  private Instant until;
  private Instant notedAt;
  private String notedBy;
  private @Nullable Instant takenBackAt;
  private String idempotencyKey;

  /** What can be said. */
  enum Deferral {
    /** Not now: it comes back at a moment. */
    PUT_OFF,
    /** Not this time, for a reason. */
    SKIPPED,
    /** A timer. */
    TIMER
  }

  /** For Hibernate. */
  protected RoundNote() {}

  RoundNote(Deferral what, About said, Instant until, Instant at, String by, String key) {
    this.id = UUID.randomUUID();
    this.what = what;
    this.subject = said.subject();
    this.task = said.task();
    this.words = said.words();
    this.until = until;
    this.notedAt = at;
    this.notedBy = by;
    this.idempotencyKey = key;
  }

  /**
   * About what.
   *
   * @param subject what the task is about, such as the code of a batch
   * @param task names the task within that
   * @param words the reason, or what the timer is for
   */
  record About(String subject, String task, String words) {}

  /**
   * What was said, as it counts until a moment.
   *
   * @param until until when it is put off or skipped, or when a timer is over
   */
  record Noted(UUID id, Deferral what, String subject, String task, String words, Instant until) {
    /** Whether it counts at a moment: a timer does until it is stopped. */
    boolean live(Instant now) {
      return what == Deferral.TIMER || until.isAfter(now);
    }
  }

  void takeBack(Instant at) {
    if (takenBackAt == null) {
      takenBackAt = at;
    }
  }
}
