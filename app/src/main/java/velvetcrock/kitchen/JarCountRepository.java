package velvetcrock.kitchen;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** How many households have of the common shapes. */
@Transactional(readOnly = true)
interface JarCountRepository extends Repository<JarCount, UUID> {
  List<JarCount> findAll();

  Optional<JarCount> findByJarKey(String jarKey);
}
