package velvetcrock.core.materia;

import velvetcrock.core.Range;

/**
 * A fine dry thing that goes into pots.
 *
 * @param key lower-case key with hyphens
 * @param name what it is called
 * @param bulkDensity g/ml loose by the spoon, usual
 * @param bulkRange g/ml, from barely poured to pressed
 * @param hardness its part in the hardness of a balm
 * @param source where the figures come from
 */
public record Powder(
    String key, String name, double bulkDensity, Range bulkRange, double hardness, String source) {}
