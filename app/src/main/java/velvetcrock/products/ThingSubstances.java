package velvetcrock.products;

import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.CrossCheck.Substance;
import velvetcrock.kitchen.KnownSubstances;

/** What the things weigh that products are made of. */
@Component
class ThingSubstances implements KnownSubstances {
  private final ProductThings things;

  ThingSubstances(ProductThings things) {
    this.things = things;
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<Substance> of(String thing) {
    try {
      return Optional.of(things.find(thing).substance());
    } catch (Refused unknown) {
      return Optional.empty();
    }
  }
}
