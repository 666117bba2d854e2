package velvetcrock.plans;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.Lengths;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.Units;
import velvetcrock.core.outlook.SafeFor;
import velvetcrock.web.Dates;
import velvetcrock.web.Typed;

/** Reads the planner's sentence. */
final class WantReader {
  private static final int MOST_PIECES = 10_000;
  private static final double LARGEST_PAD_CM = 100;
  private static final double MM_PER_CM = 10;

  private final Catalogue catalogue;
  private final Units units;
  private final MeasureReader measures;

  WantReader(Catalogue catalogue, Units units) {
    this.units = units;
    this.catalogue = catalogue;
    this.measures = new MeasureReader(units.kitchen());
  }

  /**
   * Reads the sentence.
   *
   * @param form completed
   * @throws Refused at every field that cannot be read
   */
  Asked read(WantForm form) {
    Problems problems = new Problems();
    List<Thing> things = new ArrayList<>();
    List<WantForm.Row> rows = Objects.requireNonNull(form.things());
    for (int i = 0; i < rows.size(); i++) {
      String at = "things[" + i + "]";
      WantForm.Row row = rows.get(i);
      Thing thing = problems.attempt(at, () -> thing(row));
      if (thing != null) {
        things.add(thing);
      }
    }
    Herb herb = problems.attempt("herb", () -> catalogue.herb(Typed.text(form.herb())));
    Cut cut = problems.attempt("cut", () -> Typed.named(Cut.class, form.cut(), "cut"));
    Carrier carrier =
        problems.attempt("carrier", () -> catalogue.carrier(Typed.text(form.carrier())));
    LocalDate by = problems.attempt("by", () -> by(form.by()));
    Set<SafeFor> safeFor = problems.attempt("safeFor", () -> safeFor(form.safeFor()));
    OptionalDouble ratio = problems.attempt("ratio", () -> ratio(form.ratio()));
    problems.refuseIfAny();
    Herb known = Objects.requireNonNull(herb);
    return new Asked(
        List.copyOf(things),
        known,
        part(known, Typed.text(form.part())),
        Objects.requireNonNull(cut),
        Objects.requireNonNull(carrier),
        Objects.requireNonNull(by),
        Objects.requireNonNull(safeFor),
        !Typed.text(form.from()).equals("drawer"),
        Objects.requireNonNull(ratio));
  }

  private Thing thing(WantForm.Row row) {
    String what = Typed.text(row.what());
    String size = Typed.text(row.size());
    if (what.equals("OIL")) {
      Measure measure = measures.read(size);
      return checked(
          new Thing(
              measure.isWeight() ? Thing.Wanted.OIL_G : Thing.Wanted.OIL_ML,
              1,
              measure.amount().middle(),
              null));
    }
    Thing.Wanted kind = Typed.named(Thing.Wanted.class, what, "");
    int count = (int) Math.round(Typed.number(row.count(), 1, MOST_PIECES, kind.words()));
    return checked(
        switch (kind) {
          case TINS ->
              new Thing(kind, count, ml(size), Typed.named(Firmness.class, row.kind(), ""));
          case BOTTLES -> new Thing(kind, count, ml(size), null);
          case BARS -> new Thing(kind, count, grams(size), null);
          case PADS -> new Thing(kind, count, sideMm(size), null);
          case OIL_ML, OIL_G -> throw new Refused("", "Choose one of the list.");
        });
  }

  private static Thing checked(Thing thing) {
    Objects.requireNonNull(thing.want());
    return thing;
  }

  private double ml(String text) {
    Measure measure = measures.read(text);
    if (measure.isWeight()) {
      throw new Refused("", "“" + text + "” is a weight: say how much it holds, such as 30 ml.");
    }
    return measure.amount().middle();
  }

  private double grams(String text) {
    Measure measure = measures.read(text);
    if (!measure.isWeight()) {
      throw new Refused("", "“" + text + "” is no weight: say what a bar weighs, such as 40 g.");
    }
    return measure.amount().middle();
  }

  /** A square pad's side: {@code 10 cm}, {@code 10 x 10 cm}; without a unit in the household’s. */
  private double sideMm(String text) {
    double mm = Lengths.sides(text, units.lengths().large()).get(0);
    if (!(mm > 0 && mm <= LARGEST_PAD_CM * MM_PER_CM)) {
      throw new Refused("", "A pad’s side is above 0 and at most 100 cm.");
    }
    return mm;
  }

  private static LocalDate by(@Nullable String typed) {
    LocalDate by = Dates.read(typed);
    if (by == null) {
      throw new Refused("by", "Say by when you want it.");
    }
    return by;
  }

  private static Set<SafeFor> safeFor(@Nullable Collection<String> typed) {
    Set<SafeFor> whom = EnumSet.noneOf(SafeFor.class);
    if (typed != null) {
      typed.forEach(name -> whom.add(Typed.named(SafeFor.class, name, "safeFor")));
    }
    return whom;
  }

  private static OptionalDouble ratio(@Nullable String typed) {
    String plain = Typed.text(typed).replaceFirst("^1\\s*:\\s*", "");
    return plain.isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(Typed.number(plain, 0.5, 1000, "parts of oil to one of herb"));
  }

  private static Part part(Herb herb, String typed) {
    return herb.parts().stream()
        .filter(p -> p.name().equalsIgnoreCase(typed))
        .findFirst()
        .orElse(herb.bestPart());
  }
}
