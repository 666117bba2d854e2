package velvetcrock.web;

import java.util.Optional;
import java.util.UUID;

/** Somebody, or something with a token, who acts for a household. */
public interface InHousehold {
  /** The household acted for. */
  UUID householdId();

  /** The name under which entries are written. */
  String displayName();

  /** The token that was shown; empty for a person. */
  default Optional<UUID> token() {
    return Optional.empty();
  }
}
