package velvetcrock.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.ExampleObject;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.util.StreamUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.BatchStorage;
import velvetcrock.batch.Batches;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.batch.LoggedEntry;
import velvetcrock.batch.Written;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.Window;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.stove.LoggerFile;

/** The log of a household: batches, entries and readings. Needs a session or a token. */
@RestController
@RequestMapping("/api/v1/batches")
@Tag(name = "log", description = "A household’s batches; needs a session or Authorization: Bearer.")
class LogController {
  private static final int NEWEST = 500;
  private static final int MOST_BYTES = 128 * 1024 * 1024;

  private final Batches batches;
  private final BatchActs acts;
  private final BottleBook book;
  private final ReadingsDoor readings;
  private final Catalogues catalogues;
  private final Households households;

  LogController(
      Batches batches,
      BatchActs acts,
      BottleBook book,
      ReadingsDoor readings,
      Catalogues catalogues,
      Households households) {
    this.batches = batches;
    this.acts = acts;
    this.book = book;
    this.readings = readings;
    this.catalogues = catalogues;
    this.households = households;
  }

  /** A batch in a list. */
  record BatchOut(
      String code,
      String status,
      LocalDate chargedOn,
      String herb,
      @Nullable LocalDate earliest,
      @Nullable LocalDate usual,
      @Nullable LocalDate latest,
      WindowOut window,
      @Nullable BatchStateOut state,
      @Nullable List<BottleOut> bottles) {

    static BatchOut of(
        BatchRecord batch,
        Window window,
        @Nullable BatchStateOut whole,
        @Nullable List<BottleOut> bottles) {
      BatchState state = batch.state();
      return new BatchOut(
          batch.code(),
          Reader.word(state.status()),
          state.charge().begun().chargedOn(),
          state.charge().herbs().get(0).herb(),
          window.earliestOn().orElse(null),
          window.usualOn().orElse(null),
          window.latestOn().orElse(null),
          WindowOut.of(window),
          whole,
          bottles);
    }
  }

  /**
   * When it may be strained.
   *
   * @param countsIn {@code hours} on the heat, or {@code days}
   * @param from the day from which days count; null for hours, or before its oil
   */
  record WindowOut(
      String countsIn, @Nullable LocalDate from, double earliest, double usual, double latest) {
    static WindowOut of(Window window) {
      return new WindowOut(
          window.byHours() ? "hours" : "days",
          window.from(),
          window.earliest(),
          window.usual(),
          window.latest());
    }
  }

