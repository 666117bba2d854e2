package velvetcrock.products;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.batch.OilKnownBetter;
import velvetcrock.batch.OilsAsDrawn;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.product.OilReckonedAnew;
import velvetcrock.core.product.PartIn;
import velvetcrock.kitchen.FiguresChanged;
import velvetcrock.kitchen.OwnKind;
import velvetcrock.web.Afterwards;
import velvetcrock.web.CatchUp;
import velvetcrock.web.MovedIn;

/**
 * Products follow what is known of the oils in them: their dates and hazards, as these were when
 * the oil went in. What happened to a bottle afterwards is no matter of theirs.
 */
@Component
class ProductsReckonedAnew {
  private final Products products;
  private final Traces traces;
  private final OilsAsDrawn oils;
  private final Afterwards afterwards;
  private final TransactionTemplate transactions;
  private final CatchUp catchUp;

  ProductsReckonedAnew(
      Products products, Traces traces, OilsAsDrawn oils, Afterwards afterwards, CatchUp catchUp) {
    this.products = products;
    this.traces = traces;
    this.oils = oils;
    this.afterwards = afterwards;
    this.transactions = new TransactionTemplate(afterwards);
    this.catchUp = catchUp;
  }

  /** Once after an upgrade: what was folded and dates that were reckoned by former rules. */
  @EventListener({ApplicationReadyEvent.class, MovedIn.class})
  void upgraded() {
    catchUp.each(
        "select id from product where state_version <> ?",
        products::foldAnew,
        ProductStorage.BOOK.version());
    catchUp.each(
        "select id from product where reckoned_by <> ? and status in ('IN_THE_PAN', 'POURED')",
        id -> {
          reckon(List.of(id), "how fast oils age in heat and cold is reckoned anew");
          products.reckoned(id);
        },
        Keeping.RULES);
  }

  /** Once that is stored and its connection given back. */
  @EventListener
  void known(OilKnownBetter known) {
    afterwards.then(
        () ->
            transactions.executeWithoutResult(
                status ->
                    oils.code(known.batchId())
                        .ifPresent(code -> reckon(traces.ofBatch(code), known.why()))));
  }

  /** Once the figures are stored and their connection given back. */
  @EventListener
  void changed(FiguresChanged changed) {
    afterwards.then(
        () ->
            transactions.executeWithoutResult(
                status ->
                    products.standing().stream()
                        .filter(p -> p.state().parts().stream().anyMatch(part -> of(part, changed)))
                        .forEach(
                            p ->
                                reckon(
                                    List.of(p.id()),
                                    "figures of its oil were changed in the kitchen"))));
  }

  private static boolean of(PartIn part, FiguresChanged changed) {
    PartIn.Infused infused = part.infused();
    return infused != null
        && (changed.kind() == OwnKind.HERB && infused.herbs().contains(changed.key())
            || changed.kind() == OwnKind.CARRIER
                && infused.oils().stream().anyMatch(o -> o.carrier().equals(changed.key())));
  }

  private void reckon(List<UUID> ids, String why) {
    products.of(ids).stream()
        .filter(product -> product.state().status().stands())
        .forEach(product -> reckon(product, why));
  }

  private void reckon(ProductRecord product, String why) {
    Map<String, PartIn> infused = new LinkedHashMap<>();
    for (PartIn part : product.state().parts()) {
      if (part.infused() != null && part.goodUntil() != null) {
        infused.putIfAbsent(part.infused().code(), part);
      }
    }
    infused.forEach(
        (code, part) ->
            oils.at(part.infused().batch(), part.infused().letter(), product.state().begunAt())
                .map(now -> now.notBefore(product.madeOn()))
                .filter(now -> moves(part, now))
                .ifPresent(
                    now ->
                        products.follow(
                            product, new OilReckonedAnew(code, now.until(), now.hazards(), why))));
  }

  /** As for a bottle, age moves no date by less than a week; all else moves it at once. */
  private static boolean moves(PartIn part, OilsAsDrawn.AsDrawn now) {
    LocalDate before = part.goodUntil();
    long days = Math.abs(ChronoUnit.DAYS.between(before, now.until()));
    return !part.hazards().equals(now.hazards())
        || days >= (now.ageing() ? Keeping.LEAST_MOVE_DAYS : 1);
  }
}
