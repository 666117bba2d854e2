package velvetcrock.batch;

/**
 * How much oil stands in bottles.
 *
 * @param bottles how many
 * @param ml in all
 * @param goodMl in those that are within their date
 */
public record Hoard(long bottles, double ml, double goodMl) {}
