package velvetcrock.core.batch;

import java.util.UUID;

/**
 * What is taken from a lot.
 *
 * @param lot the lot
 * @param amount how much, in the unit of the lot: g of herb and wax, ml of oil and spirit
 */
public record FromLot(UUID lot, double amount) {}
