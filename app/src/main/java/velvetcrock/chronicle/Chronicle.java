package velvetcrock.chronicle;

import jakarta.servlet.http.HttpServletRequest;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import velvetcrock.web.CatchUp;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.Pseudonym;

/** Writes down what happened, with when, who and from where, and keeps it a year. */
@Service
public class Chronicle {
  /** How long it is kept. */
  public static final Duration KEPT = Duration.ofDays(365);

  private static final Logger LOG = LoggerFactory.getLogger("velvetcrock.happened");
  private static final int LONGEST = 300;
  private static final String[] TOLD =
      Arrays.stream(Deed.values()).filter(Deed::told).map(Enum::name).toArray(String[]::new);

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final CatchUp households;
  private final TransactionTemplate transactions;
  private final Clock clock;

  Chronicle(
      JdbcTemplate jdbc,
      CurrentHousehold current,
      CatchUp households,
      TransactionTemplate transactions,
      Clock clock) {
    this.jdbc = jdbc;
    this.current = current;
    this.households = households;
    this.transactions = transactions;
    this.clock = clock;
  }

  /** One thing that happened. */
  public record Line(long id, Instant at, Deed deed, String who, String address, String what) {}

  /** Writes down what whoever is signed in did; part of the act that runs. */
  public void note(Deed deed, String what) {
    noteOf(current.id(), current.name(), deed, what);
  }

  /**
   * The same of somebody who is not signed in.
   *
   * @param household null where nobody knows whose it was: then only the log file has it
   */
  public void noteOf(@Nullable UUID household, String who, Deed deed, String what) {
    String address = address();
    String house = household == null ? "" : Pseudonym.of(household);
    LOG.atInfo()
        .addKeyValue("deed", deed)
        .addKeyValue("household", house)
        .addKeyValue("who", plain(who))
        .addKeyValue("from", address)
        .addKeyValue("what", plain(what))
        .log(
            "deed={} household={} who=\"{}\" from={} what=\"{}\"",
            deed,
            house,
            plain(who),
            address,
            plain(what));
    if (household != null) {
      jdbc.update(
          "insert into happened (household_id, at, deed, who, address, what)"
              + " values (?, ?, ?, ?, ?, ?)",
          household,
          Timestamp.from(clock.instant()),
          deed.name(),
          plain(who),
          address,
          plain(what));
    }
  }

  /** The newest of the current household, from one on. */
  @Transactional(readOnly = true)
  public List<Line> newest(int most, @Nullable Long before) {
    return jdbc.query(
        "select * from happened where household_id = ? and id < ? order by id desc limit ?",
        Chronicle::line,
        current.id(),
        before == null ? Long.MAX_VALUE : before,
        most);
  }

  /** What keepers of the current household are told of, since a moment. */
  @Transactional(readOnly = true)
  public List<Line> toldSince(Instant since) {
    return jdbc.query(
        "select * from happened where household_id = ? and at > ? and deed = any(?)"
            + " order by id desc limit 20",
        Chronicle::line,
        current.id(),
        Timestamp.from(since),
        TOLD);
  }

  /** Lets go what is older than a year. */
  public void letGo() {
    Timestamp before = Timestamp.from(clock.instant().minus(KEPT));
    households.inEach(
        () ->
            transactions.executeWithoutResult(
                status -> jdbc.update("delete from happened where at < ?", before)));
  }

  private static Line line(ResultSet row, int number) throws SQLException {
    return new Line(
        row.getLong("id"),
        row.getTimestamp("at").toInstant(),
        Deed.valueOf(row.getString("deed")),
        row.getString("who"),
        row.getString("address"),
        row.getString("what"));
  }

  /** Where the request that runs comes from; “here” where none does. */
  private static String address() {
    return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now
        ? address(now.getRequest())
        : "here";
  }

  private static String address(HttpServletRequest request) {
    String address = request.getRemoteAddr();
    return address == null ? "" : address;
  }

  /** One line of readable text, so that nobody can forge a second one. */
  private static String plain(String text) {
    String one = text.replaceAll("[\\p{Cntrl}\"]+", " ").strip();
    return one.length() > LONGEST ? one.substring(0, LONGEST) : one;
  }
}
