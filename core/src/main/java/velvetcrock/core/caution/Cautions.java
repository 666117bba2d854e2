package velvetcrock.core.caution;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.CatalogueFile;

/** The cautions that ship with the application and the rules that choose among them. */
public final class Cautions {
  private final Map<String, Caution> byCode;
  private final List<Rule> rules;

  /** When a caution is due; the words are those of {@code rules.csv}. */
  private record Rule(About about, String purpose, String fact, String and, String code) {
    boolean holds(Facts of) {
      return about == of.about()
          && (purpose.equals("any")
              || purpose.equals("outside") && of.purpose() != Purpose.KITCHEN
              || purpose.equalsIgnoreCase(of.purpose().name()))
          && of.holds(fact)
          && (and.isEmpty() || of.holds(and));
    }
  }

  private Cautions(Map<String, Caution> byCode, List<Rule> rules) {
    this.byCode = byCode;
    this.rules = rules;
  }

  /**
   * Reads the shipped cautions and rules.
   *
   * @throws IllegalStateException naming every line that cannot be true
   */
  public static Cautions shipped() {
    Problems problems = new Problems();
    Map<String, Caution> byCode =
        CatalogueFile.read(
            Cautions.class,
            "cautions.csv",
            problems,
            row ->
                new Caution(
                    row.get("code"),
                    Caution.Level.valueOf(row.get("level").toUpperCase(Locale.ROOT)),
                    passing(row.get("level"), row.get("passing")),
                    Caution.Stage.valueOf(row.get("stage").toUpperCase(Locale.ROOT)),
                    row.get("text"),
                    row.get("turnTo")),
            Caution::code);
    Collection<Rule> rules =
        CatalogueFile.read(
                Cautions.class,
                "rules.csv",
                problems,
                row ->
                    rule(
                        row.get("about"),
                        row.get("purpose"),
                        row.get("fact"),
                        row.get("and"),
                        row.get("code"),
                        byCode),
                Rule::toString)
            .values();
    if (!problems.none()) {
      throw new IllegalStateException(problems.found().toString());
    }
    return new Cautions(byCode, List.copyOf(rules));
  }

  private static Caution.Passing passing(String level, String passing) {
    return switch (passing) {
      case "" -> level.equals("stop") ? Caution.Passing.NEVER : Caution.Passing.FREELY;
      case "read" -> Caution.Passing.HAVING_READ;
      case "freely" -> Caution.Passing.FREELY;
      default -> throw new Refused("passing", "Empty, read or freely; not “" + passing + "”.");
    };
  }

  private static Rule rule(
      String about,
      String purpose,
      String fact,
      String and,
      String code,
      Map<String, Caution> byCode) {
    if (!byCode.containsKey(code)) {
      throw new Refused("code", "No caution has the code “" + code + "”.");
    }
    if (!purpose.equals("any") && !purpose.equals("outside")) {
      Purpose.valueOf(purpose.toUpperCase(Locale.ROOT));
    }
    return new Rule(About.valueOf(about.toUpperCase(Locale.ROOT)), purpose, fact, and, code);
  }

  /**
   * The caution of a code.
   *
   * @throws IllegalArgumentException if there is none, which is a slip in the data or the program
   */
  public Caution of(String code) {
    Caution caution = byCode.get(code);
    if (caution == null) {
      throw new IllegalArgumentException("No caution has the code " + code);
    }
    return caution;
  }

  /** The cautions of several codes, each once, worst first. */
  public List<Caution> of(Collection<String> codes) {
    return codes.stream()
        .distinct()
        .map(this::of)
        .sorted(Comparator.comparing(Caution::level))
        .toList();
  }

  /** What is due of a thing by its facts, worst first. */
  public List<Caution> of(Facts facts) {
    List<String> codes = new ArrayList<>();
    rules.stream().filter(r -> r.holds(facts)).map(Rule::code).forEach(codes::add);
    codes.addAll(facts.codes());
    return of(codes);
  }

  /** Cautions of several things told in one place: each once, worst first. */
  public List<Caution> together(List<Caution> some, List<Caution> more) {
    return of(Stream.concat(some.stream(), more.stream()).map(Caution::code).toList());
  }

  /** What to say while something is planned, worst first. */
  public List<Caution> forPlan(Situation situation) {
    return of(Facts.of(situation));
  }

  /**
   * What to say while a charge is planned.
   *
   * @param light the light that it will stand in
   * @param infusesAtC temperature at which it infuses, °C
   */
  public List<Caution> forCharge(
      ChargeOrder order, Charge charge, Use use, Light light, double infusesAtC) {
    return forPlan(new Situation(order, charge, Purpose.of(use), light, infusesAtC, Set.of()));
  }

  /** What a best-before has to be told with. */
  public List<Caution> forKeeping(Keeping keeping, Use use) {
    return of(Facts.of(keeping, use));
  }

  /** What to say of a pot on the heat, worst first. */
  public List<Caution> forPot(PotOnHeat pot) {
    return of(Facts.of(pot));
  }
}
