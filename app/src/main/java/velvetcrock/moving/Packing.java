package velvetcrock.moving;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDateTime;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Cells;

/**
 * Packs all of a household into one file, as it is at one moment. What is the same makes the same
 * file, to the last byte: no moment of packing stands in it.
 */
@Component
class Packing {
  private static final int ROWS_A_FETCH = 5_000;

  /** The earliest that a ZIP file can say. */
  private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  private final Tables tables;
  private final Households households;
  private final JdbcTemplate jdbc;

  Packing(Tables tables, Households households, JdbcTemplate jdbc) {
    this.tables = tables;
    this.households = households;
    this.jdbc = jdbc;
  }

  /**
   * Packs the current household.
   *
   * @throws IOException if it cannot be written
   */
  @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
  public void pack(OutputStream out, Progress progress) throws IOException {
    String household = households.current().name();
    progress.of(tables.all().stream().mapToLong(this::rows).sum());
    Description description = new Description();
    try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
      File readme = new File(zip, "README.txt");
      readme.text(Readme.of(household, tables.all()));
      readme.end();
      for (Table table : tables.all()) {
        File file = new File(zip, table.path());
        long rows = table(table, file, progress);
        description.table(table, file.end(), rows);
      }
      for (Table table : tables.all()) {
        if (table.photo() != null) {
          photos(table, zip, description);
        }
      }
      File last = new File(zip, Description.FILE);
      last.text(JSON.writeValueAsString(description.of(household)) + "\n");
      last.end();
    }
  }

  private long rows(Table table) {
    Long rows = jdbc.queryForObject("select count(*)" + from(table), Long.class);
    return rows == null ? 0 : rows;
  }

  private static String from(Table table) {
    String own = table.household() ? " where t.id = household_at_hand()" : "";
    return " from " + table.table() + " t " + table.reading().join() + own;
  }

  private long table(Table table, File file, Progress progress) throws IOException {
    List<Table.Field> fields = table.fields();
    String columns = fields.stream().map(f -> cell(table, f)).collect(Collectors.joining(", "));
    String order = table.order().stream().map(o -> "t." + o).collect(Collectors.joining(", "));
    CSVPrinter csv = new CSVPrinter(file.writer(), CSVFormat.RFC4180);
    csv.printRecord(fields.stream().map(Table.Field::name));
    long[] rows = {0};
    jdbc.query(
        connection -> {
          var statement =
              connection.prepareStatement("select " + columns + from(table) + " order by " + order);
          statement.setFetchSize(ROWS_A_FETCH);
          return statement;
        },
        row -> {
          try {
            for (int i = 0; i < fields.size(); i++) {
              String value = row.getString(i + 1);
              csv.print(fields.get(i).text() ? Cells.guarded(value) : value);
            }
            csv.println();
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
          rows[0]++;
          progress.step();
        });
    csv.flush();
    return rows[0];
  }

  private static String cell(Table table, Table.Field field) {
    String value = table.reading().reads().getOrDefault(field.name(), "t." + field.name());
    return switch (field.type()) {
      case "timestamp with time zone" ->
          "to_char(" + value + " at time zone 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS.US\"Z\"')";
      case "text[]" -> "to_json(" + value + ")::text";
      default -> "(" + value + ")::text";
    };
  }

  private void photos(Table table, ZipOutputStream zip, Description description) {
    jdbc.query(
        connection -> {
          var statement =
              connection.prepareStatement(
                  "select id::text, " + table.photo() + " from " + table.table() + " order by id");
          statement.setFetchSize(1);
          return statement;
        },
        row -> {
          try {
            File file = new File(zip, "photos/" + row.getString(1) + ".jpg");
            file.bytes(row.getBytes(2));
            description.photo(row.getString(1), table, file.end());
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        });
  }

  /** One of the files in the box. */
  private static final class File {
    private final ZipOutputStream zip;
    private final String path;
    private final MessageDigest digest;
    private final Counted out;

    File(ZipOutputStream zip, String path) throws IOException {
      this.zip = zip;
      this.path = path;
      try {
        this.digest = MessageDigest.getInstance("SHA-256");
      } catch (NoSuchAlgorithmException e) {
        throw new IllegalStateException(e);
      }
      ZipEntry entry = new ZipEntry(path);
      entry.setTimeLocal(NO_TIME);
      zip.putNextEntry(entry);
      this.out = new Counted(new DigestOutputStream(zip, digest));
    }

    Writer writer() {
      return new OutputStreamWriter(out, StandardCharsets.UTF_8);
    }

    void text(String text) throws IOException {
      bytes(text.getBytes(StandardCharsets.UTF_8));
    }

    void bytes(byte[] bytes) throws IOException {
      out.write(bytes);
    }

    Description.Written end() throws IOException {
      zip.closeEntry();
      return new Description.Written(path, out.bytes, HexFormat.of().formatHex(digest.digest()));
    }
  }

  /** Counts what is written. */
  private static final class Counted extends FilterOutputStream {
    private long bytes;

    Counted(OutputStream out) {
      super(out);
    }

    @Override
    public void write(int one) throws IOException {
      out.write(one);
      bytes++;
    }

    @Override
    public void write(byte[] some, int from, int length) throws IOException {
      out.write(some, from, length);
      bytes += length;
    }
  }
}
