package velvetcrock.api;

import java.time.DateTimeException;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.thermometer.Thermometers;
import velvetcrock.web.ScriptsInTurn;

/** The one door by which readings come in as JSON or CSV, from whatever sends them. */
@Component
class ReadingsDoor {
  private final BatchReadings readings;
  private final Thermometers thermometers;
  private final ScriptsInTurn turns;

  ReadingsDoor(BatchReadings readings, Thermometers thermometers, ScriptsInTurn turns) {
    this.readings = readings;
    this.thermometers = thermometers;
    this.turns = turns;
  }

  /** What became of readings. */
  record Out(int accepted, int repeated, List<Rejected> rejected) {}

  /** A reading with the line that it came from. */
  record Line(int number, Reading reading) {}

  /** A reading that cannot be taken. */
  record Rejected(int line, String why) {}

  /**
   * Reads and adds; what cannot be taken is told line by line, and holds up nothing else.
   *
   * @param code of the jar
   * @param battery of the thermometer, in hundredths; null where none was told
   */
  Out take(String code, List<Map<String, Object>> sent, @Nullable Integer battery) {
    List<Line> good = new ArrayList<>();
    List<Rejected> rejected = new ArrayList<>();
    for (int i = 0; i < sent.size(); i++) {
      read(i + 1, sent.get(i), good, rejected);
    }
    return add(code, good, rejected, battery);
  }

  private static void read(
      int line, Map<String, Object> sent, List<Line> good, List<Rejected> rejected) {
    String at = String.valueOf(sent.get("at"));
    String temperature = String.valueOf(sent.get("celsius"));
    try {
      double celsius = Double.parseDouble(temperature);
      if (!(celsius >= Temperatures.COLDEST_C && celsius <= Temperatures.HOTTEST_C)) {
        rejected.add(
            new Rejected(
                line, "A temperature is between −60 and 400 °C; " + temperature + " was read."));
        return;
      }
      good.add(new Line(line, new Reading(OffsetDateTime.parse(at).toInstant(), celsius)));
    } catch (NumberFormatException e) {
      rejected.add(new Rejected(line, "“" + temperature + "” is not a temperature."));
    } catch (DateTimeException e) {
      rejected.add(
          new Rejected(
              line, "“" + at + "” is not a time with its zone, such as 2026-12-05T08:00:00Z."));
    }
  }

  /**
   * Adds what could be read, and notes the thermometer that sent it, if one did.
   *
   * @param battery as it told, in hundredths; null where it did not
   */
  Out add(String code, List<Line> good, List<Rejected> rejected, @Nullable Integer battery) {
    List<Reading> sent = good.stream().map(Line::reading).toList();
    BatchReadings.Taken taken = turns.take(() -> readings.take(code, sent));
    good.stream()
        .filter(line -> taken.tooEarly().contains(line.reading()))
        .forEach(line -> rejected.add(new Rejected(line.number(), taken.why())));
    thermometers.heard(sent, battery);
    return new Out(taken.accepted(), taken.repeated(), rejected);
  }
}
