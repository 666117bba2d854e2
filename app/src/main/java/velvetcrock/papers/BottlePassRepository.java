package velvetcrock.papers;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface BottlePassRepository extends JpaRepository<BottlePass, UUID> {
  Optional<BottlePass> findByProductIdAndLetterAndRevokedAtIsNull(UUID productId, String letter);

  List<BottlePass> findByBatchIdInAndRevokedAtIsNull(Collection<UUID> batches);
}
