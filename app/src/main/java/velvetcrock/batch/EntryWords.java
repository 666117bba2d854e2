package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BathToppedUp;
import velvetcrock.core.batch.BottleChecked;
import velvetcrock.core.batch.BottleGone;
import velvetcrock.core.batch.BottleOpened;
import velvetcrock.core.batch.BottleStood;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Capped;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.batch.DampChecked;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.DrawnUnbottled;
import velvetcrock.core.batch.FeltByHand;
import velvetcrock.core.batch.GivenBack;
import velvetcrock.core.batch.HeatAnswered;
import velvetcrock.core.batch.KnobTurned;
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
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.RanHot;
import velvetcrock.core.batch.Scent;
import velvetcrock.core.batch.Shaken;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.batch.StoodClear;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.Struck;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.batch.ThrownOut;
import velvetcrock.core.batch.ToppedUp;
import velvetcrock.core.batch.Transferred;
import velvetcrock.core.batch.Turned;
import velvetcrock.core.batch.Visited;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.HerbState;
import velvetcrock.ledger.Told;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;

/** Says a log entry in the craft's words. */
final class EntryWords implements BatchEvent.Visitor<Told> {
  private final Catalogue catalogue;
  private final Formats fmt;

  EntryWords(Catalogue catalogue, Formats fmt) {
    this.catalogue = catalogue;
    this.fmt = fmt;
  }

  /** What happened, and its particulars. */
  Told of(BatchEvent event) {
    return event.accept(this);
  }

  @Override
  public Told charged(Charged event) {
    return new Told(
        event.begun().takenOn()
            ? "Taken on"
            : event.manner().spirit() == null ? "Charged" : "Dampened",
        charge(event));
  }

  @Override
  public Told dampChecked(DampChecked event) {
    return new Told(event.even() ? "Evenly damp" : "Not evenly damp yet: mixed again");
  }

  @Override
  public Told oilPoured(OilPoured event) {
    return new Told(
        "Poured " + fmt.ml(event.oilMl()) + " of oil on",
        event.grossG() == null ? "" : fmt.gram(event.grossG()) + " with its vessel");
  }

  @Override
  public Told potWeighed(PotWeighed event) {
    return new Told("Weighed: " + fmt.gram(event.grossG()) + " with its vessel");
  }

  @Override
  public Told transferred(Transferred event) {
    return new Told("Put into the " + event.jar().name());
  }

  @Override
  public Told shaken(Shaken event) {
    return new Told("Shaken");
  }

  @Override
  public Told turned(Turned event) {
    return new Told(
        "Turned upside down", event.days() == 0 ? "" : "and left so for " + fmt.days(event.days()));
  }

  @Override
  public Told visited(Visited event) {
    return new Told(VisitWords.done(event.acts()));
  }

  @Override
  public Told leftLonger(LeftLonger event) {
    return new Told(
        "Left until " + fmt.until(event.until()),
        event.why().isEmpty() ? "" : "because “" + event.why() + "”");
  }

  @Override
  public Told allWell(AllWell event) {
    return new Told("Shaken, covered, smells right");
  }

  @Override
  public Told looked(Looked event) {
    return new Told("Looked", sights(event));
  }

  @Override
  public Told oilLooked(OilLooked event) {
    return new Told("Looked for water in the oil", inOil(event));
  }

  @Override
  public Told smelled(Smelled event) {
    return new Told("Smelled", smells(event));
  }

  @Override
  public Told toppedUp(ToppedUp event) {
    return new Told(
        "Topped up with " + fmt.ml(event.ml()),
        catalogue.carrier(event.carrier()).name() + typed(event.text()));
  }

  @Override
  public Told moved(Moved event) {
    return new Told("Moved to " + event.stand().name());
  }

  @Override
  public Told coloured(Coloured event) {
    return new Told(
        event.plain() ? "Colour of the plain oil noted" : "Colour noted",
        (event.photo() == null ? "by eye, " : "from a picture, ") + event.colour().hex());
  }

  @Override
  public Told thrownOut(ThrownOut event) {
    return new Told("Thrown out: " + EnumWords.of(event.reason()));
  }

