package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Figures;
import velvetcrock.core.Range;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.Melt;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.PartIn;
import velvetcrock.web.Formats;

/** Says how a product is worked, step by step. */
final class StepWords {
  private static final double PER_MINUTE = 60;
  private static final double HOURS_FROM = 150;

  private final Catalogue catalogue;
  private final Formats fmt;

  StepWords(Catalogue catalogue, Formats fmt) {
    this.catalogue = catalogue;
    this.fmt = fmt;
  }

  /**
   * A step.
   *
   * @param when at what temperature and how long
   * @param warmed whether its temperature is to be read
   * @param clocks a timer for each way of doing it that takes a known time
   */
  record WordedStep(
      String what, String detail, String when, boolean warmed, List<StepClock> clocks) {}

  /**
   * A timer for a step.
   *
   * @param where in which colder place; empty where the step has but one
   * @param takes how long it takes there, in words; empty where the step says so itself
   * @param seconds what the timer runs
   */
  record StepClock(String where, String takes, int seconds) {}

  List<WordedStep> of(Working working, List<PartIn> parts, @Nullable Melt melt) {
    List<WordedStep> said = new ArrayList<>();
    for (Working.Step step : working.steps()) {
      said.add(
          new WordedStep(
              what(step.code()),
              detail(step, working, parts, melt),
              when(step),
              step.celsius() != null,
              clocks(step)));
    }
    return said;
  }

  private static List<StepClock> clocks(Working.Step step) {
    List<StepClock> clocks = new ArrayList<>();
    if (step.minutes() != null) {
      clocks.add(new StepClock("", "", seconds(step.minutes())));
    }
    for (Working.Colder colder : step.colder()) {
      clocks.add(
          new StepClock(
              colder.place().words(), minutes(colder.minutes()), seconds(colder.minutes())));
    }
    return clocks;
  }

  private static int seconds(Range minutes) {
    return (int) Math.round(minutes.middle() * PER_MINUTE);
  }

  private String when(Working.Step step) {
    List<String> words = new ArrayList<>();
    Range celsius = step.celsius();
    if (celsius != null) {
      words.add(fmt.degrees(celsius.low(), celsius.high()));
    }
    Range minutes = step.minutes();
    if (minutes != null) {
      words.add(minutes(minutes));
    }
    return String.join(", ", words);
  }

  /** How long, without more digits than an estimate is worth. */
  static String minutes(Range minutes) {
    boolean hours = minutes.high() >= HOURS_FROM;
    double unit = hours ? PER_MINUTE : 1;
    double to = hours ? 2 : 1;
    String low = Figures.plain(Math.max(1 / to, Math.round(minutes.low() / unit * to) / to));
    String high = Figures.plain(Math.max(1 / to, Math.round(minutes.high() / unit * to) / to));
    return (low.equals(high) ? low : low + "–" + high) + (hours ? " h" : " min");
  }

  private static String what(Working.Code code) {
    return switch (code) {
      case WEIGH -> "Weigh everything out";
      case MELT_BATH -> "Melt in the water bath";
      case MELT_CROCK -> "Melt in the crock";
      case WAX_APART -> "Melt the wax by itself";
      case WARM_OIL -> "Warm the oil by itself";
      case JOIN -> "Pour the oil into the wax";
      case SPOON_TEST -> "Spoon test";
      case OFF_HEAT -> "Off the heat";
      case VITAMIN_E -> "Stir in vitamin E";
      case POWDERS -> "Stir in the powder";
      case ESSENTIAL -> "Stir in the essential oils";
      case WET -> "Beat in what is wet";
      case STIR -> "Stir while it cools";
      case POUR -> "Pour";
      case SET -> "Leave it to set";
      case TURN_OUT -> "Turn it out";
      case LID -> "Lids on when cold";
      case CHILL -> "Chill until the edge sets";
      case WHIP -> "Whip, chill again, whip until it stands";
      case JAR -> "Spoon it into jars";
      case SOAK -> "Lay the cloths in, squeeze them out lightly";
      case SET_COLD -> "Lay them flat to set in the fridge";
      case FRIDGE -> "Keep them in the fridge";
      case MIX -> "Stir together, cold";
      case BOTTLE -> "Fill the bottles";
      case SPREAD -> "Spread the warm spent herb (marc) between cloths";
      case APPLY -> "Lay it on unbroken skin";
      case THROW_OUT -> "Throw it out and spread the cloths to dry";
      case HAND_OVER -> "Take it to what it is for";
    };
  }

