package velvetcrock.core.jar;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetcrock.core.Once;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.InOil;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.heat.Course;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.heat.Series;
import velvetcrock.core.heat.SunnyDay;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.KeepingOrder;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;
import velvetcrock.core.moisture.DryingCurve;
import velvetcrock.core.moisture.Moisture;
import velvetcrock.core.moisture.WeighingDown;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.core.yield.Balance;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;
import velvetcrock.core.yield.Strainer;
import velvetcrock.core.yield.Yield;

/**
 * Reckons from a batch's state what its log does not say outright: levels, yield and keeping. Where
 * the charge is known as a range, so is the answer.
 */
public final class BatchReckoning {
  private static final double SMALLEST_G = 1e-6;
  private static final double MILLIS_PER_HOUR = 3_600_000;

  /** A time on the heat shorter than this says nothing, h. */
  static final double SHORTEST_HOURS = 1 / 3600.0;

  /** How long a pot takes to settle where nobody has learned it, h (typical). */
  private static final double SETTLE_HOURS = 1.5;

  private final Catalogue catalogue;
  private final BatchState state;
  private final List<Retention.Own> experience;

  // Asked for by most of the others.
  private final Once<ChargeOrder> order = new Once<>(() -> asPut(Range::middle));
  private final Once<CarrierBlend> carriers = new Once<>(this::blend);
  private final Once<Charge> charge = new Once<>(this::asItStands);
  private final Once<Optional<Leaving>> leaving = new Once<>(this::whatLeaves);

  /** Reckonings on one batch by typical figures. */
  public BatchReckoning(Catalogue catalogue, BatchState state) {
    this(catalogue, state, List.of());
  }

  /**
   * Reckonings on one batch.
   *
   * @param experience what the household's own strainings taught
   */
  public BatchReckoning(Catalogue catalogue, BatchState state, List<Retention.Own> experience) {
    this.catalogue = catalogue;
    this.state = state;
    this.experience = List.copyOf(experience);
  }

  /** A keeping as a range: the same twice where everything is known. */
  public record KeepingRange(Keeping early, Keeping late) {
    /** The cautious end, which labels and tasks go by. */
    public LocalDate earliest() {
      return early.earliest();
    }

    /** The latest that it may be. */
    public LocalDate latest() {
      return late.latest();
    }

    /** Whether both ends are one. */
    public boolean exact() {
      return earliest().equals(latest());
    }
  }

  /** The herbs with weights in the middle of what they may be. */
  public List<HerbPortion> herbs() {
    return order().herbs();
  }

  /** The herbs as they went in, the heaviest first, as a label has to name them. */
  public List<HerbPortion> portionsByWeight() {
    return herbs().stream()
        .sorted(Comparator.comparingDouble(HerbPortion::massG).reversed())
        .toList();
  }

  /**
   * The herbs, the heaviest first, then those of an earlier infusion; one that went in twice counts
   * once, with all of it.
   */
  public List<Herb> herbsByWeight() {
    Map<Herb, Double> together = new LinkedHashMap<>();
    herbs().forEach(h -> together.merge(h.herb(), h.massG(), Double::sum));
    return Stream.concat(
            together.entrySet().stream()
                .sorted(Map.Entry.<Herb, Double>comparingByValue().reversed())
                .map(Map.Entry::getKey),
            earlierHerbs().stream())
        .distinct()
        .toList();
  }

  /** Their botanical names, the heaviest first. */
  public String botanicalNames() {
    return herbsByWeight().stream().map(Herb::botanical).collect(Collectors.joining(", "));
  }

  /** Their names, the heaviest first. */
  public String herbNames() {
    List<String> names = herbsByWeight().stream().map(Herb::name).toList();
    return names.size() < 3
        ? String.join(" and ", names)
        : String.join(", ", names.subList(0, names.size() - 1))
            + " and "
            + names.get(names.size() - 1);
  }

  private List<HerbPortion> herbs(Function<Range, Double> end) {
    return asPut(end).herbs();
  }

  /** What is in the vessel without a vessel: a slurry as it comes out of the blender. */
  private ChargeOrder asPut(Function<Range, Double> end) {
    Charged charged = state.charge();
    ChargeOrder poured =
        new ChargeOrder(
            charged.herbs().stream().map(h -> portion(h, end.apply(h.massG()))).toList(),
            carriers(),
            new Ratio.Oil(state.oilMl().middle()),
            Optional.empty(),
            charged.coverMm());
    return charged.manner().blended() ? poured.blended() : poured;
  }

