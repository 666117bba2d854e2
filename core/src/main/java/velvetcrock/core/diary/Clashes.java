package velvetcrock.core.diary;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Span;
import velvetcrock.core.outlook.Step;

/** Finds where bookings get in each other's way, for telling; {@link Weight} weighs the same. */
final class Clashes {
  private final House house;
  private final Map<String, Integer> holds = new HashMap<>();

  Clashes(House house) {
    this.house = house;
    house.heaters().forEach(h -> holds.put(h.id(), h.holds()));
  }

  /**
   * A claim on something that there is only so much of.
   *
   * @param heat ordinal of the method, for what must not share an appliance; −1 where that is all
   *     one
   */
  private record Claim(Span span, int count, String job, int heat, boolean planned) {}

  /** All clashes, the earliest first. */
  List<Clash> of(List<Booking> bookings) {
    List<Clash> found = new ArrayList<>();
    Map<String, List<Claim>> claims = claims(bookings);
    claims.forEach(
        (what, all) -> {
          boolean heater = holds.containsKey(what);
          int most = heater ? holds.get(what) : house.jars().getOrDefault(what, Integer.MAX_VALUE);
          over(what, all, most, heater, found);
        });
    hands(bookings, found);
    bookings.stream()
        .filter(b -> b.job().wantsHeat() && b.heater() == null)
        .forEach(
            b ->
                found.add(
                    new Clash(
                        Clash.Kind.NO_HEATER,
                        "",
                        List.of(b.job().id()),
                        List.of(),
                        b.timetable().onHeat().get(0))));
    found.sort(Comparator.comparing((Clash c) -> c.span().from()).thenComparing(Clash::kind));
    return List.copyOf(found);
  }

  private Map<String, List<Claim>> claims(List<Booking> bookings) {
    Map<String, List<Claim>> claims = new LinkedHashMap<>();
    for (House.Taken taken : house.taken()) {
      claims
          .computeIfAbsent(taken.what(), w -> new ArrayList<>())
          .add(new Claim(taken.span(), taken.count(), taken.by(), heat(taken.heat()), false));
    }
    for (Booking booking : bookings) {
      String heater = booking.heater();
      if (heater != null) {
        for (Span span : booking.timetable().onHeat()) {
          claims
              .computeIfAbsent(heater, w -> new ArrayList<>())
              .add(
                  new Claim(
                      span,
                      booking.job().places(),
                      booking.job().id(),
                      booking.job().method().ordinal(),
                      true));
        }
      }
      booking
          .job()
          .jars()
          .forEach(
              (key, count) ->
                  claims
                      .computeIfAbsent(key, w -> new ArrayList<>())
                      .add(
                          new Claim(
                              booking.timetable().inJar(), count, booking.job().id(), -1, true)));
    }
    return claims;
  }

  private static int heat(@Nullable Method method) {
    return method == null ? -1 : method.ordinal();
  }

  private static List<Claim> handClaims(List<Booking> bookings) {
    List<Claim> hands = new ArrayList<>();
    for (Booking booking : bookings) {
      for (Step step : booking.timetable().steps()) {
        if (step.takesHands()) {
          hands.add(new Claim(Span.of(step.at(), step.minutes()), 1, booking.job().id(), -1, true));
        }
      }
    }
    return hands;
  }

  private void over(String what, List<Claim> claims, int most, boolean heater, List<Clash> found) {
    for (Claim first : claims) {
      List<Claim> there =
          claims.stream()
              .filter(
                  c ->
                      c == first
                          || c.span().overlaps(first.span())
                              && !c.span().from().isAfter(first.span().from()))
              .toList();
      if (there.stream().noneMatch(Claim::planned)) {
        continue;
      }
      if (there.stream().mapToInt(Claim::count).sum() > most) {
        found.add(
            clash(
                heater ? Clash.Kind.TOO_MANY_ON_HEAT : Clash.Kind.TOO_FEW_JARS,
                what,
                there,
                first.span()));
      }
      boolean mixed = heater && there.stream().map(Claim::heat).distinct().count() > 1;
      if (mixed) {
        found.add(clash(Clash.Kind.TWO_HEATS, what, there, first.span()));
      }
    }
  }

  private void hands(List<Booking> bookings, List<Clash> found) {
    List<Claim> hands = handClaims(bookings);
    for (int i = 0; i < hands.size(); i++) {
      for (int j = i + 1; j < hands.size(); j++) {
        if (hands.get(i).span().overlaps(hands.get(j).span())) {
          Claim later =
              hands.get(i).span().from().isAfter(hands.get(j).span().from())
                  ? hands.get(i)
                  : hands.get(j);
          found.add(
              clash(Clash.Kind.TWO_HANDS, "", List.of(hands.get(i), hands.get(j)), later.span()));
        }
      }
    }
  }

  private static Clash clash(Clash.Kind kind, String what, List<Claim> there, Span span) {
    TreeSet<String> jobs = new TreeSet<>();
    TreeSet<String> others = new TreeSet<>();
    there.forEach(c -> (c.planned() ? jobs : others).add(c.job()));
    return new Clash(kind, what, List.copyOf(jobs), List.copyOf(others), span);
  }
}
