package velvetcrock.core.caution;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import velvetcrock.core.Problems;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.CatalogueFile;
import velvetcrock.core.materia.HerbState;

/** The cautions that ship with the application and the rules that choose among them. */
public final class Cautions {
  private final Map<String, Caution> byCode;

  private Cautions(Map<String, Caution> byCode) {
    this.byCode = byCode;
  }

  /**
   * Reads the shipped cautions.
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
                    row.get("text"),
                    row.get("turnTo")),
            Caution::code);
    if (!problems.none()) {
      throw new IllegalStateException(problems.found().toString());
    }
    return new Cautions(byCode);
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

  /**
   * What to say while a charge is planned.
   *
   * @param light the light that it will stand in
   * @param infusesAtC temperature at which it infuses, °C
   */
  public List<Caution> forCharge(
      ChargeOrder order, Charge charge, Use use, Light light, double infusesAtC) {
    List<String> codes = new ArrayList<>();
    if (order.carriers().shares().stream().anyMatch(s -> s.carrier().solidAt(infusesAtC))) {
      codes.add("solid-carrier");
    }
    if (!charge.covers()) {
      codes.add("not-covered");
    }
    charge
        .levels()
        .ifPresent(
            levels -> {
              if (!levels.fits()) {
                codes.add("too-full");
              }
              if (charge.covers() && levels.coverMm() < ChargeOrder.THIN_COVER_MM) {
                codes.add("thin-cover");
              }
            });
    if (charge.waterPercentOfOil() > Charge.WATER_OIL_CAN_HOLD_PERCENT) {
      codes.add("free-water");
    }
    if (light == Light.WINDOW) {
      codes.add("window-light");
    }
    codes.addAll(forUse(order, use));
    codes.addAll(forContents(order));
    return of(codes);
  }

  /** What a finished oil's label has to say. */
  public List<Caution> forBottle(ChargeOrder order, Use use) {
    List<String> codes = new ArrayList<>(forContents(order));
    if (use == Use.KITCHEN) {
      codes.addAll(forUse(order, use));
    }
    return of(codes);
  }

  /** What a best-before has to be told with. */
  public List<Caution> forKeeping(Keeping keeping, Use use) {
    List<String> codes = new ArrayList<>();
    switch (keeping.decidedBy()) {
      case FREE_WATER -> codes.add("free-water");
      case KITCHEN_FRESH, STOOD_WARM -> codes.add("botulism");
      case KITCHEN_DRIED, KITCHEN_NOT_IN_FRIDGE -> codes.add("kitchen-dried");
      case CARRIER_DATE, AGEING, TWELVE_MONTHS, TWENTY_FOUR_MONTHS_FRIDGE -> {
        if (keeping.startDays() <= 0) {
          codes.add("old-carrier");
        }
      }
    }
    codes.add(use == Use.SKIN ? "patch-test" : "home-preparation");
    return of(codes);
  }

  private static List<String> forUse(ChargeOrder order, Use use) {
    if (use == Use.SKIN) {
      return List.of("patch-test", "latex", "home-preparation");
    }
    List<String> codes = new ArrayList<>();
    boolean wet = order.herbs().stream().anyMatch(h -> h.state() != HerbState.DRIED);
    codes.add(wet ? "botulism" : "kitchen-dried");
    if (order.herbs().stream().anyMatch(h -> !h.herb().edible())) {
      codes.add("not-edible-herb");
    }
    if (order.carriers().shares().stream().anyMatch(s -> !s.carrier().edible())) {
      codes.add("not-edible-carrier");
    }
    codes.add("home-preparation");
    return codes;
  }

  private static List<String> forContents(ChargeOrder order) {
    List<String> codes = new ArrayList<>();
    order.herbs().forEach(h -> codes.addAll(h.herb().cautions()));
    order.carriers().shares().stream()
        .map(s -> s.carrier())
        .map(Carrier::allergen)
        .filter(allergen -> !allergen.isEmpty())
        .forEach(allergen -> codes.add(allergen.replace(' ', '-')));
    return codes;
  }
}
