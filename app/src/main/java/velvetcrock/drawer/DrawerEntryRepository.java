package velvetcrock.drawer;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

/** The log of everything in the drawer. */
interface DrawerEntryRepository extends Repository<DrawerEntry, UUID> {
  List<DrawerEntry> findBySubjectIdOrderByNumber(UUID subjectId);

  Optional<DrawerEntry> findByIdempotencyKey(String key);
}
