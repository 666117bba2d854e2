package velvetcrock.batch;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.core.Problems;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Surroundings;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Places;
import velvetcrock.web.CurrentHousehold;

/** The current household, as entries about a batch ask for it. */
@Component
class AroundBatches implements Surroundings {
  private final Catalogues catalogues;
  private final Places places;
  private final LotTaker lots;
  private final EarlierOils earlierOils;
  private final EntityManager entities;
  private final CurrentHousehold current;

  AroundBatches(
      Catalogues catalogues,
      Places places,
      LotTaker lots,
      EarlierOils earlierOils,
      EntityManager entities,
      CurrentHousehold current) {
    this.catalogues = catalogues;
    this.places = places;
    this.lots = lots;
    this.earlierOils = earlierOils;
    this.entities = entities;
    this.current = current;
  }

  @Override
  public void herb(String key, String field, Problems problems) {
    problems.attempt(field, () -> catalogues.current().herb(key));
  }

  @Override
  public void carrier(String key, String field, Problems problems) {
    problems.attempt(field, () -> catalogues.current().carrier(key));
  }

  @Override
  public void lots(Charged charged, Problems problems) {
    lots.check(charged, problems);
  }

  @Override
  public void own(Belonging what, @Nullable String id, String field, Problems problems) {
    if (id == null) {
      return;
    }
    String sql =
        switch (what) {
          case HEATER ->
              "select count(*) from appliance where household_id = ?1 and cast(id as text) = ?2";
          case PHOTO ->
              "select count(*) from look_photo where household_id = ?1 and cast(id as text) = ?2";
          case BATCH -> "select count(*) from batch where household_id = ?1 and code = ?2";
        };
    Object found =
        entities
            .createNativeQuery(sql, Long.class)
            .setParameter(1, current.id())
            .setParameter(2, id)
            .getSingleResult();
    problems.require(!found.equals(0L), field, "There is nothing of that name in your household.");
  }

  @Override
  public Recharged earlier(Earlier named, LocalDate chargedOn, double wantedMl) {
    EarlierOils.Found found = earlierOils.find(named.batch(), named.bottle(), chargedOn);
    EarlierOils.enough(found, wantedMl);
    return new Recharged(found.earlier(), found.carriers());
  }

  @Override
  public Stand place(Stand named) {
    return places.one(named.place()).stand();
  }

  /** Refuses a state that no page could reckon. */
  void reckonable(BatchState state) {
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    reckoning.charge();
    reckoning.leaving();
  }
}
