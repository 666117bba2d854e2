package velvetcrock.web;

import java.util.UUID;

/** Somebody, or something with a token, who acts for a household. */
public interface InHousehold {
  /** The household acted for. */
  UUID householdId();

  /** The name under which entries are written. */
  String displayName();
}
