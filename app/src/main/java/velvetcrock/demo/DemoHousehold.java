package velvetcrock.demo;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.account.DemoVisit;
import velvetcrock.erasure.Clearing;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/**
 * Makes the demo household once, when the application is started with demo data, and makes it anew
 * when it is entered on a later day.
 */
@Component
public class DemoHousehold implements ApplicationRunner, DemoVisit {
  private static final String NAME = "Keeper’s cottage";

  private final Households households;
  private final Furnishing furnishing;
  private final Clearing clearing;
  private final CurrentHousehold current;
  private final TransactionTemplate transactions;
  private final boolean wanted;
  private volatile boolean made;

  DemoHousehold(
      Households households,
      Furnishing furnishing,
      Clearing clearing,
      CurrentHousehold current,
      TransactionTemplate transactions,
      @Value("${velvetcrock.demo}") boolean wanted) {
    this.households = households;
    this.furnishing = furnishing;
    this.clearing = clearing;
    this.current = current;
    this.transactions = transactions;
    this.wanted = wanted;
  }

  private record Hand(UUID householdId, String displayName) implements InHousehold {}

  @Override
  public void run(ApplicationArguments arguments) {
    if (wanted) {
      furnish();
      made = true;
    }
  }

  private void furnish() {
    Household cottage =
        households.demo().orElseGet(() -> households.found(NAME, "Europe/London", "METRIC", true));
    current.actingAs(
        new Hand(cottage.id(), "Ailsa"),
        () -> {
          boolean furnished =
              Boolean.TRUE.equals(transactions.execute(status -> furnishing.once(cottage)));
          furnishing.settle(furnished);
          return null;
        });
  }

  @Override
  public boolean stands() {
    return made;
  }

  /** What is found there is of today: furnished on an earlier day, it is put back as it was. */
  @Override
  public void enters() {
    here()
        .filter(h -> h.furnishedOn().isBefore(households.today(h)))
        .ifPresent(h -> putBack(h.furnishedOn()));
  }

  /** Puts everything back as it was when it was made, with the dates of today. */
  public void putBack() {
    here().ifPresent(h -> putBack(h.furnishedOn()));
  }

  /**
   * One that an earlier start left behind is let alone where no demo is wanted; one that is being
   * made has no plank yet to stand anything on, and nobody enters it.
   */
  Optional<Household> here() {
    return made ? households.demo() : Optional.empty();
  }

  /**
   * Puts it back, unless somebody else did meanwhile.
   *
   * @param day the day of which what was there is
   */
  private void putBack(LocalDate day) {
    Household cottage = households.demo().orElseThrow();
    current.actingAs(
        new Hand(cottage.id(), "Ailsa"),
        () -> {
          boolean mine =
              Boolean.TRUE.equals(
                  transactions.execute(
                      status -> {
                        Household held = households.lockCurrent();
                        if (!held.furnishedOn().equals(day)) {
                          return false;
                        }
                        clearing.clear(held.id());
                        households.furnishAnew(held, NAME);
                        return furnishing.once(held);
                      }));
          if (mine) {
            furnishing.settle(true);
          }
          return null;
        });
  }
}
