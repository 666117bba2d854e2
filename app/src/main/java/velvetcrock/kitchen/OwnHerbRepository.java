package velvetcrock.kitchen;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

/** The herbs of households' own. */
interface OwnHerbRepository extends Repository<OwnHerb, UUID> {
  List<OwnHerb> findAllByOrderByName();

  void deleteByThingKey(String thingKey);
}
