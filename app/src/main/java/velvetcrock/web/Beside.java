package velvetcrock.web;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What is done at a counter or a stove, one step at a time in large type, for hands that are not
 * free. Each place of the kitchen says its own steps; the page is the same for all.
 *
 * @param title what is done, and to what
 * @param back the page that it belongs to
 * @param backWords what that is called
 * @param cautions what has to be known before the first step, in words, worst first
 * @param steps in the order in which they are done; at least one
 */
public record Beside(
    String title, String back, String backWords, List<String> cautions, List<Step> steps) {
  /**
   * One step.
   *
   * @param what to do, in a few words
   * @param figure how much, how warm, or what to read; empty for none
   * @param detail how, and what to mind
   * @param timers that the step may want
   * @param act what is noted at it; null for nothing
   */
  public record Step(
      String what, String figure, String detail, List<Timer> timers, @Nullable Act act) {
    /** One without timers and notes. */
    public static Step of(String what, String figure, String detail) {
      return new Step(what, figure, detail, List.of(), null);
    }

    /** The same with something to be noted. */
    public Step noting(Act act) {
      return new Step(what, figure, detail, timers, act);
    }

    /** The same with timers. */
    public Step timed(List<Timer> timers) {
      return new Step(what, figure, detail, timers, act);
    }
  }

  /**
   * A timer of a step.
   *
   * @param words what it is called while it runs
   * @param takes how long that is, in words
   */
  public record Timer(String words, String takes, double minutes) {}

  /**
   * What is noted at a step.
   *
   * @param path where it is sent
   * @param sent what is sent besides
   * @param field what is typed; null where one tap says it all
   * @param button what the tap says
   * @param leads whether it leads away from the steps, as the last one does
   */
  public record Act(
      String path,
      Map<String, List<String>> sent,
      @Nullable Field field,
      String button,
      boolean leads) {
    /** One that is noted beside the step, which stays. */
    public static Act noted(
        String path, Map<String, List<String>> sent, @Nullable Field field, String button) {
      return new Act(path, sent, field, button, false);
    }

    /** One that ends the steps. */
    public static Act last(
        String path, Map<String, List<String>> sent, @Nullable Field field, String button) {
      return new Act(path, sent, field, button, true);
    }
  }

  /**
   * A field to type in, or a box to tick.
   *
   * @param tick the value of a box that has to be ticked; empty for a field to type in
   */
  public record Field(String name, String label, String placeholder, String tick) {}
}
