package velvetcrock.papers;

import java.util.Locale;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.JarFacts;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;

/** What the code on a bottle opens. */
@Component
class HeldBottle {
  private final Passes passes;
  private final Batches batches;
  private final BottleBook book;
  private final LabelWriter labels;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;

  HeldBottle(
      Passes passes,
      Batches batches,
      BottleBook book,
      LabelWriter labels,
      Households households,
      Catalogues catalogues,
      Cautions cautions) {
    this.passes = passes;
    this.batches = batches;
    this.book = book;
    this.labels = labels;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  /** The page of a bottle. */
  HeldView held(String code, String letter) {
    BatchRecord batch = batches.find(code);
    BottleRecord bottle = book.one(batch, letter);
    Formats fmt = households.formats(households.current());
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), batch.state());
    return new HeldView(
        labels.of(bottle, new LabelWriter.Extras(true, "", false)),
        fmt.fullDate(bottle.bestBefore()),
        bottle.bestBefore().isBefore(fmt.today()),
        bottle.bottle().goneAt() != null || bottle.bottle().spoiled(),
        cautions.of(JarFacts.label(batch.state(), reckoning)));
  }

  /** Makes the codes of a bottle open nothing any more; answers its page. */
  BottleRecord makeVoid(String code, String letter) {
    BatchRecord batch = batches.find(code);
    BottleRecord bottle = book.one(batch, letter.toUpperCase(Locale.ROOT));
    passes.revoke(batch, bottle.bottle().letter());
    return bottle;
  }
}
