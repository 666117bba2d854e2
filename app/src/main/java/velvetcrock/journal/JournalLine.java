package velvetcrock.journal;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * Something that was written.
 *
 * @param id of the entry that it tells of
 * @param kind names its kind, such as {@code strained}
 * @param subject what it is about
 * @param at when it happened
 * @param by who wrote it
 * @param title what happened, in a few words
 * @param detail the particulars; may be empty
 * @param struck whether something else has taken its place
 */
public record JournalLine(
    UUID id,
    String kind,
    Subject subject,
    Instant at,
    String by,
    String title,
    String detail,
    boolean struck) {

  /**
   * What a line is about.
   *
   * @param name as people call it, such as the code on a lid
   * @param link its page
   * @param about the names of its herbs and oils, to be found by
   * @param herbs keys of its herbs
   * @param oils keys of its oils
   */
  public record Subject(
      String name, String link, String about, List<String> herbs, List<String> oils) {
    /** Copies the lists. */
    public Subject {
      herbs = List.copyOf(herbs);
      oils = List.copyOf(oils);
    }
  }
}
