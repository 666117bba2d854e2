package velvetcrock;

import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.yield.Expression;

/** A household with bottles. */
abstract class BottleHouse extends AppTest {
  @Autowired BottleBook book;

  /** Charges, strains and fills two bottles of 150 ml, A in the cupboard and B in the room. */
  String bottled(int chargedDaysAgo) {
    String code = charge(chargedDaysAgo);
    log(code, new Strained(320, "320 ml", Expression.SQUEEZE, new Range(310, 350)));
    log(
        code,
        new Bottled(
            List.of(
                bottle("A", Store.Place.COOL, Store.Antioxidant.NONE),
                bottle("B", Store.Place.ROOM, Store.Antioxidant.VITAMIN_E))));
    return code;
  }

  static BottleIn bottle(String letter, Store.Place place, Store.Antioxidant with) {
    return new BottleIn(letter, 150, 150, place, Store.Glass.AMBER, with, true);
  }

  void log(String code, BatchEvent event) {
    as(keeper, () -> acts.append(code, event, null, null, UUID.randomUUID().toString()));
  }

  BottleRecord bottle(String code, String letter) {
    return as(keeper, () -> book.one(batches.find(code), letter));
  }
}
