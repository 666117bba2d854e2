package velvetcrock.core.materia;

import velvetcrock.core.Range;

/**
 * A wax of the catalogue.
 *
 * @param densitySolid g/ml of the block
 * @param densityMelted g/ml at its pouring heat
 * @param pelletDensity g/ml of loose pellets, usual
 * @param pelletRange g/ml of loose pellets, from tight to loose packing
 * @param meltsC melting point, °C
 * @param hardness its part in the hardness of a balm
 */
public record Wax(
    String key,
    String name,
    double densitySolid,
    double densityMelted,
    double pelletDensity,
    Range pelletRange,
    double meltsC,
    double hardness,
    String source) {}
