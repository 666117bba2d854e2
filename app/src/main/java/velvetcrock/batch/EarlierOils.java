package velvetcrock.batch;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.Recharge;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;

/** The household's infused oils, as they can be charged again over fresh herb. */
@Component
public class EarlierOils {
  private static final String FIELD = "earlier";

  /** A jug is read within this, ml. */
  private static final double MEASURED_ML = 0.5;

  private final BatchRepository batches;
  private final BatchStates states;
  private final ReadingStore readings;
  private final Catalogues catalogues;
  private final Households households;

  EarlierOils(
      BatchRepository batches,
      BatchStates states,
      ReadingStore readings,
      Catalogues catalogues,
      Households households) {
    this.batches = batches;
    this.states = states;
    this.readings = readings;
    this.catalogues = catalogues;
    this.households = households;
  }

  /**
   * An infused oil.
   *
   * @param carriers that are in it, by their shares and with their dates
   * @param leftMl how much there is, ml
   * @param words what it is of
   */
  public record Found(Earlier earlier, List<OilIn> carriers, double leftMl, String words) {}

  /**
   * Looks one up.
   *
   * @param code of a bottle, such as {@code K7M-A}, or of a batch that is in no bottle
   * @param on the day on which it is charged again
   * @throws Refused at {@code earlier} where there is none such, or nothing left of it
   */
  @Transactional(readOnly = true)
  public Found find(String code, LocalDate on) {
    int dash = code.lastIndexOf('-');
    return find(
        dash < 0 ? code : code.substring(0, dash), dash < 0 ? null : code.substring(dash + 1), on);
  }

  Found find(String code, @Nullable String letter, LocalDate on) {
    Batch batch =
        batches
            .findByCode(Batches.normal(code))
            .orElseThrow(() -> new Refused(FIELD, "There is no batch " + code + " here."));
    BatchState state = states.of(batch);
    if (state.strained() == null) {
      throw new Refused(FIELD, batch.code() + " is not strained yet.");
    }
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    BottleState bottle = letter == null ? null : bottle(state, batch.code(), letter);
    double left = bottle == null ? reckoning.unbottledMl() : bottle.leftMl();
    if (left < MEASURED_ML) {
      throw new Refused(FIELD, "Nothing is left of it.");
    }
    Household house = households.current();
    Series series = readings.series(batch.id());
    Keeping keeping =
        (bottle == null
                ? reckoning.keepingUnbottled(house.zone(), series)
                : reckoning.keeping(bottle, house.zone(), series))
            .early();
    Earlier earlier =
        Recharge.of(
            batch.code(),
            state,
            bottle,
            reckoning,
            new Recharge.Before(keeping, house.zone(), series, on));
    return new Found(
        earlier,
        state.charge().carriers(),
        left,
        reckoning.herbNames() + " in " + reckoning.carriers().names());
  }

  private static BottleState bottle(BatchState state, String code, String letter) {
    BottleState bottle =
        state
            .bottle(letter)
            .orElseThrow(() -> new Refused(FIELD, code + " has no bottle " + letter + "."));
    if (bottle.goneAt() != null) {
      throw new Refused(FIELD, "Bottle " + code + "-" + letter + " is gone.");
    }
    return bottle;
  }

  /** Refuses more than there is. */
  static void enough(Found found, double wantedMl) {
    if (wantedMl > found.leftMl() + MEASURED_ML) {
      throw new Refused(
          FIELD,
          "Only "
              + Math.round(found.leftMl())
              + " ml of "
              + found.earlier().code()
              + " are left; "
              + Math.round(wantedMl)
              + " ml are wanted. Take less herb.");
    }
  }
}
