package velvetcrock.web;

import com.ibm.icu.number.LocalizedNumberFormatter;
import com.ibm.icu.number.NumberFormatter;
import com.ibm.icu.number.Precision;
import com.ibm.icu.text.PluralRules;
import com.ibm.icu.util.Currency;
import com.ibm.icu.util.ULocale;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;

/** Figures, money and plurals by Unicode’s locale data. */
final class Figured {
  private static final int MOST_DECIMALS = 6;
  private static final List<LocalizedNumberFormatter> PLAIN = plain();
  private static final LocalizedNumberFormatter HUNDREDTHS =
      of(Precision.fixedFraction(2), ULocale.UK);
  private static final PluralRules PLURALS = PluralRules.forLocale(ULocale.ENGLISH);

  private Figured() {}

  private static List<LocalizedNumberFormatter> plain() {
    List<LocalizedNumberFormatter> made = new ArrayList<>();
    for (int decimals = 0; decimals <= MOST_DECIMALS; decimals++) {
      made.add(of(Precision.maxFraction(decimals), ULocale.UK));
    }
    return List.copyOf(made);
  }

  private static LocalizedNumberFormatter of(Precision precision, ULocale locale) {
    return NumberFormatter.withLocale(locale)
        .precision(precision)
        .roundingMode(RoundingMode.HALF_UP)
        .grouping(NumberFormatter.GroupingStrategy.OFF);
  }

  static String plain(double value, int decimals) {
    String figures = PLAIN.get(Math.min(decimals, MOST_DECIMALS)).format(value).toString();
    return figures.equals("-0") ? "0" : figures.replace('-', '−');
  }

  static String money(double minor, Customs customs) {
    double major = minor / 100;
    if (customs.currency() == null) {
      return HUNDREDTHS.format(major).toString();
    }
    return NumberFormatter.withLocale(ULocale.forLocale(customs.spelling().locale()))
        .unit(Currency.getInstance(customs.currency().getCurrencyCode()))
        .unitWidth(NumberFormatter.UnitWidth.NARROW)
        .roundingMode(RoundingMode.HALF_UP)
        .format(major)
        .toString();
  }

  static boolean one(long count) {
    return PLURALS.select(count).equals(PluralRules.KEYWORD_ONE);
  }
}
