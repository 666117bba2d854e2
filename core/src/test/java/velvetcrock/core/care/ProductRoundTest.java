package velvetcrock.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.log.Entry;
import velvetcrock.core.making.Drops.Where;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.product.Abandoned;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.Poured;
import velvetcrock.core.product.ProductBegun;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductLog;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinGroup;
import velvetcrock.core.product.TinWent;

/** What a product wants in the round. */
class ProductRoundTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
  private static final ProductRound ROUND = new ProductRound(ZoneOffset.UTC, TODAY);

  private static ProductState product(ProductEvent... more) {
    Intent plan =
        new Intent(
            ProductKind.SALVE,
            "",
            Where.BODY,
            20,
            16,
            Working.Vessel.BATH,
            false,
            Store.Place.COOL,
            "",
            "");
    List<ProductEvent> events = new ArrayList<>();
    events.add(
        new ProductBegun(
            plan,
            List.of(new PartIn(PartIn.Kind.CARRIER, "olive", null, null, 60, "", null)),
            List.of(),
            ""));
    events.addAll(List.of(more));
    List<Entry<ProductEvent>> log = new ArrayList<>();
    for (ProductEvent event : events) {
      Instant at = TODAY.minusDays(2).atTime(9, log.size()).toInstant(ZoneOffset.UTC);
      log.add(new Entry<>(UUID.randomUUID(), log.size() + 1, at, event, null));
    }
    return ProductLog.fold(log);
  }

  private static ProductEvent poured() {
    return new Poured(
        List.of(new TinGroup("A", "tins", 30, 2, Where.BODY, List.of(), "")), false, null);
  }

  @Test
  void inThePanItWantsToBeFinished() {
    Task task = ROUND.task(product(), TODAY.plusMonths(6)).orElseThrow();

    assertThat(task.kind()).isEqualTo(Task.Kind.FINISH_PRODUCT);
    assertThat(task.overdueDays(TODAY)).isEqualTo(2);
  }

  @Test
  void pouredItWantsNothingUntilItsDateIsNear() {
    ProductState product = product(poured());

    assertThat(ROUND.task(product, TODAY.plusMonths(6))).isEmpty();
    assertThat(ROUND.task(product, TODAY.plusDays(3))).map(Task::kind).contains(Task.Kind.SMELL);
    assertThat(ROUND.task(product, TODAY.minusDays(1)))
        .map(Task::kind)
        .contains(Task.Kind.PAST_DATE);
  }

  @Test
  void whatIsGoneOrGivenUpWantsNothing() {
    ProductState gone =
        product(
            poured(),
            new TinWent("A1", TinFate.USED_UP, "", ""),
            new TinWent("A2", TinFate.LOST, "", ""));

    assertThat(ROUND.task(gone, TODAY.minusDays(9))).isEmpty();
    assertThat(ROUND.task(product(new Abandoned(true, "")), TODAY.minusDays(9))).isEmpty();
  }
}
