package velvetcrock.kitchen;

import java.util.OptionalInt;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.materia.Jar;

/**
 * A vessel of the kitchen.
 *
 * @param count how many there are; empty where nobody has said
 * @param used how many of them hold something
 * @param usual whether it is one of the household's own, or of the measure that it buys by
 */
public record JarAtHand(Jar jar, OptionalInt count, int used, boolean usual) {

  /** Whether it can be taken without being named: it is usual here, or somebody has counted it. */
  public boolean choosable() {
    return usual || count.isPresent();
  }

  /** How many stand empty, as far as is known. */
  public JarChoice.Free free() {
    return count.isEmpty()
        ? JarChoice.Free.enough(jar)
        : new JarChoice.Free(jar, Math.max(0, count.getAsInt() - used));
  }

  /** Its name and how many of it stand empty. */
  public String words() {
    if (count.isEmpty()) {
      return jar.name();
    }
    int empty = Math.max(0, count.getAsInt() - used);
    return count.getAsInt() == 0
        ? jar.name() + " (none here)"
        : jar.name() + " (" + empty + " of " + count.getAsInt() + " free)";
  }

  /** How many hold something, in words; empty where none does. */
  public String usedWords() {
    return used == 0 ? "" : used + " in use";
  }
}
