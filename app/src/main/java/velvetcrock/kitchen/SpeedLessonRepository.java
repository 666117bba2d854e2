package velvetcrock.kitchen;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** What jars and trials taught of how fast herbs give. */
@Transactional(readOnly = true)
interface SpeedLessonRepository extends JpaRepository<SpeedLesson, UUID> {
  /** All that one jar or one trial taught. */
  @Query("from SpeedLesson l where l.batchId = :batch or l.trialId = :trial")
  List<SpeedLesson> taughtBy(@Nullable UUID batch, @Nullable UUID trial);
}