  private HerbPortion portion(HerbIn in, double massG) {
    return new HerbPortion(
        catalogue.herb(in.herb()), in.part(), in.cut(), in.state(), massG, in.waterFraction());
  }

  /** The carriers by their shares. */
  public CarrierBlend carriers() {
    return carriers.get();
  }

  private CarrierBlend blend() {
    return new CarrierBlend(
        state.charge().carriers().stream()
            .map(c -> new CarrierBlend.Share(catalogue.carrier(c.carrier()), c.share()))
            .toList());
  }

  /** The charge as it stands in the jar with all top-ups. */
  public Charge charge() {
    return charge.get();
  }

  private Charge asItStands() {
    return new Charger(catalogue).reckon(order().withJar(state.vessel().jar()));
  }

  /** The order behind {@link #charge()}, for choosing cautions. */
  public ChargeOrder order() {
    return order.get();
  }

  /**
   * What has to leave before the oil counts as dry: the free water of fresh herb, spirit and its
   * water.
   *
   * @param mustLeaveG how much, g
   * @param goneG how much has left by the scale, g
   * @param waterPercentOfOil water among it, % of the oil's weight
   * @param signs what shows it dry where no scale does
   * @param now the weighings in the present vessel; empty where there are none yet
   */
  public record Leaving(
      double mustLeaveG,
      double goneG,
      double waterPercentOfOil,
      DrySigns signs,
      Optional<WeighingDown> now) {
    /** Whether all of it has left: by the scale or, for want of one, by the signs. */
    public boolean done() {
      return weighedDry() || signs.dry();
    }

    /** Whether the scale shows that all of it has left. */
    public boolean weighedDry() {
      return goneG >= mustLeaveG - SCALE_G;
    }

    /** How much has still to leave by the scale, g; 0 where it is shown dry. */
    public double leftG() {
      return done() ? 0 : mustLeaveG - goneG;
    }

    /** Whether water is left that the oil cannot hold. */
    public boolean wet() {
      return waterPercentOfOil > Charge.WATER_OIL_CAN_HOLD_PERCENT && !done();
    }

    private static final double SCALE_G = 1e-6;
  }

  /**
   * What has to leave, and how far it has. Of fresh herb for eating nothing has: it stays in the
   * fridge with its water, for its few days.
   *
   * @return empty where next to nothing has to
   * @throws velvetcrock.core.Refused at {@code grossG} if a weighing cannot be
   */
  public Optional<Leaving> leaving() {
    return leaving.get();
  }

  private Optional<Leaving> whatLeaves() {
    if (state.charge().freshForEating()) {
      return Optional.empty();
    }
    SpiritIn spirit = state.charge().manner().spirit();
    if (spirit == null
        && state.charge().herbs().stream().allMatch(h -> h.waterFraction() <= Moisture.BOUND)) {
      return Optional.empty();
    }
    ChargeOrder order = order();
    double waterG = order.herbs().stream().mapToDouble(HerbPortion::freeWaterG).sum();
    double mustLeaveG = waterG;
    double contentsG = order.herbMassG();
    double oilMassG = state.oilMl().middle() * carriers().densityAt(Carrier.ROOM_C);
    if (spirit != null) {
      SpiritStep step = SpiritStep.weighed(spirit.massG(), spirit.abvPercent(), oilMassG);
      double binds = order.herbs().stream().mapToDouble(HerbPortion::canBindG).sum();
      double holds = oilMassG * Charge.WATER_OIL_CAN_HOLD_PERCENT / 100;
      waterG += Math.max(0, step.waterMassG() - binds);
      mustLeaveG += Math.max(step.mustLeaveG(), step.spiritMassG() - binds - holds);
      contentsG += spirit.massG();
    }
    double percent = 100 * waterG / oilMassG;
    if (spirit == null && percent <= Charge.WATER_OIL_CAN_HOLD_PERCENT) {
      return Optional.empty();
    }
    return Optional.of(weighed(mustLeaveG, contentsG, percent));
  }

