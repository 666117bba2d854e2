package velvetcrock.kitchen;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What jars taught of how fast herbs give. */
interface SpeedLessonRepository extends JpaRepository<SpeedLesson, UUID> {}
