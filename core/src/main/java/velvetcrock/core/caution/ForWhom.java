package velvetcrock.core.caution;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.CatalogueFile;

/** Whom a herb, an oil or a drop is kept away from, by {@code for-whom.csv}. */
public final class ForWhom {
  /** Stands for every essential oil. */
  public static final String ALL_ESSENTIAL = "all-essential";

  private static final ForWhom SHIPPED = read();

  /** How grave it is. */
  public enum Mark {
    /** Keep it away. */
    AWAY("x"),
    /** Ask first. */
    ASK("!"),
    /** Nothing is known against it. */
    NONE("");

    private final String sign;

    Mark(String sign) {
      this.sign = sign;
    }

    private static Mark of(String sign) {
      for (Mark mark : values()) {
        if (mark.sign.equals(sign)) {
          return mark;
        }
      }
      throw new Refused("mark", "x, ! or nothing; not “" + sign + "”.");
    }
  }

  private record Row(List<String> things, Map<String, Mark> marks) {}

  private final Map<String, Map<String, Mark>> byThing = new HashMap<>();

  private ForWhom(Iterable<Row> rows) {
    rows.forEach(row -> row.things().forEach(thing -> byThing.put(thing, row.marks())));
  }

  /** The table that ships with the application. */
  public static ForWhom shipped() {
    return SHIPPED;
  }

  private static ForWhom read() {
    Problems problems = new Problems();
    var rows =
        CatalogueFile.read(
            ForWhom.class,
            "for-whom.csv",
            problems,
            ForWhom::row,
            row -> String.join("|", row.things()));
    if (!problems.none()) {
      throw new IllegalStateException(problems.found().toString());
    }
    return new ForWhom(rows.values());
  }

  private static Row row(CSVRecord row) {
    Map<String, Mark> marks = new HashMap<>();
    for (String whom : List.of("baby", "child", "pregnancy", "nursing", "pets", "intimate")) {
      marks.put(whom, Mark.of(row.get(whom)));
    }
    return new Row(List.of(row.get("things").split("\\|")), marks);
  }

  /**
   * How a thing stands to whom it is for.
   *
   * @param thing key of a herb, a carrier or an essential oil
   */
  public Mark of(String thing, Purpose purpose) {
    Map<String, Mark> marks = byThing.getOrDefault(thing, Map.of());
    Mark younger = marks.getOrDefault("child", Mark.NONE);
    return switch (purpose) {
      case BABY -> marks.getOrDefault("baby", Mark.NONE);
      case CHILD -> younger;
      case OLDER_CHILD -> younger == Mark.AWAY ? Mark.ASK : younger;
      case PREGNANCY -> marks.getOrDefault("pregnancy", Mark.NONE);
      case NURSING -> marks.getOrDefault("nursing", Mark.NONE);
      case PETS -> marks.getOrDefault("pets", Mark.NONE);
      case INTIMATE -> marks.getOrDefault("intimate", Mark.NONE);
      case SKIN, FACE, LIPS, HAIR, MASSAGE, KITCHEN -> Mark.NONE;
    };
  }

  /** The same of a drop, which is an essential oil besides. */
  public Mark ofDrop(String oil, Purpose purpose) {
    Mark own = of(oil, purpose);
    Mark all = of(ALL_ESSENTIAL, purpose);
    return own.compareTo(all) <= 0 ? own : all;
  }

  /** Every thing that the table names. */
  Iterable<String> things() {
    return byThing.keySet();
  }

  /** What a mark is as a fact, if it is one. */
  static Optional<String> fact(Mark mark) {
    return switch (mark) {
      case AWAY -> Optional.of("keep:away");
      case ASK -> Optional.of("keep:ask");
      case NONE -> Optional.empty();
    };
  }
}
