package velvetcrock.trial;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrialJudgingRepository extends JpaRepository<TrialJudging, UUID> {
  List<TrialJudging> findByTrialIdOrderByJudgedAt(UUID trial);
}
