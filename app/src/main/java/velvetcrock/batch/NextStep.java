package velvetcrock.batch;

import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import velvetcrock.batch.BatchView.Next;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Visited;
import velvetcrock.core.care.Task;
import velvetcrock.core.jar.Window;
import velvetcrock.core.materia.Method;
import velvetcrock.web.Formats;

/** Words the next action of a batch from its most pressing task. */
final class NextStep {
  private NextStep() {}

  static Next of(
      BatchRecord batch, List<Task> tasks, Window window, double unbottledMl, Formats fmt) {
    String page = "/batches/" + batch.code();
    BatchState state = batch.state();
    if (tasks.isEmpty()) {
      return idle(state, page, window, unbottledMl, fmt);
    }
    Task task = tasks.get(0);
    return switch (task.kind()) {
      case THROW_OUT ->
          new Next(
              "Throw it out",
              "What you saw or smelled means that it is lost.",
              page + "#throw-out",
              null);
      case COVER ->
          new Next(
              "Top up with about " + fmt.ml(task.amountMl()),
              "The herb stands out of the oil.",
              page + "#top-up",
              null);
      case TURN -> new Next("Turn it upside down", "It floats.", page + "#turn", null);
      case TURN_BACK ->
          new Next("Turned back", "It has stood on its lid as long as you said.", null, "turned");
      case CAP -> new Next("Capped when cold", "Warm oil under a cap draws water.", null, "capped");
      case DECANT ->
          new Next(
              "Pour it off what has settled", "It has stood overnight.", page + "#balance", null);
      case BOTTLE ->
          new Next(
              "Bottle it",
              fmt.ml(task.amountMl()) + " waits for a bottle.",
              page + "/bottle",
              null);
      case PUT_ON_HEAT ->
          new Next(
              "Put it on the heat",
              "The stove watches its oil for you.",
              "/stove/" + batch.code() + "#put-on",
              null);
      case FILL_BATH ->
          new Next(
              "Top up the bath", "Hot water, and wipe the jar.", "/stove/" + batch.code(), null);
      case OFF_HEAT ->
          new Next(
              "Take it off the heat",
              "It has had its usual time there.",
              "/stove/" + batch.code(),
              null);
      case POUR ->
          new Next(
              "Pour the oil",
              "It has rested long enough and may rest until "
                  + fmt.date(Objects.requireNonNull(task.until()))
                  + ".",
              page + "#pour",
              null);
      case DAMP ->
          new Next(
              "Evenly damp",
              "Stir it: no dry and no dripping patches, or mix again.",
              null,
              "damp-even");
      case WEIGH ->
          new Next(
              state.weighings().isEmpty() ? "Weigh it for a start" : "Weigh it",
              "Vessel and all: what it loses is water or spirit.",
              page + "#weigh",
              null);
      case FINISH_PRODUCT, CHARGE, SNAP, PUT_AWAY, MORE_LOADS, PAST_DATE, SMELL ->
          throw new IllegalArgumentException("Not a jar's task: " + task.kind());
      case STRAIN ->
          new Next("Strain", new WindowWords(window, fmt).sentence(), page + "/strain", null);
      case SETTLE, TOP_UP, SHAKE, LOOK -> {
        Set<Visited.Act> acts = VisitWords.acts(tasks.stream().filter(Task::tending).toList());
        yield new Next(
            VisitWords.done(acts),
            state.charge().method() == Method.SPIRIT
                ? "Close it, shake it, loosen it again. One tap logs just that."
                : "One tap logs just that; anything else you saw has its place below.",
            null,
            "visited",
            acts.stream().map(Enum::name).collect(Collectors.joining(",")));
      }
    };
  }

  private static Next idle(
      BatchState state, String page, Window window, double unbottledMl, Formats fmt) {
    return switch (state.status()) {
      case RESTING ->
          new Next(
              "Let it rest",
              "Covered. The oil follows 12 to 24 hours after dampening.",
              null,
              null);
      case INFUSING ->
          new Next("Nothing to do today", new WindowWords(window, fmt).sentence(), null, null);
      case STRAINED ->
          new Next("Let it settle", "Covered, until tomorrow. Then pour it off.", null, null);
      case BOTTLED ->
          unbottledMl >= 5
              ? new Next(
                  "Bottle the rest",
                  fmt.ml(unbottledMl) + " is in no bottle yet.",
                  page + "/bottle",
                  null)
              : new Next("See its bottles", "", "/cellar", null);
      case FINISHED -> new Next("All used", "", "/cellar", null);
      case THROWN_OUT -> new Next("Thrown out", "", null, null);
    };
  }
}
