package velvetcrock.kitchen;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Seen;
import velvetcrock.core.colour.SpeedFit;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;

/** What jars and trials taught of how fast herbs give. */
@Transactional(readOnly = true)
interface SpeedLessonRepository extends JpaRepository<SpeedLesson, UUID> {
  /** All that one jar or one trial taught. */
  @Query("from SpeedLesson l where l.batchId = :batch or l.trialId = :trial")
  List<SpeedLesson> taughtBy(@Nullable UUID batch, @Nullable UUID trial);

  /**
   * What all lessons of a thing come to.
   *
   * @param way null for every way
   */
  record Taught(
      String herb,
      Part part,
      Cut cut,
      String carrier,
      @Nullable Method way,
      long lessons,
      long trials,
      double mean,
      double variance) {
    Speed.HerbInOil of() {
      return new Speed.HerbInOil(herb, part, cut, carrier, way);
    }

    SpeedFit.Shown shown() {
      return new SpeedFit.Shown(new Seen(lessons, mean, lessons * variance), (int) trials);
    }
  }

  @Query(
      "select new velvetcrock.kitchen.SpeedLessonRepository$Taught(l.herb, l.part, l.cut, l.carrier,"
          + " l.way, count(l), count(l.trialId), avg(l.logSpeed), var_pop(l.logSpeed))"
          + " from SpeedLesson l group by l.herb, l.part, l.cut, l.carrier, l.way")
  List<Taught> taught();
}
