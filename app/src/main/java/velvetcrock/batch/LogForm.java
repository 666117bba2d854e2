package velvetcrock.batch;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BathToppedUp;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Capped;
import velvetcrock.core.batch.DampChecked;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Leaving;
import velvetcrock.core.batch.LeftLonger;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.LookedBack;
import velvetcrock.core.batch.MarcWeighed;
import velvetcrock.core.batch.Moved;
import velvetcrock.core.batch.Noted;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.OilLooked;
import velvetcrock.core.batch.OilPoured;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.Scent;
import velvetcrock.core.batch.Shaken;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.StoodClear;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.batch.ThrownOut;
import velvetcrock.core.batch.ToppedUp;
import velvetcrock.core.batch.Transferred;
import velvetcrock.core.batch.Turned;
import velvetcrock.core.batch.Visited;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.core.measure.Units;
import velvetcrock.web.Forms;
import velvetcrock.web.Typed;

/**
 * An entry for the log as it was typed.
 *
 * @param kind the kind of entry
 * @param look what was seen
 * @param oil what was seen of water in the oil
 * @param smell what was smelled
 * @param measured what was measured
 * @param words what was written
 * @param even whether the resting herb is evenly damp
 * @param jar key of the vessel that it goes into
 * @param back what is said on looking back
 * @param tended how it was tended
 * @param key names the entry, so that a second tap writes it once
 */
