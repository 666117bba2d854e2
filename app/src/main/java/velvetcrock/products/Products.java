package velvetcrock.products;

import jakarta.persistence.EntityManager;
import java.io.Serializable;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.batch.LidCodes;
import velvetcrock.core.Learned;
import velvetcrock.core.Refused;
import velvetcrock.core.log.Log;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.Whipping;
import velvetcrock.core.product.ProductBegun;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductLog;
import velvetcrock.core.product.ProductRules;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.ProductStruck;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;
import velvetcrock.web.NotFound;

/**
 * The products. An entry is folded with all that came before and written only if that could have
 * happened and holds every rule; what it takes is taken in the same transaction.
 */
@Service
public class Products {
  private static final Logger LOG = LoggerFactory.getLogger(Products.class);
  private static final int MOST_STANDING = 60;
  private static final int MOST_PAST = 40;
  private static final int MOST_LESSONS = 60;

  private final ProductRepository products;
  private final Ledger ledger;
  private final ProductTaker taker;
  private final Traces traces;
  private final ProductJournal journal;
  private final Households households;
  private final Catalogues catalogues;
  private final EntityManager database;

  Products(
      ProductRepository products,
      Ledger ledger,
      ProductTaker taker,
      Traces traces,
      ProductJournal journal,
      Households households,
      Catalogues catalogues,
      EntityManager database) {
    this.products = products;
    this.ledger = ledger;
    this.taker = taker;
    this.traces = traces;
    this.journal = journal;
    this.households = households;
    this.catalogues = catalogues;
    this.database = database;
  }

  /**
   * What was written.
   *
   * @param lacked what lots held less of than went in
   * @param repeated whether it had been written before
   */
  public record Done(String code, UUID entry, List<String> lacked, boolean repeated)
      implements Serializable {}

  /**
   * Weighs a product in, taking what goes into it.
   *
   * @param at when; now if null
   * @param key names this, so that a repeat of it makes no second product and takes nothing twice
   * @throws Refused at the field that cannot be
   */
  @Transactional
  public Done begin(ProductBegun begun, @Nullable Instant at, String key) {
    Household house = households.lockCurrent();
    Optional<Ledger.Before> before = ledger.before(key, ProductStorage.BOOK, null, begun);
    if (before.isPresent()) {
      ProductRow row = products.findById(before.get().subjectId()).orElseThrow(Products::noProduct);
      return repeated(row, before.get());
    }
    UUID id = UUID.randomUUID();
    String code = LidCodes.freshForProduct(products::existsByCode);
    Log<ProductEvent> all = ledger.with(Log.empty(), new Log.Draft<>(begun, at, null));
    ProductRow row = new ProductRow(id, code, ledger.now());
    ProductState state = become(row, all, house);
    database.persist(row);
    database.flush();
    traces.keep(id, state.parts());
    List<String> lacked = taker.take(code, all.last(), begun.parts());
    return write(row, state, all, lacked, key);
  }

  private Done write(
      ProductRow row, ProductState state, Log<ProductEvent> all, List<String> lacked, String key) {
    ledger.write(
        row.id(), all, ProductStorage.BOOK, key, lacked.isEmpty() ? null : new Answer(lacked));
    journal.tell(row.code(), state, all.last());
    return new Done(row.code(), all.last().id(), lacked, false);
  }

  /** What is answered besides what is known of every entry. */
  private record Answer(List<String> lacked) {}

  private Done repeated(ProductRow row, Ledger.Before before) {
    return new Done(
        row.code(),
        before.entryId(),
        ledger.answered(before, Answer.class).map(Answer::lacked).orElse(List.of()),
        true);
  }

