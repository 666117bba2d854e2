package velvetcrock.kitchen;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface ApplianceRepository extends JpaRepository<OwnAppliance, UUID> {
  List<OwnAppliance> findAllByOrderByCreatedAtAscIdAsc();

  Optional<OwnAppliance> findByNameIgnoreCase(String name);
}
