package velvetcrock.core.jar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.heat.Series;
import velvetcrock.core.keeping.Keeping;

/** An infused oil as it is charged again over fresh herb. */
public final class Recharge {
  private Recharge() {}

  /**
   * What it brings.
   *
   * @param code of its batch
   * @param state of its batch, which is strained
   * @param bottle where it stood; null straight from the cloth, since then at 20 °C
   * @param reckoning of its batch
   * @param goodUntil its own date, the cautious end
   * @param on the day on which it is charged again
   */
  public static Earlier of(
      String code,
      BatchState state,
      @Nullable BottleState bottle,
      BatchReckoning reckoning,
      Before before) {
    Keeping keeping = before.keeping();
    LocalDate strained = date(Objects.requireNonNull(state.strainedAt()), before.zone());
    double spent = keeping.spentDays();
    if (bottle == null) {
      spent += Math.max(0, ChronoUnit.DAYS.between(strained, before.on()));
    } else {
      List<BottleState.Stay> stays = bottle.stays();
      for (int i = 0; i < stays.size(); i++) {
        LocalDate from = later(strained, date(stays.get(i).from(), before.zone()));
        LocalDate to =
            i + 1 < stays.size() ? date(stays.get(i + 1).from(), before.zone()) : before.on();
        spent += Math.max(0, ChronoUnit.DAYS.between(from, to)) * stays.get(i).store().rate();
      }
    }
    Earlier its = state.charge().manner().earlier();
    List<String> herbs = new ArrayList<>();
    if (its != null) {
      herbs.addAll(its.herbs());
    }
    state.charge().herbs().stream().map(HerbIn::herb).forEach(herbs::add);
    LocalDate first =
        its == null || its.chargedOn() == null
            ? state.charge().begun().chargedOn()
            : its.chargedOn();
    return new Earlier(
        code,
        bottle == null ? null : bottle.letter(),
        herbs.stream().distinct().toList(),
        first,
        keeping.earliest(),
        spent,
        reckoning.hazards());
  }

  /**
   * What is known of its keeping.
   *
   * @param on the day on which it is charged again
   */
  public record Before(Keeping keeping, ZoneId zone, Series readings, LocalDate on) {}

  private static LocalDate later(LocalDate one, LocalDate other) {
    return one.isAfter(other) ? one : other;
  }

  private static LocalDate date(Instant at, ZoneId zone) {
    return at.atZone(zone).toLocalDate();
  }
}
