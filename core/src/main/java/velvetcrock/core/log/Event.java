package velvetcrock.core.log;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.heat.WaterBath;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;

/** What can happen to a batch. */
public sealed interface Event
    permits Event.Charged,
        Event.DampChecked,
        Event.OilPoured,
        Event.PotWeighed,
        Event.Transferred,
        Event.PutOnHeat,
        Event.KnobTurned,
        Event.TakenOffHeat,
        Event.FeltByHand,
        Event.BathToppedUp,
        Event.RanHot,
        Event.HeatAnswered,
        Event.Shaken,
        Event.Turned,
        Event.AllWell,
        Event.Looked,
        Event.Smelled,
        Event.ToppedUp,
        Event.Moved,
        Event.Strained,
        Event.MarcWeighed,
        Event.Decanted,
        Event.Bottled,
        Event.Capped,
        Event.Drawn,
        Event.DrawnUnbottled,
        Event.GivenBack,
        Event.BottleGone,
        Event.ThrownOut,
        Event.Noted,
        Event.Struck,
        Event.StoodClear,
        Event.Coloured,
        Event.LookedBack,
        BottleEvent {

  /**
   * The jar was charged, or taken on when it had been charged before.
   *
   * @param oilMl oil, ml; a range where it is not known exactly
   * @param oilText what was typed for it
   * @param coverMm cover aimed at, mm
   * @param chargedOn the day, in the household's time zone
   * @param aboutDays by how many days either way the day may be wrong; 0 when it is known
   * @param takenOn whether it was begun before the log was
   * @param cleanAndDry whether jar and herb were said to be clean and bone-dry
   * @param manner how it was charged, where it was not simply poured
   */
  record Charged(
      Method method,
      List<HerbIn> herbs,
      List<OilIn> carriers,
      Range oilMl,
      String oilText,
      JarIn jar,
      double coverMm,
      Use use,
      Stand stand,
      LocalDate chargedOn,
      int aboutDays,
      boolean takenOn,
      boolean cleanAndDry,
      Manner manner)
      implements Event {
    /** A trial's jar is late this many days after its day: later, and it tells of other weeks. */
    private static final int DAYS_AFTER_AIM = 3;

    /** Checks what has to be there and copies the lists. */
    public Charged {
      Checks.present("method", method);
      herbs = Checks.some("herbs", herbs);
      carriers = Checks.some("carriers", carriers);
      Checks.present("oilMl", oilMl);
      Checks.within("oilMl", oilMl.low(), 0, 100_000);
      Checks.within("oilMl", oilMl.high(), 0.001, 100_000);
      Checks.text("oilText", oilText);
      Checks.present("jar", jar);
      Checks.within("coverMm", coverMm, 0, 200);
      Checks.present("use", use);
      Checks.present("stand", stand);
      Checks.present("chargedOn", chargedOn);
      Checks.within("chargedOn", chargedOn.getYear(), 1900, 2200);
      Checks.within("aboutDays", aboutDays, 0, 3660);
      manner = manner == null ? Manner.PLAIN : manner;
    }

    /** A charge that was simply poured. */
    public Charged(
        Method method,
        List<HerbIn> herbs,
        List<OilIn> carriers,
        Range oilMl,
        String oilText,
        JarIn jar,
        double coverMm,
        Use use,
        Stand stand,
        LocalDate chargedOn,
        int aboutDays,
        boolean takenOn,
        boolean cleanAndDry) {
      this(
          method,
          herbs,
          carriers,
          oilMl,
          oilText,
          jar,
          coverMm,
          use,
          stand,
          chargedOn,
          aboutDays,
          takenOn,
          cleanAndDry,
          Manner.PLAIN);
    }

    /** The same, standing elsewhere. */
    public Charged standing(Stand elsewhere) {
      return new Charged(
          method,
          herbs,
          carriers,
          oilMl,
          oilText,
          jar,
          coverMm,
          use,
          elsewhere,
          chargedOn,
          aboutDays,
          takenOn,
          cleanAndDry,
          manner);
    }

    /** The same with other dates of its carriers. */
    public Charged with(List<OilIn> dated) {
      return new Charged(
          method,
          herbs,
          dated,
          oilMl,
          oilText,
          jar,
          coverMm,
          use,
          stand,
          chargedOn,
          aboutDays,
          takenOn,
          cleanAndDry,
          manner);
    }

    /** Weight of all herbs, g. */
    public Range herbMassG() {
      return herbs.stream().map(HerbIn::massG).reduce(Range.exactly(0), Range::plus);
    }

    /** Days from charging at which it may be strained: its trial's day, or else its method's. */
    public int earliestDays() {
      return aimDays().orElse(method.earliestDays());
    }

    /** Days from charging at which it usually is. */
    public int usualDays() {
      return aimDays().orElse(method.usualDays());
    }

    /** Days from charging by which it should be. */
    public int latestDays() {
      return aimDays().isPresent() ? aimDays().getAsInt() + DAYS_AFTER_AIM : method.latestDays();
    }

    private OptionalInt aimDays() {
      return manner.trial() == null || manner.trial().aimDays() == null
          ? OptionalInt.empty()
          : OptionalInt.of(manner.trial().aimDays());
    }

    /** Whether day and amounts are all known exactly. */
    public boolean exact() {
      return aboutDays == 0 && oilMl.exact() && herbMassG().exact();
    }
  }

  /**
   * How a jar was charged, where herb and oil were not simply put in.
   *
   * @param blended whether herb and oil were blended together into a slurry
   * @param spirit the spirit that the herb was dampened with; the oil then follows after the rest
   * @param again code of the batch that this is another try of; may be null
   * @param read codes of the cautions that were read and gone through all the same
   * @param trial the trial that it is a jar of; may be null
   */
  record Manner(
      boolean blended,
      @Nullable SpiritIn spirit,
      @Nullable String again,
      List<String> read,
      @Nullable InTrial trial) {
    /** A jar of no trial. */
    public Manner(
        boolean blended, @Nullable SpiritIn spirit, @Nullable String again, List<String> read) {
      this(blended, spirit, again, read, null);
    }

    /** Simply poured. */
    public static final Manner PLAIN = new Manner(false, null, null, List.of());

    /** Checks and copies. */
    public Manner {
      read = read == null || read.isEmpty() ? List.of() : Checks.some("read", read);
      read.forEach(code -> Checks.text("read", code));
      if (again != null) {
        Checks.text("again", again);
      }
    }
  }

  /**
   * What a jar is in a trial.
   *
   * @param id the trial's
   * @param words what sets it apart from the trial's other jars
   * @param aimDays the day after charging on which it is to be strained, where that is what sets it
   *     apart; else null
   */
  record InTrial(UUID id, String words, @Nullable Integer aimDays) {
    /** Checks what has to be there. */
    public InTrial {
      Checks.present("id", id);
      Checks.text("words", words);
      if (aimDays != null) {
        Checks.within("aimDays", aimDays, 1, 400);
      }
    }
  }

  /**
   * Spirit as it went in.
   *
   * @param abvPercent its strength, % vol
   * @param massG how much, g
   * @param text what was typed for it
   * @param lot the lot that it came from, if it was kept
   */
  record SpiritIn(double abvPercent, double massG, String text, @Nullable UUID lot) {
    /** Checks what has to be there. */
    public SpiritIn {
      Checks.within("abvPercent", abvPercent, 20, 100);
      Checks.within("massG", massG, 0.001, 100_000);
      Checks.text("text", text);
    }
  }

  /**
   * A herb as it went in.
   *
   * @param herb its key in the catalogue
   * @param massG g; a range where it is not known exactly
   * @param waterFraction its water, wet basis, with what clings to it from rinsing
   * @param text what was typed for it
   * @param lot the lot that it came from, if it was kept
   */
  record HerbIn(
      String herb,
      Part part,
      Cut cut,
      HerbState state,
      Range massG,
      double waterFraction,
      String text,
      @Nullable UUID lot) {
    /** From no lot. */
    public HerbIn(
        String herb,
        Part part,
        Cut cut,
        HerbState state,
        Range massG,
        double waterFraction,
        String text) {
      this(herb, part, cut, state, massG, waterFraction, text, null);
    }

    /** Checks what has to be there. */
    public HerbIn {
      Checks.present("herb", herb);
      Checks.present("part", part);
      Checks.present("cut", cut);
      Checks.present("state", state);
      Checks.present("massG", massG);
      Checks.within("massG", massG.low(), 0, 100_000);
      Checks.within("massG", massG.high(), 0.001, 100_000);
      Checks.within("waterFraction", waterFraction, 0, 0.97);
      Checks.text("text", text);
    }
  }

  /**
   * A carrier as it went in, with the dates known of it.
   *
   * @param carrier its key in the catalogue
   * @param share part by volume
   * @param lot the lot that it came from, if it was kept
   */
  record OilIn(
      String carrier,
      double share,
      @Nullable LocalDate bestBefore,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate pressedOn,
      @Nullable UUID lot) {
    /** From no lot. */
    public OilIn(
        String carrier,
        double share,
        @Nullable LocalDate bestBefore,
        @Nullable LocalDate openedOn,
        @Nullable LocalDate pressedOn) {
      this(carrier, share, bestBefore, openedOn, pressedOn, null);
    }

    /** Checks what has to be there. */
    public OilIn {
      Checks.present("carrier", carrier);
      Checks.within("share", share, 1e-6, 1e6);
    }
  }

  /**
   * The vessel by its inside.
   *
   * @param key the household's key of it; null where it has none
   * @param shape what kind of vessel it is
   */
  record JarIn(
      String name, double brimMl, double innerDiameterMm, @Nullable String key, Jar.Shape shape) {
    /** A jar that the household does not know. */
    public JarIn(String name, double brimMl, double innerDiameterMm) {
      this(name, brimMl, innerDiameterMm, null, Jar.Shape.JAR);
    }

    /** A vessel of the household. */
    public static JarIn of(Jar jar) {
      return new JarIn(jar.name(), jar.brimMl(), jar.innerDiameterMm(), jar.key(), jar.shape());
    }

    /** It, as the catalogue knows vessels. */
    public Jar jar() {
      return new Jar(key == null ? name : key, name, brimMl, innerDiameterMm, shape);
    }

    /** Checks what has to be there. */
    public JarIn {
      shape = shape == null ? Jar.Shape.JAR : shape;
      Checks.text("name", name);
      Checks.within("brimMl", brimMl, 10, 50_000);
      Checks.within("innerDiameterMm", innerDiameterMm, 15, 600);
    }
  }

  /**
   * Where a jar stands.
   *
   * @param place the place's key in the household
   * @param celsius how warm it is there, °C; null where that is not known
   */
  record Stand(String place, String name, Light light, @Nullable Double celsius) {
    /** A place whose warmth is not known. */
    public Stand(String place, String name, Light light) {
      this(place, name, light, null);
    }

    /** Checks what has to be there. */
    public Stand {
      Checks.text("place", place);
      Checks.text("name", name);
      Checks.present("light", light);
    }
  }

  /**
   * The resting herb was looked at.
   *
   * @param even whether it is evenly damp, without dry or dripping patches
   */
  record DampChecked(boolean even) implements Event {}

  /**
   * The rest is over and the oil was poured on.
   *
   * @param oilMl how much, ml
   * @param text what was typed
   * @param grossG what vessel and all weigh now, g; null if it was not weighed
   */
  record OilPoured(double oilMl, String text, @Nullable Double grossG) implements Event {
    /** Checks what has to be there. */
    public OilPoured {
      Checks.within("oilMl", oilMl, 0.001, 100_000);
      Checks.text("text", text);
      if (grossG != null) {
        Checks.within("grossG", grossG, 0.001, 100_000);
      }
    }
  }

  /**
   * Vessel and all were weighed, to see how much water or spirit has left.
   *
   * @param grossG what they weigh, g
   * @param text what was typed
   */
  record PotWeighed(double grossG, String text) implements Event {
    /** Checks what has to be there. */
    public PotWeighed {
      Checks.within("grossG", grossG, 0.001, 100_000);
      Checks.text("text", text);
    }
  }

  /** All of it was put into another vessel. */
  record Transferred(JarIn jar) implements Event {
    /** Checks what has to be there. */
    public Transferred {
      Checks.present("jar", jar);
    }
  }

  /**
   * It was put on the heat.
   *
   * @param bath the water bath that it stands in; null where there is none
   */
  record PutOnHeat(Heater heater, Knob knob, @Nullable Bath bath) implements Event {
    /** Checks what has to be there. */
    public PutOnHeat {
      Checks.present("heater", heater);
      Checks.present("knob", knob);
    }
  }

  /**
   * What it stands on.
   *
   * @param key the household's key of it; null where it has none
   */
  record Heater(@Nullable String key, String name, Appliance kind) {
    /** Checks what has to be there. */
    public Heater {
      Checks.text("name", name);
      Checks.present("kind", kind);
    }
  }

  /**
   * A position of the knob.
   *
   * @param name what is written there
   * @param settlesC where the oil settles on it, °C; null where nobody knows
   * @param settleHours how long it takes to, h; null where nobody knows
   */
  record Knob(String name, @Nullable Double settlesC, @Nullable Double settleHours) {
    /** Checks what has to be there. */
    public Knob {
      Checks.text("name", name);
      if (settlesC != null) {
        Checks.within("settlesC", settlesC, -60, 400);
      }
      if (settleHours != null) {
        Checks.within("settleHours", settleHours, 0, 72);
      }
    }
  }

  /**
   * A bath of water; pots that name the same one stand in it together.
   *
   * @param depthMm water when full, mm
   * @param lowestMm depth at which it must be topped up, mm
   * @param widthMm inner width, mm
   * @param watts what goes into evaporation, W
   */
  record Bath(String name, double depthMm, double lowestMm, double widthMm, double watts) {
    /** Checks that it can be. */
    public Bath {
      Checks.text("name", name);
      new WaterBath(depthMm, lowestMm, widthMm, watts, false);
    }

    /** It, as the core reckons baths. */
    public WaterBath bath(boolean onBurner) {
      return new WaterBath(depthMm, lowestMm, widthMm, watts, onBurner);
    }
  }

  /** The knob was turned. */
  record KnobTurned(Knob knob) implements Event {
    /** Checks what has to be there. */
    public KnobTurned {
      Checks.present("knob", knob);
    }
  }

  /** It was taken off the heat, or the heat was switched off. */
  record TakenOffHeat() implements Event {}

  /** A hand felt how warm it is. */
  record FeltByHand(Assumed.HandTest test) implements Event {
    /** Checks what has to be there. */
    public FeltByHand {
      Checks.present("test", test);
    }
  }

  /** The bath was filled up again. */
  record BathToppedUp() implements Event {}

  /**
   * It was above its ceiling for longer than five minutes.
   *
   * @param from when it rose above it
   * @param to when it came down; null while it lasts
   * @param peakC hottest reading, °C
   * @param ceilingC the ceiling, °C
   */
  record RanHot(Instant from, @Nullable Instant to, double peakC, double ceilingC)
      implements Event {
    /** Checks what has to be there. */
    public RanHot {
      Checks.present("from", from);
      Checks.within("peakC", peakC, -60, 400);
      Checks.within("ceilingC", ceilingC, -60, 400);
    }
  }

  /**
   * What was done about it.
   *
   * @param from when that excursion began
   */
  record HeatAnswered(Instant from, Answer answer) implements Event {
    /** Checks what has to be there. */
    public HeatAnswered {
      Checks.present("from", from);
      Checks.present("answer", answer);
    }
  }

  /** What can be done about too much heat. */
  enum Answer {
    /** Turned down. */
    TURNED_DOWN("turned down"),
    /** Lifted off for a while. */
    LIFTED_OFF("lifted off"),
    /** Cool water into the bath. */
    TOPPED_UP_BATH("cooled the bath"),
    /** Switched off. */
    SWITCHED_OFF("switched off"),
    /** Let be. */
    LET_BE("let it be");

    private final String words;

    Answer(String words) {
      this.words = words;
    }

    /** What was done, in plain words. */
    public String words() {
      return words;
    }
  }

  /** Shaken. */
  record Shaken() implements Event {}

  /** Turned upside down, or the herb pressed under. */
  record Turned() implements Event {}

  /** All well in one go: shaken, covered, smells right. */
  record AllWell() implements Event {}

  /** Looked at; what was not looked for is null. */
  record Looked(
      @Nullable Boolean covered,
      @Nullable Boolean floating,
      @Nullable Bubbles bubbles,
      @Nullable Boolean mould,
      @Nullable Boolean translucent,
      @Nullable Boolean crisp)
      implements Event {
    /** Whether nothing at all was noted. */
    public boolean empty() {
      return covered == null
          && floating == null
          && bubbles == null
          && mould == null
          && translucent == null
          && crisp == null;
    }
  }

  /** Bubbles seen. */
  enum Bubbles {
    /** None. */
    NONE,
    /** A few, as air leaves the herb. */
    FEW,
    /** Steady fizzing. */
    FIZZING
  }

  /** Smelled at; the herb's scent apart from anything that is off. */
  record Smelled(@Nullable Scent scent, @Nullable OffSmell off) implements Event {}

  /** How strong the herb's own scent is. */
  enum Scent {
    /** None. */
    NONE,
    /** Faint. */
    FAINT,
    /** Clear. */
    CLEAR,
    /** Strong. */
    STRONG
  }

  /** A smell that should not be there. */
  enum OffSmell {
    /** None. */
    NONE,
    /** Stale paint, old nuts. */
    RANCID,
    /** Mould. */
    MUSTY,
    /** Ferment. */
    SOUR
  }

  /**
   * Oil was added until the herb was covered.
   *
   * @param ml how much, ml
   * @param carrier key of the oil
   * @param text what was typed
   */
  record ToppedUp(double ml, String carrier, String text) implements Event {
    /** Checks what has to be there. */
    public ToppedUp {
      Checks.within("ml", ml, 0, 100_000);
      Checks.text("carrier", carrier);
      Checks.text("text", text);
    }
  }

  /** Carried to another place. */
  record Moved(Stand stand) implements Event {
    /** Checks what has to be there. */
    public Moved {
      Checks.present("stand", stand);
    }
  }

  /**
   * Strained.
   *
   * @param oilMl what came out, ml
   * @param text what was typed
   * @param predictedMl what was predicted, ml
   * @param how what else was done
   */
  record Strained(
      double oilMl, String text, Expression expression, Range predictedMl, Straining how)
      implements Event {
    /** In one pass, and measured as it stands. */
    public Strained(double oilMl, String text, Expression expression, Range predictedMl) {
      this(oilMl, text, expression, predictedMl, Straining.PLAIN);
    }

    /** Checks what has to be there. */
    public Strained {
      how = how == null ? Straining.PLAIN : how;
      Checks.within("oilMl", oilMl, 0, 200_000);
      Checks.text("text", text);
      Checks.present("expression", expression);
      Checks.present("predictedMl", predictedMl);
    }
  }

  /**
   * What else was done when it was strained.
   *
   * @param secondPass whether the marc was expressed a second time
   * @param fineFilter whether it went through a fine filter
   * @param settles whether it was set aside to settle overnight before it is poured off
   */
  record Straining(boolean secondPass, boolean fineFilter, boolean settles) {
    /** Nothing. */
    public static final Straining PLAIN = new Straining(false, false, false);
  }

  /** It stood overnight and nothing settled. */
  record StoodClear() implements Event {}

  /**
   * Its colour was seen.
   *
   * @param colour the oil’s
   * @param plain whether that was the plain carrier beside it
   * @param photo the picture that it was taken from; null where it was picked by eye
   */
  record Coloured(Rgb colour, boolean plain, @Nullable UUID photo) implements Event {
    /** Checks what has to be there. */
    public Coloured {
      Checks.present("colour", colour);
    }
  }

  /**
   * The batch was looked back on.
   *
   * @param well what went well; may be empty
   * @param nextTime what to do otherwise; may be empty
   */
  record LookedBack(String well, String nextTime) implements Event {
    /** Checks what has to be there. */
    public LookedBack {
      Checks.text("well", well);
      Checks.text("nextTime", nextTime);
      if (well.isBlank() && nextTime.isBlank()) {
        throw new Refused("well", "Write what went well, or what to do otherwise.");
      }
    }
  }

  /**
   * The marc was weighed after it had been expressed.
   *
   * @param massG what it weighs, g
   * @param text what was typed
   */
  record MarcWeighed(double massG, String text) implements Event {
    /** Checks what has to be there. */
    public MarcWeighed {
      Checks.within("massG", massG, 0, 100_000);
      Checks.text("text", text);
    }
  }

  /**
   * Something was left behind when the oil was poured off. Sediment and water come out of the oil
   * that was measured at straining; film never was in it.
   *
   * @param what what was left
   * @param massG how much, g
   * @param text what was typed
   * @param clearMl the clear oil, where it was measured again, ml
   */
  record Decanted(Leaving what, double massG, String text, @Nullable Double clearMl)
      implements Event {
    /** Where the clear oil was not measured again. */
    public Decanted(Leaving what, double massG, String text) {
      this(what, massG, text, null);
    }

    /** Checks what has to be there. */
    public Decanted {
      if (clearMl != null) {
        Checks.within("clearMl", clearMl, 0.001, 200_000);
      }
      Checks.present("what", what);
      Checks.within("massG", massG, 0.001, 100_000);
      Checks.text("text", text);
    }
  }

  /** What is left behind. */
  enum Leaving {
    /** Sediment, with the oil in it. */
    SEDIMENT,
    /** A layer of water. */
    WATER,
    /** Film wiped off vessels, cloth and filter. */
    FILM
  }

  /** Bottled, into one or more bottles. */
  record Bottled(List<BottleIn> bottles) implements Event {
    /** Checks that there is one and copies the list. */
    public Bottled {
      bottles = Checks.some("bottles", bottles);
    }
  }

  /**
   * One bottle as filled.
   *
   * @param letter A, B, …; names it within its batch
   * @param ml what went in, ml
   * @param sizeMl what it holds, ml
   * @param cappedCold whether it was capped when fully cool; if not, that is still to be done
   */
  record BottleIn(
      String letter,
      double ml,
      double sizeMl,
      Store.Place place,
      Store.Glass glass,
      Store.Antioxidant antioxidant,
      boolean cappedCold) {
    /** Checks what has to be there. */
    public BottleIn {
      Checks.text("letter", letter);
      Checks.within("ml", ml, 0, 100_000);
      Checks.within("sizeMl", sizeMl, 0, 100_000);
      Checks.present("place", place);
      Checks.present("glass", glass);
      Checks.present("antioxidant", antioxidant);
    }
  }

  /** The bottles that stood open to cool were capped. */
  record Capped() implements Event {}

  /**
   * Some was drawn off a bottle.
   *
   * @param bottle its letter
   * @param ml how much, ml
   * @param what what for; may be empty
   */
  record Drawn(String bottle, double ml, String text, String what) implements Event {
    /** Checks what has to be there. */
    public Drawn {
      Checks.text("bottle", bottle);
      Checks.within("ml", ml, 0, 100_000);
      Checks.text("text", text);
      Checks.text("what", what);
    }
  }

  /**
   * Some of the strained oil was used that is in no bottle.
   *
   * @param ml how much, ml
   * @param what what for
   */
  record DrawnUnbottled(double ml, String text, String what) implements Event {
    /** Checks what has to be there. */
    public DrawnUnbottled {
      Checks.within("ml", ml, 0, 100_000);
      Checks.text("text", text);
      Checks.text("what", what);
    }
  }

  /**
   * Some that had been drawn came back.
   *
   * @param bottle the letter of its bottle; null for what was in none
   * @param ml how much, ml
   * @param what what it had been drawn for
   */
  record GivenBack(@Nullable String bottle, double ml, String what) implements Event {
    /** Checks what has to be there. */
    public GivenBack {
      Checks.within("ml", ml, 0, 100_000);
      Checks.text("what", what);
    }
  }

  /** A bottle came to its end. */
  record BottleGone(String bottle, Reason reason) implements Event {
    /** Checks what has to be there. */
    public BottleGone {
      Checks.text("bottle", bottle);
      Checks.present("reason", reason);
    }
  }

  /** The whole jar was thrown out before it was strained. */
  record ThrownOut(Reason reason) implements Event {
    /** Checks what has to be there. */
    public ThrownOut {
      Checks.present("reason", reason);
    }
  }

  /** Why something came to its end. */
  enum Reason {
    /** Used up. */
    USED_UP,
    /** Rancid. */
    RANCID,
    /** Musty or mouldy. */
    MUSTY,
    /** Cloudy. */
    CLOUDY,
    /** Fizzing or sour. */
    FIZZ,
    /** Past its date. */
    PAST_DATE,
    /** Broken or spilled. */
    SPILLED,
    /** For another reason. */
    OTHER
  }

  /** Something worth writing down. */
  record Noted(String text) implements Event {
    /** Checks what has to be there. */
    public Noted {
      Checks.text("text", text);
    }
  }

  /** Nothing: takes the entry that it replaces out of the fold. */
  record Struck() implements Event {}
}
