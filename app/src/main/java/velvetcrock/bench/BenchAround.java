package velvetcrock.bench;

import java.util.List;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.measure.Quantity;
import velvetcrock.kitchen.Appliances;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.Vessels;
import velvetcrock.web.Formats;

/**
 * What stands around the bench: the household's vessels, places and appliances, and what it usually
 * takes.
 */
@Component
class BenchAround {
  private final Batches batches;
  private final Places places;
  private final Vessels vessels;
  private final Appliances appliances;
  private final Households households;

  BenchAround(
      Batches batches,
      Places places,
      Vessels vessels,
      Appliances appliances,
      Households households) {
    this.batches = batches;
    this.places = places;
    this.vessels = vessels;
    this.appliances = appliances;
    this.households = households;
  }

  /** All that the sentence is read against. */
  WishReader.Bench of(Household house) {
    return new WishReader.Bench(house.units(), vessels.all(), places.all(), appliances.all());
  }

  /** The sentence that another try of a batch begins with. */
  BenchForm again(String code) {
    BatchRecord batch = batches.find(code);
    return Remarks.form(batch.state(), places.all(), formats()).tryAgain(batch.code());
  }

  /** The sentence with what was left open filled in as it usually is. */
  BenchForm completed(BenchForm form, List<Place> places) {
    boolean named =
        form.oils() != null && !form.oils().isEmpty() && form.oils().get(0).carrier() != null;
    boolean more = form.set() != null && form.set().contains("oils+");
    return form.completed(
        named && !more ? "" : usualCarrier(),
        places.get(0).id().toString(),
        formats().proposed(Quantity.WEIGHT, "60 g", "2 oz"));
  }

  private Formats formats() {
    return households.formats(households.current());
  }

  /** The oil of the newest batch, which is the likeliest for the next. */
  private String usualCarrier() {
    return batches.newest(1).stream()
        .findFirst()
        .map(b -> b.state().charge().carriers().get(0).carrier())
        .orElse("sunflower-high-oleic");
  }
}
