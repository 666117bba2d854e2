package velvetcrock.core.care;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;

/** A step of straining (practice), in the order in which they are done. */
public enum StrainStep {
  /** Fresh herb for eating: quickly, and back into the cold. */
  BACK_INTO_THE_COLD,
  /** It stood in a bath: wipe the outside first, because drips bring water. */
  WIPE,
  /** It comes off the heat: let it cool until it can be held. */
  COOL,
  /** The herb is hot on the skin: gloves. */
  GLOVES,
  /** Part of it sets when cool: keep it liquid while it runs. */
  KEEP_LIQUID,
  /** The oil is thick in the cool: warm it. */
  WARM,
  /** The herb is fresh and wet: let it drip and do not squeeze. */
  DRIP,
  /** The herb is crisp: little comes, press gently. */
  PRESS_GENTLY,
  /** The herb is dry and soft: drip, then squeeze. */
  SQUEEZE,
  /** A second pass through the marc. */
  SECOND_PASS,
  /** Fine herb comes through a sieve: a fine filter after it. */
  FINE_FILTER,
  /** Stand overnight and pour it off what has settled. */
  SETTLE,
  /** The same in the fridge, for what is eaten fresh. */
  SETTLE_COLD,
  /** Spread the oily cloths to dry. */
  SPREAD_CLOTHS;

  /** An oil thicker than this runs slowly through a cloth, mPa·s (practice). */
  private static final double THICK = 80;

  /** How warm thick oil is made before it is strained, °C. */
  public static final double WARM_C = 40;

  /** The caution of herbs that burn the skin. */
  private static final String HOT = "hot";

  /** The steps for a batch as it stands. */
  public static List<StrainStep> of(BatchState state, BatchReckoning reckoning) {
    List<HerbPortion> herbs = reckoning.herbs();
    boolean bath = state.heat().stints().stream().anyMatch(s -> s.bath() != null);
    Method method = state.charge().method();
    boolean hot = method.heated() || state.heat().now().isPresent();
    CarrierBlend oil = reckoning.carriers();
    boolean wet = herbs.stream().anyMatch(h -> h.state() != HerbState.DRIED);
    boolean crisp = Boolean.TRUE.equals(state.seen().crisp());
    boolean fine =
        state.charge().manner().blended()
            || herbs.stream().anyMatch(h -> h.cut() == Cut.GROUND || h.cut() == Cut.POWDER);

    boolean eatenFresh = state.charge().freshForEating();

    List<StrainStep> steps = new ArrayList<>();
    add(steps, eatenFresh, BACK_INTO_THE_COLD);
    add(steps, bath, WIPE);
    add(steps, hot, COOL);
    add(steps, herbs.stream().anyMatch(h -> h.herb().cautions().contains(HOT)), GLOVES);
    boolean sets = oil.setsNearC().isPresent();
    add(steps, sets && !eatenFresh, KEEP_LIQUID);
    add(steps, !sets && !hot && !eatenFresh && oil.viscosityAt(Carrier.ROOM_C) > THICK, WARM);
    steps.add(crisp ? PRESS_GENTLY : wet ? DRIP : SQUEEZE);
    add(steps, !crisp && !wet, SECOND_PASS);
    add(steps, fine, FINE_FILTER);
    steps.add(eatenFresh ? SETTLE_COLD : SETTLE);
    steps.add(SPREAD_CLOTHS);
    return List.copyOf(steps);
  }

  private static void add(List<StrainStep> steps, boolean due, StrainStep step) {
    if (due) {
      steps.add(step);
    }
  }
}