  private Leaving weighed(double mustLeaveG, double contentsG, double percent) {
    double goneG = 0;
    Optional<WeighingDown> now = Optional.empty();
    List<BatchState.Weighed> all = state.weighings();
    for (int from = 0; from < all.size(); ) {
      int vessel = all.get(from).vessel();
      int to = from;
      while (to < all.size() && all.get(to).vessel() == vessel) {
        to++;
      }
      List<DryingCurve.Weighing> weighings = since(all.get(from), all.subList(from, to));
      double startG = weighings.get(0).massG();
      double restG = Math.max(SMALLEST_G, mustLeaveG - goneG);
      WeighingDown down = down(restG, contentsG, startG, weighings.subList(1, weighings.size()));
      now = to == all.size() && vessel == state.transfers() ? Optional.of(down) : Optional.empty();
      goneG += startG - weighings.get(weighings.size() - 1).massG();
      from = to;
    }
    return new Leaving(
        mustLeaveG, Math.max(0, goneG), percent, DrySigns.of(state, heatGoal(), mustLeaveG), now);
  }

  private static WeighingDown down(
      double restG, double contentsG, double startG, List<DryingCurve.Weighing> weighings) {
    try {
      return WeighingDown.of(restG, contentsG, startG, weighings);
    } catch (Refused refused) {
      throw new Refused("grossG", refused.problems().get(0).message());
    }
  }

  /** Weighings in one vessel as hours since its first, less the oil topped up in between. */
  private List<DryingCurve.Weighing> since(
      BatchState.Weighed first, List<BatchState.Weighed> weighed) {
    double density = carriers().densityAt(Carrier.ROOM_C);
    return weighed.stream()
        .map(
            w ->
                new DryingCurve.Weighing(
                    Duration.between(first.at(), w.at()).toMillis() / MILLIS_PER_HOUR,
                    w.grossG() - (w.toppedUpMl() - first.toppedUpMl()) * density))
        .toList();
  }

  /**
   * What should come out; its range spans every amount that may have gone in.
   *
   * @param expression how the oil is to be driven out
   */
  public Yield yield(Expression expression) {
    Range oil = oilMl();
    Yield middle = Strainer.predict(oil.middle(), herbs(), expression, experience);
    if (state.charge().exact()) {
      return middle;
    }
    Yield least = Strainer.predict(oil.low(), herbs(Range::high), expression, experience);
    Yield most = Strainer.predict(oil.high(), herbs(Range::low), expression, experience);
    return new Yield(
        middle.yieldMl(),
        Range.between(least.rangeMl().low(), most.rangeMl().high()),
        middle.keptByMarcMl(),
        middle.filmMl(),
        middle.reckoning());
  }

  /**
   * What its straining teaches about what a marc keeps.
   *
   * @return nothing before it is strained, where the amounts were only guessed, or where more came
   *     out than went in, which is no oil
   */
  public List<Retention.Own> lesson() {
    Strained strained = state.strained();
    if (strained == null || !state.charge().exact()) {
      return List.of();
    }
    double inMl = oilMl().middle();
    return strained.oilMl() > inMl
        ? List.of()
        : Strainer.learn(inMl, strained.oilMl(), herbs(), strained.expression());
  }

  /**
   * Where every gram went. Oil counts by its density at 20 °C; what the scale saw leave on the heat
   * is driven off; film counts where it was weighed.
   *
   * @return nothing before it is strained
   */
  public Optional<Balance> balance() {
    Strained strained = state.strained();
    if (strained == null) {
      return Optional.empty();
    }
    double density = carriers().densityAt(Carrier.ROOM_C);
    List<Balance.Weighed> in = new ArrayList<>();
    for (HerbIn herb : state.charge().herbs()) {
      String kept = herb.state() == HerbState.DRIED ? "" : ", " + word(herb.state());
      in.add(new Balance.Weighed(catalogue.herb(herb.herb()).name() + kept, herb.massG().middle()));
    }
    in.add(new Balance.Weighed("Oil", state.oilMl().middle() * density));
    SpiritIn spirit = state.charge().manner().spirit();
    if (spirit != null) {
      in.add(new Balance.Weighed("Spirit", spirit.massG()));
    }
    List<Balance.Weighed> out = new ArrayList<>();
    out.add(new Balance.Weighed("Oil that came out", state.clearMl(density) * density));
    BatchState.Remains remains = state.remains();
    if (remains.marcG() != null) {
      out.add(new Balance.Weighed("Marc", remains.marcG()));
    }
    weighed(out, "Sediment", remains.sedimentG());
    weighed(out, "Water layer", remains.waterG());
    weighed(out, "Film", remains.filmG());
    return Optional.of(
        Balance.of(in, out, leaving().map(Leaving::goneG).orElse(0.0), staysBehind(density)));
  }

