package velvetcrock.core.batch;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.log.Checks;

/**
 * An oil that was infused before and is charged again over fresh herb: it brings its date, what
 * keeping it has spent, its water and everything else that was wrong with it.
 *
 * @param batch code of the batch that it comes from
 * @param bottle letter of the bottle; null where it is taken straight from the cloth
 * @param herbs keys of the herbs that it was infused with, by batch after batch
 * @param chargedOn when it was first charged; null until the household is asked
 * @param goodUntil its own date by then, the cautious end; null until the household is asked
 * @param spentDays shelf life used since it was first charged, days at 20 °C in the dark
 * @param hazards what was wrong with it
 */
public record Earlier(
    String batch,
    @Nullable String bottle,
    List<String> herbs,
    @Nullable LocalDate chargedOn,
    @Nullable LocalDate goodUntil,
    double spentDays,
    Set<Hazard> hazards) {
  /** Of which nothing but the name is known yet. */
  public Earlier(String batch, @Nullable String bottle) {
    this(batch, bottle, List.of(), null, null, 0, Set.of());
  }

  /** Checks and copies. */
  public Earlier {
    Checks.text("batch", batch);
    herbs = herbs == null ? List.of() : List.copyOf(herbs);
    hazards = hazards == null || hazards.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(hazards));
    Checks.within("spentDays", spentDays, 0, 100_000);
  }

  /** The name on its label. */
  public String code() {
    return bottle == null ? batch : batch + "-" + bottle;
  }
}
