package velvetcrock.account;

import java.util.UUID;
import velvetcrock.web.InHousehold;

/** Whatever showed a household's token. */
record TokenHolder(UUID householdId, String displayName, Scope scope) implements InHousehold {}
