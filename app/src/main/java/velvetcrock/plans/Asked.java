package velvetcrock.plans;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;
import velvetcrock.core.outlook.SafeFor;

/**
 * The planner's sentence as read.
 *
 * @param shopping whether what is missing may be bought or gathered
 * @param ratio oil per herb, ml/g; empty for the smallest that covers
 */
record Asked(
    List<Thing> things,
    Herb herb,
    Part part,
    Cut cut,
    Carrier carrier,
    LocalDate by,
    Set<SafeFor> safeFor,
    boolean shopping,
    OptionalDouble ratio) {}
