package velvetcrock.kitchen;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.DayOfWeek;
import java.util.Currency;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;
import velvetcrock.web.Customs;

/** In what a household reads amounts, dates and money, as it is stored. */
@Embeddable
class Reading {
  @Enumerated(EnumType.STRING)
  private Units.Weights weights;

  @Enumerated(EnumType.STRING)
  private Units.Volumes volumes;

  @Enumerated(EnumType.STRING)
  private Kitchen kitchen;

  @Enumerated(EnumType.STRING)
  private Units.Degrees degrees;

  @Enumerated(EnumType.STRING)
  private Units.Lengths lengths;

  @Enumerated(EnumType.STRING)
  private Customs.Dates dates;

  @Enumerated(EnumType.STRING)
  private DayOfWeek weekBegins;

  @Enumerated(EnumType.STRING)
  private Customs.Clock clock;

  @Enumerated(EnumType.STRING)
  private Customs.Paper paper;

  @Enumerated(EnumType.STRING)
  private Customs.Spelling spelling;

  @Enumerated(EnumType.STRING)
  private Customs.Contents contents;

  private @Nullable String currency;

  /** For Hibernate. */
  protected Reading() {}

  Reading(Units units, Customs customs) {
    weights = units.weights();
    volumes = units.volumes();
    kitchen = units.kitchen();
    degrees = units.degrees();
    lengths = units.lengths();
    dates = customs.dates();
    weekBegins = customs.weekBegins();
    clock = customs.clock();
    paper = customs.paper();
    spelling = customs.spelling();
    contents = customs.contents();
    currency = customs.currency() == null ? null : customs.currency().getCurrencyCode();
  }

  /** As is usual where a cup is a kitchen’s. */
  static Reading usual(Kitchen kitchen) {
    return new Reading(
        Units.usual(kitchen),
        switch (kitchen) {
          case US -> Customs.usual(Locale.US);
          case IMPERIAL -> Customs.usual(Locale.UK);
          case METRIC -> Customs.FORMER;
        });
  }

  Units units() {
    return new Units(weights, volumes, kitchen, degrees, lengths);
  }

  Customs customs() {
    return new Customs(
        dates,
        weekBegins,
        clock,
        paper,
        spelling,
        contents,
        currency == null ? null : Currency.getInstance(currency));
  }
}
