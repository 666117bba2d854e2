package velvetcrock.web;

import java.util.List;

/** A place of the kitchen where something may want somebody, also one whose phone is closed. */
public interface WorthCalling {
  /**
   * Something that wants somebody now.
   *
   * @param key names it for as long as it does, so that it calls once
   * @param words what it is
   * @param page where it is seen to
   * @param wakes whether it calls while everybody sleeps
   */
  record Call(String key, String words, String page, boolean wakes) {}

  /** What wants somebody in the household at hand. */
  List<Call> calls();
}
