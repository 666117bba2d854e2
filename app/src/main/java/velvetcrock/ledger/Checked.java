package velvetcrock.ledger;

import java.util.List;

/** A place whose kept figures can be compared with what its logs say. */
public interface Checked {
  /**
   * Compares all of the current household's.
   *
   * @param mend whether to put right what can be derived from the logs
   * @return a line for every difference, in words for whoever keeps the house
   */
  List<String> check(boolean mend);
}
