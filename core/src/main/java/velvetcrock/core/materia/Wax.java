package velvetcrock.core.materia;

import velvetcrock.core.Range;

/**
 * A wax of the catalogue.
 *
 * @param densitySolid g/ml of the block
 * @param pelletDensity g/ml of loose pellets, usual
 * @param pelletRange g/ml of loose pellets, from tight to loose packing
 * @param meltsC melting point, °C
 */
public record Wax(
    String key,
    String name,
    double densitySolid,
    double pelletDensity,
    Range pelletRange,
    double meltsC,
    String source) {}
