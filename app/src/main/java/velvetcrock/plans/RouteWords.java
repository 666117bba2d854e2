package velvetcrock.plans;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.outlook.Obstacle;
import velvetcrock.core.outlook.Route;
import velvetcrock.core.outlook.School;
import velvetcrock.core.outlook.Step;
import velvetcrock.web.Formats;
import velvetcrock.web.MethodWords;

/** Says a way, its school and what rules it out. */
final class RouteWords {
  private static final char UNBROKEN = '\u00a0';

  private final Cautions cautions;
  private final Formats fmt;

  RouteWords(Cautions cautions, Formats fmt) {
    this.cautions = cautions;
    this.fmt = fmt;
  }

  /** Its name, by its warmth. */
  static String name(Route route) {
    return MethodWords.name(route.method());
  }

  /** How it is gone about: dried and cut, the least oil that covers. */
  String school(Route route) {
    return school(route.school(), route.herb().cut())
        + ", "
        + fmt.ratio(route.amounts().oilPerHerb()).replace(' ', UNBROKEN);
  }

  static String school(School school, Cut cut) {
    String size = cut.name().toLowerCase(Locale.ROOT);
    return switch (school) {
      case COVERING -> "dried, " + size;
      case FINE -> "ground fine, stronger";
      case BY_EYE -> "by eye, two thirds of the jar";
      case WILTED -> "wilted";
      case FRESH -> "fresh, driven dry";
    };
  }

  /** What rules it out, each with what would rule it in again. */
  List<String> outs(Route route) {
    List<String> outs = new ArrayList<>();
    route.obstacles().forEach(o -> outs.add(out(o)));
    return outs;
  }

  /** One thing that rules a way out, with what would rule it in again. */
  String out(Obstacle o) {
    return switch (o.kind()) {
      case LATE ->
          "misses the date by "
              + fmt.days(Math.round(o.amount()))
              + "; in time by "
              + fmt.date(Objects.requireNonNull(o.on()));
      case LACKS_HERB ->
          "the drawer lacks "
              + fmt.g(o.amount())
              + " of "
              + o.thing().toLowerCase(Locale.ROOT)
              + " herb; with shopping it goes";
      case LACKS_OIL -> "the drawer lacks " + fmt.ml(o.amount()) + " of oil; with shopping it goes";
      case LACKS_SPIRIT ->
          "the drawer lacks " + fmt.ml(o.amount()) + " of spirit; with shopping it goes";
      case NO_APPLIANCE ->
          "nothing here to do it on; "
              + ("aeiou".indexOf(o.thing().charAt(0)) < 0 ? "a " : "an ")
              + o.thing()
              + " would do";
      case NO_JAR ->
          "your empty jars do not hold it; they do for about "
              + fmt.ml(o.amount())
              + " of finished oil";
      case TOO_HOT ->
          "this herb bears "
              + fmt.degrees(o.amount())
              + " at most, and this way is hotter; infused cooler, it goes";
      case SOLID ->
          "this oil is solid below " + fmt.degrees(o.amount()) + "; warm it, or take a liquid oil";
      case WET -> "its water would stay in the oil; dried, or infused warm, it goes";
      case STAYS_WET ->
          "its water cannot leave in these hours; it would take about "
              + fmt.hours(o.amount())
              + " open; wilt it longer, dry it, or take a wider pot";
      case NOT_FOR_EATING -> o.thing() + " is not for eating; for the skin it goes";
      case NUTS -> o.thing() + " oil is of tree nuts; another oil would do";
      case UNSAFE -> unsafe(cautions.of(o.thing()));
      case SPOILS_BEFORE ->
          "good only until "
              + fmt.date(Objects.requireNonNull(o.on()))
              + "; make it later, or want it sooner";
      case NOBODY_THERE ->
          "wants "
              + fmt.hours(o.amount() / 60)
              + " at home without a break; no day of yours has that";
    };
  }

  private static String lower(String text) {
    return text.isEmpty() ? text : Character.toLowerCase(text.charAt(0)) + text.substring(1);
  }

  /** A step of a plan, as one would say it. */
  static String step(Step.Kind kind) {
    return switch (kind) {
      case CHARGE -> "Cut, weigh and charge";
      case DAMPEN -> "Dampen with spirit";
      case POUR -> "Pour the oil";
      case PUT_ON -> "Put it on the heat";
      case CHECK -> "Look";
      case TAKE_OFF -> "Take it off the heat";
      case STRAIN -> "Strain";
      case BOTTLE -> "Pour off what settled, bottle";
      case MAKE -> "Melt, pour and let it set";
    };
  }

  /** Why a caution rules a way out, without its last full stop: what it says, and where to turn. */
  private static String unsafe(Caution caution) {
    String words = lower(caution.text()) + " " + caution.turnTo();
    return words.strip().replaceFirst("\\.$", "");
  }
}
