package velvetcrock.batch;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.MarcWeighed;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.OilLooked;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.Straining;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.yield.Expression;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Dates;
import velvetcrock.web.Happened;
import velvetcrock.web.Typed;

/** Straining and bottling: from what was typed to entries in the log. */
@Service
class StrainService {
  private final BatchActs acts;
  private final Households households;
  private final Catalogues catalogues;
  private final Experience experience;

  StrainService(
      BatchActs acts, Households households, Catalogues catalogues, Experience experience) {
    this.acts = acts;
    this.households = households;
    this.catalogues = catalogues;
    this.experience = experience;
  }

  /**
   * Strains a batch.
   *
   * @throws Refused at every field that cannot be read
   */
  @Transactional
  public Written strain(BatchRecord batch, StrainForm form, Happened when) {
    Household house = households.current();
    BatchReckoning reckoning =
        new BatchReckoning(catalogues.current(), batch.state(), experience.own());
    Problems problems = new Problems();
    Expression expression =
        problems.attempt(
            "expression", () -> Typed.named(Expression.class, form.expression(), "expression"));
    Double oilMl =
        problems.attempt(
            "amount",
            () ->
                Amounts.oilMl(Typed.text(form.amount()), house.kitchen(), reckoning.carriers())
                    .middle());
    Instant at = problems.attempt(when::at);
    Double marcG =
        Typed.blank(form.marc())
            ? null
            : problems.attempt("marc", () -> grams(Typed.text(form.marc()), house));
    Optional<OilLooked> saw = problems.attempt("nothing", () -> form.saw().looked());
    Dated dated = dated(form.bestBefore(), form.openedOn(), problems);
    problems.refuseIfAny();

    Strained event =
        new Strained(
            oilMl,
            Typed.text(form.amount()),
            expression,
            reckoning.yield(expression).rangeMl(),
            new Straining(
                form.second() != null,
                form.fine() != null,
                form.settles() != null,
                form.sure() != null));
    String key = Optional.ofNullable(form.key()).orElse("");
    Written written = acts.append(batch.code(), event, at, null, key);
    saw.ifPresent(look -> acts.append(batch.code(), look, at, null, key + ":saw"));
    if (marcG != null) {
      BatchEvent marc = new MarcWeighed(marcG, Typed.text(form.marc()));
      acts.append(batch.code(), marc, at, null, key + ":marc");
    }
    if (!reckoning.carrierDatesKnown() || (reckoning.carrierDatesAssumed() && dated.known())) {
      acts.supplyOilDates(batch.code(), withDates(batch, dated));
    }
    return written;
  }

  /** What was said of an oil's own age; with neither, nobody knows. */
  private record Dated(@Nullable LocalDate bestBefore, @Nullable LocalDate opened) {
    boolean known() {
      return bestBefore != null || opened != null;
    }
  }

  private static Dated dated(
      @Nullable String bestBefore, @Nullable String opened, Problems problems) {
    return new Dated(
        problems.attempt("bestBefore", () -> Dates.read(bestBefore)),
        problems.attempt("openedOn", () -> Dates.read(opened)));
  }

  /**
   * Notes how old the oil of a batch was, where that was assumed.
   *
   * @throws Refused at {@code bestBefore} or {@code openedOn}
   */
  @Transactional
  public void dateOil(BatchRecord batch, @Nullable String bestBefore, @Nullable String opened) {
    Problems problems = new Problems();
    Dated dated = dated(bestBefore, opened, problems);
    problems.refuseIfAny();
    problems.require(
        dated.known(), "bestBefore", "Give one of the two, or leave it as it is: assumed.");
    problems.refuseIfAny();
    acts.supplyOilDates(batch.code(), withDates(batch, dated));
  }

  /**
   * Bottles what was strained.
   *
   * @throws Refused at every field that cannot be read
   */
  @Transactional
  public Written bottle(BatchRecord batch, BottlingForm form) {
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), batch.state());
    List<BottleIn> bottles =
        new BottlingReader(households.current().kitchen(), reckoning)
            .read(form, batch.state().bottles().size());
    return acts.append(
        batch.code(), new Bottled(bottles), null, null, Optional.ofNullable(form.key()).orElse(""));
  }

  private static double grams(String typed, Household house) {
    Measure measure = new MeasureReader(house.kitchen()).read(typed);
    if (!measure.isWeight()) {
      throw new Refused("marc", "Give a weight, such as 92 g.");
    }
    return measure.amount().middle();
  }

  private static List<OilIn> withDates(BatchRecord batch, Dated dated) {
    return batch.state().charge().carriers().stream()
        .map(
            c ->
                new OilIn(
                    c.carrier(),
                    c.share(),
                    c.bestBefore() == null ? dated.bestBefore() : c.bestBefore(),
                    c.openedOn() == null ? dated.opened() : c.openedOn(),
                    c.pressedOn(),
                    c.lot(),
                    !dated.known()))
        .toList();
  }
}