  @Override
  public Told putOnHeat(PutOnHeat event) {
    return new Told(
        "Put on the heat: " + event.heater().name() + ", " + event.knob().name(),
        event.bath() == null ? "" : "in the bath “" + event.bath().name() + "”");
  }

  @Override
  public Told knobTurned(KnobTurned event) {
    return new Told("Knob turned to " + event.knob().name());
  }

  @Override
  public Told takenOffHeat(TakenOffHeat event) {
    return new Told("Taken off the heat");
  }

  @Override
  public Told feltByHand(FeltByHand event) {
    return new Told("Felt by hand: " + EnumWords.of(event.test()));
  }

  @Override
  public Told bathToppedUp(BathToppedUp event) {
    return new Told("Bath topped up");
  }

  @Override
  public Told ranHot(RanHot event) {
    return new Told("Ran hot: up to " + fmt.degrees(event.peakC()), stretch(event));
  }

  @Override
  public Told heatAnswered(HeatAnswered event) {
    return new Told(
        "Answered: " + event.answer().words(), "the heat of " + fmt.moment(event.from()));
  }

  @Override
  public Told strained(Strained event) {
    return new Told(
        "Strained: " + fmt.ml(event.oilMl()) + " came out",
        name(event.expression())
            + (event.how().secondPass() ? ", twice" : "")
            + (event.how().fineFilter() ? ", through a fine filter" : "")
            + (event.how().settles() ? ", set aside to settle" : "")
            + "; "
            + fmt.ml(event.predictedMl())
            + " was expected"
            + typed(event.text()));
  }

  @Override
  public Told marcWeighed(MarcWeighed event) {
    return new Told("Spent herb weighed: " + fmt.g(event.massG()));
  }

  @Override
  public Told decanted(Decanted event) {
    return new Told(
        switch (event.what()) {
              case SEDIMENT -> "Decanted: sediment left, ";
              case WATER -> "Decanted: water left, ";
              case FILM -> "Film weighed: ";
            }
            + fmt.g(event.massG()),
        event.clearMl() == null ? "" : fmt.ml(event.clearMl()) + " of clear oil");
  }

  @Override
  public Told stoodClear(StoodClear event) {
    return new Told("Stood clear overnight");
  }

  @Override
  public Told drawnUnbottled(DrawnUnbottled event) {
    return new Told("Used " + fmt.ml(event.ml()) + " straight from the cloth", event.what());
  }

  @Override
  public Told bottled(Bottled event) {
    return new Told(
        "Bottled into "
            + (event.bottles().size() == 1 ? "one bottle" : event.bottles().size() + " bottles"),
        event.bottles().stream()
            .map(b -> b.letter() + " " + fmt.ml(b.ml()) + " in " + name(b.glass()) + " glass")
            .collect(Collectors.joining(", ")));
  }

  @Override
  public Told capped(Capped event) {
    return new Told("Bottles capped when cold");
  }

  @Override
  public Told drawn(Drawn event) {
    return new Told("Drew " + fmt.ml(event.ml()) + " off bottle " + event.bottle(), event.what());
  }

  @Override
  public Told givenBack(GivenBack event) {
    return new Told(
        fmt.ml(event.ml())
            + " came back"
            + (event.bottle() == null ? "" : " into bottle " + event.bottle()),
        event.what());
  }

  @Override
  public Told bottleStood(BottleStood event) {
    return new Told("Bottle " + event.bottle() + " stands otherwise", stood(event));
  }

  @Override
  public Told bottleOpened(BottleOpened event) {
    return new Told("Opened bottle " + event.bottle());
  }

  @Override
  public Told bottleChecked(BottleChecked event) {
    return new Told("Bottle " + event.bottle() + " smelled: " + event.words());
  }

  @Override
  public Told bottleGone(BottleGone event) {
    return new Told("Bottle " + event.bottle() + ": " + EnumWords.of(event.reason()));
  }

  @Override
  public Told noted(Noted event) {
    return new Told("Note", "“" + event.text() + "”");
  }

  @Override
  public Told lookedBack(LookedBack event) {
    return new Told(
        "Looked back",
        Stream.of(
                event.well().isBlank() ? "" : "Went well: “" + event.well() + "”",
                event.nextTime().isBlank() ? "" : "Next time: “" + event.nextTime() + "”")
            .filter(s -> !s.isEmpty())
            .collect(Collectors.joining("\n")));
  }

