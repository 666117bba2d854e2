package velvetcrock.core.measure;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;

/**
 * Reads what was typed, piece by piece, by the grammar of {@link MeasureReader}. One is made for
 * each text.
 */
final class AmountParser {
  private static final double LARGEST = 1_000_000;
  private static final Set<String> TO = Set.of("to", "-", "or", "till", "until", "bis");
  private static final Set<String> AND = Set.of("and", "to", "-");
  private static final Set<String> PLUS = Set.of("and", "plus", "+", "&", ",");
  private static final Set<String> MINUS = Set.of("minus", "less");
  private static final Set<String> TIMES = Set.of("×", "x", "times");
  private static final Set<String> ARTICLES = Set.of("a", "an", "the", "one");
  private static final Set<String> LEFT_OUT =
      Set.of(
          "each",
          "apiece",
          "altogether",
          "total",
          "dried",
          "dry",
          "fresh",
          "herb",
          "herbs",
          "oil",
          "all",
          "it",
          "worth",
          "pellets",
          "drained");
  private static final int WORDS_OF = 5;

  private final String text;
  private final List<Token> tokens;
  private final Kitchen kitchen;
  private final @Nullable KitchenUnit bare;
  private int at;

  /**
   * A reader of one text.
   *
   * @param bare what a figure without a unit counts; null where it wants one
   */
  AmountParser(String text, Kitchen kitchen, @Nullable KitchenUnit bare) {
    this.text = text;
    this.tokens = Token.cut(text);
    this.kitchen = kitchen;
    this.bare = bare;
  }

  /** A part of a sum: so many of a unit. */
  private record Part(Measure.Kind kind, Range amount, Range loose, KitchenUnit unit, String noun) {
    Part times(Range by) {
      return new Part(
          kind,
          new Range(amount.low() * by.low(), amount.high() * by.high()),
          new Range(loose.low() * by.low(), loose.high() * by.high()),
          unit,
          noun);
    }

    Part upTo(Part most) {
      return new Part(
          kind,
          new Range(amount.low(), most.amount.high()),
          new Range(loose.low(), most.loose.high()),
          unit,
          noun);
    }

    Part and(Part more, int sign) {
      Range other = sign > 0 ? more.amount : more.amount.times(-1);
      Range otherLoose = sign > 0 ? more.loose : more.loose.times(-1);
      return new Part(kind, amount.plus(other), loose.plus(otherLoose), unit, noun);
    }

    Part hedged(Hedge hedge) {
      boolean packed = hedge == Hedge.PACKED && kind == Measure.Kind.VOLUME;
      boolean spoon = hedge == Hedge.HEAPED && unit.spoon();
      double less = packed ? Hedge.PACKED_LEAST : spoon ? Hedge.HEAPED_SPOON_LEAST : 0;
      double more = packed ? Hedge.PACKED_MOST : Hedge.HEAPED_SPOON_MOST;
      return new Part(
          kind,
          new Range(hedge.least(amount.low()), hedge.most(amount.high())),
          packed || spoon
              ? new Range(loose.low() * less, loose.high() * more)
              : new Range(hedge.least(loose.low()), hedge.most(loose.high())),
          unit,
          noun);
    }
  }

  /**
   * Reads all of it.
   *
   * @throws Refused at {@code text}
   */
  Measure read() {
    Part said = phrase();
    Measure check = null;
    String of = of();
    if (take("(")) {
      check = checking();
      of();
      expect(")");
      of = of.isEmpty() ? of() : of;
    } else if (take("=")) {
      check = checking();
      of = of.isEmpty() ? of() : of;
    }
    if (here().sort() != Token.Sort.END) {
      throw notUnderstood();
    }
    return measure(said, text, of, check);
  }

  /** The same amount once more, with its own words. */
  private Measure checking() {
    int from = here().from();
    Part inside = phrase();
    return measure(inside, text.substring(from, here(-1).to()), "", null);
  }

