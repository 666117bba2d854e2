package velvetcrock.api;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.OffsetDateTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.stove.LoggerFile;
import velvetcrock.thermometer.Thermometers;
import velvetcrock.web.ScriptsInTurn;

/** The one door by which readings come in as JSON or CSV, from whatever sends them. */
@Component
class ReadingsDoor {
  private static final TypeReference<Map<String, Object>> ONE = new TypeReference<>() {};

  /** So many lines that cannot be taken are told. */
  private static final int MOST_REJECTED = 1000;

  /** From so many of the last ones it is seen how often a thermometer reads. */
  private static final int TELLING = 1000;

  private final BatchReadings readings;
  private final Thermometers thermometers;
  private final ScriptsInTurn turns;
  private final JsonMapper json;

  ReadingsDoor(
      BatchReadings readings, Thermometers thermometers, ScriptsInTurn turns, JsonMapper json) {
    this.json = json;
    this.readings = readings;
    this.thermometers = thermometers;
    this.turns = turns;
  }

  /** What became of readings. */
  record Out(long accepted, long repeated, List<Rejected> rejected) {}

  /** A reading that cannot be taken. */
  record Rejected(long line, String why) {}

  /**
   * Reads and adds; what cannot be taken is told line by line, and holds up nothing else.
   *
   * @param code of the jar
   * @param battery of the thermometer, in hundredths; null where none was told
   */
  Out take(String code, List<Map<String, Object>> sent, @Nullable Integer battery) {
    return take(
        code,
        sink -> {
          for (int i = 0; i < sent.size(); i++) {
            read(i + 1, sent.get(i), sink);
          }
        },
        battery);
  }

  /** The same of many: a reading on each line, as JSON; a line that is none holds up no other. */
  Out takeLines(String code, Path lines) {
    return take(
        code,
        sink -> {
          try (BufferedReader in = Files.newBufferedReader(lines)) {
            long number = 1;
            for (String line = in.readLine(); line != null; line = in.readLine()) {
              if (!line.isBlank()) {
                read(number, line, sink);
              }
              number++;
            }
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        },
        null);
  }

  private void read(long number, String line, LoggerFile.Sink sink) {
    try {
      read(number, json.readValue(line, ONE), sink);
    } catch (JacksonException e) {
      sink.rejected(number, "This line is no JSON such as {\"at\": …, \"celsius\": …}.");
    }
  }

  private static void read(long line, Map<String, Object> sent, LoggerFile.Sink sink) {
    String at = String.valueOf(sent.get("at"));
    String temperature = String.valueOf(sent.get("celsius"));
    try {
      double celsius = Double.parseDouble(temperature);
      if (!(celsius >= Temperatures.COLDEST_C && celsius <= Temperatures.HOTTEST_C)) {
        sink.rejected(
            line, "A temperature is between −60 and 400 °C; " + temperature + " was read.");
        return;
      }
      sink.reading(line, new Reading(OffsetDateTime.parse(at).toInstant(), celsius));
    } catch (NumberFormatException e) {
      sink.rejected(line, "“" + temperature + "” is not a temperature.");
    } catch (DateTimeException e) {
      sink.rejected(
          line, "“" + at + "” is not a time with its zone, such as 2026-12-05T08:00:00Z.");
    }
  }

  /**
   * Adds what can be read, and notes the thermometer that sent it, if one did.
   *
   * @param feed reads what was sent into a sink, line by line; nothing that waits for the sender
   * @param battery as it told, in hundredths; null where it did not
   */
  Out take(String code, Consumer<LoggerFile.Sink> feed, @Nullable Integer battery) {
    List<Rejected> rejected = new ArrayList<>();
    Deque<Reading> last = new ArrayDeque<>();
    BatchReadings.Loaded loaded =
        turns.take(
            () -> readings.take(code, intake -> feed.accept(sorted(intake, rejected, last))));
    thermometers.heard(List.copyOf(last), battery);
    return new Out(loaded.accepted(), loaded.repeated(), rejected);
  }

  private static LoggerFile.Sink sorted(
      BatchReadings.Intake intake, List<Rejected> rejected, Deque<Reading> last) {
    return new LoggerFile.Sink() {
      @Override
      public void reading(long line, Reading reading) {
        intake.put(reading).ifPresent(why -> rejected(line, why));
        last.addLast(reading);
        if (last.size() > TELLING) {
          last.removeFirst();
        }
      }

      @Override
      public void rejected(long line, String why) {
        if (rejected.size() < MOST_REJECTED) {
          rejected.add(new Rejected(line, why));
        }
      }
    };
  }
}