  /** What marc and film come to where nobody weighed them. */
  private Balance.Expected staysBehind(double density) {
    Yield predicted = this.yield(Objects.requireNonNull(state.strained()).expression());
    double solidsG = herbs().stream().mapToDouble(HerbPortion::dryMatterG).sum();
    return new Balance.Expected(
        solidsG + predicted.keptByMarcMl() * density,
        predicted.filmMl() * density,
        (predicted.rangeMl().high() - predicted.rangeMl().low()) / 2 * density);
  }

  /** What the spent herb weighs with the oil that it keeps, or should weigh, g. */
  public OptionalDouble marcG() {
    if (state.strained() == null) {
      return OptionalDouble.empty();
    }
    Double weighed = state.remains().marcG();
    return OptionalDouble.of(
        weighed == null ? staysBehind(carriers().densityAt(Carrier.ROOM_C)).marcG() : weighed);
  }

  private static void weighed(List<Balance.Weighed> out, String what, double massG) {
    if (massG > 0) {
      out.add(new Balance.Weighed(what, massG));
    }
  }

  private static String word(HerbState herbState) {
    return herbState.name().toLowerCase(Locale.ROOT);
  }

  /**
   * Whether its oil has water in it, as far as is known: what had to leave has not all left by the
   * scale or the signs, water or a haze was seen in it, or a layer of water was poured off it.
   * Bubbles say nothing against the scale; a night that it stood clear takes a layer and a haze
   * back.
   */
  public boolean wet() {
    Optional<Leaving> leaving = leaving();
    boolean shown = leaving.map(Leaving::done).orElse(false);
    InOil seen = state.seen().oil();
    boolean layer = state.remains().waterG() > 0 || Boolean.FALSE.equals(seen.still());
    return leaving.map(Leaving::wet).orElse(false)
        || layer && !shown
        || Boolean.TRUE.equals(seen.waterLayer())
        || Boolean.TRUE.equals(seen.cloudy());
  }

  /** What goes on with its oil, from jar to tin. */
  public Set<Hazard> hazards() {
    Set<Hazard> hazards = Hazards.of(this, state.seen(), state.charge().freshForEating());
    Earlier earlier = state.charge().manner().earlier();
    if (earlier != null) {
      hazards.addAll(earlier.hazards());
    }
    return hazards;
  }

  /** The herbs that its oil was infused with before it was charged again. */
  public List<Herb> earlierHerbs() {
    Earlier earlier = state.charge().manner().earlier();
    return earlier == null
        ? List.of()
        : earlier.herbs().stream().distinct().map(catalogue::herb).toList();
  }

  /** How it is usually expressed: a wet marc is left to drip, because juice comes with the oil. */
  public Expression usualExpression() {
    return Strainer.usually(herbs());
  }

  private Range oilMl() {
    return state.charge().manner().blended()
        ? state.oilMl().times(ChargeOrder.OUT_OF_BLENDER)
        : state.oilMl();
  }

  /** Whether at least one date is known for every carrier that counts. */
  public boolean carrierDatesKnown() {
    return carrierDates().stream()
        .allMatch(c -> c.share() < KeepingOrder.COUNTING_SHARE || c.ownDate().isPresent());
  }

  /** Whether nobody knows any date of a carrier that counts, so that its age is assumed. */
  public boolean carrierDatesAssumed() {
    return state.charge().carriers().stream()
        .anyMatch(
            c ->
                c.share() >= KeepingOrder.COUNTING_SHARE
                    && c.dateUnknown()
                    && c.bestBefore() == null
                    && c.openedOn() == null
                    && c.pressedOn() == null);
  }

  /** Where its oil should be on the heat, by its method and its most delicate herb. */
  public HeatGoal heatGoal() {
    double ceiling =
        herbs().stream()
            .mapToDouble(h -> h.herb().handling().drawing().ceilingC())
            .min()
            .orElseThrow();
    return HeatGoal.of(state.charge().method(), ceiling);
  }