record LogForm(
    @Nullable String kind,
    @JsonUnwrapped Look look,
    @JsonUnwrapped InOil oil,
    @JsonUnwrapped Smell smell,
    @JsonUnwrapped Measured measured,
    @Nullable String place,
    @JsonUnwrapped Words words,
    @Nullable String even,
    @Nullable String jar,
    @JsonUnwrapped Back back,
    @JsonUnwrapped Tended tended,
    @Nullable String key) {

  /**
   * How it was tended.
   *
   * @param acts what was done at a visit, by comma
   * @param until until when it is left longer
   * @param days how long it is left on its lid
   */
  record Tended(@Nullable String acts, @Nullable String until, @Nullable String days) {}

  /** What was seen. */
  record Look(
      @Nullable String covered,
      @Nullable String floating,
      @Nullable String bubbles,
      @Nullable String mould,
      @Nullable String translucent,
      @Nullable String crisp) {}

  /**
   * What was seen of water in the oil: three signs that show it dry, and what speaks against it.
   *
   * @param still set where no bubble rose for twenty minutes
   * @param warm how warm the oil was then
   * @param crispNow set where the herb is crisp
   * @param clear set where there was no water and no haze under it after a night
   * @param water set where water or a haze was seen
   */
  record InOil(
      @Nullable String still,
      @Nullable String warm,
      @Nullable String crispNow,
      @Nullable String clear,
      @Nullable String water) {
    /** What is ticked, so that a tick is not lost where something else is wrong. */
    Set<String> ticked() {
      Set<String> ticked = new HashSet<>();
      note(ticked, still, "still");
      note(ticked, crispNow, "crispNow");
      note(ticked, clear, "clear");
      note(ticked, water, "water");
      return ticked;
    }

    private static void note(Set<String> ticked, @Nullable String typed, String field) {
      if (typed != null) {
        ticked.add(field);
      }
    }

    private OilLooked looked(Units.Degrees own) {
      boolean dry = clear != null;
      boolean wet = water != null;
      if (dry && wet) {
        throw new Refused("clear", "Clear, or water under it: one of the two.");
      }
      if (still != null && Typed.text(warm).isEmpty()) {
        throw new Refused(
            "warm", "How warm was the oil? In cool oil the lack of bubbles says nothing.");
      }
      return new OilLooked(
          still == null ? null : true,
          still == null ? null : Temperatures.read(Typed.text(warm), own).middle(),
          crispNow == null ? null : true,
          dry ? Boolean.FALSE : wet ? true : null,
          dry ? Boolean.FALSE : null,
          dry);
    }
  }

  /** What was smelled. */
  record Smell(@Nullable String scent, @Nullable String off) {}

  /**
   * What was measured.
   *
   * @param gross what vessel and all weigh
   * @param what what was left behind when the oil was poured off
   */
  record Measured(@Nullable String amount, @Nullable String gross, @Nullable String what) {}

  /** What was written. */
  record Words(@Nullable String text, @Nullable String reason) {}

  /** What is said on looking back. */
  record Back(@Nullable String well, @Nullable String next) {}

  private static final int LONGEST_NOTE = 2000;

  static LogForm empty() {
    return Forms.blank(LogForm.class);
  }

  /**
   * The event that was typed.
   *
   * @param kitchen whose cups amounts are read in
   * @param carriers what the jar holds, for turning a weight of oil into a volume
   * @param carrierKey key of the oil for topping up
   * @param stand finds a place by its id
   * @param vessel finds a vessel by its key
   * @param until reads until when it is left
   * @throws Refused at the field that cannot be read
   */
  BatchEvent event(
      Units units,
      CarrierBlend carriers,
      String carrierKey,
      Function<String, Stand> stand,
      Function<String, Jar> vessel,
      Function<String, Instant> until) {
    Kitchen kitchen = units.kitchen();
    return switch (Typed.text(kind)) {
      case "shaken" -> new Shaken();
      case "turned" -> new Turned(days());
      case "left-longer" ->
          new LeftLonger(until.apply(Typed.text(tended.until())), Typed.text(words.reason()));
      case "visited" -> new Visited(acts());
      case "all-well" -> new AllWell();
      case "capped" -> new Capped();
      case "bath-topped-up" -> new BathToppedUp();
      case "taken-off-heat" -> new TakenOffHeat();
      case "looked" -> looked();
      case "oil-looked" -> oil.looked(units.degrees());
      case "smelled" -> smelled();
      case "topped-up" -> {
        double ml = amount(kitchen, carriers);
        yield new ToppedUp(ml, carrierKey, Typed.text(measured.amount()));
      }
      case "damp-even" -> new DampChecked(true);
      case "damp-checked" -> new DampChecked(damp());
      case "oil-poured" ->
          new OilPoured(
              amount(kitchen, carriers),
              Typed.text(measured.amount()),
              Typed.text(measured.gross()).isEmpty() ? null : grossG(kitchen));
      case "pot-weighed" -> new PotWeighed(grossG(kitchen), Typed.text(measured.gross()));
      case "marc-weighed" -> new MarcWeighed(grossG(kitchen), Typed.text(measured.gross()));
      case "decanted" ->
          new Decanted(
              Typed.named(Leaving.class, measured.what(), "what"),
              grossG(kitchen),
              Typed.text(measured.gross()),
              Typed.text(measured.amount()).isEmpty() ? null : amount(kitchen, carriers));
      case "stood-clear" -> new StoodClear();
      case "looked-back" -> new LookedBack(words(back.well(), "well"), words(back.next(), "next"));
      case "transferred" -> new Transferred(JarIn.of(vessel.apply(Typed.text(jar))));
      case "moved" -> new Moved(stand.apply(Typed.text(place)));
      case "note" -> new Noted(note());
      case "thrown-out" -> new ThrownOut(Typed.named(Ending.class, words.reason(), "reason"));
      default -> throw new Refused("kind", "Choose what to log.");
    };
  }

  private int days() {
    return Typed.text(tended.days()).isEmpty()
        ? 0
        : (int) Math.round(Typed.number(tended.days(), 0, 60, "days"));
  }

  private Set<Visited.Act> acts() {
    Set<Visited.Act> done = EnumSet.noneOf(Visited.Act.class);
    for (String act : Typed.text(tended.acts()).split(",")) {
      if (!act.isBlank()) {
        done.add(Typed.named(Visited.Act.class, act, "acts"));
      }
    }
    return done;
  }

  private BatchEvent looked() {
    Looked looked =
        new Looked(
            yesNo(look.covered()),
            yesNo(look.floating()),
            Typed.text(look.bubbles()).isEmpty()
                ? null
                : Typed.named(Bubbles.class, look.bubbles(), "bubbles"),
            yesNo(look.mould()),
            yesNo(look.translucent()),
            yesNo(look.crisp()));
    if (looked.empty()) {
      throw new Refused("covered", "Say at least one thing that you saw.");
    }
    return looked;
  }

  private BatchEvent smelled() {
    Smelled smelled =
        new Smelled(
            Typed.text(smell.scent()).isEmpty()
                ? null
                : Typed.named(Scent.class, smell.scent(), "scent"),
            Typed.text(smell.off()).isEmpty()
                ? null
                : Typed.named(OffSmell.class, smell.off(), "off"));
    if (smelled.scent() == null && smelled.off() == null) {
      throw new Refused("scent", "Say what you smelled.");
    }
    return smelled;
  }

  private double amount(Kitchen kitchen, CarrierBlend carriers) {
    Problems problems = new Problems();
    Double ml =
        problems.attempt(
            "amount",
            () -> Amounts.oilMl(Typed.text(measured.amount()), kitchen, carriers).middle());
    problems.refuseIfAny();
    return java.util.Objects.requireNonNull(ml);
  }

  private boolean damp() {
    Boolean evenly = yesNo(even);
    if (evenly == null) {
      throw new Refused("even", "Say whether it is evenly damp.");
    }
    return evenly;
  }

  private double grossG(Kitchen kitchen) {
    Problems problems = new Problems();
    Measure measure =
        problems.attempt(
            "gross", () -> new MeasureReader(kitchen).read(Typed.text(measured.gross())));
    problems.require(
        measure == null || measure.isWeight(), "gross", "Give a weight, such as 1240 g.");
    problems.refuseIfAny();
    return measure.amount().middle();
  }

  private static String words(@Nullable String typed, String field) {
    String words = Typed.text(typed);
    if (words.length() > LONGEST_NOTE) {
      throw new Refused(field, "At most " + LONGEST_NOTE + " letters.");
    }
    return words;
  }

  private String note() {
    String note = Typed.text(words.text());
    if (note.isEmpty() || note.length() > LONGEST_NOTE) {
      throw new Refused(
          "text",
          note.isEmpty()
              ? "Write something."
              : "A note has at most "
                  + LONGEST_NOTE
                  + " letters; this one has "
                  + note.length()
                  + ".");
    }
    return note;
  }

  private static @Nullable Boolean yesNo(@Nullable String typed) {
    return switch (Typed.text(typed)) {
      case "yes" -> Boolean.TRUE;
      case "no" -> Boolean.FALSE;
      default -> null;
    };
  }
}
