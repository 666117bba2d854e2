package velvetcrock.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.bench.SplitForm.Variant;
import velvetcrock.bench.WishReader.Bench;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.InTrial;
import velvetcrock.core.caution.Caution;
import velvetcrock.trial.Differs;
import velvetcrock.trial.Trials;

/**
 * Splits a charge into jars that differ in one thing. All get the same herb and the same oil: as
 * much as covers the one that needs most, unless a ratio is typed.
 */
@Service
class Splitting {
  private static final int STEPS = 100;

  private final Planner planner;
  private final Charging charging;
  private final Trials trials;

  Splitting(Planner planner, Charging charging, Trials trials) {
    this.planner = planner;
    this.charging = charging;
    this.trials = trials;
  }

  /**
   * Charges a trial's jars and begins it.
   *
   * @param form the bench's sentence, completed
   * @param bench what is at hand, asked anew for every jar
   * @return the trial's id
   * @throws Refused at the field that cannot be; nothing is charged then
   */
  @Transactional
  UUID split(
      BenchForm form, ChargeForm said, SplitForm split, Supplier<Bench> bench, LocalDate today) {
    List<Variant> variants = split.variants();
    double share = 1.0 / variants.size();
    String ratio = ratio(form, variants, bench.get(), today, share);
    String key = Optional.ofNullable(said.key()).orElse("");
    UUID id = UUID.randomUUID();
    List<Trials.Charged> charged = new ArrayList<>();
    Reckoned first = null;
    for (int i = 0; i < variants.size(); i++) {
      Variant variant = variants.get(i);
      Reckoned plan =
          planner.plan(with(form, variant, "ratio=" + ratio), bench.get(), today, share);
      check(plan, split.what());
      first = first == null ? plan : first;
      charged.add(
          new Trials.Charged(
              charging
                  .charge(
                      plan,
                      said.under(key + "/trial/" + i),
                      today,
                      new InTrial(id, variant.words(), variant.aimDays()))
                  .get(0)
                  .code(),
              variant.words()));
    }
    trials.begin(id, begun(first, split), charged);
    return id;
  }

  /** What has to be read before the jars of a trial are charged. */
  List<Caution> toBeRead(BenchForm form, SplitForm split, Bench bench, LocalDate today) {
    Map<String, Caution> due = new LinkedHashMap<>();
    List<Variant> variants = split.variants();
    for (Variant variant : variants) {
      planner
          .plan(with(form, variant, ""), bench, today, 1.0 / variants.size())
          .toBeRead()
          .forEach(caution -> due.put(caution.code(), caution));
    }
    return List.copyOf(due.values());
  }

  /** The ratio that is typed, or the smallest that covers every jar. */
  private String ratio(
      BenchForm form, List<Variant> variants, Bench bench, LocalDate today, double share) {
    if (!Optional.ofNullable(form.per().ratio()).orElse("").isBlank()) {
      return form.per().ratio();
    }
    if (!"weight".equals(form.per().ratioKind())) {
      throw new Refused("ratioKind", "Weigh the herb: the jars of a trial are to hold the same.");
    }
    double most =
        variants.stream()
            .mapToDouble(
                variant ->
                    planner
                        .plan(with(form, variant, ""), bench, today, share)
                        .charge()
                        .oilPerHerb())
            .max()
            .orElseThrow();
    return String.valueOf(Math.ceil(most * STEPS) / STEPS);
  }

  private static BenchForm with(BenchForm form, Variant variant, String also) {
    String place = Optional.ofNullable(form.stand().place()).orElse("");
    return form.asked(variant.changes() + ";" + also).completed("", place, "");
  }

  private static void check(Reckoned plan, Differs differs) {
    if (plan.filled().size() > 1) {
      throw new Refused(
          "amount", "A jar’s share is to fit into one vessel: take less, or larger jars.");
    }
    if (differs == Differs.WEEKS && plan.wish().method().heated()) {
      throw new Refused("differs", "Weeks are for jars that stand; leave the heat out.");
    }
  }

  private static Trials.Begun begun(Reckoned plan, SplitForm split) {
    String herb = plan.wish().herbs().get(0).portion().herb().name();
    return new Trials.Begun(
        herb + " by " + split.what().words(),
        plan.wish().herbs().get(0).portion().herb().key(),
        plan.wish().oils().get(0).carrier().key(),
        split.what(),
        split.blind() != null);
  }
}
