package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.log.BottleEvent;
import velvetcrock.core.log.Event;
import velvetcrock.core.log.Observations;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.web.Formats;

/** Says a log entry in the craft's words. */
final class EntryWords {
  private final Catalogue catalogue;
  private final Formats fmt;

  EntryWords(Catalogue catalogue, Formats fmt) {
    this.catalogue = catalogue;
    this.fmt = fmt;
  }

  /** What happened, in a few words. */
  String title(Event event) {
    if (event instanceof Event.Charged e) {
      return e.takenOn() ? "Taken on" : e.manner().spirit() == null ? "Charged" : "Dampened";
    } else if (event instanceof Event.DampChecked e) {
      return e.even() ? "Evenly damp" : "Not evenly damp yet: mixed again";
    } else if (event instanceof Event.OilPoured e) {
      return "Poured " + fmt.ml(e.oilMl()) + " of oil on";
    } else if (event instanceof Event.PotWeighed e) {
      return "Weighed: " + fmt.gram(e.grossG()) + " with its vessel";
    } else if (event instanceof Event.Transferred e) {
      return "Put into the " + e.jar().name();
    } else if (event instanceof Event.PutOnHeat e) {
      return "Put on the heat: " + e.heater().name() + ", " + e.knob().name();
    } else if (event instanceof Event.KnobTurned e) {
      return "Knob turned to " + e.knob().name();
    } else if (event instanceof Event.TakenOffHeat) {
      return "Taken off the heat";
    } else if (event instanceof Event.FeltByHand e) {
      return "Felt by hand: " + felt(e.test());
    } else if (event instanceof Event.BathToppedUp) {
      return "Bath topped up";
    } else if (event instanceof Event.RanHot e) {
      return "Ran hot: up to " + fmt.degrees(e.peakC());
    } else if (event instanceof Event.HeatAnswered e) {
      return "Answered: " + e.answer().words();
    } else if (event instanceof Event.Shaken) {
      return "Shaken";
    } else if (event instanceof Event.Turned) {
      return "Turned upside down";
    } else if (event instanceof Event.AllWell) {
      return "Shaken, covered, smells right";
    } else if (event instanceof Event.Looked) {
      return "Looked";
    } else if (event instanceof Event.Smelled) {
      return "Smelled";
    } else if (event instanceof Event.ToppedUp e) {
      return "Topped up with " + fmt.ml(e.ml());
    } else if (event instanceof Event.Moved e) {
      return "Moved to " + e.stand().name();
    } else if (event instanceof Event.Strained e) {
      return "Strained: " + fmt.ml(e.oilMl()) + " came out";
    } else if (event instanceof Event.MarcWeighed e) {
      return "Marc weighed: " + fmt.g(e.massG());
    } else if (event instanceof Event.Decanted e) {
      return switch (e.what()) {
            case SEDIMENT -> "Decanted: sediment left, ";
            case WATER -> "Decanted: water left, ";
            case FILM -> "Film weighed: ";
          }
          + fmt.g(e.massG());
    } else if (event instanceof Event.StoodClear) {
      return "Stood clear overnight";
    } else if (event instanceof Event.Coloured e) {
      return e.plain() ? "Colour of the plain oil noted" : "Colour noted";
    } else if (event instanceof Event.LookedBack) {
      return "Looked back";
    } else if (event instanceof BottleEvent e) {
      return bottle(e);
    } else if (event instanceof Event.Bottled e) {
      return "Bottled into "
          + (e.bottles().size() == 1 ? "one bottle" : e.bottles().size() + " bottles");
    } else if (event instanceof Event.Capped) {
      return "Bottles capped when cold";
    } else if (event instanceof Event.Drawn e) {
      return "Drew " + fmt.ml(e.ml()) + " off bottle " + e.bottle();
    } else if (event instanceof Event.DrawnUnbottled e) {
      return "Used " + fmt.ml(e.ml()) + " straight from the cloth";
    } else if (event instanceof Event.GivenBack e) {
      return fmt.ml(e.ml())
          + " came back"
          + (e.bottle() == null ? "" : " into bottle " + e.bottle());
    } else if (event instanceof Event.BottleGone e) {
      return "Bottle " + e.bottle() + ": " + reason(e.reason());
    } else if (event instanceof Event.ThrownOut e) {
      return "Thrown out: " + reason(e.reason());
    } else if (event instanceof Event.Noted) {
      return "Note";
    }
    return "Taken back";
  }

