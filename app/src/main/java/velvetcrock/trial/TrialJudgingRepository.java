package velvetcrock.trial;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface TrialJudgingRepository extends JpaRepository<TrialJudging, UUID> {
  List<TrialJudging> findByTrialIdOrderByJudgedAtAscIdAsc(UUID trial);
}
