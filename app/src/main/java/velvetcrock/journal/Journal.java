package velvetcrock.journal;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HeldUntilChanged;

/**
 * Keeps and finds what was written. The database’s word search is not Hibernate’s, so that the
 * household stands in every statement here by hand.
 */
@Service
public class Journal {
  private static final int LONGEST_WORDS = 100;
  private static final int MOST_WORDS = 8;
  private static final String ALL = "journal where household_id = ?";
  private static final String NEWEST =
      "(select * from journal where household_id = ? order by happened_at desc, id limit 3000)"
          + " newest where true";

  private static final int NEWEST_OF_A_KIND = 3000;

  /** The newest of each of some kinds. */
  private static final String NEWEST_OF_KINDS =
      "(select newest.* from unnest(?::text[]) wanted (kind), household at, lateral (select * from"
          + " journal j where j.household_id = at.id and j.kind = wanted.kind"
          + " order by j.happened_at desc, j.id limit "
          + NEWEST_OF_A_KIND
          + ") newest where at.id = ?) newest where true";

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;

  Journal(JdbcTemplate jdbc, CurrentHousehold current) {
    this.jdbc = jdbc;
    this.current = current;
  }

  /**
   * Keeps a line, in the transaction of what it tells of; one that is kept already stays as it is.
   *
   * @param replaces the line whose place it takes, if any
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void keep(JournalLine line, @Nullable UUID replaces) {
    jdbc.update(
        "insert into journal (id, household_id, kind, subject, link, title, detail, about, herbs,"
            + " oils, happened_at, written_by, struck) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)"
            + " on conflict do nothing",
        line.id(),
        current.id(),
        line.kind(),
        line.subject().name(),
        line.subject().link(),
        line.title(),
        line.detail(),
        line.subject().about(),
        line.subject().herbs().toArray(String[]::new),
        line.subject().oils().toArray(String[]::new),
        Timestamp.from(line.at()),
        line.by(),
        line.struck());
    strike(replaces);
  }

  /** Marks a line as taken back. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void strike(@Nullable UUID id) {
    if (id != null) {
      jdbc.update(
          "update journal set struck = true where id = ? and household_id = ?", id, current.id());
    }
  }

  /** Which of some entries it knows, and whether they are struck out. */
  @Transactional(readOnly = true)
  public Map<UUID, Boolean> known(Collection<UUID> ids) {
    Map<UUID, Boolean> known = new HashMap<>();
    jdbc.query(
        "select id, struck from journal where household_id = ? and id = any(?)",
        row -> {
          known.put(row.getObject(1, UUID.class), row.getBoolean(2));
        },
        current.id(),
        ids.toArray(UUID[]::new));
    return known;
  }

  /** When the first thing that was written down happened; empty if nothing was. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public Optional<Instant> first() {
    return jdbc
        .query(
            "select happened_at from journal where household_id = ? order by happened_at limit 1",
            (row, number) -> row.getTimestamp(1).toInstant(),
            current.id())
        .stream()
        .findFirst();
  }

  /**
   * Finds lines, the newest first.
   *
   * @param skip how many of the newest to pass over
   * @param most how many to find at most
   */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<JournalLine> find(Search search, int skip, int most) {
    Conditions conditions = new Conditions(search);
    if (!query(search.words()).isEmpty()) {
      List<JournalLine> among = find(conditions, NEWEST, List.of(current.id()), skip, most);
      if (among.size() == most) {
        return among;
      }
      // Taking words for independent, the planner would read every line where two common ones
      // never meet.
      jdbc.execute("set local enable_seqscan = off");
      jdbc.execute("set local enable_indexscan = off");
    }
    if (!search.kinds().isEmpty()) {
      String[] kinds = search.kinds().toArray(String[]::new);
      List<Object> values = List.of(kinds, current.id());
      List<JournalLine> among = find(conditions, NEWEST_OF_KINDS, values, skip, most);
      if (among.size() == most || search.kinds().stream().noneMatch(this::manyOf)) {
        return among;
      }
    }
    return find(conditions, ALL, List.of(current.id()), skip, most);
  }

  /**
   * Finds lines among some. A word that is everywhere is found soonest among the newest lines, and
   * one that is rare by the index of words; which it is, only trying tells.
   */
  private List<JournalLine> find(
      Conditions conditions, String among, List<Object> of, int skip, int most) {
    List<Object> values = new ArrayList<>(of);
    values.addAll(conditions.values);
    values.add(skip);
    values.add(most);
    return jdbc.query(
        "select * from "
            + among
            + conditions.sql
            + " order by happened_at desc, id offset ? limit ?",
        (row, number) -> line(row),
        values.toArray());
  }

  /** Whether there are more of a kind than its newest. */
  private boolean manyOf(String kind) {
    return !jdbc.queryForList(
            "select 1 from journal where household_id = ? and kind = ?"
                + " order by happened_at desc offset ? limit 1",
            current.id(),
            kind,
            NEWEST_OF_A_KIND)
        .isEmpty();
  }

  /** A search as the database takes it. */
  private static final class Conditions {
    private final StringBuilder sql = new StringBuilder();
    private final List<Object> values = new ArrayList<>();

    Conditions(Search search) {
      String words = query(search.words());
      if (!words.isEmpty()) {
        also("words @@ to_tsquery('simple', ?)", words);
      }
      if (search.herb() != null) {
        also("herbs @> ?::text[]", new String[] {search.herb()});
      }
      if (search.oil() != null) {
        also("oils @> ?::text[]", new String[] {search.oil()});
      }
      if (!search.kinds().isEmpty()) {
        also("not struck and kind = any(?)", search.kinds().toArray(String[]::new));
      }
      if (search.from() != null) {
        also("happened_at >= ?", Timestamp.from(search.from()));
      }
      if (search.until() != null) {
        also("happened_at < ?", Timestamp.from(search.until()));
      }
    }

    private void also(String what, Object value) {
      sql.append(" and ").append(what);
      values.add(value);
    }
  }

  /** Words as the database looks for them: each a beginning, all to be there. */
  private static String query(String typed) {
    String text = typed.length() > LONGEST_WORDS ? typed.substring(0, LONGEST_WORDS) : typed;
    return Arrays.stream(text.split("[^\\p{L}\\p{N}]+"))
        .filter(word -> !word.isEmpty())
        .limit(MOST_WORDS)
        .map(word -> word + ":*")
        .collect(Collectors.joining(" & "));
  }

  private static JournalLine line(ResultSet row) throws SQLException {
    return new JournalLine(
        row.getObject("id", UUID.class),
        row.getString("kind"),
        new JournalLine.Subject(
            row.getString("subject"),
            row.getString("link"),
            row.getString("about"),
            texts(row.getArray("herbs")),
            texts(row.getArray("oils"))),
        row.getTimestamp("happened_at").toInstant(),
        row.getString("written_by"),
        row.getString("title"),
        row.getString("detail"),
        row.getBoolean("struck"));
  }

  private static List<String> texts(Array array) throws SQLException {
    return Stream.of((String[]) array.getArray()).toList();
  }
}
