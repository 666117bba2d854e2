package velvetcrock.kitchen;

import velvetcrock.core.materia.Jar;

/**
 * Who knows what stands in which vessel or is promised one; the kitchen asks them all, and knows
 * neither batches nor plans.
 */
public interface VesselsInUse {
  /** How many of a vessel are taken; asked once for all vessels of a page. */
  interface Count {
    /** How many of it are taken. */
    int of(Jar jar);
  }

  /** What stands now. */
  Count now();
}
