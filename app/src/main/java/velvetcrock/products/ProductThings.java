package velvetcrock.products;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.making.Extra;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Powder;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.measure.CrossCheck;
import velvetcrock.core.product.PartIn;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotRecord;
import velvetcrock.drawer.LotWords;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.Formats;
import velvetcrock.web.NotFound;

/** What can go into a pot: bottles, oil straight from the cloth, lots, and what is simply there. */
@Component
class ProductThings {
  private static final int MOST_BOTTLES = 60;
  private static final int MOST_CLOTHS = 40;
  private static final int WORTH_MAKING_DAYS = 30;

  private static final double LEAST_ML = 5;

  private final Batches batches;
  private final BottleBook book;
  private final Drawer drawer;
  private final Catalogues catalogues;

  ProductThings(Batches batches, BottleBook book, Drawer drawer, Catalogues catalogues) {
    this.batches = batches;
    this.book = book;
    this.drawer = drawer;
    this.catalogues = catalogues;
  }

  /**
   * Something that can go in.
   *
   * @param part it as a part, of one gram
   * @param substance for reading its amount
   * @param thereG how much of it there is, g; infinite for what is simply there
   */
  record Thing(String value, PartIn part, CrossCheck.Substance substance, double thereG) {
    /** So much of it, as a part; {@code text} is what was typed. */
    PartIn weighed(double grams, String text) {
      return new PartIn(
          part.kind(), part.key(), part.infused(), part.lot(), grams, text, part.goodUntil());
    }
  }

  /** A choice of the list. */
  record Choice(String value, String words) {}

  /** Choices under one heading. */
  record Heading(String words, List<Choice> choices) {}

  /**
   * The thing of a value.
   *
   * @throws Refused without a field, for whoever asks to name it
   */
  Thing find(@Nullable String value) {
    String[] named = (value == null ? "" : value).split(":", 2);
    String key = named.length < 2 ? "" : named[1];
    try {
      return switch (named[0]) {
        case "bottle" -> bottle(key);
        case "cloth" -> cloth(key);
        case "marc" -> marc(key);
        case "lot" -> lot(UUID.fromString(key));
        case "carrier" -> carrier(value, catalogues.current().carrier(key), null, null, null);
        case "wax" -> wax(value, catalogues.current().wax(key), null, null);
        case "powder" -> powder(value, catalogues.current().powder(key));
        case "extra" -> extra(value, key);
        default -> throw new Refused("", "Choose what goes in.");
      };
    } catch (IllegalArgumentException | NotFound e) {
      throw new Refused("", "That is no longer there: choose again.");
    }
  }

  private Thing bottle(String code) {
    int dash = code.lastIndexOf('-');
    if (dash < 0) {
      throw new Refused("", "Choose a bottle.");
    }
    BatchRecord batch = batches.find(code.substring(0, dash));
    BottleRecord bottle = book.one(batch, code.substring(dash + 1));
    if (bottle.bottle().goneAt() != null) {
      throw new Refused("", "Bottle " + bottle.code() + " is gone.");
    }
    return infused(
        "bottle:" + bottle.code(),
        batch,
        bottle.bottle().letter(),
        bottle.bottle().leftMl(),
        bottle.bestBefore());
  }

  private Thing cloth(String code) {
    BatchRecord batch = batches.find(code);
    if (batch.state().strained() == null) {
      throw new Refused("", "Batch " + batch.code() + " is not strained yet.");
    }
    double left = new BatchReckoning(catalogues.current(), batch.state()).unbottledMl();
    return infused("cloth:" + batch.code(), batch, null, left, batches.unbottledGoodUntil(batch));
  }

  private Thing infused(
      String value, BatchRecord batch, @Nullable String letter, double leftMl, LocalDate until) {
    PartIn.Infused of = infused(batch, letter);
    PartIn part = new PartIn(PartIn.Kind.CARRIER, of.code(), of, null, 1, "", until);
    double density = part.blend(catalogues.current()).densityAt(Carrier.ROOM_C);
    return new Thing(value, part, liquid(density), leftMl * density);
  }

