package velvetcrock.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.UUID;
import java.util.function.ToIntFunction;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.ColourView;
import velvetcrock.batch.JarView;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Scent;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.trial.BlindTrial;
import velvetcrock.web.Formats;

/**
 * A trial side by side.
 *
 * @param jars its jars by letter
 * @param glasses in what order and under what name they are judged
 * @param hidden whether nobody is to know yet which glass is which jar
 * @param conclusion what it showed; empty while it is open
 */
record TrialView(
    UUID id,
    String name,
    String herb,
    String herbLink,
    String differs,
    String charged,
    List<Jar> jars,
    List<Glass> glasses,
    boolean hidden,
    boolean judged,
    String conclusion,
    String concluded) {
  private static final double SCALE = 1.1;
  private static final double WHOLE = 100;

  /** The jars that one stands beside, and what it shows that they were judged blind. */
  private record Beside(List<TrialJars.Standing> others, BlindTrial judged) {}

  /**
   * A jar.
   *
   * @param words what sets it apart
   * @param pull how far it has drawn, as a bar
   * @param cameOut what came out of what went in, as a bar
   * @param strength as judged; null while that is hidden or nobody judged
   */
  record Jar(
      String letter,
      String words,
      JarView jar,
      ColourView colour,
      String smells,
      @Nullable Bar pull,
      @Nullable Bar cameOut,
      @Nullable Marks strength,
      @Nullable Marks smell,
      List<String> notes) {}

  /**
   * A bar.
   *
   * @param low where its range begins, in hundredths
   * @param wide how wide that is
   */
  record Bar(String words, String at, String low, String wide) {}

  /**
   * What judges gave.
   *
   * @param at the mean, in hundredths of the scale
   * @param dots each, likewise
   */
  record Marks(String words, String at, List<String> dots) {}

  /**
   * A glass to be judged.
   *
   * @param name its number while it is hidden, else its letter
   */
  record Glass(
      int number, String name, String words, @Nullable Marks strength, @Nullable Marks smell) {}

  /** A glass with what is to be poured into it. */
  record Poured(int glass, String code, String words) {}

  static List<Poured> glasses(Trials.Whole whole) {
    return whole.jars().stream()
        .sorted(Comparator.comparingInt(TrialJar::glass))
        .map(jar -> new Poured(jar.glass(), jar.code(), jar.words()))
        .toList();
  }

  static TrialView of(
      Trials.Whole whole,
      List<TrialJars.Standing> standing,
      BlindTrial judged,
      Catalogue catalogue,
      Formats fmt) {
    Trial trial = whole.trial();
    boolean hidden = trial.hidden();
    Beside beside = new Beside(standing, judged);
    List<Jar> jars = new ArrayList<>();
    for (int i = 0; i < whole.jars().size(); i++) {
      jars.add(jar(whole, whole.jars().get(i), standing.get(i), beside, catalogue, fmt));
    }
    return new TrialView(
        trial.id(),
        trial.name(),
        catalogue.herb(trial.herbKey()).name(),
        "/herbs/" + trial.herbKey(),
        trial.differs().words(),
        fmt.date(standing.get(0).batch().state().charge().begun().chargedOn()),
        jars,
        whole.jars().stream()
            .sorted(
                hidden
                    ? Comparator.comparingInt(TrialJar::glass)
                    : Comparator.comparing(TrialJar::letter))
            .map(jar -> glass(whole, jar, fmt))
            .toList(),
        hidden,
        !whole.judgings().isEmpty(),
        Objects.requireNonNullElse(trial.conclusion(), ""),
        trial.concludedAt() == null
            ? ""
            : trial.concludedBy() + ", " + fmt.date(fmt.date(trial.concludedAt())));
  }

  private static Glass glass(Trials.Whole whole, TrialJar jar, Formats fmt) {
    boolean hidden = whole.trial().hidden();
    return new Glass(
        jar.glass(),
        hidden ? "Glass " + jar.glass() : jar.letter(),
        hidden ? "" : jar.words(),
        marks(whole, jar, TrialJudging::strength, fmt),
        marks(whole, jar, TrialJudging::smell, fmt));
  }

  private static Jar jar(
      Trials.Whole whole,
      TrialJar jar,
      TrialJars.Standing standing,
      Beside beside,
      Catalogue catalogue,
      Formats fmt) {
    BatchState state = standing.batch().state();
    boolean hidden = whole.trial().hidden();
    return new Jar(
        jar.letter(),
        jar.words(),
        JarView.of(standing.batch(), catalogue, fmt, SCALE),
        ColourView.of(new BatchReckoning(catalogue, state).colour(), fmt),
        smells(state.seen().scent()),
        pull(whole, jar, standing.pull(), beside, fmt),
        cameOut(state, new BatchReckoning(catalogue, state), fmt),
        hidden ? null : marks(whole, jar, TrialJudging::strength, fmt),
        hidden ? null : marks(whole, jar, TrialJudging::smell, fmt),
        hidden
            ? List.of()
            : whole.judgings().stream()
                .filter(j -> j.letter().equals(jar.letter()) && !j.note().isEmpty())
                .map(j -> "“" + j.note() + "” " + j.judgedBy())
                .toList());
  }

  private static String smells(@Nullable Scent scent) {
    return scent == null
        ? "nobody has smelled it yet"
        : scent.name().toLowerCase(Locale.ROOT) + " scent of the herb";
  }

  private static @Nullable Bar pull(
      Trials.Whole whole, TrialJar jar, @Nullable Pull pull, Beside beside, Formats fmt) {
    if (pull == null) {
      return null;
    }
    List<String> alike = new ArrayList<>();
    for (int i = 0; i < beside.others().size(); i++) {
      TrialJar other = whole.jars().get(i);
      Pull its = beside.others().get(i).pull();
      if (other != jar && its != null && !pull.toldApartFrom(its)) {
        alike.add(other.letter());
      }
    }
    String against = whole.trial().hidden() ? "" : against(beside.judged(), jar.letter());
    String told =
        (alike.isEmpty() ? "" : "; cannot be told apart from " + String.join(", ", alike))
            + (against.isEmpty() ? "" : "; " + against);
    double low = pull.range().low() * WHOLE;
    return new Bar(
        fmt.pull(pull) + told,
        hundredths(pull.pull() * WHOLE),
        hundredths(low),
        hundredths(pull.range().high() * WHOLE - low));
  }

  /** Against which other jars one was judged otherwise than the pull has it; else empty. */
  static String against(BlindTrial judged, String letter) {
    List<String> against = judged.against(letter).stream().map(BlindTrial.Jar::letter).toList();
    return against.isEmpty()
        ? ""
        : "judged blind, " + String.join(", ", against) + " came out the other way round";
  }

  private static @Nullable Bar cameOut(BatchState state, BatchReckoning reckoning, Formats fmt) {
    Strained strained = state.strained();
    if (strained == null) {
      return null;
    }
    double in = state.oilMl().middle();
    double low = Math.min(WHOLE, WHOLE * strained.predictedMl().low() / in);
    double high = Math.min(WHOLE, WHOLE * strained.predictedMl().high() / in);
    return new Bar(
        fmt.ml(reckoning.clearMl())
            + " of "
            + fmt.ml(in)
            + ", "
            + fmt.ml(strained.predictedMl())
            + " was expected",
        hundredths(Math.min(WHOLE, WHOLE * reckoning.clearMl() / in)),
        hundredths(low),
        hundredths(Math.max(0, high - low)));
  }

  private static @Nullable Marks marks(
      Trials.Whole whole, TrialJar jar, ToIntFunction<TrialJudging> which, Formats fmt) {
    List<TrialJudging> given =
        whole.judgings().stream().filter(j -> j.letter().equals(jar.letter())).toList();
    if (given.isEmpty()) {
      return null;
    }
    double mean = given.stream().mapToInt(which).average().orElseThrow();
    long blind = given.stream().filter(TrialJudging::blind).count();
    return new Marks(
        fmt.number(mean, 1)
            + " of "
            + Trials.SCALE
            + ", "
            + (given.size() == 1 ? "judged once" : "judged " + given.size() + " times")
            + (blind == given.size() ? ", blind" : blind > 0 ? ", " + blind + " blind" : ""),
        place(mean),
        given.stream().map(j -> place(which.applyAsInt(j))).toList());
  }

  /** A mark on the scale, in hundredths. */
  private static String place(double mark) {
    return hundredths((mark - 1) / (Trials.SCALE - 1) * (WHOLE - 10) + 5);
  }

  private static String hundredths(double value) {
    return String.format(Locale.ROOT, "%.1f", value);
  }
}
