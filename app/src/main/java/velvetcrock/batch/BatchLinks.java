package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.InTrial;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotWords;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;

/** What a batch came of, stands beside and went into. */
@Component
class BatchLinks {
  private final BottleBook book;
  private final Catalogues catalogues;
  private final Drawer drawer;
  private final Verdicts verdicts;

  BatchLinks(BottleBook book, Catalogues catalogues, Drawer drawer, Verdicts verdicts) {
    this.book = book;
    this.catalogues = catalogues;
    this.drawer = drawer;
    this.verdicts = verdicts;
  }

  /** The lots that went in, what it is another try of, and the bottles that it is in. */
  List<BatchView.Fact> of(BatchRecord batch, Formats fmt) {
    Charged charge = batch.state().charge();
    List<BatchView.Fact> facts = new ArrayList<>();
    LotWords words = new LotWords(catalogues.current(), fmt);
    Stream.of(
            charge.herbs().stream().map(HerbIn::lot),
            charge.carriers().stream().map(OilIn::lot),
            Stream.ofNullable(charge.manner().spirit()).map(SpiritIn::lot))
        .flatMap(Function.identity())
        .flatMap(Stream::ofNullable)
        .distinct()
        .flatMap(id -> drawer.find(id).stream())
        .forEach(
            lot ->
                facts.add(
                    new BatchView.Fact(
                        words.name(lot.lot()),
                        words.origin(lot.lot()),
                        "/drawer/lots/" + lot.id())));
    if (charge.manner().again() != null) {
      facts.add(
          new BatchView.Fact(
              "Another try of", charge.manner().again(), "/batches/" + charge.manner().again()));
    }
    InTrial trial = charge.manner().trial();
    if (trial != null) {
      String against = verdicts.against(batch);
      facts.add(
          new BatchView.Fact(
              "In a trial",
              trial.words() + (against.isEmpty() ? "" : "; " + against),
              "/trials/" + trial.id()));
    }
    if (!batch.state().bottles().isEmpty()) {
      book.of(batch).forEach(bottle -> facts.add(fact(bottle, fmt)));
    }
    return facts;
  }

  private static BatchView.Fact fact(BottleRecord bottle, Formats fmt) {
    BottleState state = bottle.bottle();
    return new BatchView.Fact(
        "Bottle " + state.letter(),
        state.goneAt() == null
            ? fmt.ml(state.leftMl()) + ", until " + fmt.fullDate(bottle.bestBefore())
            : "gone: " + EnumWords.of(Objects.requireNonNull(state.goneBecause())),
        "/cellar/" + bottle.batch().code() + "/" + state.letter());
  }
}