  /**
   * A bottle as it stands.
   *
   * @param bestBeforeLate where unknown amounts leave a range, its later end
   */
  record BottleOut(
      String letter,
      double leftMl,
      LocalDate bestBefore,
      LocalDate bestBeforeLate,
      String decidedBy,
      boolean gone) {
    static BottleOut of(BottleRecord bottle) {
      return new BottleOut(
          bottle.bottle().letter(),
          bottle.bottle().leftMl(),
          bottle.bestBefore(),
          bottle.bestBeforeLate(),
          Reader.word(bottle.decidedBy()),
          bottle.bottle().goneAt() != null);
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
      Object data,
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
          BatchStorage.STORAGE.stored(logged.entry().event()),
          logged.entry().replaces(),
          logged.replaced());
    }
  }

  @GetMapping
  @Operation(summary = "The newest batches, newest first.")
  List<BatchOut> list() {
    ZoneId zone = households.current().zone();
    return batches.newest(NEWEST).stream().map(b -> out(b, zone, null, null)).toList();
  }

  @PostMapping
  @Operation(summary = "Charges a batch: the body is the data of its charged entry.")
  ResponseEntity<Written> charge(
      @RequestHeader(value = "Idempotency-Key", required = false) @Nullable String key,
      @RequestBody JsonNode data) {
    BatchEvent event = BatchStorage.STORAGE.sent("charged", data.toString());
    return answer(acts.charge((Charged) event, key(key)));
  }

  @GetMapping("/{code}")
  @Operation(summary = "A batch with the state that its log folds to.")
  BatchOut batch(@PathVariable String code) {
    BatchRecord batch = batches.find(code);
    return out(
        batch,
        households.current().zone(),
        BatchStateOut.of(batch.state()),
        book.of(batch).stream().map(BottleOut::of).toList());
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
          "kind",
          "This is missing. There are: " + String.join(", ", BatchStorage.STORAGE.names()) + ".");
    }
    String data = entry.data() == null || entry.data().isNull() ? "{}" : entry.data().toString();
    BatchEvent event = BatchStorage.STORAGE.sent(entry.kind(), data);
    Instant at = entry.at() == null ? null : entry.at().toInstant();
    return answer(acts.append(code, event, at, entry.replaces(), key(key)));
  }

  @PostMapping(value = "/{code}/readings", consumes = "application/json")
  @Operation(summary = "Adds temperatures: [{at, celsius}].")
  ReadingsDoor.Out readings(
      @PathVariable String code, @RequestBody List<Map<String, Object>> sent) {
    return readings.take(code, sent, null);
  }

  @PostMapping(value = "/{code}/readings", consumes = "text/csv")
  @Operation(
      summary =
          "Adds temperatures from CSV: a time column and one in °C or °F, by their header; °C where it"
              + " does not say. Times without a zone are of the zone asked for; clock says whether the"
              + " logger’s clock was changed with that zone’s or stayed, and is asked for where it"
              + " matters.",
      requestBody =
          @io.swagger.v3.oas.annotations.parameters.RequestBody(
              required = true,
              content =
                  @Content(
                      mediaType = "text/csv",
                      schema = @Schema(type = "string"),
                      examples = @ExampleObject("time,celsius\n2026-06-21T14:00:00Z,43.5\n"))))
  ReadingsDoor.Out readingsCsv(
      @PathVariable String code,
      @RequestParam(required = false) @Nullable String zone,
      @RequestParam(required = false) @Nullable String clock,
      HttpServletRequest request)
      throws IOException {
    batches.find(code);
    return spooled(
        request,
        csv -> {
          LoggerFile file;
          try (InputStream in = Files.newInputStream(csv)) {
            file = LoggerFile.of(in);
          }
          LoggerFile.Choices choices =
              new LoggerFile.Choices(LoggerFile.Scale.CELSIUS, false, zone(zone), changed(clock));
          return readings.take(code, sink -> read(file, csv, choices, sink), null);
        });
  }

  private static void read(
      LoggerFile file, Path csv, LoggerFile.Choices choices, LoggerFile.Sink sink) {
    try (InputStream in = new BufferedInputStream(Files.newInputStream(csv))) {
      file.read(in, choices, sink);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @PostMapping(value = "/{code}/readings", consumes = "application/x-ndjson")
  @Operation(
      summary =
          "Adds temperatures from a stream of JSON, {at, celsius} a line; a line that cannot be read is"
              + " told and holds up no other.",
      requestBody =
          @io.swagger.v3.oas.annotations.parameters.RequestBody(
              required = true,
              content =
                  @Content(
                      mediaType = "application/x-ndjson",
                      schema = @Schema(type = "string"),
                      examples =
                          @ExampleObject("{\"at\":\"2026-06-21T14:00:00Z\",\"celsius\":43.5}\n"))))
  ReadingsDoor.Out readingsStream(@PathVariable String code, HttpServletRequest request)
      throws IOException {
    batches.find(code);
    return spooled(request, lines -> readings.takeLines(code, lines));
  }

  /** What is done with a file. */
  private interface WithFile {
    ReadingsDoor.Out apply(Path file) throws IOException;
  }

  /**
   * Has all of it lie in a file first: while it is read and stored, nobody waits for its sender.
   */
  private static ReadingsDoor.Out spooled(HttpServletRequest request, WithFile work)
      throws IOException {
    Path file = Files.createTempFile("readings", ".sent");
    try {
      try (OutputStream out = Files.newOutputStream(file)) {
        if (StreamUtils.copyRange(request.getInputStream(), out, 0, MOST_BYTES) > MOST_BYTES) {
          throw new Refused(
              "file", "At most 128 MB at once. Larger files go through the stove’s page in parts.");
        }
      }
      return work.apply(file);
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private BatchOut out(
      BatchRecord batch,
      ZoneId zone,
      @Nullable BatchStateOut whole,
      @Nullable List<BottleOut> bottles) {
    Window window = new BatchReckoning(catalogues.current(), batch.state()).window(zone);
    return BatchOut.of(batch, window, whole, bottles);
  }

  private static @Nullable Boolean changed(@Nullable String clock) {
    if (clock == null || clock.equals("changed") || clock.equals("stayed")) {
      return clock == null ? null : clock.equals("changed");
    }
    throw new Refused(LoggerFile.CLOCK_FIELD, "Say changed or stayed, not “" + clock + "”.");
  }

  private static @Nullable ZoneId zone(@Nullable String zone) {
    try {
      return zone == null ? null : ZoneId.of(zone);
    } catch (DateTimeException e) {
      throw new Refused("zone", "“" + zone + "” is not a time zone, such as Europe/Oslo.");
    }
  }

  private static ResponseEntity<Written> answer(Written written) {
    return ResponseEntity.status(written.repeated() ? HttpStatus.OK : HttpStatus.CREATED)
        .body(written);
  }

  private static String key(@Nullable String key) {
    return key == null ? "api:" + UUID.randomUUID() : key;
  }
}
