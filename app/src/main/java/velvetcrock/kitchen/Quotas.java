package velvetcrock.kitchen;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;

/**
 * How much a household may have where many live on the same machines. Nothing is counted where
 * nothing is limited, as in somebody’s own house.
 */
@Component
public class Quotas {
  private static final long MEGABYTE = 1_000_000;
  private static final String SHARE = " Others live here too: ask whoever keeps this house.";

  private final long photosMb;
  private final long readingsADay;
  private final long exportsADay;
  private final Households households;
  private final JdbcTemplate jdbc;
  private final Clock clock;

  Quotas(
      @Value("${velvetcrock.quota.photos-mb}") long photosMb,
      @Value("${velvetcrock.quota.readings-a-day}") long readingsADay,
      @Value("${velvetcrock.quota.exports-a-day}") long exportsADay,
      Households households,
      JdbcTemplate jdbc,
      Clock clock) {
    this.photosMb = photosMb;
    this.readingsADay = readingsADay;
    this.exportsADay = exportsADay;
    this.households = households;
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * One more picture.
   *
   * @throws Refused at {@code photo} if there is no room for it
   */
  @Transactional
  public void photo(byte[] jpeg) {
    if (free(photosMb)) {
      return;
    }
    Long kept =
        jdbc.queryForObject(
            "select (select coalesce(sum(octet_length(jpeg)), 0) from look_photo)"
                + " + (select coalesce(sum(octet_length(jpeg)), 0) from lot_label)",
            Long.class);
    if (kept != null && kept + jpeg.length > photosMb * MEGABYTE) {
      throw new Refused(
          "photo",
          "Pictures of a household take up at most "
              + photosMb
              + " MB here, and there is no room for this one. Take some away first."
              + SHARE);
    }
  }

  /**
   * So many more readings, in the transaction that adds them.
   *
   * @throws Refused at {@code file} if they are too many for a day
   */
  @Transactional
  public void readings(long more) {
    if (!free(readingsADay) && more > 0 && used("readings", more) > readingsADay) {
      throw new Refused(
          "file",
          "A household sends at most "
              + readingsADay
              + " readings a day here. None of these was taken; they can be sent tomorrow."
              + SHARE);
    }
  }

  /**
   * All of it as a file, once more.
   *
   * @throws Refused at {@code packing} if that was done too often today
   */
  @Transactional
  public void export() {
    if (!free(exportsADay) && used("exports", 1) > exportsADay) {
      throw new Refused(
          "packing",
          "A household takes its data out at most "
              + exportsADay
              + " times a day here. Tomorrow again."
              + SHARE);
    }
  }

  /** The demo has no keeper whom it could ask, and is put back by itself. */
  private boolean free(long limit) {
    return limit == 0 || households.current().demo();
  }

  /** Counts on for today, by the same clock for all; returns how many there are now. */
  private long used(String what, long more) {
    Long now =
        jdbc.queryForObject(
            """
            insert into household_use (day, %1$s) values (?, ?)
            on conflict (household_id, day) do update set %1$s = household_use.%1$s + excluded.%1$s
            returning %1$s"""
                .formatted(what),
            Long.class,
            LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC),
            more);
    return now == null ? 0 : now;
  }
}
