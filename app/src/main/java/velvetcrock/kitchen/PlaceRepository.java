package velvetcrock.kitchen;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlaceRepository extends JpaRepository<Place, UUID> {
  List<Place> findAllByOrderByPosition();
}