  @Override
  public Told struck(Struck event) {
    return new Told("Taken back");
  }

  private String stood(BottleStood e) {
    return e.place().words()
        + ", "
        + name(e.glass())
        + " glass of "
        + fmt.ml(e.sizeMl())
        + e.antioxidant().after(", ");
  }

  private String stretch(RanHot e) {
    String since = "above " + fmt.degrees(e.ceilingC()) + " from " + fmt.moment(e.from());
    return e.to() == null
        ? since
        : since
            + " for "
            + fmt.hours(java.time.Duration.between(e.from(), e.to()).toSeconds() / 3600.0);
  }

  /** An enum's name as a word. */
  static String name(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private String charge(Charged e) {
    String herbs =
        e.herbs().stream()
            .map(
                h ->
                    fmt.g(h.massG())
                        + " "
                        + catalogue.herb(h.herb()).name()
                        + ", "
                        + name(h.state())
                        + " and "
                        + name(h.cut()))
            .collect(Collectors.joining("; "));
    String oils =
        e.carriers().stream()
            .map(c -> catalogue.carrier(c.carrier()).name())
            .collect(Collectors.joining(" and "));
    String about =
        e.begun().aboutDays() > 0 ? ", give or take " + fmt.days(e.begun().aboutDays()) : "";
    boolean dried = e.herbs().stream().allMatch(h -> h.state() == HerbState.DRIED);
    String clean =
        !e.cleanAndDry()
            ? ""
            : dried
                ? "; jar and herb clean and bone-dry"
                : "; vessel clean and bone-dry, herb not dripping";
    SpiritIn spirit = e.manner().spirit();
    String dampened =
        spirit == null
            ? ""
            : " with "
                + fmt.g(spirit.massG())
                + " of spirit, "
                + fmt.number(spirit.abvPercent(), 0)
                + " % vol; to follow";
    return herbs
        + dampened
        + (e.manner().blended() ? " blended with " : spirit == null ? " in " : ": ")
        + fmt.ml(e.oil().oilMl())
        + " of "
        + oils
        + ", "
        + e.jar().name()
        + about
        + clean;
  }

  private static String sights(Looked e) {
    List<String> seen = new ArrayList<>();
    add(seen, e.covered(), "covered", "not covered");
    add(seen, e.floating(), "floating", "not floating");
    if (e.bubbles() != null) {
      seen.add(
          switch (e.bubbles()) {
            case NONE -> "no bubbles";
            case FEW -> "a few bubbles";
            case FIZZING -> "fizzing";
          });
    }
    add(seen, e.mould(), "mould", "no mould");
    add(seen, e.translucent(), "herb translucent", "herb not yet translucent");
    add(seen, e.crisp(), "herb crisp", "herb not crisp");
    return String.join(", ", seen);
  }

  private String inOil(OilLooked e) {
    List<String> seen = new ArrayList<>();
    add(seen, e.still(), "no bubble for 20 minutes", "bubbles rise");
    if (e.atC() != null) {
      seen.add("at " + fmt.degrees(e.atC()));
    }
    add(seen, e.crisp(), "herb crisp", "herb not crisp");
    add(seen, e.waterLayer(), "water under it", "no water under it");
    add(seen, e.cloudy(), "cloudy", "clear");
    if (e.overnight()) {
      seen.add("after a night");
    }
    return String.join(", ", seen);
  }

  private static void add(List<String> seen, @Nullable Boolean value, String yes, String no) {
    if (value != null) {
      seen.add(value ? yes : no);
    }
  }

  private static String smells(Smelled e) {
    List<String> smelled = new ArrayList<>();
    if (e.scent() != null) {
      smelled.add(
          e.scent() == Scent.NONE
              ? "no scent of the herb"
              : name(e.scent()) + " scent of the herb");
    }
    if (e.off() != null) {
      smelled.add(e.off() == OffSmell.NONE ? "nothing off" : name(e.off()));
    }
    return String.join(", ", smelled);
  }

  private static String typed(String text) {
    return text.isBlank() ? "" : " (“" + text + "”)";
  }
}
