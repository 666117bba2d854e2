package velvetcrock.core.diary;

import java.time.Duration;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.outlook.Timetable;

/**
 * Fits plans into one kitchen. As wished, they may clash; what resolves that is looked for in two
 * steps: each plan that clashes in the order of its day at the begin nearest to its wish that
 * clashes with none before it, and then a search that makes the shifts smaller. A plan that is in
 * nobody's way stays where it is. The search is bounded in moves, so that the same plans always
 * settle alike.
 *
 * <p>It promises that nothing clashes where it says so; it does not promise that no smaller shift
 * exists where more than a few plans clash.
 */
public final class Diary {
  private static final int NEAR_DAYS = 4;
  private static final int QUARTERS_NEAR = 24;
  private static final int QUARTER_MINUTES = 15;
  private static final int LATE_DAYS = 21;
  private static final int MOST_PLACINGS = 260;

  private final House house;
  private final LocalDateTime now;
  private final Clashes clashes;
  private final Weight weight;

  /** A diary of a kitchen from a moment on. */
  public Diary(House house, LocalDateTime now) {
    this.house = house;
    this.now = now;
    this.clashes = new Clashes(house);
    this.weight = new Weight(house);
  }

  /**
   * Bookings that clash no more, as far as that can be.
   *
   * @param bookings in the order of the jobs
   * @param clashes what is left; empty if it is resolved
   * @param searched whether a search was needed
   */
  public record Settled(List<Booking> bookings, List<Clash> clashes, boolean searched) {
    /** The bookings that were moved from where they would like to be. */
    public List<Booking> moved() {
      return bookings.stream().filter(b -> b.shiftMinutes() > 0).toList();
    }

    /** The bookings that miss their day. */
    public List<Booking> late() {
      return bookings.stream().filter(b -> b.lateMinutes() > 0).toList();
    }
  }

  /** The jobs as they would like to be, each on the first appliance that has room for it. */
  public List<Booking> asWished(List<Job> jobs) {
    return wishes(jobs).stream().map(Placing::booking).toList();
  }

  private List<Placing> wishes(List<Job> jobs) {
    List<Placing> wishes = new ArrayList<>();
    for (Job job : jobs) {
      Timetable timetable =
          timetable(job, job.wished()).orElseGet(() -> decided(job, job.wished()));
      wishes.add(nearest(on(job, timetable), wishes));
    }
    return wishes;
  }

  /** Where bookings clash, the earliest first. */
  public List<Clash> clashes(List<Booking> bookings) {
    return clashes.of(bookings);
  }

  /** Finds the smallest shift it can that resolves every clash. */
  public Settled settle(List<Job> jobs) {
    List<Placing> wishes = wishes(jobs);
    List<Booking> wished = wishes.stream().map(Placing::booking).toList();
    Set<String> clashing =
        clashes.of(wished).stream().flatMap(c -> c.jobs().stream()).collect(Collectors.toSet());
    if (clashing.isEmpty()) {
      return new Settled(full(wished), List.of(), false);
    }
    Map<String, List<Placing>> placings = new HashMap<>();
    for (Placing wish : wishes) {
      Job job = wish.job();
      placings.put(job.id(), clashing.contains(job.id()) ? placings(job) : List.of(wish));
    }
    Map<String, Placing> placed = oneByOne(jobs, clashing, placings);
    List<Booking> settled = new SmallerShifts(weight, jobs, placings).improve(placed);
    return new Settled(full(settled), clashes.of(settled), true);
  }

  /**
   * Those that stay first, then each in the order of its day, nearest to its wish among those that
   * are placed already.
   */
  private Map<String, Placing> oneByOne(
      List<Job> jobs, Set<String> clashing, Map<String, List<Placing>> placings) {
    Map<String, Placing> placed = new HashMap<>();
    List<Placing> before = new ArrayList<>();
    jobs.stream()
        .sorted(
            Comparator.comparing((Job job) -> clashing.contains(job.id()))
                .thenComparing(Job::deadline)
                .thenComparing(Job::wished))
        .forEach(
            job -> {
              Placing placing = nearest(placings.get(job.id()), before);
              before.add(placing);
              placed.put(job.id(), placing);
            });
    return placed;
  }

