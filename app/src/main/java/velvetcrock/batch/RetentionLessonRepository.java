package velvetcrock.batch;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface RetentionLessonRepository extends JpaRepository<RetentionLesson, UUID> {
  List<RetentionLesson> findByBatchId(UUID batchId);
}
