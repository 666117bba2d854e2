package velvetcrock.drawer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotAdded;
import velvetcrock.core.drawer.LotCounted;
import velvetcrock.core.drawer.LotDescribed;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotEnded;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.drawer.LotGivenBack;
import velvetcrock.core.drawer.LotOpened;
import velvetcrock.core.drawer.LotPicked;
import velvetcrock.core.drawer.LotStruck;
import velvetcrock.core.drawer.LotTaken;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.ledger.Told;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;

/** Says a lot in the craft's words. */
public final class LotWords {
  private final Catalogue catalogue;
  private final Formats fmt;

  /** Words for one household. */
  public LotWords(Catalogue catalogue, Formats fmt) {
    this.catalogue = catalogue;
    this.fmt = fmt;
  }

  /** What it is called. */
  public String name(Lot lot) {
    LotDetails details = lot.details();
    if (!details.name().isEmpty()) {
      return details.name();
    }
    return details.kind() == Kind.SPIRIT
        ? "Spirit " + fmt.number(details.abvPercent() == null ? 0 : details.abvPercent(), 0) + " %"
        : thing(details.kind(), details.thing());
  }

  /** The name of a thing of the catalogue. */
  public String thing(Kind kind, String key) {
    return switch (kind) {
      case HERB -> catalogue.herb(key).name();
      case CARRIER -> catalogue.carrier(key).name();
      case WAX -> catalogue.wax(key).name();
      case SPIRIT -> "Spirit";
    };
  }

  /** How much of it there is. */
  public String amount(Lot lot) {
    return amount(lot.details().kind(), lot.amount());
  }

  /** An amount in the unit of its kind. */
  public String amount(Kind kind, double amount) {
    return kind.unit().equals("g") ? fmt.g(amount) : fmt.ml(amount);
  }

  /** Where and when it comes from: picked 12 July, from the salt marsh. */
  public String origin(Lot lot) {
    LotDetails details = lot.details();
    String how =
        switch (details.origin()) {
          case GROWN -> "picked";
          case FORAGED -> "gathered";
          case BOUGHT -> "bought";
        };
    Optional<LocalDate> since =
        details.origin() == LotDetails.Origin.BOUGHT && details.dates().boughtOn() != null
            ? Optional.of(details.dates().boughtOn())
            : lot.since();
    String when = since.map(d -> how + " " + fmt.date(d)).orElse(how);
    return details.from().isEmpty() ? when : when + ", " + details.from();
  }

  /** A herb's part, cut and state; empty for anything else. */
  public String state(Lot lot) {
    LotDetails details = lot.details();
    return details.plant().part() == null
            || details.plant().cut() == null
            || details.plant().state() == null
        ? ""
        : (details.plant().state().name()
                + " "
                + catalogue.herb(details.thing()).partNow(details.plant().part()).name()
                + ", "
                + details.plant().cut().name())
            .toLowerCase(Locale.ROOT);
  }

  /** A lot to be chosen, in short: when and where from, and how much there is. */
  public String choice(Lot lot) {
    LotDetails details = lot.details();
    List<String> words = new ArrayList<>();
    if (details.kind() == Kind.SPIRIT && details.abvPercent() != null) {
      words.add(fmt.number(details.abvPercent(), 0) + " %");
    }
    if (!details.name().isEmpty()) {
      words.add(details.name());
    }
    lot.since().ifPresent(day -> words.add(fmt.shortDate(day)));
    if (details.kind() == Kind.HERB && !details.from().isEmpty()) {
      words.add(details.from());
    }
    return (words.isEmpty() ? "the drawer" : String.join(", ", words)) + ": " + amount(lot);
  }

  /** What of it is put by for plans, after a comma; empty for nothing. */
  public String putBy(Lot lot, @Nullable Double promised) {
    return promised == null ? "" : ", " + amount(lot.details().kind(), promised) + " reserved";
  }

  /** What happens to a lot of one kind, told; with where it came from, if that is known. */
  LotEvent.Visitor<Told> telling(Lot lot) {
    return new Telling(lot);
  }

  /** Says entries of a lot. */
  private final class Telling implements LotEvent.Visitor<Told> {
    private final Lot lot;
    private final Kind kind;

    private Telling(Lot lot) {
      this.lot = lot;
      this.kind = lot.details().kind();
    }

    @Override
    public Told lotAdded(LotAdded event) {
      return new Told("Put in: " + amount(kind, event.amount()), origin(lot));
    }

    @Override
    public Told lotPicked(LotPicked event) {
      return new Told("Picked " + amount(kind, event.amount()) + " on " + fmt.date(event.on()));
    }

    @Override
    public Told lotTaken(LotTaken event) {
      return new Told(amount(kind, event.amount()) + " into " + event.what());
    }

    @Override
    public Told lotGivenBack(LotGivenBack event) {
      return new Told(amount(kind, event.amount()) + " back from " + event.what());
    }

    @Override
    public Told lotCounted(LotCounted event) {
      return new Told("Counted: " + amount(kind, event.amount()));
    }

    @Override
    public Told lotDescribed(LotDescribed event) {
      return new Told("Described anew");
    }

    @Override
    public Told lotOpened(LotOpened event) {
      return new Told("Opened " + fmt.date(event.on()));
    }

    @Override
    public Told lotEnded(LotEnded event) {
      return new Told(EnumWords.capital(EnumWords.of(event.reason())));
    }

    @Override
    public Told lotStruck(LotStruck event) {
      return new Told("Taken back");
    }
  }
}