  private String detail(
      Working.Step step, Working working, List<PartIn> parts, @Nullable Melt melt) {
    return switch (step.code()) {
      case WEIGH ->
          "Tins, spoons and pan bone-dry and clean; scissors-cut or grated wax melts sooner.";
      case MELT_BATH, MELT_CROCK ->
          (melt == null ? "" : order(parts, melt) + " ")
              + "Melted wax burns skin and catches fire: never over a flame, never left alone."
              + " Wipe drips: no water gets in.";
      case WAX_APART ->
          "Over water and never over a flame, lid ajar; it should be clear throughout.";
      case WARM_OIL -> "Cold oil would set the wax in lumps.";
      case JOIN -> "In a thin stream, stirring. What stiffens is warmed until it is clear again.";
      case SPOON_TEST ->
          "A spoonful in the freezer, or a drop on waxed paper. Then tell how it felt.";
      case OFF_HEAT -> "Wipe the pan’s outside before you pour.";
      case VITAMIN_E -> "It slows rancidity and does nothing against microbes.";
      case POWDERS -> "As it thickens, or it sinks to the bottom.";
      case ESSENTIAL -> "Hotter, they fly off; cooler, they do not mix in. Air the room.";
      case WET ->
          "Drop by drop, beating; it parts again easily and keeps two weeks in the fridge only.";
      case STIR -> "It ends up a step softer and smoother than poured still.";
      case POUR ->
          (working.shortWindow() ? "The window is short. " : "")
              + "What stiffens in the pan goes back over the water. About 3 % stays in pan and jug.";
      case SET ->
          "Do not move or cover it. A dip in the middle and pale rings are normal. Set in the"
              + " cold it is smoother; lids on only once it is as warm as the room, for cold tins draw water.";
      case TURN_OUT -> "Ten minutes in the freezer first if it clings.";
      case LID -> "Capped warm, it sweats: water under the lid.";
      case CHILL -> "Tell how it looks; each look says what comes next.";
      case WHIP -> "It grows by about half and melts again in a hot room.";
      case JAR -> "Lightly, without pressing the air out.";
      case SOAK -> "Each takes up about twice its weight.";
      case SET_COLD, FRIDGE -> "Between sheets of waxed paper, in a closed box.";
      case MIX, BOTTLE -> "Dry bottles, filled to the neck.";
      case SPREAD -> "Try it inside the wrist first.";
      case APPLY -> "Once. Not on wounds, not on infants.";
      case THROW_OUT -> "Oily cloths in a heap can heat themselves.";
      case HAND_OVER -> "Its name, herbs and date go with it.";
    };
  }

  /** What goes into the pan first: what melts hottest. */
  private String order(List<PartIn> parts, Melt melt) {
    List<Integer> order = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      if (Double.isFinite(melt.parts().get(i).meltsC())) {
        order.add(i);
      }
    }
    order.sort(
        (a, b) -> Double.compare(melt.parts().get(b).meltsC(), melt.parts().get(a).meltsC()));
    List<String> names = new ArrayList<>();
    for (int i : order) {
      Ingredient part = melt.parts().get(i);
      String name = ProductParts.name(parts.get(i), catalogue);
      names.add(part.meltsC() >= 20 ? name + " (" + fmt.degrees(part.meltsC()) + ")" : name);
    }
    return "In this order: " + String.join(", ", names) + ".";
  }

  /** What a temperature that was read lets one do now. */
  static String at(double celsius, Working working, Formats fmt) {
    List<String> can = new ArrayList<>();
    for (Working.Step step : working.steps()) {
      Range window = step.celsius();
      if (window != null && celsius >= window.low() && celsius <= window.high()) {
        can.add(what(step.code()).toLowerCase(Locale.ROOT));
      }
    }
    if (can.isEmpty()) {
      boolean set = celsius < working.setsNearC();
      return set
          ? "It sets near " + fmt.degrees(working.setsNearC()) + ": warm it again to pour."
          : "Too hot for anything yet: let it cool.";
    }
    return "Now you can " + String.join(", ", can) + ".";
  }

  /** What a drawn-off oil's other makings are called. */
  static final Map<String, String> FOR_WHAT =
      Map.of(
          "lotion", "a lotion",
          "soap", "soap",
          "hair", "the hair",
          "wipes", "wipes",
          "candle", "a lamp or candle");
}
