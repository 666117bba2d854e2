package velvetcrock.moving;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.postgresql.PGConnection;
import org.postgresql.copy.CopyIn;
import org.postgresql.util.PSQLException;
import org.postgresql.util.ServerErrorMessage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.core.Refused;
import velvetcrock.ledger.Checked;
import velvetcrock.web.Cells;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HouseholdCleared;
import velvetcrock.web.MovedIn;

/**
 * Puts a packed household into the current one, all of it or nothing. A trial does the same, to the
 * last check, and takes it back again: so that what it says is what will happen.
 */
@Component
class Unpacking {
  private static final Logger LOG = LoggerFactory.getLogger(Unpacking.class);
  private static final int MOST_NAMED = 10;
  private static final int MOST_PHOTO = 10 << 20;
  private static final int MOST_CELL = 4 << 20;
  private static final int PORTION = 1 << 16;

  private final Tables tables;
  private final JdbcTemplate jdbc;
  private final TransactionTemplate transactions;
  private final CurrentHousehold current;
  private final List<Checked> places;
  private final ApplicationEventPublisher events;

  Unpacking(
      Tables tables,
      JdbcTemplate jdbc,
      TransactionTemplate transactions,
      CurrentHousehold current,
      List<Checked> places,
      ApplicationEventPublisher events) {
    this.tables = tables;
    this.jdbc = jdbc;
    this.transactions = transactions;
    this.current = current;
    this.places = List.copyOf(places);
    this.events = events;
  }

  /**
   * Tries it, or does it.
   *
   * @param forGood whether it stays
   * @return what comes, and why it cannot if it cannot
   */
  Report unpack(Box box, boolean forGood, Progress progress) {
    progress.of(tables.all().stream().mapToLong(box::rows).sum());
    return Objects.requireNonNull(
        transactions.execute(status -> unpack(box, forGood, progress, status)));
  }

  private Report unpack(Box box, boolean forGood, Progress progress, TransactionStatus status) {
    Contents contents = new Contents();
    try {
      contents.empty = empty();
      if (contents.empty) {
        jdbc.update("delete from place");
      }
      for (Table table : tables.all()) {
        table(box, table, contents, progress);
      }
      jdbc.execute("set constraints all immediate");
      if (contents.report().good()) {
        events.publishEvent(new MovedIn(current.id()));
        places.forEach(place -> contents.problems.addAll(place.check(false)));
      }
    } catch (Refused refused) {
      contents.problems.add(refused.problems().get(0).message());
    } catch (DataAccessException e) {
      contents.problems.add(words(e));
    } catch (IOException e) {
      contents.problems.add("It cannot be read to its end.");
    } catch (RuntimeException e) {
      LOG.warn("A box was not understood", e);
      contents.problems.add("Its log has an entry that is not understood here.");
    }
    if (forGood && contents.report().good()) {
      events.publishEvent(new HouseholdCleared(current.id()));
    } else {
      status.setRollbackOnly();
    }
    return contents.report();
  }

  /** What is found as it is unpacked. */
  private static final class Contents {
    private final List<Report.Line> lines = new ArrayList<>();
    private final List<String> changed = new ArrayList<>();
    private final List<String> problems = new ArrayList<>();
    private String household = "";
    private boolean empty;

    Report report() {
      return new Report(household, empty, lines, changed, problems);
    }
  }

  /** Whether nobody has written anything down here yet. */
  private boolean empty() {
    return Boolean.TRUE.equals(
        jdbc.queryForObject(
            "select not exists (select from entry) and not exists (select from own_thing)"
                + " and not exists (select from own_jar) and not exists (select from appliance)"
                + " and not exists (select from plan) and not exists (select from recipe)",
            Boolean.class));
  }

  private void table(Box box, Table table, Contents contents, Progress progress)
      throws IOException {
    String columns =
        table.fields().stream()
            .map(f -> "\"" + f.name() + "\" " + staged(f))
            .collect(Collectors.joining(", "));
    jdbc.execute("create temp table moving_in (" + columns + ") on commit drop");
    try (Box.Opened file = box.table(table)) {
      copy(table, file, progress);
      if (file.changed()) {
        contents.changed.add(table.path());
      }
    }
    if (table.household()) {
      household(table, contents);
    } else {
      rows(box, table, contents);
    }
    jdbc.execute("drop table moving_in");
  }

