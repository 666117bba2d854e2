package velvetcrock.products;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.product.PartIn;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;

/**
 * What went into which product, both ways in one step. Its joins are the database's own, so that
 * the household stands in every statement here by hand.
 */
@Component
class Traces {
  private static final int MOST = 5_000;

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;

  Traces(JdbcTemplate jdbc, CurrentHousehold current) {
    this.jdbc = jdbc;
    this.current = current;
  }

  /** Keeps where the parts of a product come from, in the place of what was kept before. */
  @Transactional(propagation = Propagation.MANDATORY)
  void keep(UUID product, List<PartIn> parts) {
    jdbc.update(
        "delete from product_source where product_id = ? and household_id = ?",
        product,
        current.id());
    List<Object[]> rows = new ArrayList<>();
    for (PartIn part : parts) {
      PartIn.Infused infused = part.infused();
      if (infused != null || part.lot() != null) {
        rows.add(
            new Object[] {
              UUID.randomUUID(),
              current.id(),
              product,
              infused == null ? null : infused.batch(),
              infused == null ? null : infused.letter(),
              part.lot()
            });
      }
    }
    jdbc.batchUpdate(
        "insert into product_source (id, household_id, product_id, batch_code, letter, lot_id)"
            + " values (?, ?, ?, ?, ?, ?)",
        rows);
  }

  /**
   * Something that a product goes back to.
   *
   * @param lot a lot of the drawer
   * @param batch the batch through which it came; null where it went in straight
   */
  record Back(UUID lot, @Nullable String batch) {}

  /** Every lot that a product goes back to. */
  @Transactional(readOnly = true)
  List<Back> back(UUID product) {
    return jdbc.query(
        "select distinct l.lot_id, s.batch_code from product_source s"
            + " join batch b on b.household_id = s.household_id and b.code = s.batch_code"
            + " join batch_lot l on l.batch_id = b.id where s.household_id = ? and s.product_id = ?"
            + " union select s.lot_id, null from product_source s"
            + " where s.household_id = ? and s.product_id = ? and s.lot_id is not null",
        (row, n) -> new Back(row.getObject(1, UUID.class), row.getString(2)),
        current.id(),
        product,
        current.id(),
        product);
  }

  /** The lots that some products go back to, by product. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  Map<UUID, List<UUID>> lots(List<UUID> products) {
    Map<UUID, List<UUID>> lots = new HashMap<>();
    UUID[] ids = products.toArray(UUID[]::new);
    jdbc.query(
        "select s.product_id, l.lot_id from product_source s"
            + " join batch b on b.household_id = s.household_id and b.code = s.batch_code"
            + " join batch_lot l on l.batch_id = b.id where s.household_id = ? and s.product_id = any(?)"
            + " union select s.product_id, s.lot_id from product_source s"
            + " where s.household_id = ? and s.product_id = any(?) and s.lot_id is not null order by 1, 2",
        row -> {
          lots.computeIfAbsent(row.getObject(1, UUID.class), id -> new ArrayList<>())
              .add(row.getObject(2, UUID.class));
        },
        current.id(),
        ids,
        current.id(),
        ids);
    return Map.copyOf(lots);
  }

  /** Every product that a lot went into, straight or by way of a batch; the newest first. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  List<UUID> ofLot(UUID lot) {
    return distinct(
        jdbc.query(
            "select p.id, p.made_on from product p where p.household_id = ? and p.id in ("
                + "select s.product_id from product_source s where s.household_id = ? and s.lot_id = ?"
                + " union select s.product_id from batch_lot l join batch b on b.id = l.batch_id"
                + " join product_source s on s.household_id = l.household_id and s.batch_code = b.code"
                + " where l.household_id = ? and l.lot_id = ?)"
                + " order by p.made_on desc, p.id limit "
                + MOST,
            (row, n) -> row.getObject(1, UUID.class),
            current.id(),
            current.id(),
            lot,
            current.id(),
            lot));
  }

  /** Every product that a batch went into; the newest first. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  List<UUID> ofBatch(String code) {
    return distinct(
        jdbc.query(
            "select p.id from product p join product_source s on s.product_id = p.id"
                + " where s.household_id = ? and s.batch_code = ?"
                + " order by p.made_on desc, p.id limit "
                + MOST,
            (row, n) -> row.getObject(1, UUID.class),
            current.id(),
            code));
  }

  private static List<UUID> distinct(List<UUID> ids) {
    Set<UUID> set = new LinkedHashSet<>(ids);
    return List.copyOf(set);
  }
}
