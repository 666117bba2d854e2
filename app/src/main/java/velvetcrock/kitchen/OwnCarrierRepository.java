package velvetcrock.kitchen;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

/** The carriers of households' own. */
interface OwnCarrierRepository extends Repository<OwnCarrier, UUID> {
  List<OwnCarrier> findAllByOrderByName();

  void deleteByThingKey(String thingKey);
}
