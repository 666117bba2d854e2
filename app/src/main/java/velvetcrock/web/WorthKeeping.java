package velvetcrock.web;

import java.util.List;

/** A place of the kitchen that has pages which a phone is to keep for when the house is away. */
public interface WorthKeeping {
  /**
   * A page to keep.
   *
   * @param path of the page
   * @param stamp another one where the page has become another; empty where that is not known, so
   *     that it is asked for each time
   */
  record Page(String path, String stamp) {}

  /** The pages of the household at hand. */
  List<Page> pages();
}
