package velvetcrock.core.batch;

import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.log.Checks;

/**
 * How a jar was charged, where herb and oil were not simply put in.
 *
 * @param blended whether herb and oil were blended together into a slurry
 * @param spirit the spirit that the herb was dampened with; the oil then follows after the rest
 * @param again code of the batch that this is another try of; may be null
 * @param read codes of the cautions that were read and gone through all the same
 * @param trial the trial that it is a jar of; may be null
 * @param forWhom what or whom it is for, where more is known than its use
 * @param earlier the infused oil that is charged again; null for plain oil
 */
public record Manner(
    boolean blended,
    @Nullable SpiritIn spirit,
    @Nullable String again,
    List<String> read,
    @Nullable InTrial trial,
    @Nullable Purpose forWhom,
    @Nullable Earlier earlier) {
  /** A jar of nobody in particular. */
  public Manner(
      boolean blended,
      @Nullable SpiritIn spirit,
      @Nullable String again,
      List<String> read,
      @Nullable InTrial trial) {
    this(blended, spirit, again, read, trial, null, null);
  }

  /** A jar of no trial. */
  public Manner(
      boolean blended, @Nullable SpiritIn spirit, @Nullable String again, List<String> read) {
    this(blended, spirit, again, read, null, null, null);
  }

  /** The same with what is known of the oil that is charged again. */
  Manner with(Earlier known) {
    return new Manner(blended, spirit, again, read, trial, forWhom, known);
  }

  /** Simply poured. */
  public static final Manner PLAIN = new Manner(false, null, null, List.of());

  /** Checks and copies. */
  public Manner {
    read = read == null || read.isEmpty() ? List.of() : Checks.some("read", read);
    read.forEach(code -> Checks.text("read", code));
    if (again != null) {
      Checks.text("again", again);
    }
  }
}
