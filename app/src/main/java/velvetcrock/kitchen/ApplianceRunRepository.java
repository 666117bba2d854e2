package velvetcrock.kitchen;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Range;
import velvetcrock.core.heat.Settled;

@Transactional(readOnly = true)
interface ApplianceRunRepository extends JpaRepository<ApplianceRun, UUID> {
  /** What all runs of a setting come to: means, and between which of them they lay. */
  record Taught(
      UUID applianceId,
      String setting,
      long runs,
      double celsius,
      double coolest,
      double hottest,
      double ripple,
      double overshoot,
      double minutes) {
    Appliances.Learned learned() {
      return new Appliances.Learned(
          setting,
          (int) runs,
          new Settled(celsius, ripple, overshoot, minutes),
          new Range(coolest, hottest));
    }
  }

  @Query(
      "select new velvetcrock.kitchen.ApplianceRunRepository$Taught(r.applianceId, r.setting, count(r),"
          + " avg(r.settledCelsius), min(r.settledCelsius), max(r.settledCelsius),"
          + " avg(r.rippleCelsius), avg(r.overshootCelsius), avg(r.settleMinutes))"
          + " from ApplianceRun r group by r.applianceId, r.setting"
          + " order by avg(r.settledCelsius), min(r.begunAt), r.applianceId, r.setting")
  List<Taught> taught();

  List<ApplianceRun> findByBatchId(UUID batchId);
}
