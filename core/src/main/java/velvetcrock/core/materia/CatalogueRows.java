package velvetcrock.core.materia;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVRecord;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Kitchen;

/** Turns rows of the catalogue files into things, refusing what cannot be true. */
final class CatalogueRows {
  private CatalogueRows() {}

  record Bed(Part part, Map<Cut, Double> densities) {}

  static Herb herb(CSVRecord row) {
    return new Herb(
        key(row),
        text(row, "name"),
        text(row, "botanical"),
        list(row, "parts").stream().map(p -> Part.valueOf(p.toUpperCase(Locale.ROOT))).toList(),
        within(row, "waterFresh", 0.3, 0.95),
        yesNo(row, "edible"),
        new Herb.Handling(
            choice(row, "bestState", HerbState.class),
            choice(row, "draw", Drawing.class),
            text(row, "why")),
        new Herb.Colours(colour(row, "tint"), colour(row, "fleck")),
        list(row, "cautions"),
        text(row, "source"));
  }

  static Carrier carrier(CSVRecord row) {
    return new Carrier(
        key(row),
        text(row, "name"),
        text(row, "inci"),
        new Carrier.Body(
            within(row, "density20", 0.8, 1.0),
            within(row, "meltsC", -40, 60),
            within(row, "viscosity20", 5, 2000),
            within(row, "viscosity40", 5, 1000),
            within(row, "molarG", 200, 1200),
            within(row, "meltingKj", 0, 300)),
        (int) within(row, "keepsMonths", 1, 60),
        yesNo(row, "edible"),
        row.get("allergen"),
        within(row, "hardness", 0, 100),
        new Carrier.Nature(
            text(row, "feel"),
            matching(row, "absorption", "fast|medium|slow"),
            text(row, "smell"),
            matching(row, "make", "raw|refined"),
            text(row, "chosenFor")),
        colour(row, "tint"),
        text(row, "source"));
  }

  static Wax wax(CSVRecord row) {
    return new Wax(
        key(row),
        text(row, "name"),
        within(row, "densitySolid", 0.8, 1.1),
        within(row, "densityMelted", 0.7, 1.0),
        within(row, "pelletDensity", 0.3, 0.9),
        new Range(within(row, "pelletLow", 0.3, 0.9), within(row, "pelletHigh", 0.3, 0.9)),
        within(row, "meltsC", 30, 100),
        within(row, "hardness", 10, 400),
        text(row, "source"));
  }

  static Powder powder(CSVRecord row) {
    return new Powder(
        key(row),
        text(row, "name"),
        within(row, "bulkDensity", 0.1, 1.5),
        new Range(within(row, "bulkLow", 0.1, 1.5), within(row, "bulkHigh", 0.1, 1.5)),
        within(row, "hardness", 0, 100),
        text(row, "source"));
  }

  static EssentialOil essentialOil(CSVRecord row) {
    return new EssentialOil(
        key(row),
        text(row, "name"),
        text(row, "botanical"),
        percent(row, "ceiling"),
        percent(row, "pregnancy"),
        percent(row, "child2to6"),
        percent(row, "child6to12"),
        yesNo(row, "sun"),
        list(row, "cautions"),
        text(row, "source"));
  }

  static Jar jar(CSVRecord row) {
    return new Jar(
        key(row),
        text(row, "name"),
        within(row, "brimMl", 10, 50_000),
        within(row, "innerDiameterMm", 15, 600),
        Jar.Shape.JAR,
        Kitchen.valueOf(text(row, "sold").toUpperCase(Locale.ROOT)));
  }

  static Bed bed(CSVRecord row) {
    Map<Cut, Double> densities = new EnumMap<>(Cut.class);
    for (Cut cut : Cut.values()) {
      densities.put(cut, within(row, cut.name().toLowerCase(Locale.ROOT), 0.02, 1.4));
    }
    return new Bed(Part.valueOf(text(row, "part").toUpperCase(Locale.ROOT)), densities);
  }

  private static <E extends Enum<E>> E choice(CSVRecord row, String column, Class<E> type) {
    return Enum.valueOf(type, text(row, column).toUpperCase(Locale.ROOT));
  }

  private static Optional<Range> range(CSVRecord row, String column) {
    String value = row.get(column);
    if (value.isBlank()) {
      return Optional.empty();
    }
    String[] ends = matching(row, column, "[0-9.]+-[0-9.]+").split("-");
    return Optional.of(new Range(Double.parseDouble(ends[0]), Double.parseDouble(ends[1])));
  }

  private static OptionalDouble percent(CSVRecord row, String column) {
    return row.get(column).isBlank()
        ? OptionalDouble.empty()
        : OptionalDouble.of(within(row, column, 0, 100));
  }

  private static String key(CSVRecord row) {
    return matching(row, "key", "[a-z0-9]+(-[a-z0-9]+)*");
  }

  private static String colour(CSVRecord row, String column) {
    return matching(row, column, "#[0-9a-f]{6}");
  }

  private static String matching(CSVRecord row, String column, String pattern) {
    String value = row.get(column);
    if (!value.matches(pattern)) {
      throw new Refused(column, "“" + value + "” should look like " + pattern + ".");
    }
    return value;
  }

  private static String text(CSVRecord row, String column) {
    String value = row.get(column);
    if (value.isBlank()) {
      throw new Refused(column, "Nothing stands here.");
    }
    return value;
  }

  private static List<String> list(CSVRecord row, String column) {
    String value = row.get(column);
    return value.isBlank() ? List.of() : Arrays.asList(value.split("\\|"));
  }

  private static boolean yesNo(CSVRecord row, String column) {
    return matching(row, column, "yes|no").equals("yes");
  }

  private static double within(CSVRecord row, String column, double low, double high) {
    double value = Double.parseDouble(row.get(column));
    if (value < low || value > high) {
      throw new Refused(column, value + " is outside " + low + " to " + high + ".");
    }
    return value;
  }
}