  /**
   * Adds an entry to a product's log.
   *
   * @param replaces the entry that it takes back, if any
   * @throws NotFound if there is no such product here
   * @throws Refused at the field that cannot be
   */
  @Transactional
  public Done append(
      String code, ProductEvent event, @Nullable Instant at, @Nullable UUID replaces, String key) {
    ProductRow row = products.lock(normal(code)).orElseThrow(Products::noProduct);
    Optional<Ledger.Before> written = ledger.before(key, ProductStorage.BOOK, row.id(), event);
    if (written.isPresent()) {
      return repeated(row, written.get());
    }
    Log<ProductEvent> before = ledger.log(row.id(), ProductStorage.BOOK);
    Log<ProductEvent> all = ledger.with(before, new Log.Draft<>(event, at, replaces));
    ProductState state = become(row, all, households.current());
    if (event.givesAllBack()) {
      before.counting().forEach(e -> taker.giveBack(row.code(), e.id(), e.event().parts()));
    } else if (replaces != null) {
      before.entries().stream()
          .filter(e -> e.id().equals(replaces))
          .forEach(e -> taker.giveBack(row.code(), e.id(), e.event().parts()));
    }
    List<String> lacked =
        event.parts().isEmpty() ? List.of() : taker.take(row.code(), all.last(), event.parts());
    if (!event.parts().isEmpty() || replaces != null) {
      traces.keep(row.id(), state.parts());
    }
    return write(row, state, all, lacked, key);
  }

  /**
   * Writes what follows for a product from what became known elsewhere; what cannot be is left.
   *
   * @return whether it was written
   */
  @Transactional
  boolean follow(ProductRecord product, ProductEvent event) {
    try {
      append(product.code(), event, null, null, UUID.randomUUID().toString());
      return true;
    } catch (Refused refused) {
      LOG.warn("{} stays as it is: {}", product.code(), refused.getMessage());
      return false;
    }
  }

  /**
   * Takes an entry back by adding one that replaces it; what it took is given back.
   *
   * @throws Refused if later entries stand on it
   */
  @Transactional
  public Done undo(String code, UUID entry) {
    return append(code, new ProductStruck(), null, entry, "undo:" + entry);
  }

  private ProductState become(ProductRow row, Log<ProductEvent> all, Household house) {
    ProductState state = ProductLog.fold(all);
    new ProductRules(catalogues.current()).check(state, all.last().event());
    LocalDate made = state.begunAt().atZone(house.zone()).toLocalDate();
    row.become(state, ledger.keep(ProductStorage.BOOK, state), made, firstOver(state, made));
    return state;
  }

  /** Keeps what a product's log folds to by the rules of today. */
  @Transactional
  public void foldAnew(UUID id) {
    products
        .findById(id)
        .ifPresent(
            row -> {
              ProductState state = ProductLog.fold(ledger.log(id, ProductStorage.BOOK));
              LocalDate made = state.begunAt().atZone(households.current().zone()).toLocalDate();
              row.become(
                  state, ledger.keep(ProductStorage.BOOK, state), made, firstOver(state, made));
            });
  }

  private static LocalDate firstOver(ProductState state, LocalDate made) {
    try {
      return ProductRules.firstOver(state, made);
    } catch (Refused refused) {
      throw new Refused("parts", refused.problems().get(0).message());
    }
  }

  /**
   * A product by its code, in either case.
   *
   * @throws NotFound if there is none here
   */
  @Transactional(readOnly = true)
  public ProductRecord find(String code) {
    return record(products.findByCode(normal(code)).orElseThrow(Products::noProduct));
  }

