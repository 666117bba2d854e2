package velvetcrock.kitchen;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What households have of their own. */
@Transactional(readOnly = true)
interface OwnThingRepository extends Repository<OwnThing, UUID> {
  List<OwnThing> findAllByOrderByNameAscIdAsc();

  Optional<OwnThing> findByKindAndThingKey(OwnKind kind, String thingKey);

  Optional<OwnThing> findById(UUID id);
}
