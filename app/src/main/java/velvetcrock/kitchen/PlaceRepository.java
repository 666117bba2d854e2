package velvetcrock.kitchen;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface PlaceRepository extends JpaRepository<PlaceRow, UUID> {
  List<PlaceRow> findAllByOrderByPositionAscIdAsc();
}
