package velvetcrock.erasure;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.core.Refused;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;
import velvetcrock.web.InHousehold;

/**
 * Erases a household thirty days after a keeper asked for it, and replaces the name of somebody who
 * went by “a former member”. The database lets only this happen to a log, and only in these cases.
 */
@Service
public class Erasure {
  /** How long everything can still be kept. */
  public static final Duration GRACE = Duration.ofDays(30);

  private static final Logger LOG = LoggerFactory.getLogger(Erasure.class);
  private static final String FORMER = "a former member";

  /** Where names stand beside the log itself, each table with its column. */
  private static final List<List<String>> NAMES =
      List.of(
          List.of("journal", "written_by"),
          List.of("trial", "concluded_by"),
          List.of("trial_judging", "judged_by"),
          List.of("plan", "made_by"),
          List.of("round_note", "noted_by"),
          List.of("calendar_feed", "made_by"),
          List.of("push_phone", "made_by"),
          List.of("reading_import", "sent_by"),
          List.of("invitation", "invited_by"),
          List.of("api_token", "made_by"),
          List.of("recovery", "asked_by"),
          List.of("happened", "who"));

  private final JdbcTemplate jdbc;
  private final Clearing clearing;
  private final CurrentHousehold current;
  private final TransactionTemplate transactions;
  private final Chronicle chronicle;
  private final Clock clock;

  Erasure(
      JdbcTemplate jdbc,
      Clearing clearing,
      CurrentHousehold current,
      TransactionTemplate transactions,
      Chronicle chronicle,
      Clock clock) {
    this.jdbc = jdbc;
    this.clearing = clearing;
    this.current = current;
    this.transactions = transactions;
    this.chronicle = chronicle;
    this.clock = clock;
  }

  /** When it will be, and who asked. */
  public record Pending(Instant at, String askedBy) {}

  /** What the current household is to expect; empty if nothing. */
  @HeldUntilChanged(HouseholdPart.KITCHEN)
  @Transactional(readOnly = true)
  public Optional<Pending> pending() {
    return jdbc
        .query(
            "select erase_at, erase_asked_by from household where id = ? and erase_at is not null",
            (row, number) -> new Pending(row.getTimestamp(1).toInstant(), row.getString(2)),
            current.id())
        .stream()
        .findFirst();
  }

  /**
   * Asks for the current household to be erased.
   *
   * @param typed its name, once more
   * @throws Refused at {@code household} where that is not its name
   */
  @Transactional
  public void ask(String typed) {
    Instant at = clock.instant().plus(GRACE);
    int asked =
        jdbc.update(
            "update household set erase_at = ?, erase_asked_by = ?"
                + " where id = ? and lower(name) = lower(?)",
            Timestamp.from(at),
            current.name(),
            current.id(),
            typed.strip());
    if (asked == 0) {
      throw new Refused("household", "Type the name of the household as it stands in the kitchen.");
    }
    chronicle.note(Deed.ERASURE_ASKED, "");
  }

  /** Keeps everything after all. */
  @Transactional
  public void stop() {
    jdbc.update(
        "update household set erase_at = null, erase_asked_by = null where id = ?", current.id());
    chronicle.note(Deed.ERASURE_STOPPED, "");
  }

  private record Eraser(UUID householdId, String displayName) implements InHousehold {}

  /** Erases the households whose thirty days are over. */
  public void erase() {
    List<UUID> due =
        jdbc.queryForList(
            "select id from household where erase_at <= ? and not demo",
            UUID.class,
            Timestamp.from(clock.instant()));
    for (UUID household : due) {
      current.actingAs(
          new Eraser(household, ""),
          () -> {
            transactions.executeWithoutResult(status -> erase(household));
            return null;
          });
      LOG.warn("Household {} was erased, thirty days after that was asked for.", household);
    }
  }

  private void erase(UUID household) {
    clearing.clear(household);
    jdbc.update(
        "delete from spring_session where principal_name in"
            + " (select login from member where household_id = ?)",
        household);
    jdbc.update("delete from member where household_id = ?", household);
    jdbc.update("delete from household where id = ?", household);
  }

  /** Names in the log of people who live here no more. */
  @Transactional(readOnly = true)
  public List<String> formerNames() {
    return jdbc.queryForList(
        "select distinct written_by from entry where household_id = ? and written_by not in"
            + " (select name from member where household_id = ?"
            + " union select name from api_token where household_id = ?)"
            + " and written_by not in ('', 'The stove', ?) order by 1",
        String.class,
        current.id(),
        current.id(),
        current.id(),
        FORMER);
  }

  /**
   * Replaces a name in the log by “a former member”.
   *
   * @return in how many entries it stood
   * @throws Refused at {@code called} where nobody of that name went
   */
  @Transactional
  public long forget(String called) {
    if (!formerNames().contains(called)) {
      throw new Refused("called", "Nobody of that name has gone from here.");
    }
    Long changed =
        jdbc.queryForObject("select forget_name(?, ?)", Long.class, current.id(), called);
    for (List<String> place : NAMES) {
      jdbc.update(
          "update %1$s set %2$s = ? where household_id = ? and %2$s = ?"
              .formatted(place.get(0), place.get(1)),
          FORMER,
          current.id(),
          called);
    }
    jdbc.update(
        "update happened set what = replace(what, ?, ?) where household_id = ?",
        called,
        FORMER,
        current.id());
    chronicle.note(Deed.NAME_FORGOTTEN, "");
    return Objects.requireNonNull(changed);
  }
}
