package velvetcrock.web;

import java.util.Locale;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.Leaving;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.charge.ByEye;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotEnding;
import velvetcrock.core.drawer.Snap;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Drawing;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.moisture.DryingCurve;
import velvetcrock.core.outlook.SafeFor;

/** What can be chosen, in the words of the pages: as they stand within a sentence. */
public final class EnumWords {
  private EnumWords() {}

  /** A word that is its own name. */
  public static String plain(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  /** Words that begin a line. */
  public static String capital(String words) {
    return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  /** How light a place is. */
  public static String of(Light light) {
    return switch (light) {
      case DARK -> "dark";
      case ROOM -> "room light";
      case WINDOW -> "sun";
    };
  }

  /** Where a bottle stands. */
  public static String of(Store.Place place) {
    return switch (place) {
      case FREEZER -> "freezer";
      case FRIDGE -> "fridge";
      case COOL -> "cool cupboard";
      case ROOM -> "room";
      case WARM -> "warm shelf";
    };
  }

  /** What a bottle is made of. */
  public static String of(Store.Glass glass) {
    return switch (glass) {
      case AMBER -> "amber or dark";
      case CLEAR -> "clear";
    };
  }

  /** What is stirred in against rancidity. */
  public static String of(Store.Antioxidant antioxidant) {
    return switch (antioxidant) {
      case NONE -> "nothing";
      case VITAMIN_E -> "vitamin E";
      case ROSEMARY -> "rosemary extract";
    };
  }

  /** For whom or what it has to be safe. */
  public static String of(SafeFor who) {
    return switch (who) {
      case BABIES -> "children under two";
      case CHILDREN -> "children of two to six";
      case OLDER_CHILDREN -> "children of six to twelve";
      case PREGNANCY -> "pregnancy";
      case NURSING -> "nursing";
      case LIPS -> "lips";
      case INTIMATE -> "intimate skin";
      case PETS -> "a house with animals";
      case NUT_ALLERGY -> "a nut allergy";
      case KITCHEN -> "eating";
    };
  }

  /** What it is for. */
  public static String of(Use use) {
    return of(Purpose.of(use));
  }

  /** What it is for, and for whom. */
  public static String of(Purpose purpose) {
    return switch (purpose) {
      case SKIN -> "skin";
      case FACE -> "face";
      case LIPS -> "lips";
      case HAIR -> "hair and scalp";
      case MASSAGE -> "massage";
      case INTIMATE -> "intimate skin";
      case NURSING -> "skin of a nursing mother";
      case BABY -> "skin of a child under two";
      case CHILD -> "skin of a child of two to six";
      case OLDER_CHILD -> "skin of a child of six to twelve";
      case PREGNANCY -> "skin in pregnancy";
      case PETS -> "coat of an animal";
      case KITCHEN -> "kitchen";
    };
  }

  /** How often a jar is moved. */
  public static String of(Agitation moved) {
    return switch (moved) {
      case NONE -> "never";
      case WEEKLY -> "once a week";
      case DAILY -> "once a day";
      case SEVERAL -> "several times a day";
      case CONTINUOUS -> "all the time";
    };
  }

  /** How a herb lies in a jar. */
  public static String of(ByEye.Packing packing) {
    return switch (packing) {
      case UNSAID -> "who knows how packed";
      case LOOSE -> "poured in loosely";
      case PACKED -> "pressed down";
    };
  }

  /** What lies in a drawer. */
  public static String of(LotDetails.Kind kind) {
    return switch (kind) {
      case HERB -> "herb";
      case CARRIER -> "oil or butter";
      case SPIRIT -> "spirit";
      case WAX -> "wax";
    };
  }

  /** Where a lot comes from. */
  public static String of(LotDetails.Origin origin) {
    return switch (origin) {
      case GROWN -> "grown";
      case FORAGED -> "gathered";
      case BOUGHT -> "bought";
    };
  }

  /** Why a lot is no more. */
  public static String of(LotEnding ending) {
    return switch (ending) {
      case USED_UP -> "used up";
      case GIVEN_AWAY -> "given away";
      case SPOILED -> "stale or spoiled";
      case LOST -> "spilled or lost";
    };
  }

  /** How a herb is dried. */
  public static String of(DryingCurve.Way way) {
    return switch (way) {
      case BUNCH -> "bunch, hung";
      case RACK -> "rack, spread";
      case DEHYDRATOR -> "dehydrator";
    };
  }

  /** How a stem breaks. */
  public static String of(Snap snap) {
    return switch (snap) {
      case CRUMBLES -> "it snaps, leaves crumble";
      case LEATHERY -> "leathery, it bends";
      case SOFT -> "still soft";
    };
  }

  /** Why a jar or a bottle came to its end. */
  public static String of(Ending ending) {
    return switch (ending) {
      case USED_UP -> "used up";
      case RANCID -> "rancid";
      case MUSTY -> "musty or mouldy";
      case CLOUDY -> "cloudy";
      case FIZZ -> "fizzing or sour";
      case PAST_DATE -> "past its date";
      case SPILLED -> "broken or spilled";
      case OTHER -> "another reason";
    };
  }

  /** What it smells of that it should not. */
  public static String of(OffSmell smell) {
    return switch (smell) {
      case NONE -> "as it should";
      case RANCID -> "rancid: old paint";
      case MUSTY -> "musty";
      case SOUR -> "sour";
    };
  }

  /** What is left behind in pouring off. */
  public static String of(Leaving left) {
    return switch (left) {
      case SEDIMENT -> "sediment";
      case WATER -> "a layer of water";
      case FILM -> "film, wiped off";
    };
  }

  /** How a pot feels to the hand. */
  public static String of(Assumed.HandTest felt) {
    return switch (felt) {
      case COMFORTABLE -> "bath-warm";
      case HOT -> "hot";
      case TOO_HOT_TO_HOLD -> "too hot to hold";
    };
  }

  /** What a vessel is. */
  public static String of(Jar.Shape shape) {
    return switch (shape) {
      case JAR -> "a jar";
      case BOWL -> "a bowl";
      case PAN -> "a pan";
      case DISH -> "an oven dish";
      case CROCK -> "the crock itself";
    };
  }

  /** In what wax and oil are melted. */
  public static String of(Working.Vessel in) {
    return switch (in) {
      case BATH -> "in the water bath";
      case CROCK -> "in the crock";
      case APART -> "wax apart from oil";
    };
  }

  /** How a herb likes to be drawn. */
  public static String of(Drawing drawing) {
    return switch (drawing) {
      case COOL -> "cool";
      case WARM -> "warm";
      case ANY -> "any way";
    };
  }

  /** Whose cups and spoons they are. */
  public static String of(Kitchen kitchen) {
    return switch (kitchen) {
      case US -> "US";
      case METRIC -> "metric";
      case IMPERIAL -> "imperial";
    };
  }

  /** In what state a herb is used. */
  public static String of(HerbState state) {
    return switch (state) {
      case FRESH -> "fresh";
      case WILTED -> "wilted";
      case DRIED -> "dried";
    };
  }

  /** How grave a caution is. */
  public static String of(Caution.Level level) {
    return switch (level) {
      case STOP -> "stop";
      case CAREFUL -> "careful";
      case NOTE -> "note";
    };
  }
}
