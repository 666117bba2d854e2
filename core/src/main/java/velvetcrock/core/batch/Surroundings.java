package velvetcrock.core.batch;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;

/** What a household has around a batch: a catalogue, places, lots. */
public interface Surroundings {
  /** Notes at a field a herb that is not known. */
  void herb(String key, String field, Problems problems);

  /** Notes at a field an oil that is not known. */
  void carrier(String key, String field, Problems problems);

  /** Notes every lot that a charge names and that is not of that thing. */
  void lots(Charged charged, Problems problems);

  /** Notes at a field a thing that is not the household's, where one is named. */
  void own(Belonging what, @Nullable String id, String field, Problems problems);

  /** What an entry may name besides herbs, oils, lots and places. */
  enum Belonging {
    /** Something that pots stand on, by its id. */
    HEATER,
    /** A picture of this household's, by its id. */
    PHOTO,
    /** A trial, by its id. */
    TRIAL,
    /** A batch, by its code. */
    BATCH
  }

  /**
   * A place by its key or its name, as the household knows it.
   *
   * @throws velvetcrock.core.Refused if there is none such
   */
  Stand place(Stand named);
}
