package velvetcrock.core.batch;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Checks;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.spirit.EthanolWater;

/**
 * The jar was charged, or taken on when it had been charged before.
 *
 * @param oil the oil that was poured
 * @param coverMm cover aimed at, mm
 * @param begun when it was charged, and how well that is known
 * @param cleanAndDry whether jar and herb were said to be clean and bone-dry
 * @param manner how it was charged, where it was not simply poured
 */
public record Charged(
    Method method,
    List<HerbIn> herbs,
    List<OilIn> carriers,
    Oil oil,
    JarIn jar,
    double coverMm,
    Use use,
    Stand stand,
    Begun begun,
    boolean cleanAndDry,
    Manner manner)
    implements JarEvent {

  /**
   * The oil that was poured.
   *
   * @param oilMl oil, ml; a range where it is not known exactly
   * @param oilText what was typed for it
   */
  public record Oil(Range oilMl, String oilText) {}

  /**
   * When it was charged, and how well that is known.
   *
   * @param chargedOn the day, in the household's time zone
   * @param aboutDays by how many days either way the day may be wrong; 0 when it is known
   * @param takenOn whether it was begun before the log was
   */
  public record Begun(LocalDate chargedOn, int aboutDays, boolean takenOn) {}

  /** Checks what has to be there and copies the lists. */
  public Charged {
    Checks.present("method", method);
    herbs = Checks.some("herbs", herbs);
    carriers = Checks.some("carriers", carriers);
    Checks.present("oilMl", oil.oilMl());
    Checks.within("oilMl", oil.oilMl().low(), 0, 100_000);
    Checks.within("oilMl", oil.oilMl().high(), 0.001, 100_000);
    Checks.text("oilText", oil.oilText());
    Checks.present("jar", jar);
    Checks.within("coverMm", coverMm, 0, 200);
    Checks.present("use", use);
    Checks.present("stand", stand);
    Checks.present("chargedOn", begun.chargedOn());
    Checks.within("chargedOn", begun.chargedOn().getYear(), 1900, 2200);
    Checks.within("aboutDays", begun.aboutDays(), 0, 3660);
    manner = manner == null ? Manner.PLAIN : manner;
    Purpose forWhom = manner.forWhom();
    BatchLog.require(
        forWhom == null || forWhom.use() == use,
        "use",
        "What is eaten is for the kitchen, and nothing else is.");
  }

  /** The same, standing elsewhere. */
  public Charged standing(Stand elsewhere) {
    return new Charged(
        method,
        herbs,
        carriers,
        new Charged.Oil(oil.oilMl(), oil.oilText()),
        jar,
        coverMm,
        use,
        elsewhere,
        new Charged.Begun(begun.chargedOn(), begun.aboutDays(), begun.takenOn()),
        cleanAndDry,
        manner);
  }

  /** The same with what the household knows of the oil that is charged again. */
  private Charged again(Surroundings.Recharged known) {
    return new Charged(
        method,
        herbs,
        known.carriers(),
        oil,
        jar,
        coverMm,
        use,
        stand,
        begun,
        cleanAndDry,
        manner.with(known.earlier()));
  }

  /** The same with other dates of its carriers. */
  public Charged with(List<OilIn> dated) {
    return new Charged(
        method,
        herbs,
        dated,
        new Charged.Oil(oil.oilMl(), oil.oilText()),
        jar,
        coverMm,
        use,
        stand,
        new Charged.Begun(begun.chargedOn(), begun.aboutDays(), begun.takenOn()),
        cleanAndDry,
        manner);
  }

  /** Weight of all herbs, g. */
  public Range herbMassG() {
    return herbs.stream().map(HerbIn::massG).reduce(Range.exactly(0), Range::plus);
  }

  /** The day after charging on which a trial has it strained; empty where none does. */
  public Optional<Integer> aimDays() {
    return Optional.ofNullable(manner.trial()).map(InTrial::aimDays);
  }

  /** What or whom it is for. */
  public Purpose purpose() {
    Purpose forWhom = manner.forWhom();
    return forWhom == null ? Purpose.of(use) : forWhom;
  }

  /** Whether it is fresh or wilted herb in oil that is to be eaten. */
  public boolean freshForEating() {
    return use == Use.KITCHEN && herbs.stream().anyMatch(h -> h.state() != HerbState.DRIED);
  }

  /** Whether day and amounts are all known exactly. */
  public boolean exact() {
    return begun.aboutDays() == 0 && oil.oilMl().exact() && herbMassG().exact();
  }

  @Override
  public String kind() {
    return "charged";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.charged(this, at);
  }

  @Override
  public boolean begins() {
    return true;
  }

  @Override
  public String beginning() {
    return "the jar was charged";
  }

  /** The day may be wrong by some days, and its hour is not known. */
  @Override
  public Instant earliest(Instant at, ZoneId zone) {
    return begun.chargedOn().minusDays(begun.aboutDays()).atStartOfDay(zone).toInstant();
  }

  @Override
  public Optional<String> staysBecause() {
    return Optional.of("The charging itself stays in the log. Throw the batch out instead.");
  }

  @Override
  public BatchEvent in(Surroundings household) {
    Problems problems = new Problems();
    for (int i = 0; i < herbs.size(); i++) {
      household.herb(herbs.get(i).herb(), "herbs[" + i + "].herb", problems);
    }
    for (int i = 0; i < carriers.size(); i++) {
      household.carrier(carriers.get(i).carrier(), "carriers[" + i + "].carrier", problems);
    }
    household.lots(this, problems);
    household.own(Surroundings.Belonging.BATCH, manner.again(), "manner.again", problems);
    Stand known = problems.attempt("stand.place", () -> household.place(stand));
    Earlier earlier = manner.earlier();
    Surroundings.Recharged recharged =
        earlier == null
            ? null
            : problems.attempt(
                "earlier",
                () -> household.earlier(earlier, begun.chargedOn(), oil.oilMl().middle()));
    problems.refuseIfAny();
    Charged there = standing(Objects.requireNonNull(known));
    return recharged == null ? there : there.again(recharged);
  }

  /** Herbs, and with them the oil, or the spirit that the oil is to follow. */
  @Override
  public List<FromLot> takes(BatchState state) {
    List<FromLot> taken = new ArrayList<>();
    herbs.stream()
        .filter(h -> h.lot() != null)
        .forEach(h -> taken.add(new FromLot(h.lot(), h.massG().middle())));
    SpiritIn spirit = manner.spirit();
    if (spirit == null) {
      taken.addAll(oil(oil.oilMl().middle()));
    } else if (spirit.lot() != null) {
      double ml = spirit.massG() / EthanolWater.density(spirit.abvPercent());
      taken.add(new FromLot(spirit.lot(), ml));
    }
    return taken;
  }

  /** So much of its oils, from their lots. */
  List<FromLot> oil(double ml) {
    double shares = carriers.stream().mapToDouble(OilIn::share).sum();
    return carriers.stream()
        .filter(c -> c.lot() != null)
        .map(c -> new FromLot(c.lot(), ml * c.share() / shares))
        .toList();
  }

  /** Every lot that it names. */
  public Set<UUID> lots() {
    Set<UUID> lots = new LinkedHashSet<>();
    herbs.stream().map(HerbIn::lot).filter(Objects::nonNull).forEach(lots::add);
    carriers.stream().map(OilIn::lot).filter(Objects::nonNull).forEach(lots::add);
    if (manner.spirit() != null && manner.spirit().lot() != null) {
      lots.add(manner.spirit().lot());
    }
    return lots;
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.charged(this);
  }
}
