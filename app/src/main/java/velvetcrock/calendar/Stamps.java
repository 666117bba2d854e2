package velvetcrock.calendar;

import java.nio.charset.StandardCharsets;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.web.CurrentHousehold;

/**
 * Remembers what calendars were told, so that an event that changed has a higher sequence number
 * and one that went is cancelled (RFC 5545, 3.8.7.4; RFC 5546, 2.1.4). The tables are read by hand,
 * with the household in every statement.
 */
@Service
class Stamps {
  /** So long a calendar is told that something is no more. */
  private static final Duration TELL_GONE = Duration.ofDays(60);

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final Clock clock;

  Stamps(JdbcTemplate jdbc, CurrentHousehold current, Clock clock) {
    this.jdbc = jdbc;
    this.current = current;
    this.clock = clock;
  }

  /** When something was last changed, and how often. */
  record Stamp(int sequence, Instant changedAt) {}

  /** Something that is no more. */
  record Gone(String uid, String title, LocalDate startsOn, Stamp stamp) {}

  /** What was told of an event. */
  private record Told(String fingerprint, Stamp stamp, boolean gone) {}

  /** The stamps of happenings by their uid; what changed since it was last told is noted. */
  @Transactional
  Map<String, Stamp> stamp(List<Happening> happenings) {
    List<String> uids = happenings.stream().map(Happening::uid).toList();
    Map<String, Told> told = told(uids);
    if (!happenings.stream().allMatch(h -> stands(h, told.get(h.uid())))) {
      // two who read at once take turns, so that no number is given twice
      jdbc.queryForList("select id from household where id = ? for update", current.id());
      told.putAll(told(uids));
    }
    Map<String, Stamp> stamps = new HashMap<>();
    for (Happening h : happenings) {
      stamps.put(h.uid(), stamp(h, told.get(h.uid())));
    }
    return stamps;
  }

  /** Whether calendars were told of it as it is. */
  private static boolean stands(Happening h, @Nullable Told before) {
    return before != null && !before.gone() && before.fingerprint().equals(fingerprint(h));
  }

  private Stamp stamp(Happening h, @Nullable Told before) {
    if (before != null && stands(h, before)) {
      return before.stamp();
    }
    String print = fingerprint(h);
    Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
    Stamp stamp = new Stamp(before == null ? 0 : before.stamp().sequence() + 1, now);
    jdbc.update(
        "insert into calendar_item (household_id, uid, fingerprint, sequence, title, starts_on,"
            + " changed_at, gone) values (?, ?, ?, ?, ?, ?, ?, false)"
            + " on conflict (household_id, uid) do update set fingerprint = excluded.fingerprint,"
            + " sequence = excluded.sequence, title = excluded.title,"
            + " starts_on = excluded.starts_on, changed_at = excluded.changed_at, gone = false",
        current.id(),
        h.uid(),
        print,
        stamp.sequence(),
        h.title(),
        h.when().startsOn(),
        Timestamp.from(now));
    return stamp;
  }

  /**
   * Notes what is no more, and answers what calendars are still to be told of.
   *
   * @param all everything that there is
   */
  @Transactional
  List<Gone> gone(List<Happening> all) {
    Set<String> here = new HashSet<>();
    all.forEach(h -> here.add(h.uid()));
    Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
    told(List.of())
        .forEach(
            (uid, before) -> {
              if (!here.contains(uid)) {
                jdbc.update(
                    "update calendar_item set gone = true, sequence = sequence + 1, changed_at = ?"
                        + " where household_id = ? and uid = ?",
                    Timestamp.from(now),
                    current.id(),
                    uid);
              }
            });
    return jdbc.query(
        "select uid, title, starts_on, sequence, changed_at from calendar_item"
            + " where household_id = ? and gone and changed_at > ? order by uid",
        (row, number) ->
            new Gone(
                row.getString(1),
                row.getString(2),
                row.getObject(3, LocalDate.class),
                new Stamp(row.getInt(4), row.getTimestamp(5).toInstant())),
        current.id(),
        Timestamp.from(now.minus(TELL_GONE)));
  }

  /** What was told of some, and of all that is not gone. */
  private Map<String, Told> told(List<String> uids) {
    Map<String, Told> told = new HashMap<>();
    jdbc.query(
        "select uid, fingerprint, sequence, changed_at, gone from calendar_item"
            + " where household_id = ? and (not gone or uid = any(?))",
        row -> {
          told.put(
              row.getString(1),
              new Told(
                  row.getString(2),
                  new Stamp(row.getInt(3), row.getTimestamp(4).toInstant()),
                  row.getBoolean(5)));
        },
        current.id(),
        uids.toArray(String[]::new));
    return told;
  }

  private static String fingerprint(Happening h) {
    return UUID.nameUUIDFromBytes(
            (h.title() + "\n" + h.detail() + "\n" + h.when() + "\n" + h.alarm())
                .getBytes(StandardCharsets.UTF_8))
        .toString();
  }
}
