package velvetcrock.drawer;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;

/** What entries of several kinds hold, as it is stored. */
final class StoredDetails {
  private StoredDetails() {}

  record LotDetailsData(
      LotDetails.@Nullable Kind kind,
      String thing,
      String name,
      @JsonUnwrapped PlantData plant,
      LotDetails.@Nullable Origin origin,
      String from,
      @JsonUnwrapped DatesData dates,
      @Nullable Double abvPercent,
      @Nullable Long priceMinor) {

    /** What belongs to a herb; all null for anything else. */
    record PlantData(
        @Nullable Part part,
        @Nullable Cut cut,
        @Nullable HerbState state,
        @Nullable Double waterFraction) {}

    /** The days of its life. */
    record DatesData(
        @Nullable LocalDate harvestedOn,
        @Nullable LocalDate boughtOn,
        @Nullable LocalDate openedOn,
        @Nullable LocalDate bestBefore) {}

    static LotDetailsData of(LotDetails v) {
      return new LotDetailsData(
          v.kind(),
          v.thing(),
          v.name(),
          new LotDetailsData.PlantData(
              v.plant().part(), v.plant().cut(), v.plant().state(), v.plant().waterFraction()),
          v.origin(),
          v.from(),
          new LotDetailsData.DatesData(
              v.dates().harvestedOn(),
              v.dates().boughtOn(),
              v.dates().openedOn(),
              v.dates().bestBefore()),
          v.abvPercent(),
          v.priceMinor());
    }

    LotDetails value() {
      return new LotDetails(
          kind,
          thing,
          name,
          new LotDetails.Plant(plant.part(), plant.cut(), plant.state(), plant.waterFraction()),
          origin,
          from,
          new LotDetails.Dates(
              dates.harvestedOn(), dates.boughtOn(), dates.openedOn(), dates.bestBefore()),
          abvPercent,
          priceMinor);
    }
  }
}