  private PartIn.Infused infused(BatchRecord batch, @Nullable String letter) {
    BatchState state = batch.state();
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    return new PartIn.Infused(
        batch.code(),
        letter,
        state.charge().carriers().stream()
            .map(c -> new PartIn.OilShare(c.carrier(), c.share()))
            .toList(),
        reckoning.herbsByWeight().stream().map(h -> h.key()).toList(),
        reckoning.hazards());
  }

  private Thing marc(String code) {
    BatchRecord batch = batches.find(code);
    if (batch.state().strained() == null) {
      throw new Refused("", "Batch " + batch.code() + " is not strained yet.");
    }
    PartIn part =
        new PartIn(PartIn.Kind.CARRIER, ProductParts.MARC, infused(batch, null), null, 1, "", null);
    double thereG =
        new BatchReckoning(catalogues.current(), batch.state())
            .marcG()
            .orElse(Double.POSITIVE_INFINITY);
    return new Thing("marc:" + code, part, liquid(1), thereG);
  }

  private Thing lot(UUID id) {
    LotRecord record = drawer.lot(id);
    LotDetails details = record.lot().details();
    Catalogue catalogue = catalogues.current();
    LocalDate until = record.lot().goodUntil(catalogue).orElse(null);
    return switch (details.kind()) {
      case CARRIER ->
          carrier(
              "lot:" + id, catalogue.carrier(details.thing()), id, until, record.lot().amount());
      case WAX -> wax("lot:" + id, catalogue.wax(details.thing()), id, record.lot().amount());
      case HERB, SPIRIT -> throw new Refused("", "Herb and spirit do not go into a product.");
    };
  }

  private static Thing carrier(
      String value,
      Carrier carrier,
      @Nullable UUID lot,
      @Nullable LocalDate until,
      @Nullable Double thereMl) {
    PartIn part = new PartIn(PartIn.Kind.CARRIER, carrier.key(), null, lot, 1, "", until);
    double there =
        thereMl == null ? Double.POSITIVE_INFINITY : thereMl * carrier.body().density20();
    return new Thing(value, part, liquid(carrier.body().density20()), there);
  }

  private static Thing wax(String value, Wax wax, @Nullable UUID lot, @Nullable Double thereG) {
    PartIn part = new PartIn(PartIn.Kind.WAX, wax.key(), null, lot, 1, "", null);
    return new Thing(
        value,
        part,
        new CrossCheck.Substance(wax.pelletDensity(), wax.pelletRange(), true),
        thereG == null ? Double.POSITIVE_INFINITY : thereG);
  }

  private static Thing powder(String value, Powder powder) {
    PartIn part = new PartIn(PartIn.Kind.POWDER, powder.key(), null, null, 1, "", null);
    return new Thing(
        value,
        part,
        new CrossCheck.Substance(powder.bulkDensity(), powder.bulkRange(), true),
        Double.POSITIVE_INFINITY);
  }

  private static Thing extra(String value, String key) {
    PartIn part = new PartIn(PartIn.Kind.EXTRA, key, null, null, 1, "", null);
    return new Thing(value, part, liquid(part.extra().density()), Double.POSITIVE_INFINITY);
  }

  private static CrossCheck.Substance liquid(double density) {
    return new CrossCheck.Substance(density, Range.exactly(density), false);
  }

  /**
   * The bottle that should be used first and is good for long enough to make something of it; else
   * one that is still good, else oil that came out of the cloth last and is in no bottle yet, else
   * plain sunflower oil.
   */
  String first(LocalDate today) {
    List<BottleRecord> good =
        book.standing(BottleBook.Which.ALL, MOST_BOTTLES).stream()
            .filter(b -> !b.bestBefore().isBefore(today) && !b.bottle().spoiled())
            .filter(b -> b.bottle().leftMl() >= LEAST_ML)
            .toList();
    LocalDate longEnough = today.plusDays(WORTH_MAKING_DAYS);
    return good.stream()
        .filter(b -> !b.bestBefore().isBefore(longEnough))
        .findFirst()
        .or(() -> good.stream().findFirst())
        .map(b -> "bottle:" + b.code())
        .or(this::fromTheCloth)
        .orElse("carrier:sunflower-high-oleic");
  }

