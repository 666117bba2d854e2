package velvetcrock.kitchen;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import velvetcrock.core.Range;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.EssentialOil;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Powder;
import velvetcrock.core.materia.Reference;
import velvetcrock.core.materia.References;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.outlook.Sensitivity;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;
import velvetcrock.web.SpeedWords;

/**
 * Where a thing's figures come from, and how much they move a result.
 *
 * @param name the thing
 * @param source what its row says, or who weighed it
 * @param worth what that is worth, in words
 * @param works the works that its row cites
 * @param moves how much a result moves with each figure, in sentences
 */
record SureView(String name, String source, String worth, List<String> works, List<String> moves) {
  /**
   * Looks one up.
   *
   * @param own whether the household has put in figures of its own
   * @return empty where there is no such thing
   */
  static Optional<SureView> of(
      References.Table table, String key, Catalogue catalogue, boolean own, Formats fmt) {
    LocalDate today = fmt.today();
    return switch (table) {
      case HERBS ->
          find(catalogue.herbs(), Herb::key, key)
              .map(
                  h ->
                      of(table, key, h.name(), h.source(), own, Sensitivity.of(h, catalogue), fmt)
                          .and(speeds(key, catalogue, fmt)));
      case CARRIERS ->
          find(catalogue.carriers(), Carrier::key, key)
              .map(c -> of(table, key, c.name(), c.source(), own, Sensitivity.of(c, today), fmt));
      case WAXES ->
          find(catalogue.waxes(), Wax::key, key)
              .map(w -> of(table, key, w.name(), w.source(), own, Sensitivity.of(w), fmt));
      case POWDERS ->
          find(catalogue.powders(), Powder::key, key)
              .map(p -> of(table, key, p.name(), p.source(), own, Sensitivity.of(p), fmt));
      case ESSENTIAL_OILS ->
          find(catalogue.essentialOils(), EssentialOil::key, key)
              .map(e -> of(table, key, e.name(), e.source(), own, List.of(), fmt));
      case BEDS -> Optional.empty();
    };
  }

  private SureView and(List<String> learned) {
    return new SureView(
        name, source, worth, works, Stream.concat(moves.stream(), learned.stream()).toList());
  }

  /** How fast it gives here, oil by oil, as far as that was learned. */
  private static List<String> speeds(String herb, Catalogue catalogue, Formats fmt) {
    return catalogue.speeds().entrySet().stream()
        .filter(e -> e.getKey().herb().equals(herb))
        .map(
            e ->
                EnumWords.capital(EnumWords.plain(e.getKey().cut()))
                    + " "
                    + EnumWords.plain(e.getKey().part())
                    + " in "
                    + catalogue.carrier(e.getKey().carrier()).name().toLowerCase(Locale.ROOT)
                    + (e.getKey().way() == null ? "" : ", " + EnumWords.plain(e.getKey().way()))
                    + ": "
                    + (e.getValue().moves()
                        ? SpeedWords.moves(e.getValue(), fmt)
                        : SpeedWords.seen(e.getValue()))
                    + ".")
        .toList();
  }

  private static <T> Optional<T> find(
      java.util.Collection<T> things, java.util.function.Function<T, String> name, String key) {
    return things.stream().filter(t -> name.apply(t).equals(key)).findFirst();
  }

  private static SureView of(
      References.Table table,
      String key,
      String name,
      String source,
      boolean own,
      List<Sensitivity> moves,
      Formats fmt) {
    List<Reference> cited = References.shipped().of(table, key);
    return new SureView(
        name,
        source,
        own
            ? "measured by this household"
            : cited.isEmpty() ? "your own word" : String.join(" and ", worth(cited)),
        cited.stream()
            .filter(r -> r.worth() == Reference.Worth.REFERENCE)
            .map(Reference::text)
            .toList(),
        table == References.Table.ESSENTIAL_OILS
            ? List.of("A ceiling is a limit and not an estimate: it is kept as it stands.")
            : moves.stream().map(m -> sentence(m, fmt)).toList());
  }

  private static List<String> worth(List<Reference> cited) {
    return cited.stream().map(r -> r.worth().words()).distinct().toList();
  }

  private static String sentence(Sensitivity m, Formats fmt) {
    return figure(m, fmt) + ": " + effect(m, fmt) + ".";
  }

  private static String figure(Sensitivity m, Formats fmt) {
    return switch (m.figure()) {
      case WATER_FRESH ->
          "Fresh water " + fmt.percent(m.value()) + ", may be " + percents(m.may(), fmt);
      case BED ->
          "Bed "
              + fmt.number(m.value(), 2)
              + " g/ml dried and cut, may be "
              + numbers(m.may(), 2, fmt);
      case DENSITY ->
          "Density " + fmt.number(m.value(), 3) + " g/ml, may be " + numbers(m.may(), 3, fmt);
      case VISCOSITY ->
          "Viscosity " + fmt.number(m.value(), 0) + " mPa·s, may be " + numbers(m.may(), 0, fmt);
      case KEEPS ->
          "Keeps " + fmt.number(m.value(), 0) + " months, may be " + numbers(m.may(), 0, fmt);
      case HARDNESS ->
          "Hardness " + fmt.number(m.value(), 0) + ", may be " + numbers(m.may(), 0, fmt);
      case BULK ->
          fmt.number(m.value(), 2) + " g/ml by the spoon, may be " + numbers(m.may(), 2, fmt);
    };
  }

  private static String effect(Sensitivity m, Formats fmt) {
    return switch (m.effect()) {
      case WATER_OF_100_G ->
          "100 g fresh bring " + fmt.g(m.at()) + " of water into the oil, " + fmt.g(m.moves());
      case OIL_TO_COVER ->
          "a gram takes "
              + fmt.number(m.at(), 1)
              + " ml to fill its gaps, "
              + numbers(m.moves(), 1, fmt);
      case WEIGHT_OF_100_ML ->
          "100 ml weigh " + fmt.number(m.at(), 1) + " g, " + numbers(m.moves(), 1, fmt);
      case PULL ->
          "three weeks in the dark extract "
              + fmt.percent(m.at())
              + ", "
              + percents(m.moves(), fmt);
      case DAYS_IT_KEEPS ->
          "a cold infusion of a new bottle keeps " + fmt.days(Math.round(m.at())) + ends(m, fmt);
      case WAX_FOR_100_G ->
          "a salve of 100 g of oil takes "
              + fmt.number(m.at(), 1)
              + " g, "
              + numbers(m.moves(), 1, fmt);
      case WEIGHT_OF_A_SPOON ->
          "a tablespoon weighs " + fmt.number(m.at(), 1) + " g, " + numbers(m.moves(), 1, fmt);
    };
  }

  private static String ends(Sensitivity m, Formats fmt) {
    String low = fmt.days(Math.round(m.moves().low()));
    String high = fmt.days(Math.round(m.moves().high()));
    return low.equals(high) ? " either way" : ", " + low + " to " + high;
  }

  private static String percents(Range range, Formats fmt) {
    return fmt.number(100 * range.low(), 0) + "–" + fmt.percent(range.high());
  }

  private static String numbers(Range range, int decimals, Formats fmt) {
    return fmt.number(range.low(), decimals) + "–" + fmt.number(range.high(), decimals);
  }
}
