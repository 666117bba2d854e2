package velvetcrock.plans;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A plan's page.
 *
 * @param due when it is to be charged, in words
 * @param charge the bench with its sentence filled in; null where it is charged or dropped
 * @param puts what is put by for it
 * @param clashes where it is in another's way
 */
record PlanView(
    String code,
    String title,
    String how,
    String due,
    boolean dueNow,
    @Nullable String charge,
    List<OutlookView.Fact> facts,
    List<String> puts,
    List<OutlookView.Stepped> steps,
    List<String> clashes) {}
