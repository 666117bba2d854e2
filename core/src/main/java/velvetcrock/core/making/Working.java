package velvetcrock.core.making;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.heat.Cooling;
import velvetcrock.core.keeping.Store;

/**
 * How a product is worked: its steps in order, with what temperature and how long (practice; times
 * of cooling are estimates).
 *
 * @param steps in the order in which they are done
 * @param setsNearC where it begins to set, °C; NaN for what does not
 */
public record Working(List<Step> steps, double setsNearC) {
  private static final double ROOM_C = Store.Place.ROOM.celsius();
  private static final double FRIDGE_C = Store.Place.FRIDGE.celsius();
  private static final double BATH_C = 80;
  private static final double MOST_C = 90;
  private static final double ABOVE_MELTING_C = 5;
  private static final double SET_ABOVE_ROOM_C = 3;
  private static final double SHORT_WINDOW_MINUTES = 5;
  private static final double PAD_ML = 50;

  /** What is done. */
  public enum Code {
    /** Weigh everything; vessels dry. */
    WEIGH,
    /** Wax into the pan first, then what melts lower, in the bath. */
    MELT_BATH,
    /** The same in the crock. */
    MELT_CROCK,
    /** Wax melted by itself. */
    WAX_APART,
    /** Oil warmed by itself, so that it does not chill the wax. */
    WARM_OIL,
    /** Poured together. */
    JOIN,
    /** A spoonful into the freezer. */
    SPOON_TEST,
    /** Off the heat. */
    OFF_HEAT,
    /** Vitamin E. */
    VITAMIN_E,
    /** Powders, stirred in as it thickens. */
    POWDERS,
    /** Essential oils. */
    ESSENTIAL,
    /** Wet things. */
    WET,
    /** Stirred while it cools. */
    STIR,
    /** Poured. */
    POUR,
    /** Left to set. */
    SET,
    /** Turned out of the mould. */
    TURN_OUT,
    /** Lids on when cold. */
    LID,
    /** Chilled until the edge sets. */
    CHILL,
    /** Whipped, chilled, whipped. */
    WHIP,
    /** Into jars by the spoon. */
    JAR,
    /** Cloths laid in. */
    SOAK,
    /** Set cold, flat. */
    SET_COLD,
    /** Into the fridge to keep. */
    FRIDGE,
    /** Mixed without heat. */
    MIX,
    /** Into the bottle. */
    BOTTLE,
    /** Marc, warm, between cloths. */
    SPREAD,
    /** On unbroken skin, once. */
    APPLY,
    /** The rest thrown out. */
    THROW_OUT,
    /** Given to what it was drawn for. */
    HAND_OVER
  }

  /**
   * A step.
   *
   * @param celsius at what temperature; null where it does not matter
   * @param minutes how long; null where it takes as long as it takes
   * @param colder how long in colder places where it may be done as well; mostly none
   */
  public record Step(
      Code code, @Nullable Range celsius, @Nullable Range minutes, List<Colder> colder) {
    static Step of(Code code) {
      return new Step(code, null, null, List.of());
    }

    static Step at(Code code, Range celsius) {
      return new Step(code, celsius, null, List.of());
    }

    static Step lasting(Code code, Range minutes) {
      return new Step(code, null, minutes, List.of());
    }

    /** Something sets, where it stands or in a place that is colder. */
    static Step setting(
        Code code,
        Function<Store.Place, Range> minutes,
        Store.Place stands,
        Store.Place... colder) {
      return new Step(
          code,
          null,
          minutes.apply(stands),
          Arrays.stream(colder).map(place -> new Colder(place, minutes.apply(place))).toList());
    }
  }

  /**
   * A step done in a colder place.
   *
   * @param minutes how long it takes there
   */
  public record Colder(Store.Place place, Range minutes) {}

  /** Where it is melted. */
  public enum Vessel {
    /** In a pan standing in hot water. */
    BATH,
    /** In the slow cooker. */
    CROCK,
    /** Wax and oil each by itself, then together. */
    APART
  }

  /**
   * What else there is in it.
   *
   * @param vitaminE whether vitamin E goes in
   * @param essential whether essential oils do
   * @param powders whether powders do
   * @param wet whether honey, hydrosol, aloe, tincture or juice does
   */
  public record With(boolean vitaminE, boolean essential, boolean powders, boolean wet) {
    /** Nothing else. */
    public static final With NOTHING = new With(false, false, false, false);
  }