  private Measure measure(Part part, String words, String of, @Nullable Measure check) {
    if (part.amount().low() <= 0) {
      throw refuse("“" + text + "” is nothing at all. An amount is above zero.");
    }
    if (part.amount().high() > LARGEST) {
      throw refuse("“" + text + "” is more than a tonne. Check the number and the unit.");
    }
    Measure measure =
        new Measure(part.kind(), part.amount(), part.loose(), words, part.noun(), of, check);
    if (check != null) {
      measure.refuseIfApart();
    }
    return measure;
  }

  /** A sum with what is said of all of it before and after. */
  private Part phrase() {
    Hedge before = hedge();
    Part sum = sum();
    Hedge after = hedge();
    if (before != null) {
      sum = sum.hedged(before);
    }
    while (after != null) {
      sum = sum.hedged(after);
      after = hedge();
    }
    return sum;
  }

  private @Nullable Hedge hedge() {
    int from = at;
    if (here().is(",") || here().is("(") && closes()) {
      at++;
    }
    Optional<Hedge.Found> found = Hedge.at(tokens, at);
    if (found.isEmpty()) {
      at = from;
      return null;
    }
    boolean bracket = at > from && tokens.get(from).is("(");
    at += found.get().pieces();
    if (bracket) {
      expect(")");
    }
    return found.get().hedge();
  }

  /** Whether a bracket here holds nothing but such a word. */
  private boolean closes() {
    return Hedge.at(tokens, at + 1)
        .map(found -> tokens.get(at + 1 + found.pieces()).is(")"))
        .orElse(false);
  }

  private Part sum() {
    Part sum = spanned();
    while (Hedge.at(tokens, at).isEmpty()) {
      int from = at;
      int sign = joins();
      if (sign == 0) {
        return sum;
      }
      Part more = more(sum);
      if (more == null) {
        at = from;
        return sum;
      }
      same(sum, more);
      sum = sum.and(more, sign);
    }
    return sum;
  }

  /** Whether something is added here, or taken off; 0 for neither. */
  private int joins() {
    if (PLUS.contains(here().lower()) && here().sort() != Token.Sort.END) {
      at++;
      take("another");
      return 1;
    }
    if (MINUS.contains(here().lower())) {
      at++;
      return -1;
    }
    return here().number() || here().sort() == Token.Sort.FRACTION ? 1 : 0;
  }

  /** Another part, or a fraction more of the unit before; null where neither stands here. */
  private @Nullable Part more(Part before) {
    int from = at;
    Range share = fractionMore();
    if (share != null) {
      int behind = at;
      if (unit() == null) {
        at = behind;
        return one(before.unit()).times(share);
      }
      at = from;
    }
    return startsNumber() ? spanned() : null;
  }

  private Part one(KitchenUnit unit) {
    Range size = unit.range(kitchen);
    return new Part(unit.kind(), size, size, unit, "");
  }

  private @Nullable Range fractionMore() {
    int from = at;
    take("a");
    Double share = fraction();
    if (share == null || share >= 1) {
      at = from;
      return null;
    }
    return Range.exactly(share);
  }

  private void same(Part one, Part other) {
    if (one.kind() != other.kind()) {
      throw refuse("“" + text + "” mixes weight and volume. Give one of the two.");
    }
    if (!one.noun().equals(other.noun()) && !other.noun().isEmpty()) {
      throw refuse("“" + text + "” counts two kinds of things. Give one of the two.");
    }
  }

  /** An amount, or one to another. */
  private Part spanned() {
    if (take("between")) {
      return spannedBy(AND, true);
    }
    return take("from") ? spannedBy(TO, true) : spannedBy(TO, false);
  }

  /**
   * An amount, or one to another.
   *
   * @param by what stands between the two
   * @param two whether there have to be two
   */
  private Part spannedBy(Set<String> by, boolean two) {
    Range count = number();
    if (count == null) {
      return countless();
    }
    if (TIMES.contains(here().lower())) {
      at++;
      return spannedBy(TO, false).times(count);
    }
    if (by.contains(here().lower()) && startsNumber(at + 1)) {
      at++;
      return upTo(count, required());
    }
    Part part = counted(count);
    if (by.contains(here().lower()) && startsNumber(at + 1)) {
      at++;
      Part most = counted(required());
      same(part, most);
      if (most.amount().high() < part.amount().low()) {
        throw refuse("“" + text + "” runs from high to low. Write the smaller number first.");
      }
      return part.upTo(most);
    }
    if (two) {
      throw notUnderstood();
    }
    return part;
  }

