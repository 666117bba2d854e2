package velvetcrock.trial;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.web.Forms;
import velvetcrock.web.Typed;

/** What was found of the glasses, or what a trial showed, as typed. */
record TrialForm(@Nullable List<Glass> glass, @Nullable String conclusion) {

  /** What was found of a glass. */
  record Glass(
      @Nullable String number,
      @Nullable String strength,
      @Nullable String smell,
      @Nullable String note) {}

  static TrialForm empty() {
    return Forms.blank(TrialForm.class);
  }

  /**
   * What was found, by the glass's number.
   *
   * @throws Refused at {@code judged}
   */
  Map<String, Trials.Found> found() {
    Map<String, Trials.Found> found = new HashMap<>();
    for (Glass one : glass == null ? List.<Glass>of() : glass) {
      if (one != null) {
        found.put(
            Typed.text(one.number()),
            new Trials.Found(mark(one.strength()), mark(one.smell()), Typed.text(one.note())));
      }
    }
    return found;
  }

  private static int mark(@Nullable String typed) {
    return Typed.blank(typed)
        ? 0
        : Typed.at("judged", () -> (int) Typed.number(typed, 1, Trials.SCALE, "marks"));
  }
}
