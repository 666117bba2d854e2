package velvetcrock.kitchen;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

/** What households have of their own. */
interface OwnThingRepository extends Repository<OwnThing, UUID> {
  List<OwnThing> findAllByOrderByName();

  Optional<OwnThing> findByKindAndThingKey(OwnKind kind, String thingKey);

  Optional<OwnThing> findById(UUID id);
}