  private Part upTo(Range low, Range high) {
    if (high.high() < low.low()) {
      throw refuse("“" + text + "” runs from high to low. Write the smaller number first.");
    }
    return counted(new Range(low.low(), high.high()));
  }

  private Range required() {
    Range number = number();
    if (number == null) {
      throw notUnderstood();
    }
    return number;
  }

  /** A vague unit with no figure: one of it. */
  private Part countless() {
    int from = at;
    Hedge[] sizes = sizes();
    UnitHere found = unit();
    boolean bareUnit = from == 0 || !Hedge.at(tokens, 0).isPresent();
    if (found == null || found.unit().exact() && sizes.length == 0 && bareUnit) {
      at = from;
      throw notUnderstood();
    }
    return sized(part(Range.exactly(1), found), sizes);
  }

  private Part counted(Range count) {
    Hedge[] sizes = sizes();
    UnitHere found = unit();
    if (found == null) {
      if (bare == null || sizes.length > 0) {
        throw notUnderstood();
      }
      found = new UnitHere(bare, "", kitchen);
    }
    return sized(part(count, found), sizes);
  }

  private Part part(Range count, UnitHere found) {
    Range size = found.unit().range(found.kitchen());
    Range amount = new Range(count.low() * size.low(), count.high() * size.high());
    String noun = found.unit().kind() == Measure.Kind.COUNT ? singular(found.word()) : "";
    return new Part(found.unit().kind(), amount, amount, found.unit(), noun);
  }

  private static Part sized(Part part, Hedge... sizes) {
    Part sized = part;
    for (Hedge size : sizes) {
      sized = sized.hedged(size);
    }
    return sized;
  }

  /** What is said of a unit: heaped, packed, small. */
  private Hedge[] sizes() {
    List<Hedge> sizes = new java.util.ArrayList<>(2);
    while (true) {
      int from = at;
      Optional<Hedge.Found> found = Hedge.at(tokens, at);
      if (found.isEmpty()) {
        break;
      }
      at += found.get().pieces();
      // “about” belongs to the figure, not to the unit; “2 or so” has a unit to come
      sizes.add(found.get().hedge());
      if (here().sort() == Token.Sort.END) {
        at = from;
        sizes.remove(sizes.size() - 1);
        break;
      }
    }
    return sizes.toArray(Hedge[]::new);
  }

  private boolean startsNumber() {
    return startsNumber(at);
  }

  private boolean startsNumber(int place) {
    int from = at;
    at = place;
    boolean number = number() != null;
    at = from;
    return number;
  }

  /** A figure, a fraction, or words for either; null where none stands here. */
  private @Nullable Range number() {
    int from = at;
    Range some = some();
    if (some != null) {
      return some;
    }
    Double fraction = fraction();
    if (fraction != null) {
      return ofDozen(fraction);
    }
    Double whole = whole();
    if (whole == null) {
      at = from;
      return null;
    }
    return ofDozen(whole + mixed(whole));
  }

  private Range ofDozen(double count) {
    if (!take("dozen")) {
      return Range.exactly(count);
    }
    take("of");
    return Range.exactly(count * NumberWords.DOZEN);
  }

  private @Nullable Range some() {
    int from = at;
    take("a");
    Range some = NumberWords.SOME.get(here().lower());
    if (some == null) {
      at = from;
      return null;
    }
    at++;
    take("of");
    return some;
  }

  private @Nullable Double whole() {
    Token token = here();
    if (token.number()) {
      at++;
      return figures(token);
    }
    if (!token.word()) {
      return null;
    }
    if (ARTICLES.contains(token.lower()) && !token.is("the") && !token.is("one")) {
      at++;
      return hundreds(1);
    }
    Integer tens = NumberWords.TENS.get(token.lower());
    if (tens != null) {
      at++;
      int from = at;
      take("-");
      Integer unit = NumberWords.CARDINALS.get(here().lower());
      if (unit != null && unit < 10) {
        at++;
        return hundreds(tens + unit);
      }
      at = from;
      return hundreds(tens);
    }
    Integer number = NumberWords.CARDINALS.get(token.lower());
    if (number == null) {
      return null;
    }
    at++;
    return hundreds(number);
  }

