package velvetcrock.thermometer;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.account.Tokens;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.heat.Silence;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;

/** The household's thermometers: each shows a token of its own, and is in one jar or in none. */
@Service
public class Thermometers {
  private static final int LONGEST_NAME = 60;

  private static final String SELECT =
      "select t.id, t.name, b.code, t.battery_percent, t.last_celsius, t.last_at, t.heard_at,"
          + " t.usual_gap_seconds from thermometer t left join batch b on b.id = t.batch_id";

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final Tokens tokens;
  private final Clock clock;

  Thermometers(JdbcTemplate jdbc, CurrentHousehold current, Tokens tokens, Clock clock) {
    this.jdbc = jdbc;
    this.current = current;
    this.tokens = tokens;
    this.clock = clock;
  }

  /**
   * A thermometer.
   *
   * @param batch code of the jar that it is in; null for none
   * @param batteryPercent as it told; null where it tells none
   * @param last what it last read; null before its first reading
   * @param heardAt when it was last heard, by the house's clock; null before that
   * @param usualGapSeconds what usually lies between two of its readings; null before the second
   */
  public record Thermometer(
      UUID id,
      String name,
      @Nullable String batch,
      @Nullable Integer batteryPercent,
      @Nullable Reading last,
      @Nullable Instant heardAt,
      @Nullable Double usualGapSeconds) {
    /** Whether it has said nothing for longer than it ever does. */
    boolean silent(Instant now) {
      return heardAt != null
          && usualGapSeconds != null
          && Duration.between(heardAt, now).compareTo(Silence.after(usualGapSeconds)) > 0;
    }
  }

  /** All of the household, by name. */
  @Transactional(readOnly = true)
  public List<Thermometer> all() {
    return jdbc.query(
        SELECT + " where t.household_id = ? order by t.name, t.id",
        (row, number) -> read(row),
        current.id());
  }

  private static Thermometer read(ResultSet row) throws SQLException {
    Timestamp lastAt = row.getTimestamp(6);
    return new Thermometer(
        row.getObject(1, UUID.class),
        row.getString(2),
        row.getString(3),
        row.getObject(4, Integer.class),
        lastAt == null ? null : new Reading(lastAt.toInstant(), row.getDouble(5)),
        Optional.ofNullable(row.getTimestamp(7)).map(Timestamp::toInstant).orElse(null),
        row.getObject(8, Double.class));
  }

  /**
   * Pairs one.
   *
   * @return the secret that it has to show, which is not kept
   * @throws Refused at {@code name}
   */
  @Transactional
  public String pair(String name, @Nullable UUID batch) {
    String called = name.strip();
    Problems problems = new Problems();
    problems.require(
        !called.isEmpty() && called.length() <= LONGEST_NAME,
        "name",
        "Say what this thermometer is called, in at most 60 letters.");
    problems.require(
        all().stream().noneMatch(one -> one.name().equalsIgnoreCase(called)),
        "name",
        "There is one of that name already. Call this one otherwise.");
    problems.refuseIfAny();
    Tokens.Made made = tokens.makeForReadings(called);
    jdbc.update(
        "insert into thermometer (id, household_id, name, token_id, batch_id) values (?, ?, ?, ?, ?)",
        UUID.randomUUID(),
        current.id(),
        called,
        made.id(),
        batch);
    return made.secret();
  }

  /**
   * Says which jar one is in.
   *
   * @param batch null for none
   * @throws NotFound if there is no such thermometer here
   */
  @Transactional
  public void put(UUID id, @Nullable UUID batch) {
    found(
        jdbc.update(
            "update thermometer set batch_id = ? where id = ? and household_id = ?",
            batch,
            id,
            current.id()));
  }

  /**
   * Forgets one; what it shows opens nothing any more, and what it read stays.
   *
   * @throws NotFound if there is no such thermometer here
   */
  @Transactional
  public void remove(UUID id) {
    UUID token =
        jdbc
            .queryForList(
                "delete from thermometer where id = ? and household_id = ? returning token_id",
                UUID.class,
                id,
                current.id())
            .stream()
            .findFirst()
            .orElseThrow(Thermometers::none);
    tokens.revoke(token);
  }

  private static void found(int rows) {
    if (rows == 0) {
      throw none();
    }
  }

  private static NotFound none() {
    return new NotFound("There is no such thermometer here.");
  }

  /**
   * The jar that whoever sends is in.
   *
   * @throws Refused at {@code thermometer} where no thermometer sends, or one that is in no jar
   */
  @Transactional(readOnly = true)
  public String batchOfSender() {
    Thermometer one =
        sender()
            .orElseThrow(
                () ->
                    new Refused(
                        "thermometer",
                        "This token is no thermometer’s. Pair one on the stove’s page, or send to"
                            + " /api/v1/batches/CODE/readings."));
    if (one.batch() == null) {
      throw new Refused(
          "thermometer", one.name() + " is in no jar. Say on the stove’s page which one it is in.");
    }
    return one.batch();
  }

  private Optional<Thermometer> sender() {
    return current
        .who()
        .flatMap(who -> who.token())
        .flatMap(
            token ->
                jdbc
                    .query(SELECT + " where t.token_id = ?", (row, number) -> read(row), token)
                    .stream()
                    .findFirst());
  }

  /**
   * Notes what a thermometer told; nothing where whoever sends is none.
   *
   * @param readings in any order; none where it told of its battery alone
   * @param battery as it told, in hundredths; null where it did not
   * @throws Refused at {@code battery}
   */
  @Transactional
  public void heard(List<Reading> readings, @Nullable Integer battery) {
    if (battery != null && (battery < 0 || battery > 100)) {
      throw new Refused("battery", "A battery holds between 0 and 100 per cent.");
    }
    sender()
        .ifPresent(
            one -> {
              List<Reading> sorted =
                  readings.stream().sorted(java.util.Comparator.comparing(Reading::at)).toList();
              Reading newest = sorted.isEmpty() ? null : sorted.get(sorted.size() - 1);
              Reading last =
                  newest == null || one.last() != null && one.last().at().isAfter(newest.at())
                      ? one.last()
                      : newest;
              jdbc.update(
                  "update thermometer set heard_at = ?, last_at = ?, last_celsius = ?,"
                      + " battery_percent = coalesce(?, battery_percent), usual_gap_seconds = ?"
                      + " where id = ?",
                  Timestamp.from(clock.instant()),
                  last == null ? null : Timestamp.from(last.at()),
                  last == null ? null : last.celsius(),
                  battery,
                  usualGap(one, sorted),
                  one.id());
            });
  }

  /** The interval between its words, each new one moving it a little. */
  private static @Nullable Double usualGap(Thermometer one, List<Reading> sorted) {
    Double usual = one.usualGapSeconds();
    Instant before = one.last() == null ? null : one.last().at();
    for (Reading reading : sorted) {
      if (before != null && reading.at().isAfter(before)) {
        double gap = Duration.between(before, reading.at()).toMillis() / 1000.0;
        usual = usual == null ? gap : Silence.usual(usual, gap);
      }
      before = reading.at();
    }
    return usual;
  }
}