  private static String staged(Table.Field field) {
    return field.type().equals("text[]") ? "jsonb" : field.type();
  }

  private void copy(Table table, Box.Opened file, Progress progress) throws IOException {
    CSVFormat format = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();
    List<String> names = table.fields().stream().map(Table.Field::name).toList();
    try {
      // closed with the file, of which the rest is read yet
      CSVParser records = CSVParser.parse(file.text(), format);
      if (!records.getHeaderNames().equals(names)) {
        throw new Refused("box", table.path() + " has other columns than it was packed with.");
      }
      jdbc.execute((ConnectionCallback<Long>) c -> copy(c, table, records, progress));
    } catch (java.io.UncheckedIOException e) {
      throw new Refused("box", table.path() + " is not a table as it was packed.");
    }
  }

  private static Long copy(Connection connection, Table table, CSVParser records, Progress progress)
      throws SQLException {
    CopyIn copy =
        connection.unwrap(PGConnection.class).getCopyAPI().copyIn("copy moving_in from stdin");
    try {
      StringBuilder lines = new StringBuilder();
      for (CSVRecord row : records) {
        if (row.size() != table.fields().size()) {
          throw new Refused(
              "box",
              "Row "
                  + row.getRecordNumber()
                  + " of "
                  + table.path()
                  + " has too few or too many cells.");
        }
        for (int i = 0; i < row.size(); i++) {
          lines.append(i == 0 ? "" : "\t").append(cell(table.fields().get(i), row.get(i)));
        }
        lines.append('\n');
        if (lines.length() > PORTION) {
          send(copy, lines);
        }
        progress.step();
      }
      send(copy, lines);
      return copy.endCopy();
    } finally {
      if (copy.isActive()) {
        copy.cancelCopy();
      }
    }
  }

  private static void send(CopyIn copy, StringBuilder lines) throws SQLException {
    byte[] bytes = lines.toString().getBytes(StandardCharsets.UTF_8);
    copy.writeToCopy(bytes, 0, bytes.length);
    lines.setLength(0);
  }

  private static String cell(Table.Field field, String cell) {
    if (cell.length() > MOST_CELL) {
      throw new Refused(
          "box", "A text of " + cell.length() + " letters is longer than any page takes.");
    }
    String value = field.text() ? Cells.bare(cell) : cell.isEmpty() ? null : cell;
    if (value == null) {
      return "\\N";
    }
    return value
        .replace("\\", "\\\\")
        .replace("\t", "\\t")
        .replace("\n", "\\n")
        .replace("\r", "\\r");
  }

  private void household(Table table, Contents contents) {
    List<String> zones =
        jdbc.query(
            "select name, zone from moving_in",
            (row, number) -> {
              contents.household = row.getString(1);
              return row.getString(2);
            });
    if (zones.size() != 1) {
      throw new Refused("box", table.path() + " is to have one row.");
    }
    try {
      ZoneId.of(zones.get(0));
    } catch (DateTimeException e) {
      throw new Refused("box", "Its time zone is not known here.");
    }
    if (contents.empty) {
      String set =
          table.fields().stream()
              .map(f -> f.name() + " = m." + f.name())
              .collect(Collectors.joining(", "));
      jdbc.update(
          "update household h set " + set + " from moving_in m where h.id = household_at_hand()");
    }
  }

  private void rows(Box box, Table table, Contents contents) throws IOException {
    String same = equal(table.key());
    long all = count("select count(*) from moving_in");
    String here = " from moving_in m join " + table.table() + " t on " + same;
    String differs =
        table.reading().join().isEmpty()
            ? " where " + sides(table, "m.") + " is distinct from " + sides(table, "t.")
            : " where false";
    String taken =
        table.others().stream()
            .map(
                columns ->
                    " union select m.* from moving_in m join "
                        + table.table()
                        + " t on "
                        + equal(columns)
                        + " and not ("
                        + same
                        + ")")
            .collect(Collectors.joining());
    String clashing = "(select m.*" + here + differs + taken + ") clash";
    long clashes = count("select count(*) from " + clashing);
    List<String> called =
        clashes == 0
            ? List.of()
            : jdbc.queryForList(
                "select distinct \""
                    + table.called()
                    + "\"::text from "
                    + clashing
                    + " order by 1 limit "
                    + MOST_NAMED,
                String.class);
    long known = count("select count(*)" + here) - count("select count(*)" + here + differs);
    contents.lines.add(
        new Report.Line(table.title(), all - known - clashes, known, called, clashes));
    if (clashes == 0) {
      put(box, table, same);
    }
  }