  /**
   * Says how.
   *
   * @param melt what is in it; null where nothing is melted
   * @param stirred whether it is stirred while it cools
   * @param largestMl the largest tin, mould or jar, ml
   */
  public static Working of(
      ProductKind making,
      @Nullable Melt melt,
      Vessel in,
      With with,
      boolean stirred,
      double largestMl) {
    List<Step> steps = new ArrayList<>();
    if (making == ProductKind.POULTICE) {
      steps.add(Step.at(Code.SPREAD, new Range(35, 40)));
      steps.add(Step.lasting(Code.APPLY, new Range(15, 20)));
      steps.add(Step.of(Code.THROW_OUT));
      return new Working(steps, Double.NaN);
    }
    steps.add(Step.of(Code.WEIGH));
    if (making == ProductKind.DRAWN) {
      steps.add(Step.of(Code.HAND_OVER));
      return new Working(steps, Double.NaN);
    }
    if (melt == null || !making.melted()) {
      steps.add(Step.of(Code.MIX));
      additions(steps, with, null);
      steps.add(Step.of(Code.BOTTLE));
      return new Working(steps, Double.NaN);
    }
    double sets = setsNearC(melt);
    melting(steps, melt, in);
    if (making == ProductKind.COMPRESS_PADS) {
      steps.add(Step.of(Code.SOAK));
      steps.add(
          Step.setting(
              Code.SET_COLD,
              place -> firm(melt, FRIDGE_C, place, PAD_ML),
              Store.Place.FRIDGE,
              Store.Place.FREEZER));
      steps.add(Step.of(Code.FRIDGE));
      return new Working(steps, sets);
    }
    if (making == ProductKind.WHIPPED_BUTTER) {
      additions(steps, with, new Range(Math.min(sets, 60), 60));
      steps.add(Step.lasting(Code.CHILL, cooling(hottest(melt), sets, FRIDGE_C, melt.volumeMl())));
      steps.add(Step.lasting(Code.WHIP, new Range(3, 5)));
      steps.add(Step.of(Code.JAR));
      return new Working(steps, sets);
    }
    steps.add(Step.lasting(Code.SPOON_TEST, new Range(2, 5)));
    steps.add(Step.of(Code.OFF_HEAT));
    boolean bar = making == ProductKind.LOTION_BAR;
    double below = bar ? 65 : 60;
    additions(steps, with, new Range(Math.min(sets, below), below));
    if (stirred) {
      steps.add(Step.at(Code.STIR, new Range(sets - 5, sets)));
    }
    steps.add(
        new Step(
            Code.POUR,
            new Range(sets, hottest(melt)),
            cooling(hottest(melt), sets, ROOM_C, melt.volumeMl()),
            List.of()));
    steps.add(
        Step.setting(
            Code.SET,
            place -> firm(melt, ROOM_C, place, largestMl),
            Store.Place.ROOM,
            Store.Place.FRIDGE,
            Store.Place.FREEZER));
    steps.add(Step.of(bar ? Code.TURN_OUT : Code.LID));
    return new Working(steps, sets);
  }

  private static void melting(List<Step> steps, Melt melt, Vessel in) {
    Range heat = new Range(melts(melt) + ABOVE_MELTING_C, Math.min(MOST_C, hottest(melt) + 5));
    boolean apart = in == Vessel.APART && melt.mainWax().isPresent() && melt.parts().size() > 1;
    if (apart) {
      steps.add(Step.at(Code.WAX_APART, heat));
      steps.add(Step.at(Code.WARM_OIL, new Range(45, 55)));
      steps.add(Step.of(Code.JOIN));
    } else {
      steps.add(Step.at(in == Vessel.CROCK ? Code.MELT_CROCK : Code.MELT_BATH, heat));
    }
  }

  /** What goes in off the heat, the hottest first; a null window means that nothing is hot. */
  private static void additions(List<Step> steps, With with, @Nullable Range essentialC) {
    boolean hot = essentialC != null;
    if (with.vitaminE()) {
      steps.add(
          hot
              ? Step.at(Code.VITAMIN_E, new Range(essentialC.low(), Formula.VITAMIN_E_BELOW_C))
              : Step.of(Code.VITAMIN_E));
    }
    if (with.essential()) {
      steps.add(hot ? Step.at(Code.ESSENTIAL, essentialC) : Step.of(Code.ESSENTIAL));
    }
    if (with.powders()) {
      steps.add(Step.of(Code.POWDERS));
    }
    if (with.wet()) {
      steps.add(hot ? Step.at(Code.WET, new Range(30, Formula.HONEY_BELOW_C)) : Step.of(Code.WET));
    }
  }

  /** Minutes until it is firm, which is a little above the warmth in which it is kept. */
  private static Range firm(Melt melt, double keptC, Store.Place place, double ml) {
    return cooling(hottest(melt), keptC + SET_ABOVE_ROOM_C, place.celsius(), ml);
  }

  private static Range cooling(double fromC, double toC, double roomC, double ml) {
    return Cooling.minutes(fromC, Math.max(toC, roomC + 1), roomC, Math.max(1, ml));
  }

  /** The highest melting point of its parts, °C, powders and extras apart. */
  public static double melts(Melt melt) {
    return melt.parts().stream().mapToDouble(Ingredient::meltsC).max().orElseThrow();
  }

  private static double hottest(Melt melt) {
    return Math.max(Math.min(MOST_C, melts(melt) + ABOVE_MELTING_C), Math.min(BATH_C, 75));
  }

  /** Where it begins to set, °C: as {@link Formula#setsNearC}, by the wax that there is most of. */
  public static double setsNearC(Melt melt) {
    return Formula.setsNearC(melt.parts(), melt.massG());
  }

  /** Whether the window for pouring is so short that it has to be said in minutes. */
  public boolean shortWindow() {
    return steps.stream()
        .filter(s -> s.code() == Code.POUR && s.minutes() != null)
        .anyMatch(s -> s.minutes().low() <= SHORT_WINDOW_MINUTES);
  }
}
