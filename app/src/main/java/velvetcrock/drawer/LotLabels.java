package velvetcrock.drawer;

import java.nio.charset.StandardCharsets;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Quotas;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.Picture;

/** Pictures of the labels on what was bought: what no field asks for can be read there again. */
@Service
class LotLabels {
  private static final int MOST = 6;

  private final Drawer drawer;
  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final Quotas quotas;
  private final Clock clock;

  LotLabels(
      Drawer drawer, JdbcTemplate jdbc, CurrentHousehold current, Quotas quotas, Clock clock) {
    this.quotas = quotas;
    this.drawer = drawer;
    this.jdbc = jdbc;
    this.current = current;
    this.clock = clock;
  }

  /** A picture, and when it was taken. */
  record Label(UUID id, Instant at) {}

  /** Those of a lot, the oldest first. */
  @Transactional(readOnly = true)
  public List<Label> of(UUID lot) {
    return jdbc.query(
        "select id, sent_at from lot_label where household_id = ? and lot_id = ? order by sent_at",
        (row, number) -> new Label(row.getObject(1, UUID.class), row.getTimestamp(2).toInstant()),
        current.id(),
        lot);
  }

  /**
   * Keeps a picture of a lot's label.
   *
   * @param at when it was taken; now if null
   * @param key names it, so that one that is sent twice is kept once
   * @throws Refused at {@code photo}
   * @throws NotFound if there is no such lot
   */
  @Transactional
  public void keep(UUID lot, @Nullable MultipartFile file, @Nullable Instant at, String key) {
    drawer.lot(lot);
    UUID id =
        key.isEmpty()
            ? UUID.randomUUID()
            : UUID.nameUUIDFromBytes((lot + "/label/" + key).getBytes(StandardCharsets.UTF_8));
    List<Label> all = of(lot);
    if (all.stream().anyMatch(label -> label.id().equals(id))) {
      return;
    }
    if (all.size() >= MOST) {
      throw new Refused("photo", "Six pictures are kept already. Take one away first.");
    }
    byte[] jpeg = Picture.sent(file).jpeg();
    quotas.photo(jpeg);
    jdbc.update(
        "insert into lot_label (household_id, id, lot_id, jpeg, sent_at) values (?, ?, ?, ?, ?)",
        current.id(),
        id,
        lot,
        jpeg,
        Timestamp.from(at == null ? clock.instant() : at));
  }

  /**
   * A picture, as JPEG.
   *
   * @throws NotFound if the lot has none such
   */
  @Transactional(readOnly = true)
  public byte[] jpeg(UUID lot, UUID label) {
    return jdbc
        .query(
            "select jpeg from lot_label where household_id = ? and lot_id = ? and id = ?",
            (row, number) -> row.getBytes(1),
            current.id(),
            lot,
            label)
        .stream()
        .findFirst()
        .orElseThrow(() -> new NotFound("There is no such picture."));
  }

  /**
   * Takes a picture away; one that is gone stays so.
   *
   * @throws NotFound if there is no such lot
   */
  @Transactional
  public void remove(UUID lot, UUID label) {
    drawer.lot(lot);
    jdbc.update(
        "delete from lot_label where household_id = ? and lot_id = ? and id = ?",
        current.id(),
        lot,
        label);
  }
}
