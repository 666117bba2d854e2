package velvetcrock.kitchen;

import velvetcrock.web.InHousehold;

/**
 * A household changed its figures of a thing, and what was reckoned with them may be otherwise now.
 *
 * @param by who did, for reckoning anew on their behalf
 */
public record FiguresChanged(InHousehold by, OwnKind kind, String key) {}