  /**
   * When it may be strained.
   *
   * @param zone the household's, by which days count
   */
  public Window window(ZoneId zone) {
    return Window.of(state, heatGoal(), zone).at(speed());
  }

  /** How fast its heaviest herb gives in its first oil, as far as the household has learned. */
  public Speed speed() {
    return catalogue.speed(speedOf());
  }

  /** Of what its speed is: its heaviest herb in its first oil, drawn its way. */
  public Speed.HerbInOil speedOf() {
    HerbPortion heaviest = portionsByWeight().get(0);
    return heaviest.in(state.charge().carriers().get(0).carrier(), state.charge().method());
  }

  /**
   * How long it has served on the heat: by its log, or else by readings that no log explains; what
   * the scale shows to have lost its water must have been on it.
   *
   * @param readHours from the first of such readings to the last, h; 0 where there are none
   */
  public Window.Served served(double readHours, Instant now) {
    if (!state.heat().stints().isEmpty()) {
      return new Window.Served(true, state.heat().hours(now));
    }
    if (readHours > 0) {
      return new Window.Served(true, readHours);
    }
    boolean dried = leaving().map(l -> l.mustLeaveG() > 0 && l.done()).orElse(false);
    return dried ? new Window.Served(true, heatGoal().earliestHours()) : Window.Served.NOT_YET;
  }

  /**
   * The light that its oil stands in at a place: under the lid of a crock, and in any slow cooker,
   * it is dark.
   */
  public Light light(Stand stand) {
    boolean lidded =
        state.charge().method() == Method.CROCK || state.vessel().shape() == Jar.Shape.CROCK;
    return lidded ? Light.DARK : stand.light();
  }

  /** How its colour went, from the plain oil's: as it was seen, or else as is usual of it. */
  public ColourStory colour() {
    Rgb plain = state.colours().plain();
    return ColourStory.of(
        plain == null
            ? Rgb.of(catalogue.carrier(state.charge().carriers().get(0).carrier()).tint())
            : plain,
        state.colours().seen());
  }

  /** Whether water or spirit has still to leave, so that it must not be strained or hurried. */
  public boolean holdsWater() {
    return leaving().map(l -> !l.done() && l.wet()).orElse(false);
  }

  /** The cut of the herb that weighs most. */
  public Cut heaviestCut() {
    return herbs().stream()
        .max(Comparator.comparingDouble(HerbPortion::massG))
        .map(HerbPortion::cut)
        .orElseThrow();
  }

  /** The part of the herb that weighs most. */
  public Part heaviestPart() {
    return herbs().stream()
        .max(Comparator.comparingDouble(HerbPortion::massG))
        .map(HerbPortion::part)
        .orElseThrow();
  }

  /** The moment from which the hours of its course count: its charging. */
  public Instant zero() {
    return state.stays().get(0).from();
  }

  /**
   * The course of its temperature from readings, knob and hand.
   *
   * @param now until when what is on the heat is assumed to have stayed on it
   * @param zone where the sun rises by the household's clock
   */
  public Course course(Series readings, Instant now, ZoneId zone) {
    List<Assumed.Stint> stints = new ArrayList<>();
    List<BatchState.Stint> all = state.heat().stints();
    for (int i = 0; i < all.size(); i++) {
      Instant next = i + 1 < all.size() ? all.get(i + 1).on() : now;
      stint(all.get(i), next, now).ifPresent(stints::add);
    }
    List<Assumed> sun =
        stints.isEmpty() && readings.size() == 0 ? sun(now, zone) : List.<Assumed>of();
    return new Course(readings, stints, sun, zero().toEpochMilli());
  }

  /** A solar jar that nobody reads goes by the day, as far as it has stood in its window. */
  private List<Assumed> sun(Instant now, ZoneId zone) {
    if (state.charge().method() != Method.SOLAR) {
      return List.of();
    }
    List<Assumed> days = new ArrayList<>();
    List<BatchState.Stay> stays = state.stays();
    for (int i = 0; i < stays.size(); i++) {
      Instant to = i + 1 < stays.size() ? stays.get(i + 1).from() : now;
      double from = hours(stays.get(i).from());
      if (stays.get(i).stand().light() == Light.WINDOW && hours(to) - from > SHORTEST_HOURS) {
        double clock = stays.get(i).from().atZone(zone).toLocalTime().toSecondOfDay() / 3600.0;
        Trace day = SunnyDay.course(hours(to) - from, clock, Carrier.ROOM_C);
        days.add(new Assumed(day.laterBy(from), Assumed.WITHIN_C));
      }
    }
    return days;
  }

