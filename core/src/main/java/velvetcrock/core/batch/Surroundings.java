package velvetcrock.core.batch;

import java.time.LocalDate;
import java.util.List;
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
    /** A batch, by its code. */
    BATCH
  }

  /**
   * What the household knows of an oil of its own that is charged again.
   *
   * @param named which oil, and how much of it is wanted
   * @return it, and the carriers that are in it with their dates
   * @throws velvetcrock.core.Refused at {@code earlier} if there is none such, or not so much
   */
  Recharged earlier(Earlier named, LocalDate chargedOn, double wantedMl);

  /**
   * An infused oil as it goes in again.
   *
   * @param carriers its own, by their shares
   */
  record Recharged(Earlier earlier, List<OilIn> carriers) {}

  /**
   * A place by its key or its name, as the household knows it.
   *
   * @throws velvetcrock.core.Refused if there is none such
   */
  Stand place(Stand named);
}
