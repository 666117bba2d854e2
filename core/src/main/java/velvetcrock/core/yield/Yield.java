package velvetcrock.core.yield;

import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;

/**
 * What should come out.
 *
 * @param yieldMl oil expected, ml
 * @param rangeMl where it falls four times in five, ml
 * @param keptByMarcMl oil kept by the marc, ml
 * @param filmMl oil left on vessels and filter, ml
 */
public record Yield(
    double yieldMl, Range rangeMl, double keptByMarcMl, double filmMl, Reckoning reckoning) {}