  /** The first that does not clash with what is there, or the one that does so least. */
  private Placing nearest(List<Placing> placings, List<Placing> before) {
    long given = weight.of(before);
    Placing best = placings.get(0);
    long least = Long.MAX_VALUE;
    for (Placing placing : placings) {
      List<Placing> with = new ArrayList<>(before);
      with.add(placing);
      long more = weight.of(with) - given;
      if (more < least) {
        best = placing;
        least = more;
      }
      if (least == 0) {
        break;
      }
    }
    return best;
  }

  /**
   * The begins that a job may have, nearest to its wish first and those in time before those that
   * are late: by the quarter of an hour around its wish, then by the hour, by the day beyond.
   */
  private List<Placing> placings(Job job) {
    TreeSet<LocalDateTime> begins = new TreeSet<>();
    begins.add(job.wished());
    LocalDateTime hour = job.wished().truncatedTo(ChronoUnit.HOURS);
    for (int q = -QUARTERS_NEAR; q <= QUARTERS_NEAR; q++) {
      begins.add(hour.plusMinutes((long) QUARTER_MINUTES * q));
    }
    for (int h = -24 * NEAR_DAYS; h <= 24 * NEAR_DAYS; h++) {
      begins.add(hour.plusHours(h));
    }
    LocalDateTime last = job.deadline().plusDays(LATE_DAYS);
    for (LocalDateTime day = now; day.isBefore(last); day = day.plusDays(1)) {
      begins.add(day.toLocalDate().atTime(house.hours().wakes()));
    }
    Map<LocalDateTime, Timetable> distinct = new LinkedHashMap<>();
    for (LocalDateTime begin : begins) {
      if (!begin.isBefore(now)) {
        timetable(job, begin).ifPresent(t -> distinct.putIfAbsent(t.begins(), t));
      }
    }
    List<Timetable> nearest =
        distinct.values().stream()
            .sorted(
                Comparator.comparing((Timetable t) -> t.ready().isAfter(job.deadline()))
                    .thenComparing(
                        t -> Duration.between(job.wished(), t.begins()).abs().toMinutes()))
            .limit(MOST_PLACINGS)
            .toList();
    List<Placing> placings = new ArrayList<>();
    nearest.forEach(timetable -> placings.addAll(on(job, timetable)));
    return placings.isEmpty() ? on(job, decided(job, job.wished())) : List.copyOf(placings);
  }

  /** A timetable on every appliance that serves it. */
  private List<Placing> on(Job job, Timetable timetable) {
    return heaters(job).stream().map(h -> new Placing(job, timetable, h, weight)).toList();
  }

  /** The appliances that serve a job; only null where it needs none or there is none. */
  private List<@Nullable String> heaters(Job job) {
    List<String> serving =
        house.heaters().stream()
            .filter(h -> job.wantsHeat() && h.kind().serves(job.method()))
            .sorted(Comparator.comparing((House.Heater h) -> h.holds() < job.places()))
            .map(House.Heater::id)
            .toList();
    return serving.isEmpty() ? Arrays.asList((String) null) : List.copyOf(serving);
  }

  private Optional<Timetable> timetable(Job job, LocalDateTime begin) {
    return Timetable.withoutChecks(begin, job.method(), job.hours(), job.making(), house.hours());
  }

  private Timetable decided(Job job, LocalDateTime begin) {
    return Timetable.decided(begin, job.method(), job.hours(), job.making(), house.hours());
  }

  /** The same with every look and shaking. */
  private List<Booking> full(List<Booking> bookings) {
    return bookings.stream()
        .map(b -> new Booking(b.job(), decided(b.job(), b.timetable().begins()), b.heater()))
        .toList();
  }
}
