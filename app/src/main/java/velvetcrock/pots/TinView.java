package velvetcrock.pots;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.core.melt.PotState;
import velvetcrock.web.Formats;

/**
 * Tins of one group.
 *
 * @param drops how the essential oils in them stand against their ceilings
 * @param reason why a ceiling is passed; empty where none is
 */
record TinView(
    String letter,
    String words,
    String scent,
    List<NewPotView.DropLine> drops,
    String passed,
    String reason,
    List<One> tins) {

  /**
   * A tin.
   *
   * @param look how it is drawn: full, away, troubled
   */
  record One(String name, String fate, String look, List<String> reactions, boolean there) {}

  static One one(PotState.Tin tin, Formats fmt) {
    PotEvent.Fate fate = tin.fate();
    String said =
        fate == null
            ? ""
            : PotWords.fate(fate)
                + (tin.to().isEmpty() ? "" : ", to " + tin.to())
                + (tin.since() == null ? "" : ", " + fmt.shortDate(fmt.date(tin.since())))
                + (tin.remark().isEmpty() ? "" : ": " + tin.remark());
    String look = !tin.reactions().isEmpty() ? "troubled" : tin.there() ? "full" : "away";
    return new One(tin.name(), said, look, new ArrayList<>(tin.reactions()), tin.there());
  }
}
