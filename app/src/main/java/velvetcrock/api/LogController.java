package velvetcrock.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.io.StringReader;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.EventKinds;
import velvetcrock.batch.LoggedEntry;
import velvetcrock.batch.Written;
import velvetcrock.core.Refused;
import velvetcrock.core.log.BatchReckoning.Reading;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.log.Event;
import velvetcrock.core.measure.Temperatures;

/** The log of a household: batches, entries and readings. Needs a session or a token. */
@RestController
@RequestMapping("/api/v1/batches")
@Tag(name = "log", description = "A household’s batches; needs a session or Authorization: Bearer.")
class LogController {
  private static final int NEWEST = 500;
  private static final double COLDEST_C = -60;
  private static final double HOTTEST_C = 400;

  private final Batches batches;
  private final EventKinds kinds;

  LogController(Batches batches, EventKinds kinds) {
    this.batches = batches;
    this.kinds = kinds;
  }

  /** A batch in a list. */
  record BatchOut(
      String code,
      String status,
      LocalDate chargedOn,
      String herb,
      LocalDate earliest,
      LocalDate usual,
      LocalDate latest,
      @Nullable BatchState state) {
    static BatchOut of(BatchRecord batch, boolean whole) {
      BatchState state = batch.state();
      return new BatchOut(
          batch.code(),
          Reader.word(state.status()),
          state.charge().chargedOn(),
          state.charge().herbs().get(0).herb(),
          state.earliest(),
          state.usual(),
          state.latest(),
          whole ? state : null);
    }
  }

  /** An entry that is sent. */
  record EntryIn(
      @Nullable String kind,
      @Nullable OffsetDateTime at,
      @Nullable JsonNode data,
      @Nullable UUID replaces) {}

  /** An entry of the log. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record EntryOut(
      UUID id,
      int number,
      String kind,
      Instant at,
      Instant writtenAt,
      String by,
      Event data,
      @Nullable UUID replaces,
      boolean replaced) {
    static EntryOut of(LoggedEntry logged) {
      return new EntryOut(
          logged.entry().id(),
          logged.entry().number(),
          logged.kind(),
          logged.entry().at(),
          logged.writtenAt(),
          logged.by(),
          logged.entry().event(),
          logged.entry().replaces(),
          logged.replaced());
    }
  }

  /** What became of readings. */
  record ReadingsOut(int accepted, int repeated, List<Rejected> rejected) {}

  /** A reading that cannot be taken. */
  record Rejected(int line, String why) {}

  @GetMapping
  @Operation(summary = "The newest batches, newest first.")
  List<BatchOut> list() {
    return batches.newest(NEWEST).stream().map(b -> BatchOut.of(b, false)).toList();
  }

  @PostMapping
  @Operation(summary = "Charges a batch: the body is the data of its charged entry.")
  ResponseEntity<Written> charge(
      @RequestHeader(value = "Idempotency-Key", required = false) @Nullable String key,
      @RequestBody JsonNode data) {
    Event event = kinds.read("charged", data.toString());
    return answer(batches.charge((Event.Charged) event, key(key)));
  }

  @GetMapping("/{code}")
  @Operation(summary = "A batch with the state that its log folds to.")
  BatchOut batch(@PathVariable String code) {
    return BatchOut.of(batches.find(code), true);
  }

  @GetMapping("/{code}/entries")
  @Operation(summary = "A batch’s log in the order in which it was written.")
  List<EntryOut> entries(@PathVariable String code) {
    return batches.log(batches.find(code)).stream().map(EntryOut::of).toList();
  }

  @PostMapping("/{code}/entries")
  @Operation(
      summary = "Adds an entry; a repeat under the same Idempotency-Key is not written again.")
  ResponseEntity<Written> append(
      @PathVariable String code,
      @RequestHeader(value = "Idempotency-Key", required = false) @Nullable String key,
      @RequestBody EntryIn entry) {
    if (entry.kind() == null) {
      throw new Refused(
          "kind", "This is missing. There are: " + String.join(", ", EventKinds.names()) + ".");
    }
    String data = entry.data() == null || entry.data().isNull() ? "{}" : entry.data().toString();
    Event event = kinds.read(entry.kind(), data);
    Instant at = entry.at() == null ? null : entry.at().toInstant();
    return answer(batches.append(code, event, at, entry.replaces(), key(key)));
  }

