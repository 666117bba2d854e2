package velvetcrock.trial;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrialJarRepository extends JpaRepository<TrialJar, UUID> {
  List<TrialJar> findByTrialIdOrderByLetter(UUID trial);
}
