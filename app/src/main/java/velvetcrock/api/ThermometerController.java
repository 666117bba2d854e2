package velvetcrock.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import velvetcrock.thermometer.Thermometers;

/** What a thermometer sends by itself: it need not know which jar it is in. */
@RestController
@RequestMapping("/api/v1/thermometer")
@Tag(name = "log", description = "A household’s batches; needs a session or Authorization: Bearer.")
class ThermometerController {
  private final ReadingsDoor readings;
  private final Thermometers thermometers;

  ThermometerController(ReadingsDoor readings, Thermometers thermometers) {
    this.readings = readings;
    this.thermometers = thermometers;
  }

  /**
   * What one sends.
   *
   * @param battery in hundredths; null where it tells none
   * @param readings each with at and celsius; null or empty where it tells of its battery alone
   */
  record Sent(@Nullable Integer battery, @Nullable List<Map<String, Object>> readings) {}

  @PostMapping(value = "/readings", consumes = "application/json")
  @Operation(
      summary =
          "Adds temperatures of the jar that this thermometer is in: {battery, readings: [{at, celsius}]}.")
  ReadingsDoor.Out readings(@RequestBody Sent sent) {
    List<Map<String, Object>> lines = Objects.requireNonNullElse(sent.readings(), List.of());
    if (lines.isEmpty()) {
      thermometers.heard(List.of(), sent.battery());
      return new ReadingsDoor.Out(0, 0, List.of());
    }
    return readings.take(thermometers.batchOfSender(), lines, sent.battery());
  }
}
