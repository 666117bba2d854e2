package velvetcrock.kitchen;

import velvetcrock.core.materia.Jar;

/** Who knows what stands in which vessel; the kitchen asks, and does not know batches. */
public interface VesselsInUse {
  /** How many of a vessel hold something; asked once for all vessels of a page. */
  interface Count {
    /** How many of it hold something. */
    int of(Jar jar);
  }

  /** What stands now. */
  Count now();
}
