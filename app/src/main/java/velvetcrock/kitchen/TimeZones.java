package velvetcrock.kitchen;

import java.time.ZoneId;
import java.util.List;

/** The time zones to choose from. */
public final class TimeZones {
  private static final List<String> NAMES =
      ZoneId.getAvailableZoneIds().stream()
          .filter(
              z ->
                  z.matches(
                      "(Africa|America|Antarctica|Asia|Atlantic|Australia|Europe|Indian|Pacific)/.*"))
          .sorted()
          .toList();

  private TimeZones() {}

  /** Names by region, sorted. */
  public static List<String> names() {
    return NAMES;
  }
}
