package velvetcrock.web;

import java.util.Locale;

/**
 * Of what a household writes, what is counted apart, see {@link HouseholdChanges}. The tables of
 * each are named in the migration {@code V41}.
 */
public enum HouseholdPart {
  /**
   * The household itself, its places, vessels, appliances, own things, what jars taught of speed.
   */
  KITCHEN,

  /** Lots and what hangs to dry. */
  DRAWER,

  /** Products, what went into them, recipes. */
  PRODUCTS,

  /** Plans and what they promise to themselves. */
  PLANS,

  /** What was noted on a round. */
  ROUND;

  String column() {
    return name().toLowerCase(Locale.ROOT);
  }
}