  private double hundreds(int count) {
    if (!take("hundred")) {
      return count;
    }
    int from = at;
    take("and");
    Integer tens = NumberWords.TENS.get(here().lower());
    Integer unit = NumberWords.CARDINALS.get(here().lower());
    if (tens == null && unit == null) {
      at = from;
      return count * 100.0;
    }
    at++;
    int rest = tens == null ? unit : tens;
    if (tens != null) {
      int behind = at;
      take("-");
      Integer ones = NumberWords.CARDINALS.get(here().lower());
      if (ones != null && ones < 10) {
        at++;
        rest += ones;
      } else {
        at = behind;
      }
    }
    return count * 100.0 + rest;
  }

  private double figures(Token token) {
    String figures = token.text();
    int mark = Math.max(figures.indexOf('.'), figures.indexOf(','));
    if (mark >= 1
        && mark <= 3
        && figures.length() == mark + 4
        && figures.charAt(0) != '0'
        && figures.chars().filter(c -> c < '0').count() == 1) {
      String whole = figures.substring(0, mark) + figures.substring(mark + 1);
      throw refuse(
          "“"
              + text
              + "” can be read as "
              + whole
              + " or as "
              + figures.replace(',', '.')
              + ". Write it without the mark.");
    }
    if (Double.isNaN(token.value())) {
      throw refuse("“" + figures + "” in “" + text + "” is not a number. " + expected());
    }
    if (token.value() > LARGEST) {
      throw refuse("“" + text + "” is more than a tonne. Check the number and the unit.");
    }
    return token.value();
  }

  /**
   * The fraction behind a whole number, 0 for none: {@code 1 1/2}, {@code 1-1/2}, {@code one and a
   * half}.
   */
  private double mixed(double whole) {
    int from = at;
    if (whole != Math.floor(whole)) {
      return 0;
    }
    boolean joined = take("and") || take("&") || take("+");
    if (!joined && here().is("-")) {
      at++;
    }
    int start = at;
    if (joined) {
      take("a");
    }
    Double fraction = fraction();
    boolean named = fraction != null && start < at && tokens.get(at - 1).word();
    if (fraction == null || fraction >= 1 || !joined && named) {
      at = from;
      return 0;
    }
    return fraction;
  }

  /** A fraction by itself; null where none stands here. */
  private @Nullable Double fraction() {
    int from = at;
    Double fraction = bareFraction();
    if (fraction == null) {
      at = from;
      return null;
    }
    if (here().is("of") && ARTICLES.contains(here(1).lower())) {
      at += 2;
      return fraction;
    }
    int behind = at;
    if (take("-")) {
      at = unit() == null ? behind : behind + 1;
      return fraction;
    }
    if (here().is("a") || here().is("an")) {
      at++;
    }
    return fraction;
  }

  private @Nullable Double bareFraction() {
    Token token = here();
    if (token.sort() == Token.Sort.FRACTION) {
      at++;
      return token.value();
    }
    if (token.number() && here(1).is("/")) {
      if (!here(2).number()) {
        return null;
      }
      double above = figures(token);
      double below = figures(here(2));
      if (below == 0) {
        throw refuse("“" + text + "” divides by zero. " + expected());
      }
      at += 3;
      return above / below;
    }
    Integer alone = NumberWords.FRACTIONS.get(token.lower());
    if (alone != null) {
      at++;
      return 1.0 / alone;
    }
    Integer count =
        token.number() && token.value() == Math.floor(token.value()) && token.value() < 16
            ? Integer.valueOf((int) token.value())
            : token.is("a") || token.is("an")
                ? Integer.valueOf(1)
                : NumberWords.CARDINALS.get(token.lower());
    if (count == null) {
      return null;
    }
    int skip = here(1).is("-") ? 2 : 1;
    Integer below = NumberWords.FRACTIONS.get(here(skip).lower());
    if (below == null || count >= 16) {
      return null;
    }
    at += skip + 1;
    return (double) count / below;
  }

