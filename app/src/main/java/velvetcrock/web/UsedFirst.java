package velvetcrock.web;

import java.util.List;

/** Knows what a household uses most, so that its lists can begin with that. */
public interface UsedFirst {
  /** Keys of herbs and oils of the current household, the most used first. */
  List<String> keys();
}
