package velvetcrock.demo;

import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Places;
import velvetcrock.stove.StandIns;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/** Makes the demo household once, when the application is started with demo data. */
@Component
@ConditionalOnProperty("velvetcrock.demo")
public class DemoHousehold implements ApplicationRunner {
  private final Households households;
  private final Places places;
  private final List<DemoPart> parts;
  private final DemoStove stove;
  private final CurrentHousehold current;
  private final TransactionTemplate transactions;
  private final StandIns standIns;
  private final boolean probes;

  DemoHousehold(
      Households households,
      Places places,
      List<DemoPart> parts,
      DemoStove stove,
      CurrentHousehold current,
      TransactionTemplate transactions,
      StandIns standIns,
      @Value("${velvetcrock.demo-probes:true}") boolean probes) {
    this.households = households;
    this.places = places;
    this.parts = parts;
    this.stove = stove;
    this.current = current;
    this.transactions = transactions;
    this.standIns = standIns;
    this.probes = probes;
  }

  private record Hand(UUID householdId, String displayName) implements InHousehold {}

  @Override
  public void run(ApplicationArguments arguments) {
    Household cottage =
        households
            .demo()
            .orElseGet(() -> households.found("Keeper’s cottage", "Europe/London", "METRIC", true));
    current.actingAs(
        new Hand(cottage.id(), "Ailsa"),
        () -> {
          boolean furnished =
              Boolean.TRUE.equals(transactions.execute(status -> furnishOnce(cottage)));
          if (furnished) {
            stove.answer();
          }
          if (probes) {
            standIns.startAll();
          }
          return null;
        });
  }

  /** All of it or nothing, so that a start that was cut short is made good by the next. */
  private boolean furnishOnce(Household cottage) {
    boolean empty = places.all().isEmpty();
    if (empty) {
      parts.forEach(part -> part.furnish(cottage));
    }
    return empty;
  }
}