  /** A unit with the word for it, in a kitchen. */
  private record UnitHere(KitchenUnit unit, String word, Kitchen kitchen) {}

  /** A unit; null where none stands here. */
  private @Nullable UnitHere unit() {
    int from = at;
    take("-");
    Kitchen whose = Kitchen.named(here().lower()).orElse(null);
    if (whose != null) {
      at++;
    }
    Token token = here();
    if (token.is("\"")) {
      at++;
      return new UnitHere(KitchenUnit.INCH, "in", kitchen);
    }
    if (!token.word()) {
      at = from;
      return null;
    }
    Optional<KitchenUnit> two = KitchenUnit.of(token.lower() + " " + after(1).lower());
    if (two.isPresent()) {
      at += here(1).is("-") ? 3 : 2;
      return new UnitHere(two.get(), token.lower(), whose == null ? kitchen : whose);
    }
    KitchenUnit one = KitchenUnit.written(token.text()).orElse(null);
    if (one == null) {
      at = from;
      return null;
    }
    at++;
    return new UnitHere(one, token.lower(), whose == null ? kitchen : whose);
  }

  /** The word that follows, over a dash. */
  private Token after(int ahead) {
    return here(ahead).is("-") ? here(ahead + 1) : here(ahead);
  }

  /** What follows “of”, and words that say nothing of the amount. */
  private String of() {
    StringBuilder of = new StringBuilder();
    while (LEFT_OUT.contains(here().lower()) || here().is("in") && here(1).is("all")) {
      at += here().is("in") ? 2 : 1;
    }
    if (here().is("of") && here(1).word()) {
      at++;
      for (int i = 0; i < WORDS_OF && (here().word() || here().is("-")); i++) {
        of.append(of.isEmpty() ? "" : " ").append(here().text());
        at++;
      }
    }
    return of.toString();
  }

  /** What is counted, in the singular. */
  private static String singular(String word) {
    if (word.equals("leaves")) {
      return "leaf";
    }
    if (word.endsWith("ies")) {
      return word.equals("chillies") ? "chilli" : word.substring(0, word.length() - 3) + "y";
    }
    return word.endsWith("s") ? word.substring(0, word.length() - 1) : word;
  }

  private Token here() {
    return here(0);
  }

  private Token here(int ahead) {
    return tokens.get(Math.max(0, Math.min(at + ahead, tokens.size() - 1)));
  }

  private boolean take(String word) {
    boolean there = here().is(word);
    at += there ? 1 : 0;
    return there;
  }

  private void expect(String sign) {
    if (!take(sign)) {
      throw notUnderstood();
    }
  }

  /** Says up to where it was understood, and the nearest that can be. */
  private Refused notUnderstood() {
    Token stop = here();
    String before = text.substring(0, stop.from()).strip();
    String rest = text.substring(Math.min(stop.from(), text.length())).strip();
    String understood =
        before.isEmpty()
            ? "“" + text + "” cannot be read as an amount. "
            : rest.isEmpty()
                ? "“" + text + (endsInNumber() ? "” wants a unit. " : "” wants something more. ")
                : "“" + before + "” is understood, “" + rest + "” is not. ";
    String nearest =
        stop.word()
            ? KitchenUnit.nearest(stop.lower())
                .map(
                    word ->
                        "Is “"
                            + (text.substring(0, stop.from())
                                + word
                                + text.substring(stop.from() + stop.text().length()))
                            + "” meant? ")
                .orElse("")
            : "";
    return refuse(understood + nearest + expected());
  }

  private boolean endsInNumber() {
    Token last = here(-1);
    return last.number()
        || last.sort() == Token.Sort.FRACTION
        || NumberWords.CARDINALS.containsKey(last.lower())
        || NumberWords.TENS.containsKey(last.lower());
  }

  private static String expected() {
    return "Write a number and a unit, such as 60 g, 1 1/2 cups or 8 fl oz.";
  }

  private static Refused refuse(String message) {
    return new Refused("text", message);
  }
}
