package velvetcrock.web;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.springframework.stereotype.Component;
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
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;
import velvetcrock.core.moisture.DryingCurve;
import velvetcrock.core.outlook.SafeFor;

/**
 * What every form offers of a kind: all that there is, in its own order. Templates ask for a list
 * by name, so that none of them lists anything itself.
 */
@Component
public class Choices {
  /**
   * Something to choose.
   *
   * @param value as it is sent
   * @param words as it is read within a sentence
   */
  public record Choice(String value, String words) {}

  private static final int MOST_USED = 6;

  private static final List<Method> WARMED =
      List.of(
          Method.TWO_STAGE, Method.WARM, Method.CROCK, Method.SIMMER, Method.OVEN, Method.SPIRIT);

  private static <E extends Enum<E>> List<Choice> all(E[] values, Function<E, String> words) {
    return Arrays.stream(values).map(v -> new Choice(v.name(), words.apply(v))).toList();
  }

  /** How light a place is, in words. */
  public String words(Light light) {
    return EnumWords.of(light);
  }

  /** How light a place is. */
  public List<Choice> lights() {
    return all(Light.values(), EnumWords::of);
  }

  /** Whose cups and spoons are in the drawer. */
  public List<Choice> kitchens() {
    return all(Kitchen.values(), EnumWords::of);
  }

  /** In what weights can be read. */
  public List<Choice> weights() {
    return all(Units.Weights.values(), EnumWords::plain);
  }

  /** In what volumes can be read. */
  public List<Choice> volumes() {
    return all(Units.Volumes.values(), v -> v == Units.Volumes.CUPS ? "cups and spoons" : "ml");
  }

  /** In what temperatures can be read. */
  public List<Choice> degrees() {
    return all(Units.Degrees.values(), d -> d == Units.Degrees.CELSIUS ? "°C" : "°F");
  }

  /** In what lengths can be read. */
  public List<Choice> lengths() {
    return all(Units.Lengths.values(), EnumWords::plain);
  }

  /** How a date can be written. */
  public List<Choice> dates() {
    return all(
        Customs.Dates.values(),
        d ->
            switch (d) {
              case DAY_FIRST -> "5 December";
              case MONTH_FIRST -> "December 5";
              case YEAR_FIRST -> "2026-12-05";
            });
  }

  /** How the time of day can be written. */
  public List<Choice> clocks() {
    return all(Customs.Clock.values(), c -> c == Customs.Clock.HOURS_24 ? "14:05" : "2:05 pm");
  }

  /** What can be printed on. */
  public List<Choice> papers() {
    return all(Customs.Paper.values(), p -> p == Customs.Paper.A4 ? "A4" : "Letter");
  }

  /** Whose English can be written. */
  public List<Choice> spellings() {
    return all(
        Customs.Spelling.values(),
        s -> s == Customs.Spelling.BRITISH ? "colour, mould" : "color, mold");
  }

  /** In which units labels can tell what is in a vessel. */
  public List<Choice> contents() {
    return all(
        Customs.Contents.values(), c -> c == Customs.Contents.OWN ? "your own unit" : "both units");
  }

  /** On which day a week can begin. */
  public List<Choice> weekdays() {
    return List.of(
        new Choice("MONDAY", "Monday"),
        new Choice("SATURDAY", "Saturday"),
        new Choice("SUNDAY", "Sunday"));
  }

  /** How a jar is moved by hand. */
  public List<Choice> movedByHand() {
    return List.of(new Choice("shaken", "Shaken"));
  }

  /** What is asked of somebody who looks at a jar. */
  public List<Choice> looks() {
    return List.of(
        new Choice("covered", "Is the herb covered?"),
        new Choice("floating", "Does it float?"),
        new Choice("mould", "Any mould?"),
        new Choice("translucent", "Gone translucent?"),
        new Choice("crisp", "Gone crisp?"));
  }

  /** Where a bottle may stand. */
  public List<Choice> stores() {
    return all(Store.Place.values(), EnumWords::of);
  }

  /** Where it may be kept, as it stands after “kept”. */
  public List<Choice> keptIn() {
    return all(Store.Place.values(), Store.Place::words);
  }

  /** What a bottle is made of. */
  public List<Choice> glasses() {
    return all(Store.Glass.values(), EnumWords::of);
  }

  /** What may be stirred in against rancidity. */
  public List<Choice> antioxidants() {
    return all(Store.Antioxidant.values(), EnumWords::of);
  }