  /** A time on the heat as it can be assumed; a moment long at least, so that a hand counts. */
  private Optional<Assumed.Stint> stint(BatchState.Stint stint, Instant next, Instant now) {
    if (stint.on().isAfter(now)) {
      return Optional.empty();
    }
    Instant end = stint.off() == null || stint.off().isAfter(now) ? now : stint.off();
    Instant shortest = stint.on().plusSeconds(1);
    Instant until = end.isBefore(shortest) ? shortest : end;
    Double room = state.stand().celsius();
    List<Assumed.Felt> felt =
        state.heat().felt().stream()
            .filter(f -> f.at().isAfter(stint.on()) && !f.at().isAfter(until))
            .map(f -> new Assumed.Felt(hours(f.at()), f.test()))
            .toList();
    return Optional.of(
        new Assumed.Stint(
            hours(stint.on()),
            room == null ? Carrier.ROOM_C : room,
            stint.turns().stream().map(this::turn).toList(),
            felt,
            hours(until),
            stint.off() != null && !stint.off().isAfter(now),
            hours(next) - SHORTEST_HOURS));
  }

  private Assumed.Turn turn(BatchState.Turn turn) {
    Double settles = turn.knob().settlesC();
    Double hours = turn.knob().settleHours();
    return new Assumed.Turn(
        hours(turn.at()),
        settles == null ? heatGoal().band().middle() : settles,
        hours == null ? SETTLE_HOURS : hours);
  }

  /**
   * Until when oil is good that is in no bottle yet: as in a full dark bottle in a cool cupboard.
   */
  public KeepingRange keepingUnbottled(ZoneId zone, Series readings) {
    BottleIn as =
        new BottleIn(
            "-", 100, 100, Store.Place.COOL, Store.Glass.AMBER, Store.Antioxidant.NONE, true);
    return keeping(
        BottleState.filled(as, Objects.requireNonNull(state.strainedAt())), zone, readings);
  }

  /**
   * Until when a bottle is good.
   *
   * @param readings the temperatures that were read while it infused, in order; may be empty
   * @throws velvetcrock.core.Refused if no date of a carrier is known
   */
  public KeepingRange keeping(BottleState bottle, ZoneId zone, Series readings) {
    int about = state.charge().begun().aboutDays();
    LocalDate charged = state.charge().begun().chargedOn();
    BatchKeeping keeping = new BatchKeeping(state, this, zone, readings);
    Keeping early = keeping.of(bottle, charged.minusDays(about));
    Keeping late = about == 0 ? early : keeping.of(bottle, charged.plusDays(about));
    return early.bestBefore().isAfter(late.bestBefore())
        ? new KeepingRange(late, early)
        : new KeepingRange(early, late);
  }

  /** One reading of the oil's temperature. */
  public record Reading(Instant at, double celsius) {}

  /** The clear oil that came of it, ml; 0 before straining. */
  public double clearMl() {
    return state.clearMl(carriers().densityAt(Carrier.ROOM_C));
  }

  /** Clear oil not yet in a bottle, ml; 0 before straining. */
  public double unbottledMl() {
    return state.unbottledMl(carriers().densityAt(Carrier.ROOM_C));
  }

  /** The dates of its carriers. */
  List<CarrierDates> carrierDates() {
    return state.charge().carriers().stream().map(this::dates).toList();
  }

  private CarrierDates dates(OilIn oil) {
    Carrier carrier = catalogue.carrier(oil.carrier());
    CarrierDates known =
        new CarrierDates(carrier, oil.share(), oil.bestBefore(), oil.openedOn(), oil.pressedOn());
    return oil.dateUnknown() ? known.orUnknown(state.charge().begun().chargedOn()) : known;
  }

  /** Hours from charging to a moment. */
  double hours(Instant at) {
    return (at.toEpochMilli() - zero().toEpochMilli()) / MILLIS_PER_HOUR;
  }
}