  /** The particulars; may be empty. */
  String detail(Event event) {
    if (event instanceof Event.Charged e) {
      return charged(e);
    } else if (event instanceof Event.Looked e) {
      return looked(e);
    } else if (event instanceof Event.Smelled e) {
      return smelled(e);
    } else if (event instanceof Event.ToppedUp e) {
      return catalogue.carrier(e.carrier()).name() + typed(e.text());
    } else if (event instanceof Event.PutOnHeat e) {
      return e.bath() == null ? "" : "in the bath “" + e.bath().name() + "”";
    } else if (event instanceof Event.RanHot e) {
      return ranHot(e);
    } else if (event instanceof Event.HeatAnswered e) {
      return "the heat of " + fmt.moment(e.from());
    } else if (event instanceof Event.OilPoured e) {
      return e.grossG() == null ? "" : fmt.gram(e.grossG()) + " with its vessel";
    } else if (event instanceof Event.Strained e) {
      return name(e.expression())
          + (e.how().secondPass() ? ", twice" : "")
          + (e.how().fineFilter() ? ", through a fine filter" : "")
          + (e.how().settles() ? ", set aside to settle" : "")
          + "; "
          + fmt.ml(e.predictedMl())
          + " was expected"
          + typed(e.text());
    } else if (event instanceof Event.Decanted e) {
      return e.clearMl() == null ? "" : fmt.ml(e.clearMl()) + " of clear oil";
    } else if (event instanceof Event.Coloured e) {
      return (e.photo() == null ? "by eye, " : "from a picture, ") + e.colour().hex();
    } else if (event instanceof Event.LookedBack e) {
      return Stream.of(
              e.well().isBlank() ? "" : "Went well: " + e.well(),
              e.nextTime().isBlank() ? "" : "Next time: " + e.nextTime())
          .filter(s -> !s.isEmpty())
          .collect(Collectors.joining("\n"));
    } else if (event instanceof BottleEvent.Stood e) {
      return stood(e);
    } else if (event instanceof Event.Bottled e) {
      return e.bottles().stream()
          .map(b -> b.letter() + " " + fmt.ml(b.ml()) + " in " + name(b.glass()) + " glass")
          .collect(Collectors.joining(", "));
    } else if (event instanceof Event.Drawn e) {
      return e.what();
    } else if (event instanceof Event.DrawnUnbottled e) {
      return e.what();
    } else if (event instanceof Event.GivenBack e) {
      return e.what();
    } else if (event instanceof Event.Noted e) {
      return e.text();
    }
    return "";
  }

  private String bottle(BottleEvent event) {
    if (event instanceof BottleEvent.Opened) {
      return "Opened bottle " + event.bottle();
    } else if (event instanceof BottleEvent.Checked e) {
      return "Bottle " + e.bottle() + " smelled at: " + e.words();
    }
    return "Bottle " + event.bottle() + " stands otherwise";
  }

  private String stood(BottleEvent.Stood e) {
    return e.place().words()
        + ", "
        + name(e.glass())
        + " glass of "
        + fmt.ml(e.sizeMl())
        + e.antioxidant().after(", ");
  }

  /** Codes of the cautions that this very entry calls for. */
  static List<String> worries(Event event) {
    Observations none = Observations.none();
    if (event instanceof Event.Looked e) {
      return none.after(e).worries();
    }
    return event instanceof Event.Smelled e ? none.after(e).worries() : List.of();
  }

  /** What a hand felt, in words. */
  static String felt(Assumed.HandTest test) {
    return switch (test) {
      case COMFORTABLE -> "bath-warm";
      case HOT -> "hot";
      case TOO_HOT_TO_HOLD -> "too hot to hold";
    };
  }

  private String ranHot(Event.RanHot e) {
    String since = "above " + fmt.degrees(e.ceilingC()) + " from " + fmt.moment(e.from());
    return e.to() == null
        ? since
        : since
            + " for "
            + fmt.hours(java.time.Duration.between(e.from(), e.to()).toSeconds() / 3600.0);
  }

  /** A reason in words. */
  static String reason(Event.Reason reason) {
    return switch (reason) {
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

  /** An enum's name as a word. */
  static String name(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private String charged(Event.Charged e) {
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
    String about = e.aboutDays() > 0 ? ", give or take " + fmt.days(e.aboutDays()) : "";
    String clean = e.cleanAndDry() ? "; jar and herb clean and bone-dry" : "";
    Event.SpiritIn spirit = e.manner().spirit();
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
        + fmt.ml(e.oilMl())
        + " of "
        + oils
        + ", "
        + e.jar().name()
        + about
        + clean;
  }

  private static String looked(Event.Looked e) {
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

  private static void add(List<String> seen, @Nullable Boolean value, String yes, String no) {
    if (value != null) {
      seen.add(value ? yes : no);
    }
  }

  private static String smelled(Event.Smelled e) {
    List<String> smelled = new ArrayList<>();
    if (e.scent() != null) {
      smelled.add(
          e.scent() == Event.Scent.NONE
              ? "no scent of the herb"
              : name(e.scent()) + " scent of the herb");
    }
    if (e.off() != null) {
      smelled.add(e.off() == Event.OffSmell.NONE ? "nothing off" : name(e.off()));
    }
    return String.join(", ", smelled);
  }

  private static String typed(String text) {
    return text.isBlank() ? "" : " (“" + text + "”)";
  }
}