  /** Products in the pan and with tins left, those to be used first in front. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  public List<ProductRecord> standing() {
    return firstToUse(MOST_STANDING);
  }

  /** The same, so many at most. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  public List<ProductRecord> standing(int most) {
    return firstToUse(most);
  }

  private List<ProductRecord> firstToUse(int most) {
    return products.standing(Limit.of(most)).stream().map(this::record).toList();
  }

  /** Products in the pan, and those with tins left that should be gone by a day. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  public List<ProductRecord> wanting(LocalDate until) {
    return products.wanting(until, Limit.of(MOST_STANDING)).stream().map(this::record).toList();
  }

  /** Products that are gone or came to nothing, the newest first. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  public List<ProductRecord> past() {
    return products.past(Limit.of(MOST_PAST)).stream().map(this::record).toList();
  }

  /** Products whose labels say a later date than their tins have now, and that are still good. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  public List<String> toPrintAgain(LocalDate today) {
    return products.toPrintAgain(today, Limit.of(MOST_STANDING));
  }

  /** Nothing in a product moves by the rules that hold now. */
  @Transactional
  public void reckoned(UUID id) {
    products.findById(id).ifPresent(ProductRow::reckoned);
  }

  /** The labels of a product's tins were printed, with their dates as they are. */
  @Transactional
  public void labelled(String code) {
    products.lock(normal(code)).orElseThrow(Products::noProduct).labelled();
  }

  /** Products by their ids, in the order of these. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  public List<ProductRecord> of(List<UUID> ids) {
    if (ids.isEmpty()) {
      return List.of();
    }
    Map<UUID, ProductRow> rows = new HashMap<>();
    products.among(ids).forEach(row -> rows.put(row.id(), row));
    return ids.stream().map(rows::get).map(this::record).toList();
  }

  /** Products from which a skin reacted. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  List<ProductRecord> troubled() {
    return products.troubled(Limit.of(MOST_PAST)).stream().map(this::record).toList();
  }

  /** The newest products. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  List<ProductRecord> newest(int most) {
    return products.newest(Limit.of(most)).stream().map(this::record).toList();
  }

  /**
   * How much harder than usual the household likes a kind, of what is known of each; none of what
   * sets by no wax.
   */
  static Learned taste(Map<Firmness, Learned> tastes, Optional<Firmness> kind) {
    return kind.map(tastes::get).orElseGet(() -> Learned.of(0, 1));
  }

  /** How much harder than usual the household likes each kind that it makes with a wax. */
  @HeldUntilChanged({HouseholdPart.PRODUCTS, HouseholdPart.KITCHEN})
  @Transactional(readOnly = true)
  public Map<Firmness, Learned> tastes(String wax) {
    ProductRules rules = new ProductRules(catalogues.current());
    List<ProductState> tested = states(products.testedWith(wax, Limit.of(MOST_LESSONS)));
    Map<Firmness, Learned> tastes = new EnumMap<>(Firmness.class);
    for (Firmness kind : Firmness.values()) {
      tastes.put(kind, rules.taste(tested, wax, kind));
    }
    return tastes;
  }

  /** By how much whipping makes a melt grow here. */
  @HeldUntilChanged({HouseholdPart.PRODUCTS, HouseholdPart.KITCHEN})
  @Transactional(readOnly = true)
  public Learned overrun() {
    return Whipping.overrun(
        states(products.whipped(Limit.of(MOST_LESSONS))).stream()
            .flatMap(p -> p.overrun(catalogues.current()).stream())
            .mapToDouble(Double::doubleValue)
            .toArray());
  }

  private List<ProductState> states(List<ProductRow> rows) {
    List<ProductState> states = new ArrayList<>();
    rows.forEach(row -> states.add(state(row)));
    return states;
  }

  /** A product's log as it is shown. */
  @Transactional(readOnly = true)
  List<Ledger.Line<ProductEvent>> log(ProductRecord product) {
    return ledger.lines(product.id(), ProductStorage.BOOK);
  }

  private ProductRecord record(ProductRow row) {
    return new ProductRecord(row.id(), row.code(), state(row), row.madeOn(), row.bestBefore());
  }

  private ProductState state(ProductRow row) {
    return ledger.state(row.id(), ProductStorage.BOOK, row.kept());
  }

  private static String normal(String code) {
    return code.strip().toUpperCase(Locale.ROOT);
  }

  private static NotFound noProduct() {
    return new NotFound("There is no such product here.");
  }
}
