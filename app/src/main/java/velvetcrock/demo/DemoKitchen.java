package velvetcrock.demo;

import java.util.List;
import java.util.Map;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.OwnKind;
import velvetcrock.kitchen.OwnTyped;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.Vessels;

/** The demo household's planks, its measured jar and what it knows better than the catalogue. */
@Component
@Order(0)
class DemoKitchen implements DemoPart {
  private final Places places;
  private final Vessels vessels;
  private final Catalogues catalogues;

  DemoKitchen(Places places, Vessels vessels, Catalogues catalogues) {
    this.places = places;
    this.vessels = vessels;
    this.catalogues = catalogues;
  }

  @Override
  public void furnish(Household cottage) {
    places.furnish();
    vessels.measure(new Vessels.Typed("Blue-lidded crock jar", "JAR", "872 g", "13.5", "", "1"));
    own(OwnKind.HERB, "yarrow", "", "water", "79", "weighed in July before and after drying");
    catalogues.keep(
        OwnKind.HERB,
        new OwnTyped(
            OwnKind.HERB,
            "mugwort",
            "Sea wormwood",
            "Artemisia maritima",
            null,
            Map.of("water", "76"),
            "from the salt marsh, weighed",
            "no",
            "daisy family",
            List.of("pregnancy-avoid")));
    own(OwnKind.WAX, "beeswax", "Skep wax", "hardness", "94", "felt softer in three salves");
  }

  private void own(
      OwnKind kind, String like, String name, String figure, String value, String source) {
    catalogues.keep(kind, OwnTyped.figures(kind, like, name, Map.of(figure, value), source));
  }
}
