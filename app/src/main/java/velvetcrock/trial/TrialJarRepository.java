package velvetcrock.trial;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface TrialJarRepository extends JpaRepository<TrialJar, UUID> {
  List<TrialJar> findByTrialIdOrderByLetter(UUID trial);

  List<TrialJar> findByTrialIdInOrderByLetter(Collection<UUID> trials);
}
