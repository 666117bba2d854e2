package velvetcrock.colour;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LookPhotoRepository extends JpaRepository<LookPhoto, UUID> {}
