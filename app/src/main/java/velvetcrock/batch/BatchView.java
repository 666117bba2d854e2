package velvetcrock.batch;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.JarFacts;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;
import velvetcrock.core.yield.Yield;
import velvetcrock.web.CautionsView;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;

/**
 * A batch's page.
 *
 * @param next the next action: what to do, where that is done
 * @param worries what was seen that calls for a caution
 * @param log the log, newest first
 * @param settling whether it stands overnight to be poured off what settles
 * @param rest how the rest in spirit goes; null where there is none
 * @param leaving how far water or spirit has left; null where none has to
 * @param balance where every gram went; null before it is strained
 */
record BatchView(
    JarView jar,
    String lead,
    Next next,
    List<Fact> facts,
    CautionsView worries,
    CautionsView cautions,
    Thread log,
    boolean infusing,
    boolean settling,
    @Nullable RestView rest,
    @Nullable LeavingView leaving,
    @Nullable BalanceView balance) {

  /**
   * The log, newest first.
   *
   * @param thread the log, newest first
   * @param older how many entries the thread leaves out
   */
  record Thread(List<Line> thread, int older) {}

  private static final double PX_PER_MM = 2.4;
  private static final double TALLEST_PX = 380;
  private static final double WIDEST_PX = 320;

  /**
   * What to do next.
   *
   * @param acts what of a visit one tap logs, by comma; empty where it is none
   */
  record Next(String words, String why, @Nullable String link, @Nullable String kind, String acts) {
    Next(String words, String why, @Nullable String link, @Nullable String kind) {
      this(words, why, link, kind, "");
    }
  }

  /**
   * A figure with its name.
   *
   * @param link where more of it is; null for nowhere
   */
  record Fact(String name, String value, @Nullable String link) {
    Fact(String name, String value) {
      this(name, value, null);
    }
  }

  /**
   * A line of the thread.
   *
   * @param swatch the colour that it is about; null where it is about none
   */
  record Line(
      UUID id,
      String when,
      String by,
      String title,
      String detail,
      @Nullable String swatch,
      List<Caution> worries,
      boolean replaced,
      boolean canUndo) {}

  static BatchView of(
      BatchRecord batch,
      List<LoggedEntry> log,
      int most,
      Catalogue catalogue,
      Cautions cautions,
      Formats fmt,
      Next next,
      Instant now,
      List<Fact> lots,
      List<Retention.Own> experience) {
    BatchState state = batch.state();
    BatchReckoning reckoning = new BatchReckoning(catalogue, state, experience);
    Jar vessel = state.vessel().jar();
    double scale =
        Math.min(
            PX_PER_MM,
            Math.min(
                TALLEST_PX / (vessel.brimMm() + 20), WIDEST_PX / (vessel.innerDiameterMm() + 40)));
    JarView jar = JarView.of(batch, catalogue, fmt, scale);
    return new BatchView(
        jar,
        jar.day() + ", " + jar.standing(),
        next,
        facts(batch, reckoning, fmt, lots),
        CautionsView.of(
            cautions.of(JarFacts.standing(state, reckoning)),
            stages(state),
            state.charge().manner().read()),
        CautionsView.of(
            cautions.of(JarFacts.label(state, reckoning)),
            stages(state),
            state.charge().manner().read()),
        new BatchView.Thread(
            thread(log, most, catalogue, cautions, fmt), Math.max(0, log.size() - most)),
        state.status() == Status.INFUSING,
        state.strained() != null
            && state.strained().how().settles()
            && !Boolean.TRUE.equals(state.remains().settled()),
        RestView.of(state, fmt, now),
        leaving(state, reckoning, fmt),
        BalanceView.of(state, reckoning, fmt));
  }

  /** How far it is driven dry: in its jar, and after the cloth while signs can still show it. */
  private static @Nullable LeavingView leaving(
      BatchState state, BatchReckoning reckoning, Formats fmt) {
    return switch (state.status()) {
      case RESTING, INFUSING -> LeavingView.of(state, reckoning, fmt);
      case STRAINED -> reckoning.wet() ? LeavingView.of(state, reckoning, fmt) : null;
      case BOTTLED, FINISHED, THROWN_OUT -> null;
    };
  }

  /** What can be done about a batch as it stands. */
  private static Set<Caution.Stage> stages(BatchState state) {
    return switch (state.status()) {
      case RESTING, INFUSING -> EnumSet.of(Caution.Stage.CHARGING, Caution.Stage.TENDING);
      case STRAINED -> EnumSet.of(Caution.Stage.STRAINING, Caution.Stage.BOTTLING);
      case BOTTLED, FINISHED, THROWN_OUT -> EnumSet.of(Caution.Stage.MAKING, Caution.Stage.GIVING);
    };
  }

  private static List<Fact> facts(
      BatchRecord batch, BatchReckoning reckoning, Formats fmt, List<Fact> lots) {
    BatchState state = batch.state();
    Charged charge = state.charge();
    Charge standing = reckoning.charge();
    List<Fact> facts = new ArrayList<>();
    String about =
        charge.begun().aboutDays() > 0
            ? ", give or take " + fmt.days(charge.begun().aboutDays())
            : "";
    facts.add(new Fact("Charged", fmt.fullDate(charge.begun().chargedOn()) + about));
    facts.add(new Fact("Herb", fmt.g(charge.herbMassG())));
    facts.add(
        new Fact(
            "Oil",
            fmt.ml(state.oilMl().plus(Range.exactly(-state.toppedUpMl())))
                + (state.status() == Status.RESTING ? " to follow" : "")
                + (state.toppedUpMl() > 0
                    ? " and " + fmt.ml(state.toppedUpMl()) + " topped up"
                    : "")));
    if (reckoning.carrierDatesAssumed()) {
      facts.add(new Fact("Oil’s age", "assumed: say it", "/batches/" + batch.code() + "/oil-age"));
    }
    facts.add(new Fact("Ratio", fmt.ratio(standing.oilPerHerb()) + " by weight to volume"));
    facts.add(new Fact("Vessel", state.vessel().name()));
    facts.add(new Fact("For", EnumWords.of(charge.purpose())));
    facts.addAll(lots);
    if (state.strained() == null) {
      Expression expression = reckoning.usualExpression();
      Yield yield = reckoning.yield(expression);
      facts.add(
          new Fact(
              "Should come out",
              fmt.ml(yield.rangeMl())
                  + (expression == Expression.SQUEEZE ? ", squeezed" : ", left to drip")));
      facts.add(new Fact("Strain", new WindowWords(reckoning.window(fmt.zone()), fmt).fact()));
    } else {
      facts.add(new Fact("Came out", fmt.ml(state.strained().oilMl())));
    }
    return facts;
  }

  private static List<Line> thread(
      List<LoggedEntry> log, int most, Catalogue catalogue, Cautions cautions, Formats fmt) {
    EntryWords words = new EntryWords(catalogue, fmt);
    List<Line> lines = new ArrayList<>();
    int first = Math.max(0, log.size() - most);
    for (int i = log.size() - 1; i >= first; i--) {
      LoggedEntry logged = log.get(i);
      BatchEvent event = logged.entry().event();
      boolean struck = event.strikes();
      lines.add(
          new Line(
              logged.entry().id(),
              when(logged, fmt),
              logged.by(),
              words.of(event).title(),
              struck ? takenBack(logged, log, words) : words.of(event).detail(),
              event instanceof Coloured seen ? seen.colour().hex() : null,
              logged.replaced() ? List.of() : cautions.of(JarFacts.of(event)),
              logged.replaced(),
              !logged.replaced() && event.staysBecause().isEmpty()));
    }
    return lines;
  }

  private static String takenBack(LoggedEntry logged, List<LoggedEntry> log, EntryWords words) {
    return log.stream()
        .filter(l -> l.entry().id().equals(logged.entry().replaces()))
        .map(l -> words.of(l.entry().event()).title())
        .findFirst()
        .orElse("");
  }

  private static String when(LoggedEntry logged, Formats fmt) {
    return fmt.moment(logged.entry().at());
  }
}