  private void put(Box box, Table table, String same) throws IOException {
    List<String> columns = new ArrayList<>();
    List<String> values = new ArrayList<>();
    for (Table.Field field : table.fields()) {
      if (!table.reading().reads().containsKey(field.name())) {
        columns.add(field.name());
        values.add(value(field));
      }
    }
    table
        .reading()
        .puts()
        .forEach(
            (column, value) -> {
              columns.add(column);
              values.add(value);
            });
    if (table.folded()) {
      columns.addAll(List.of("state", "state_version"));
      values.addAll(List.of("'{}'::jsonb", "''"));
    }
    String fresh =
        " from moving_in m "
            + table.reading().putJoin()
            + " where not exists (select from "
            + table.table()
            + " t where "
            + same
            + ")";
    if (table.photo() == null) {
      jdbc.update(
          "insert into "
              + table.table()
              + " (household_id, "
              + String.join(", ", columns)
              + ") select household_at_hand(), "
              + String.join(", ", values)
              + fresh);
      return;
    }
    for (UUID id : jdbc.queryForList("select m.id" + fresh, UUID.class)) {
      byte[] jpeg = box.photo(id.toString(), MOST_PHOTO);
      if (jpeg.length < 3 || jpeg[0] != (byte) 0xff || jpeg[1] != (byte) 0xd8) {
        throw new Refused("box", "photos/" + id + ".jpg is not a photo.");
      }
      jdbc.update(
          "insert into "
              + table.table()
              + " (household_id, "
              + table.photo()
              + ", "
              + String.join(", ", columns)
              + ") select household_at_hand(), ?, "
              + String.join(", ", values)
              + " from moving_in m where m.id = ?",
          jpeg,
          id);
    }
  }

  private static String value(Table.Field field) {
    String staged = "m.\"" + field.name() + "\"";
    return field.type().equals("text[]")
        ? "array(select jsonb_array_elements_text(" + staged + "))"
        : staged;
  }

  private static String equal(List<String> columns) {
    return columns.stream()
        .map(c -> "t." + c + " = m.\"" + c + "\"")
        .collect(Collectors.joining(" and "));
  }

  private static String sides(Table table, String side) {
    return table.fields().stream()
        .map(
            f ->
                f.type().equals("text[]") && side.equals("t.")
                    ? "to_jsonb(t." + f.name() + ")"
                    : side + "\"" + f.name() + "\"")
        .collect(Collectors.joining(", ", "row(", ")"));
  }

  private long count(String sql) {
    Long rows = jdbc.queryForObject(sql, Long.class);
    return rows == null ? 0 : rows;
  }

  /** What the store does not take, in words. */
  private String words(DataAccessException refused) {
    if (!(refused.getMostSpecificCause() instanceof PSQLException e)
        || e.getServerErrorMessage() == null) {
      throw refused;
    }
    ServerErrorMessage said = e.getServerErrorMessage();
    String file =
        tables.all().stream()
            .filter(t -> t.table().equals(said.getTable()))
            .map(t -> t.path() + ": ")
            .findFirst()
            .orElse("");
    String state = String.valueOf(e.getSQLState());
    return switch (state) {
      case "23502" -> file + "a row has nothing in “" + said.getColumn() + "”.";
      case "23503" -> file + "a row points to something that is not in the box.";
      case "23505" -> file + "two rows are the same thing.";
      case "23514" -> file + "a row has a word or a figure that is not known here.";
      default -> {
        if (!state.startsWith("22")) {
          throw refused;
        }
        yield "A cell does not fit its column" + where(said) + ".";
      }
    };
  }

  /** Where a cell stands that could not be read: “line 3, column celsius: "warm"”. */
  private static String where(ServerErrorMessage said) {
    String where = said.getWhere();
    return where == null
        ? ""
        : where
            .replaceFirst("(?s)^COPY moving_in, line (\\d+)", ": row $1")
            .replaceAll("\\s+", " ");
  }
}
