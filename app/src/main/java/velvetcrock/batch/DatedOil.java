package velvetcrock.batch;

import java.time.LocalDate;

/**
 * Oil in bottles that are good until one day.
 *
 * @param key of their herb or carrier
 * @param ml what is left in them
 * @param bottles how many
 */
public record DatedOil(String key, LocalDate bestBefore, double ml, long bottles) {}
