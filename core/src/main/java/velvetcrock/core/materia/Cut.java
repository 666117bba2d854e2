package velvetcrock.core.materia;

import java.util.Arrays;
import java.util.List;

/** Particle size, coarsest first. */
public enum Cut {
  /** As it came off the stem. */
  WHOLE,
  /** Cut and sifted, crumbled. */
  CUT,
  /** Coarsely ground. */
  GROUND,
  /** Powdered. */
  POWDER;

  /** The cuts finer than this one, coarsest first. */
  public List<Cut> finer() {
    return Arrays.asList(values()).subList(ordinal() + 1, values().length);
  }
}
