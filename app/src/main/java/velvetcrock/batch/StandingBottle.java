package velvetcrock.batch;

import java.time.LocalDate;

/**
 * A bottle in the cellar at a glance.
 *
 * @param code the code on its batch's lid
 * @param herb key of its first herb
 * @param carrier key of its first carrier
 */
public record StandingBottle(
    String code, String letter, String herb, String carrier, double leftMl, LocalDate bestBefore) {}
