package velvetcrock.bench;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.LoggedEntry;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Noted;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.kitchen.Place;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;

/**
 * What became of the batch that is tried again, and what is otherwise this time.
 *
 * @param outcome what came of it, line by line
 * @param notes what was written down, the newest first
 * @param changed what the sentence now says otherwise
 */
record Remarks(
    String code, String herb, List<String> outcome, List<String> notes, List<String> changed) {
  private static final int MOST_NOTES = 6;

  static Remarks of(
      BatchRecord batch,
      List<LoggedEntry> log,
      @Nullable Reckoned plan,
      Catalogue catalogue,
      Formats fmt) {
    BatchState state = batch.state();
    return new Remarks(
        batch.code(),
        new BatchReckoning(catalogue, state).herbNames(),
        outcome(state, fmt),
        notes(log),
        plan == null ? List.of() : changed(state, plan, catalogue, fmt));
  }

  /** The sentence of a batch, to be changed. */
  static BenchForm form(BatchState state, List<Place> places, Formats fmt) {
    Charged charge = state.charge();
    boolean alone = charge.herbs().size() == 1;
    String grams = fmt.typedG(charge.herbMassG().middle());
    String place =
        places.stream()
            .map(p -> p.id().toString())
            .filter(id -> id.equals(charge.stand().place()))
            .findFirst()
            .orElse(places.get(0).id().toString());
    boolean byPlace =
        charge.method().name().equals("COLD") || charge.method().name().equals("SOLAR");
    SpiritIn spirit = charge.manner().spirit();
    return new BenchForm(
        alone ? grams : "",
        charge.herbs().stream()
            .map(
                h ->
                    new BenchForm.HerbRow(
                        h.herb(),
                        h.part().name(),
                        null,
                        h.cut().name(),
                        h.state().name(),
                        alone ? "1" : fmt.typedG(h.massG().middle()),
                        null,
                        null,
                        null,
                        null,
                        null))
            .toList(),
        charge.carriers().stream()
            .map(
                c ->
                    new BenchForm.OilRow(
                        c.carrier(), charge.carriers().size() == 1 ? "" : plain(c.share()), null))
            .toList(),
        new BenchForm.Per(
            "weight", plain(charge.oil().oilMl().middle() / charge.herbMassG().middle())),
        new BenchForm.Fill(null, null, null),
        byPlace ? "" : charge.method().name(),
        charge.manner().blended() ? "yes" : "",
        new BenchForm.Spirit(
            spirit == null ? null : plain(spirit.abvPercent()),
            spirit == null ? null : plain(spirit.massG() / charge.herbMassG().middle()),
            null),
        new BenchForm.Standing(charge.jar().key(), fmt.mm(charge.coverMm()), place),
        charge.purpose().name(),
        new BenchForm.From(null, null),
        null);
  }

  private static String plain(double value) {
    return Double.toString(Math.round(value * 100) / 100.0).replaceFirst("\\.0$", "");
  }

  private static List<String> outcome(BatchState state, Formats fmt) {
    List<String> lines = new ArrayList<>();
    Strained strained = state.strained();
    if (strained != null) {
      lines.add(
          fmt.ml(strained.oilMl())
              + " came out of "
              + fmt.ml(state.oilMl())
              + " after "
              + fmt.days(state.day(fmt.date(Objects.requireNonNull(state.strainedAt()))))
              + "; "
              + fmt.ml(strained.predictedMl())
              + " was expected.");
    } else if (state.endedBecause() != null) {
      lines.add("Thrown out: " + word(state.endedBecause()) + ".");
    } else {
      lines.add("Still standing, day " + state.day(fmt.today()) + ".");
    }
    if (state.toppedUpMl() > 0) {
      lines.add(fmt.ml(state.toppedUpMl()) + " had to be topped up.");
    }
    if (Boolean.TRUE.equals(state.seen().floating())) {
      lines.add("It floated.");
    }
    if (Boolean.FALSE.equals(state.seen().covered())) {
      lines.add("It was not covered.");
    }
    if (state.seen().scent() != null) {
      lines.add("Its scent was " + word(state.seen().scent()) + " in the end.");
    }
    return lines;
  }

  private static List<String> notes(List<LoggedEntry> log) {
    List<String> notes = new ArrayList<>();
    for (int i = log.size() - 1; i >= 0 && notes.size() < MOST_NOTES; i--) {
      if (log.get(i).entry().event() instanceof Noted note && !log.get(i).replaced()) {
        notes.add(note.text());
      }
    }
    return notes;
  }

  private static List<String> changed(
      BatchState was, Reckoned plan, Catalogue catalogue, Formats fmt) {
    Charged charge = was.charge();
    Wish wish = plan.wish();
    Set<String> changed = new LinkedHashSet<>();
    compare(
        changed,
        "herb",
        charge.herbs().stream()
            .map(h -> catalogue.herb(h.herb()).name())
            .collect(Collectors.joining(", ")),
        wish.portions().stream().map(h -> h.herb().name()).collect(Collectors.joining(", ")));
    compare(changed, "cut", cuts(charge), cuts(wish));
    compare(changed, "oil", oils(charge, catalogue), wish.blend().names());
    double before = charge.oil().oilMl().middle() / charge.herbMassG().middle();
    double now = plan.oilMl() / wish.herbG().middle();
    compare(changed, "ratio", fmt.ratio(before), fmt.ratio(now));
    compare(changed, "vessel", charge.jar().name(), plan.jar().name());
    compare(changed, "way", word(charge.method()), word(wish.method()));
    compare(changed, "place", charge.stand().name(), wish.place().name());
    compare(
        changed,
        "slurry",
        charge.manner().blended() ? "blended" : "poured",
        wish.blended() ? "blended" : "poured");
    compare(changed, "use", EnumWords.of(charge.purpose()), EnumWords.of(wish.purpose()));
    return List.copyOf(changed);
  }

  private static void compare(Set<String> changed, String what, String was, String now) {
    if (!was.equals(now)) {
      changed.add(what + ": " + now + ", was " + was);
    }
  }

  private static String cuts(Charged charge) {
    return charge.herbs().stream()
        .map(h -> word(h.state()) + " " + word(h.cut()))
        .distinct()
        .collect(Collectors.joining(", "));
  }

  private static String cuts(Wish wish) {
    return wish.portions().stream()
        .map(h -> word(h.state()) + " " + word(h.cut()))
        .distinct()
        .collect(Collectors.joining(", "));
  }

  private static String oils(Charged charge, Catalogue catalogue) {
    return new CarrierBlend(
            charge.carriers().stream()
                .map(c -> new CarrierBlend.Share(catalogue.carrier(c.carrier()), c.share()))
                .toList())
        .names();
  }

  private static String word(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
