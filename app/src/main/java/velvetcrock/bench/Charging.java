package velvetcrock.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.Written;
import velvetcrock.bench.Wish.InOil;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.InTrial;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.drawer.LotRecord;
import velvetcrock.plans.Planned;
import velvetcrock.plans.Plans;
import velvetcrock.web.Dates;

/** Turns a plan into charged jars, all of them or none. */
@Service
class Charging {
  private final BatchActs acts;
  private final Plans plans;

  Charging(BatchActs acts, Plans plans) {
    this.acts = acts;
    this.plans = plans;
  }

  /** What is known of oil that comes from no lot, and what was said of the whole. */
  private record Answered(
      LocalDate on,
      @Nullable LocalDate bestBefore,
      @Nullable LocalDate opened,
      boolean dateUnknown,
      List<String> read) {}

  /**
   * Charges every vessel of a plan.
   *
   * @return what was written, vessel by vessel
   * @throws Refused at the field that cannot be; at {@code stop} where a caution ends it, at {@code
   *     read} where one has not been read
   */
  @Transactional
  public List<Written> charge(Reckoned plan, ChargeForm form, LocalDate today) {
    return charge(plan, form, today, null);
  }

  /**
   * The same for a jar of a trial.
   *
   * @param trial what it is in the trial; null where it is in none
   */
  @Transactional
  public List<Written> charge(
      Reckoned plan, ChargeForm form, LocalDate today, @Nullable InTrial trial) {
    Answered said = said(plan, form, today);
    String key = Optional.ofNullable(form.key()).orElse("");
    Optional<Planned> planned = Optional.ofNullable(form.plan()).flatMap(plans::openOne);
    List<Written> written = new ArrayList<>();
    for (int i = 0; i < plan.filled().size(); i++) {
      Charged event = event(plan, plan.filled().get(i), said, trial);
      String code = i == 0 ? planned.map(Planned::code).orElse(null) : null;
      written.add(acts.charge(event, i == 0 ? key : key + "/" + i, code));
    }
    planned.ifPresent(p -> plans.charged(p.code()));
    return List.copyOf(written);
  }

  private static Answered said(Reckoned plan, ChargeForm form, LocalDate today) {
    Problems problems = new Problems();
    LocalDate on =
        Optional.ofNullable(problems.attempt("chargedOn", () -> orToday(form.chargedOn(), today)))
            .orElse(today);
    problems.require(!on.isAfter(today), "chargedOn", "A jar is charged today or earlier.");
    LocalDate bestBefore = problems.attempt("bestBefore", () -> Dates.read(form.bestBefore()));
    LocalDate opened = problems.attempt("openedOn", () -> Dates.read(form.openedOn()));
    problems.require(
        opened == null || !opened.isAfter(today),
        "openedOn",
        "The oil was opened today or earlier.");
    problems.require(
        form.clean() != null,
        "clean",
        "Tick this once jar and herb are clean and dry: what is damp spoils the oil.");
    plan.cautions().stream()
        .filter(c -> c.passing() == Caution.Passing.NEVER)
        .findFirst()
        .ifPresent(c -> problems.add("stop", c.text() + " " + c.turnTo()));
    List<String> read = plan.toBeRead().stream().map(Caution::code).toList();
    problems.require(
        read.stream().allMatch(form::hasRead),
        "read",
        "Read what is said to stop, and tick it if you go on all the same.");
    problems.refuseIfAny();
    return new Answered(on, bestBefore, opened, form.dateUnknown() != null, read);
  }

  private static Charged event(
      Reckoned plan, Reckoned.Filled fill, Answered said, @Nullable InTrial trial) {
    Wish wish = plan.wish();
    return new Charged(
        wish.method(),
        wish.herbs().stream().map(h -> herb(h, fill.share())).toList(),
        wish.oils().stream().map(o -> oil(o, said)).toList(),
        new Charged.Oil(fill.pouredMl(), ""),
        JarIn.of(fill.jar()),
        wish.coverMm(),
        wish.use(),
        wish.place().stand(),
        new Charged.Begun(said.on(), 0, false),
        true,
        new Manner(
            wish.blended(),
            spirit(plan, fill.share()),
            wish.again().isEmpty() ? null : wish.again(),
            said.read(),
            trial,
            wish.purpose() == Purpose.of(wish.use()) ? null : wish.purpose(),
            wish.earlier().orElse(null)));
  }

  private static HerbIn herb(Wish.InHerb herb, double share) {
    return new HerbIn(
        herb.portion().herb().key(),
        herb.portion().part(),
        herb.portion().cut(),
        herb.portion().state(),
        herb.massG().times(share),
        herb.portion().waterFraction(),
        herb.text(),
        herb.lotId());
  }

  /** An oil with its lot's dates; a lot that was closed is opened now. */
  private static OilIn oil(InOil oil, Answered said) {
    Optional<LotRecord> lot = oil.lot();
    if (lot.isEmpty()) {
      return new OilIn(
          oil.carrier().key(),
          oil.share(),
          said.bestBefore(),
          said.opened(),
          null,
          null,
          said.dateUnknown());
    }
    LotDetails details = lot.get().lot().details();
    return new OilIn(
        oil.carrier().key(),
        oil.share(),
        details.dates().bestBefore(),
        details.dates().openedOn() == null ? said.on() : details.dates().openedOn(),
        details.dates().boughtOn(),
        lot.get().id());
  }

  private static @Nullable SpiritIn spirit(Reckoned plan, double share) {
    Wish.InSpirit spirit = plan.wish().spirit().orElse(null);
    if (spirit == null) {
      return null;
    }
    double massG = plan.spirit().orElseThrow().spiritMassG() * share / plan.share();
    return new SpiritIn(
        spirit.abvPercent(), massG, "", spirit.lot().map(LotRecord::id).orElse(null));
  }

  private static LocalDate orToday(@Nullable String typed, LocalDate today) {
    return Optional.ofNullable(Dates.read(typed)).orElse(today);
  }
}
