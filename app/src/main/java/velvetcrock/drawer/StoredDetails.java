package velvetcrock.drawer;

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
      @Nullable Part part,
      @Nullable Cut cut,
      @Nullable HerbState state,
      @Nullable Double waterFraction,
      LotDetails.@Nullable Origin origin,
      String from,
      @Nullable LocalDate harvestedOn,
      @Nullable LocalDate boughtOn,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate bestBefore,
      @Nullable Double abvPercent,
      @Nullable Long priceMinor) {
    static LotDetailsData of(LotDetails v) {
      return new LotDetailsData(
          v.kind(),
          v.thing(),
          v.name(),
          v.part(),
          v.cut(),
          v.state(),
          v.waterFraction(),
          v.origin(),
          v.from(),
          v.harvestedOn(),
          v.boughtOn(),
          v.openedOn(),
          v.bestBefore(),
          v.abvPercent(),
          v.priceMinor());
    }

    LotDetails value() {
      return new LotDetails(
          kind,
          thing,
          name,
          part,
          cut,
          state,
          waterFraction,
          origin,
          from,
          harvestedOn,
          boughtOn,
          openedOn,
          bestBefore,
          abvPercent,
          priceMinor);
    }
  }
}
