package velvetcrock.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.caution.Caution;

/** What the reckonings answer. */
final class Answers {
  private Answers() {}

  /** One line of a reckoning. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Line(
      String name,
      String how,
      double value,
      @Nullable Double low,
      @Nullable Double high,
      String unit,
      String standing) {
    static List<Line> of(velvetcrock.core.Reckoning reckoning) {
      return reckoning.lines().stream()
          .map(
              l ->
                  new Line(
                      l.name(),
                      l.how(),
                      l.value().middle(),
                      l.value().exact() ? null : l.value().low(),
                      l.value().exact() ? null : l.value().high(),
                      l.unit(),
                      l.standing().name().toLowerCase(Locale.ROOT)))
          .toList();
    }
  }

  /** A caution. */
  record CautionOut(String code, String level, String text, String turnTo) {
    static List<CautionOut> of(List<Caution> cautions) {
      return cautions.stream()
          .map(c -> new CautionOut(c.code(), Reader.word(c.level()), c.text(), c.turnTo()))
          .toList();
    }
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Measure(
      @Nullable Double massG,
      @Nullable Double massLowG,
      @Nullable Double massHighG,
      @Nullable Double volumeMl,
      @Nullable Double volumeLowMl,
      @Nullable Double volumeHighMl,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record Levels(double bedMm, double oilMm, double brimMm) {}

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record WayOut(
      String kind,
      String text,
      @Nullable Double oilPerHerb,
      @Nullable String cut,
      @Nullable Double innerDiameterMm,
      @Nullable Double herbMassG) {}

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Charge(
      @JsonUnwrapped PouredOil oil,
      @JsonUnwrapped Room room,
      double coveringOilPerHerb,
      boolean covers,
      double topUpMl,
      @JsonUnwrapped Water water,
      @Nullable Levels levels,
      @Nullable Boolean fits,
      List<WayOut> waysOut,
      List<Line> reckoning,
      List<CautionOut> cautions) {

    /**
     * What herb and oil take up.
     *
     * @param setsAtC where the oils as given begin to cloud, °C; absent where that is below 5 °C
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Room(double bedMl, double voidMl, double coverMl, @Nullable Double setsAtC) {}

    /**
     * The oil.
     *
     * @param oilPerHerb ml to a g of herb, given or as it follows from amounts
     */
    record PouredOil(double oilMl, double oilMassG, double oilPerHerb) {}

    /** The water that the herb brings. */
    record Water(double waterMl, double waterPercentOfOil) {}
  }

  record Yield(
      double yieldMl,
      double lowMl,
      double highMl,
      double keptByMarcMl,
      double filmMl,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record Leg(String name, double days, double rate, double spentDays) {}

  record Gain(String change, int days) {}

  /** Between which days it lies. */
  record Span(LocalDate earliest, LocalDate latest) {}

  record Keeping(
      LocalDate bestBefore,
      @JsonUnwrapped Span span,
      int daysFromStraining,
      String decidedBy,
      double startDays,
      double spentDays,
      List<Leg> legs,
      List<Gain> lengthen,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record Explanation(String code, String text) {}

  record CrossCheck(
      boolean agrees,
      double statedMassG,
      double impliedMassLowG,
      double impliedMassHighG,
      List<Explanation> explanations,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record Moisture(
      double dryMatterG,
      double waterG,
      double targetMassG,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record Drying(
      List<Double> fractions,
      double k,
      double n,
      double hoursLeft,
      double hoursLeftLow,
      double hoursLeftHigh,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record Rest(double earliest, double usual, double latest) {}

  record Spirit(
      double spiritMassG,
      double spiritMl,
      double ethanolMassG,
      double waterMassG,
      double waterPercentOfOil,
      double mustLeaveG,
      Rest restHours,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  /** The ageing, with the least and the most that it may be. */
  record Ageing(double ageingHours, double ageingLowHours, double ageingHighHours) {}

  record Excursion(Instant from, Instant to, double peakC) {}

  record Heat(
      @JsonUnwrapped Ageing ageing,
      double hours,
      double inBandFraction,
      double underHours,
      double overHours,
      double aboveCeilingMinutes,
      double peakC,
      double meanKineticC,
      double gapMinutes,
      List<Excursion> excursions,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record Extraction(
      double pull,
      double low,
      double high,
      String words,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record Balance(
      double inG,
      double outG,
      double unaccountedG,
      boolean closes,
      List<String> causes,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record PartOut(String key, double massG, double percent) {}

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Formula(
      double massG,
      double hardness,
      double targetHardness,
      double addG,
      @Nullable String addWhat,
      @JsonUnwrapped Amount amount,
      List<String> meltOrder,
      @Nullable Double waxToOil,
      @Nullable Double asHardAsOilTo,
      List<PartOut> parts,
      List<Line> reckoning,
      List<CautionOut> cautions) {

    /**
     * How heavy and how much it is.
     *
     * @param setsAtC where its oils and butters as given begin to cloud, waxes ignored, °C; absent
     *     where that is below 5 °C
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Amount(double densityGPerMl, double volumeMl, @Nullable Double setsAtC) {}
  }

  record EachOil(String oil, double percent, double ceilingPercent, boolean ok) {}

  record Drops(
      double percent,
      double ceilingPercent,
      boolean ok,
      List<EachOil> each,
      int mostDrops,
      List<Line> reckoning,
      List<CautionOut> cautions) {}

  record WayTo(
      String method,
      double herbMassG,
      double oilMl,
      LocalDate startOn,
      LocalDate readyOn,
      boolean inTime,
      @JsonUnwrapped PulledOut pulled,
      double keepingSpentDays,
      @JsonUnwrapped PromisedOut promised,
      int handsOnMinutes,
      int checks,
      List<CautionOut> cautions) {}

  /** How much is drawn, with its width and in words. */
  record PulledOut(double pull, double pullLow, double pullHigh, String pullWords) {}

  /** Until when it is good for sure, and until when once it is shown dry. */
  record PromisedOut(LocalDate bestBefore, LocalDate bestBeforeOnceDry) {}

  record Plan(
      double needOilMl, List<WayTo> ways, List<Line> reckoning, List<CautionOut> cautions) {}
}
