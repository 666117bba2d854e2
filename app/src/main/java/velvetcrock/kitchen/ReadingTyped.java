package velvetcrock.kitchen;

import java.time.DayOfWeek;
import java.util.Currency;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;
import velvetcrock.web.Customs;
import velvetcrock.web.Typed;

/** In what a household wants to read, as typed; what is not said stays as it is usual there. */
record ReadingTyped(
    @Nullable String kitchen,
    @Nullable String weights,
    @Nullable String volumes,
    @Nullable String degrees,
    @Nullable String lengths,
    @Nullable String dates,
    @Nullable String weekBegins,
    @Nullable String clock,
    @Nullable String paper,
    @Nullable String spelling,
    @Nullable String contents,
    @Nullable String currency) {
  /**
   * Reads it.
   *
   * @param before what it was; what is not said stays so
   * @throws Refused at each field that is none of its choices
   */
  Reading read(Household before) {
    Problems problems = new Problems();
    Units units = before.units();
    Customs customs = before.customs();
    Reading reading =
        new Reading(
            new Units(
                one(problems, Units.Weights.class, weights, "weights", units.weights()),
                one(problems, Units.Volumes.class, volumes, "volumes", units.volumes()),
                one(problems, Kitchen.class, kitchen, "kitchen", units.kitchen()),
                one(problems, Units.Degrees.class, degrees, "degrees", units.degrees()),
                one(problems, Units.Lengths.class, lengths, "lengths", units.lengths())),
            new Customs(
                one(problems, Customs.Dates.class, dates, "dates", customs.dates()),
                one(problems, DayOfWeek.class, weekBegins, "weekBegins", customs.weekBegins()),
                one(problems, Customs.Clock.class, clock, "clock", customs.clock()),
                one(problems, Customs.Paper.class, paper, "paper", customs.paper()),
                one(problems, Customs.Spelling.class, spelling, "spelling", customs.spelling()),
                one(problems, Customs.Contents.class, contents, "contents", customs.contents()),
                currency == null ? customs.currency() : problems.attempt("currency", this::money)));
    problems.refuseIfAny();
    return reading;
  }

  private static <E extends Enum<E>> E one(
      Problems problems, Class<E> type, @Nullable String typed, String field, E before) {
    return Typed.blank(typed)
        ? before
        : Optional.ofNullable(problems.attempt(field, () -> Typed.named(type, typed, field)))
            .orElse(before);
  }

  private @Nullable Currency money() {
    if (Typed.blank(currency)) {
      return null;
    }
    try {
      return Currency.getInstance(Typed.text(currency).toUpperCase(Locale.ROOT));
    } catch (IllegalArgumentException e) {
      throw new Refused(
          "currency", "“" + Typed.text(currency) + "” is no currency, such as USD, GBP or EUR.");
    }
  }
}
