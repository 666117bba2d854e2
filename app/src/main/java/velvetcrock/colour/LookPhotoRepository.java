package velvetcrock.colour;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface LookPhotoRepository extends JpaRepository<LookPhoto, UUID> {}
