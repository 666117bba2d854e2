package velvetcrock.batch;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Seen;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;

@Transactional(readOnly = true)
interface RetentionLessonRepository extends JpaRepository<RetentionLesson, UUID> {
  List<RetentionLesson> findByBatchId(UUID batchId);

  /** What all lessons of a part and a way of expressing come to. */
  record Taught(Part part, Expression expression, long lessons, double mean, double variance) {
    Retention.Own own() {
      return new Retention.Own(part, expression, new Seen(lessons, mean, lessons * variance));
    }
  }

  @Query(
      "select new velvetcrock.batch.RetentionLessonRepository$Taught(l.part, l.expression, count(l),"
          + " avg(l.keptMlPerGram), var_pop(l.keptMlPerGram)) from RetentionLesson l"
          + " group by l.part, l.expression order by l.part, l.expression")
  List<Taught> taught();
}