  @PostMapping(value = "/{code}/readings", consumes = "application/json")
  @Operation(summary = "Adds temperatures: [{at, celsius}].")
  ReadingsOut readings(@PathVariable String code, @RequestBody List<Map<String, Object>> sent) {
    BatchRecord batch = batches.find(code);
    List<Reading> good = new ArrayList<>();
    List<Rejected> rejected = new ArrayList<>();
    for (int i = 0; i < sent.size(); i++) {
      take(
          i + 1,
          String.valueOf(sent.get(i).get("at")),
          String.valueOf(sent.get(i).get("celsius")),
          false,
          good,
          rejected);
    }
    return add(batch, good, rejected);
  }

  @PostMapping(value = "/{code}/readings", consumes = "text/csv")
  @Operation(
      summary = "Adds temperatures from CSV: a time column and one in °C or °F, by their header.")
  ReadingsOut readingsCsv(@PathVariable String code, @RequestBody String csv) throws IOException {
    BatchRecord batch = batches.find(code);
    List<Reading> good = new ArrayList<>();
    List<Rejected> rejected = new ArrayList<>();
    CSVFormat format = CSVFormat.DEFAULT.builder().setTrim(true).setIgnoreEmptyLines(true).get();
    try (CSVParser parser = CSVParser.parse(new StringReader(csv), format)) {
      Columns columns = null;
      for (CSVRecord row : parser) {
        if (columns == null) {
          columns = Columns.of(row);
          continue;
        }
        int line = (int) row.getRecordNumber();
        if (row.size() <= Math.max(columns.time(), columns.temperature())) {
          rejected.add(new Rejected(line, "A column is missing."));
        } else {
          take(
              line,
              row.get(columns.time()),
              row.get(columns.temperature()),
              columns.fahrenheit(),
              good,
              rejected);
        }
      }
    }
    return add(batch, good, rejected);
  }

  /** Where the columns are. */
  private record Columns(int time, int temperature, boolean fahrenheit) {
    static Columns of(CSVRecord header) {
      int time = -1;
      int temperature = -1;
      boolean fahrenheit = false;
      for (int i = 0; i < header.size(); i++) {
        String name = header.get(i).toLowerCase(Locale.ROOT);
        if (time < 0 && name.matches(".*(time|date|^at$).*")) {
          time = i;
        } else if (temperature < 0 && name.matches(".*(temp|celsius|fahrenheit|°c|°f|^c$|^f$).*")) {
          temperature = i;
          fahrenheit =
              name.contains("fahrenheit") || name.contains("°f") || name.matches("(.*[^a-z])?f");
        }
      }
      if (time < 0 || temperature < 0) {
        throw new Refused(
            "header",
            "Name a time column and a temperature column in °C or °F, such as: time,celsius");
      }
      return new Columns(time, temperature, fahrenheit);
    }
  }

  private static void take(
      int line,
      String at,
      String temperature,
      boolean fahrenheit,
      List<Reading> good,
      List<Rejected> rejected) {
    try {
      double value = Double.parseDouble(temperature);
      double celsius = fahrenheit ? Temperatures.celsiusOfFahrenheit(value) : value;
      if (!(celsius >= COLDEST_C && celsius <= HOTTEST_C)) {
        rejected.add(
            new Rejected(
                line, "A temperature is between −60 and 400 °C; " + temperature + " was read."));
        return;
      }
      good.add(new Reading(OffsetDateTime.parse(at).toInstant(), celsius));
    } catch (NumberFormatException e) {
      rejected.add(new Rejected(line, "“" + temperature + "” is not a temperature."));
    } catch (DateTimeException e) {
      rejected.add(
          new Rejected(
              line, "“" + at + "” is not a time with its zone, such as 2026-12-05T08:00:00Z."));
    }
  }

  private ReadingsOut add(BatchRecord batch, List<Reading> good, List<Rejected> rejected) {
    Set<Instant> times = new HashSet<>();
    List<Reading> once = good.stream().filter(r -> times.add(r.at())).toList();
    int accepted = batches.addReadings(batch, once);
    return new ReadingsOut(accepted, good.size() - accepted, rejected);
  }

  private static ResponseEntity<Written> answer(Written written) {
    return ResponseEntity.status(written.repeated() ? HttpStatus.OK : HttpStatus.CREATED)
        .body(written);
  }

  private static String key(@Nullable String key) {
    return key == null ? "api:" + UUID.randomUUID() : key;
  }
}