  private Optional<String> fromTheCloth() {
    return batches.strained(1).stream()
        .filter(b -> new BatchReckoning(catalogues.current(), b.state()).unbottledMl() >= LEAST_ML)
        .map(b -> "cloth:" + b.code())
        .findFirst();
  }

  /** The marc of the batch that was strained last; nothing where there is none. */
  String firstMarc() {
    return batches.strained(1).stream().findFirst().map(b -> "marc:" + b.code()).orElse("");
  }

  /** All that can be chosen, what should be used first in front. */
  List<Heading> choices(Formats fmt) {
    Catalogue catalogue = catalogues.current();
    List<Heading> headings = new ArrayList<>();
    List<Choice> bottles = new ArrayList<>();
    for (BottleRecord bottle : book.standing(BottleBook.Which.ALL, MOST_BOTTLES)) {
      if (!bottle.bestBefore().isBefore(fmt.today()) && !bottle.bottle().spoiled()) {
        bottles.add(
            new Choice(
                "bottle:" + bottle.code(),
                bottle.code()
                    + " "
                    + new BatchReckoning(catalogue, bottle.batch().state()).herbNames()
                    + ", "
                    + fmt.ml(bottle.bottle().leftMl())
                    + ", until "
                    + fmt.shortDate(bottle.bestBefore())));
      }
    }
    add(headings, "From the cellar, to be used first", bottles);
    List<Choice> cloths = new ArrayList<>();
    List<Choice> marcs = new ArrayList<>();
    for (BatchRecord batch : batches.strained(MOST_CLOTHS)) {
      BatchReckoning reckoning = new BatchReckoning(catalogue, batch.state());
      double left = reckoning.unbottledMl();
      if (left >= LEAST_ML) {
        cloths.add(
            new Choice(
                "cloth:" + batch.code(),
                batch.code() + " " + reckoning.herbNames() + ", " + fmt.ml(left)));
      }
      marcs.add(
          new Choice(
              "marc:" + batch.code(), batch.code() + " spent herb of " + reckoning.herbNames()));
    }
    add(headings, "Straight from the cloth", cloths);
    LotWords words = new LotWords(catalogue, fmt);
    List<Choice> lots = new ArrayList<>();
    for (LotRecord lot : drawer.filled(LotDetails.Kind.CARRIER, LotDetails.Kind.WAX)) {
      lots.add(
          new Choice("lot:" + lot.id(), words.name(lot.lot()) + ", " + words.amount(lot.lot())));
    }
    add(headings, "From the drawer", lots);
    add(
        headings,
        "Oils and butters, not from the drawer",
        catalogue.carriers().stream()
            .map(c -> new Choice("carrier:" + c.key(), c.name()))
            .toList());
    add(
        headings,
        "Waxes, not from the drawer",
        catalogue.waxes().stream().map(w -> new Choice("wax:" + w.key(), w.name())).toList());
    add(headings, "Stirred in last", stirredInLast());
    add(headings, "Spent herb, for a poultice", marcs);
    return headings;
  }

  /** What is stirred in last, into a whole melt or into single tins. */
  List<Choice> stirredInLast() {
    List<Choice> last = new ArrayList<>();
    for (Extra extra : Extra.values()) {
      last.add(
          new Choice(
              "extra:" + extra.key(),
              ProductParts.extra(extra.key()) + (extra.wet() ? " (brings water)" : "")));
    }
    catalogues
        .current()
        .powders()
        .forEach(p -> last.add(new Choice("powder:" + p.key(), p.name())));
    return last;
  }

  private static void add(List<Heading> headings, String words, List<Choice> choices) {
    if (!choices.isEmpty()) {
      headings.add(new Heading(words, choices));
    }
  }
}
