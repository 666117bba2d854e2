package velvetcrock.core.diary;

import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Span;
import velvetcrock.core.outlook.Step;
import velvetcrock.core.outlook.Timetable;

/**
 * Weighs how badly plans clash: jar-minutes too many, minutes of two heats on one appliance, and
 * minutes of two hands. It is asked for every move of a search, so it counts in whole minutes.
 */
final class Weight {
  private static final int NO_HEAT = -1;
  private static final int SECONDS_PER_MINUTE = 60;
  private static final int LONGEST_BITS = 16;
  private static final long LONGEST = (1 << LONGEST_BITS) - 1;

  private final Map<String, Integer> number = new HashMap<>();
  private final List<Integer> holds = new ArrayList<>();
  private final int heaters;
  private final List<Claim> taken = new ArrayList<>();

  Weight(House house) {
    house.heaters().forEach(h -> resource(h.id(), h.holds()));
    heaters = number.size();
    house.jars().forEach(this::resource);
    for (House.Taken t : house.taken()) {
      Integer resource = number.get(t.what());
      if (resource != null) {
        taken.add(claim(resource, t.span(), t.count(), heat(t.heat())));
      }
    }
  }

  private void resource(String id, int most) {
    number.put(id, number.size());
    holds.add(most);
  }

  private static int heat(@Nullable Method method) {
    return method == null ? NO_HEAT : method.ordinal();
  }

  /**
   * A claim on so many of a resource, in minutes.
   *
   * @param heat which method's heat, where it is one; it has an appliance to itself
   */
  record Claim(int resource, long from, long until, int count, int heat) {
    boolean meets(Claim other) {
      return from < other.until && other.from < until;
    }
  }

  /** What a job claims; nothing of what there is in plenty. */
  List<Claim> claims(Job job, Timetable timetable, @Nullable String heater) {
    List<Claim> claims = new ArrayList<>();
    if (heater != null) {
      timetable
          .onHeat()
          .forEach(s -> claims.add(claim(number.get(heater), s, job.places(), heat(job.method()))));
    }
    job.jars()
        .forEach(
            (key, count) -> {
              Integer resource = number.get(key);
              if (resource != null) {
                claims.add(claim(resource, timetable.inJar(), count, NO_HEAT));
              }
            });
    return List.copyOf(claims);
  }

  private static Claim claim(int resource, Span span, int count, int heat) {
    return new Claim(resource, minute(span.from()), minute(span.until()), count, heat);
  }

  /** When a timetable takes hands: begins and ends in turn, min. */
  static long[] hands(Timetable timetable) {
    return timetable.steps().stream()
        .filter(Step::takesHands)
        .flatMapToLong(s -> LongStream.of(minute(s.at()), minute(s.at().plusMinutes(s.minutes()))))
        .toArray();
  }

  private static long minute(LocalDateTime at) {
    return at.toEpochSecond(ZoneOffset.UTC) / SECONDS_PER_MINUTE;
  }

  /** The weight of all of them; 0 where nothing clashes. */
  long of(List<Placing> placings) {
    List<List<Claim>> byResource = new ArrayList<>(holds.size());
    for (int i = 0; i < holds.size(); i++) {
      byResource.add(new ArrayList<>());
    }
    for (Claim claim : taken) {
      byResource.get(claim.resource()).add(claim);
    }
    int handed = 0;
    for (Placing placing : placings) {
      for (Claim claim : placing.claims()) {
        byResource.get(claim.resource()).add(claim);
      }
      handed += placing.hands().length;
    }
    long weight = twoHands(placings, handed / 2);
    for (int resource = 0; resource < byResource.size(); resource++) {
      weight += tooMany(byResource.get(resource), holds.get(resource));
      if (resource < heaters) {
        weight += twoHeats(byResource.get(resource));
      }
    }
    return weight;
  }

  private static long tooMany(List<Claim> claims, int most) {
    int sum = 0;
    for (Claim claim : claims) {
      sum += claim.count();
    }
    if (sum <= most) {
      return 0;
    }
    long weight = 0;
    for (Claim first : claims) {
      int there = 0;
      for (Claim other : claims) {
        if (other == first || other.from() <= first.from() && other.meets(first)) {
          there += other.count();
        }
      }
      if (there > most) {
        weight += (there - most) * Math.max(1, first.until() - first.from());
      }
    }
    return weight;
  }

  private static long twoHeats(List<Claim> claims) {
    long weight = 0;
    for (int i = 0; i < claims.size(); i++) {
      for (int j = i + 1; j < claims.size(); j++) {
        Claim a = claims.get(i);
        Claim b = claims.get(j);
        if (a.heat() != b.heat() && a.meets(b)) {
          weight += Math.min(a.until(), b.until()) - Math.max(a.from(), b.from());
        }
      }
    }
    return weight;
  }

  private static long twoHands(List<Placing> placings, int count) {
    long[] order = new long[count];
    int filled = 0;
    for (Placing placing : placings) {
      long[] hands = placing.hands();
      for (int i = 0; i < hands.length; i += 2) {
        order[filled++] = hands[i] << LONGEST_BITS | Math.min(LONGEST, hands[i + 1] - hands[i]);
      }
    }
    Arrays.sort(order);
    long weight = 0;
    for (int i = 0; i < count; i++) {
      long until = (order[i] >> LONGEST_BITS) + (order[i] & LONGEST);
      for (int j = i + 1; j < count && order[j] >> LONGEST_BITS < until; j++) {
        long from = order[j] >> LONGEST_BITS;
        weight += Math.min(until, from + (order[j] & LONGEST)) - from;
      }
    }
    return weight;
  }
}
