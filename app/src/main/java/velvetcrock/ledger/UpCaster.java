package velvetcrock.ledger;

import java.util.function.UnaryOperator;
import tools.jackson.databind.node.ObjectNode;

/**
 * Lifts stored data of one kind from one version to the next.
 *
 * @param kind the stored name
 * @param from the version that it reads; it writes the one after
 * @param lift changes the data
 */
public record UpCaster(String kind, int from, UnaryOperator<ObjectNode> lift) {}
