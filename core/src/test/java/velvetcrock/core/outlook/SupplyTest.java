package velvetcrock.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.outlook.Supply.Bill;
import velvetcrock.core.outlook.Supply.Goods;
import velvetcrock.core.outlook.Supply.Stock;
import velvetcrock.core.outlook.Supply.Taking;

/** What is taken from which lot, what is missing, and what that costs. */
class SupplyTest {
  private static Stock lot(String name, double amount, double price) {
    return new Stock(name, HerbState.DRIED, amount, OptionalDouble.of(price));
  }

  private static Stock unpriced(String name, double amount) {
    return new Stock(name, HerbState.DRIED, amount, OptionalDouble.empty());
  }

  @Test
  void theFirstLotIsUsedUpBeforeTheNext() {
    Bill bill = Supply.bill(Goods.HERB, List.of(lot("old", 30, 10), lot("young", 100, 20)), 50);

    assertThat(bill.takings()).containsExactly(new Taking("old", 30), new Taking("young", 20));
    assertThat(bill.missing()).isZero();
    assertThat(bill.minor()).isCloseTo(30 * 10 + 20 * 20, within(1e-9));
    assertThat(bill.unpriced()).isEmpty();
  }

  @Test
  void whatIsMissingCostsWhatALotCost() {
    Bill bill = Supply.bill(Goods.HERB, List.of(lot("old", 30, 10)), 50);

    assertThat(bill.missing()).isEqualTo(20);
    assertThat(bill.minor()).isCloseTo(50 * 10, within(1e-9));
    assertThat(bill.unpriced()).isEmpty();
  }

  @Test
  void withoutAPriceItSaysSo() {
    assertThat(Supply.bill(Goods.HERB, List.of(unpriced("found", 80)), 50).unpriced()).isNotEmpty();
    assertThat(Supply.bill(Goods.HERB, List.of(), 50))
        .isEqualTo(new Bill(List.of(), 50, 0, Set.of(Goods.HERB)));
    assertThat(
            Supply.bill(Goods.HERB, List.of(lot("old", 80, 10), unpriced("found", 80)), 50)
                .unpriced())
        .isEmpty();
  }

  @Test
  void billsAddUp() {
    Bill both =
        Supply.bill(Goods.HERB, List.of(lot("herb", 80, 10)), 50)
            .plus(Supply.bill(Goods.OIL, List.of(unpriced("oil", 100)), 300));

    assertThat(both.takings()).hasSize(2);
    assertThat(both.missing()).isEqualTo(200);
    assertThat(both.minor()).isEqualTo(500);
    assertThat(both.unpriced()).containsExactly(Goods.OIL);
    assertThat(Bill.NOTHING.plus(both)).isEqualTo(both);
  }

  @Test
  void herbsAreThoseInTheStateThatIsMeant() {
    Stock fresh = new Stock("fresh", HerbState.FRESH, 100, OptionalDouble.empty());
    Supply supply =
        new Supply(
            false,
            List.of(lot("dried", 50, 1), fresh),
            List.of(),
            List.of(),
            96,
            List.of(),
            Set.of());

    assertThat(supply.herbs(HerbState.FRESH)).containsExactly(fresh);
    assertThat(supply.herbs(HerbState.WILTED)).isEmpty();
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void whatIsTakenAndWhatIsMissingIsWhatWasWanted(
      @Given int first, @Given int second, @Given int wanted) {
    double want = Math.floorMod(wanted, 5000) / 10.0;
    List<Stock> lots =
        List.of(
            lot("a", Math.floorMod(first, 3000) / 10.0, 3),
            unpriced("b", Math.floorMod(second, 3000) / 10.0));
    Bill bill = Supply.bill(Goods.HERB, lots, want);

    double taken = bill.takings().stream().mapToDouble(Taking::amount).sum();
    assertThat(taken + bill.missing()).isCloseTo(want, within(1e-5));
    for (Taking taking : bill.takings()) {
      Stock lot = lots.stream().filter(l -> l.lot().equals(taking.lot())).findFirst().orElseThrow();
      assertThat(taking.amount()).isPositive().isLessThanOrEqualTo(lot.amount());
    }
  }
}