  /** For whom or what it may have to be safe. */
  public List<Choice> safeFor() {
    return all(SafeFor.values(), EnumWords::of);
  }

  /** What it may be for. */
  public List<Choice> uses() {
    return all(Purpose.values(), EnumWords::of);
  }

  /** How often a jar may be moved. */
  public List<Choice> moves() {
    return all(Agitation.values(), EnumWords::of);
  }

  /** How a herb may lie in a jar. */
  public List<Choice> packings() {
    return all(ByEye.Packing.values(), EnumWords::of);
  }

  /** Where a lot may come from. */
  public List<Choice> origins() {
    return all(LotDetails.Origin.values(), EnumWords::of);
  }

  /** What may lie in a drawer. */
  public List<Choice> lotKinds() {
    return all(LotDetails.Kind.values(), EnumWords::of);
  }

  /** Why a lot may be no more. */
  public List<Choice> lotEndings() {
    return all(LotEnding.values(), EnumWords::of);
  }

  /** How a herb may be dried. */
  public List<Choice> dryings() {
    return all(DryingCurve.Way.values(), EnumWords::of);
  }

  /** How a stem may break. */
  public List<Choice> snaps() {
    return all(Snap.values(), EnumWords::of);
  }

  /** Why a bottle may be gone. */
  public List<Choice> endings() {
    return all(Ending.values(), EnumWords::of);
  }

  /** Why herb and oil may be thrown out. */
  public List<Choice> spoilings() {
    return endings().stream().filter(c -> !Ending.valueOf(c.value()).ofBottlesAlone()).toList();
  }

  /** What it may smell of. */
  public List<Choice> smells() {
    return all(OffSmell.values(), EnumWords::of);
  }

  /** What may be left behind in pouring off. */
  public List<Choice> leavings() {
    return all(Leaving.values(), EnumWords::of);
  }

  /** How a pot may feel to the hand. */
  public List<Choice> handTests() {
    return all(Assumed.HandTest.values(), EnumWords::of);
  }

  /** What a vessel may be. */
  public List<Choice> shapes() {
    return all(Jar.Shape.values(), EnumWords::of);
  }

  /** In what wax and oil may be melted. */
  public List<Choice> meltings() {
    return all(Working.Vessel.values(), EnumWords::of);
  }

  /** How finely a herb may be cut. */
  public List<Choice> cuts() {
    return all(Cut.values(), EnumWords::plain);
  }

  /** In what state a herb may be. */
  public List<Choice> states() {
    return all(HerbState.values(), EnumWords::plain);
  }

  /** The parts of a herb. */
  public List<Choice> parts() {
    return all(Part.values(), EnumWords::plain);
  }

  /** The ways of warming; without one a jar stands as cool as its place. */
  public List<Choice> methods() {
    return WARMED.stream().map(m -> new Choice(m.name(), MethodWords.inSentence(m))).toList();
  }

  /** How a jar that was begun before may have been infused. */
  public List<Choice> begunBefore() {
    List<Choice> ways = new ArrayList<>(heats());
    ways.add(new Choice(Method.SPIRIT.name(), MethodWords.inSentence(Method.SPIRIT)));
    return ways;
  }

  /** How the jars of a trial may be warmed: cool, or by a way that dampens nothing. */
  public List<Choice> heats() {
    List<Choice> heats = new ArrayList<>();
    heats.add(new Choice("COOL", "as cool as it stands"));
    WARMED.stream()
        .filter(m -> m != Method.SPIRIT)
        .forEach(m -> heats.add(new Choice(m.name(), MethodWords.inSentence(m))));
    return heats;
  }

  /** How grave a caution is, as the word that begins it. */
  public String level(Caution caution) {
    return EnumWords.capital(EnumWords.of(caution.level()));
  }

  /** A caution as a line: only what is to stop anybody says so. */
  public String folded(Caution caution) {
    return caution.level() == Caution.Level.STOP
        ? level(caution) + ". " + caution.text()
        : caution.text();
  }

  /**
   * Of the herbs or oils of a list those that the household uses most, the most used first.
   *
   * @param used keys, the most used first
   */
  public List<Object> usedFirst(List<?> things, List<String> used) {
    Map<String, Object> known = new HashMap<>();
    for (Object thing : things) {
      if (thing instanceof Herb herb) {
        known.put(herb.key(), herb);
      } else if (thing instanceof Carrier carrier) {
        known.put(carrier.key(), carrier);
      }
    }
    return used.stream().filter(known::containsKey).map(known::get).limit(MOST_USED).toList();
  }
}
