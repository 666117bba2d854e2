package velvetcrock.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Method;
import velvetcrock.trial.Differs;
import velvetcrock.trial.Trials;
import velvetcrock.web.Forms;
import velvetcrock.web.MethodWords;
import velvetcrock.web.Typed;

/**
 * How a charge is split into a trial's jars, as typed; of the four lists the one counts that the
 * jars differ in.
 *
 * @param weeks how long each stands
 * @param cuts how finely each is cut
 * @param heats how each is warmed; {@code COOL} for not at all
 * @param doses spirit for each, g to a g of herb
 * @param blind set when it is to be judged without knowing which jar is which
 */
record SplitForm(
    @Nullable String differs,
    @Nullable List<String> weeks,
    @Nullable List<String> cuts,
    @Nullable List<String> heats,
    @Nullable List<String> doses,
    @Nullable String blind) {
  static final String COOL = "COOL";
  private static final int MOST_WEEKS = 26;
  private static final int DAYS_A_WEEK = 7;
  private static final double LARGEST_DOSE = 2;

  static SplitForm empty() {
    return Forms.blank(SplitForm.class);
  }

  /** The i-th entry of a list as typed, for showing it again. */
  public String typed(@Nullable List<String> list, int i) {
    return list != null && i < list.size() && list.get(i) != null ? list.get(i) : "";
  }

  /**
   * What sets a jar apart.
   *
   * @param changes to the bench's sentence, as a button there would ask for
   * @param aimDays day after charging on which it is to be strained; null where that is not it
   */
  record Variant(String words, String changes, @Nullable Integer aimDays) {}

  /**
   * In what the jars differ.
   *
   * @throws Refused at {@code differs} if that was not said
   */
  Differs what() {
    return Typed.named(Differs.class, differs, "differs");
  }

  /**
   * The jars.
   *
   * @throws Refused at {@code differs} if they are too few, alike, or cannot be
   */
  List<Variant> variants() {
    List<Variant> variants =
        switch (what()) {
          case WEEKS -> each(weeks).stream().map(SplitForm::weeks).toList();
          case CUT -> each(cuts).stream().map(SplitForm::cut).toList();
          case HEAT -> each(heats).stream().map(SplitForm::heat).toList();
          case SPIRIT -> each(doses).stream().map(SplitForm::dose).toList();
        };
    long apart = variants.stream().map(Variant::words).distinct().count();
    if (variants.size() < Trials.FEWEST
        || variants.size() > Trials.MOST
        || apart < variants.size()) {
      throw new Refused(
          "differs",
          "A trial has %d to %d jars, each with another %s."
              .formatted(Trials.FEWEST, Trials.MOST, what().words()));
    }
    return variants;
  }

  private static List<String> each(@Nullable List<String> typed) {
    List<String> said = new ArrayList<>();
    if (typed != null) {
      typed.stream().map(Typed::text).filter(text -> !text.isEmpty()).forEach(said::add);
    }
    return said;
  }

  private static Variant weeks(String typed) {
    int weeks = Typed.at("differs", () -> (int) Typed.number(typed, 1, MOST_WEEKS, "weeks"));
    return new Variant(weeks == 1 ? "1 week" : weeks + " weeks", "", weeks * DAYS_A_WEEK);
  }

  private static Variant cut(String typed) {
    Cut cut = Typed.named(Cut.class, typed, "differs");
    return new Variant(cut.name().toLowerCase(Locale.ROOT), "cut=" + cut, null);
  }

  private static Variant heat(String typed) {
    if (typed.equals(COOL)) {
      return new Variant("As cool as it stands", "method=", null);
    }
    Method method = Typed.named(Method.class, typed, "differs");
    return new Variant(MethodWords.name(method), "method=" + method, null);
  }

  private static Variant dose(String typed) {
    double dose = Typed.at("differs", () -> Typed.number(typed, 0, LARGEST_DOSE, "g of spirit"));
    return dose == 0
        ? new Variant("no spirit", "method=", null)
        : new Variant(
            typed + " g of spirit to a gram", "method=" + Method.SPIRIT + ";dose=" + typed, null);
  }
}
