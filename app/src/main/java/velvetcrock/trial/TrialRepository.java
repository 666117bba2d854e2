package velvetcrock.trial;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface TrialRepository extends JpaRepository<Trial, UUID> {
  List<Trial> findAllByOrderByMadeAtDescIdAsc(Limit most);
}
