package velvetcrock.core.log;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.log.BatchState.Rest;
import velvetcrock.core.log.BatchState.Status;
import velvetcrock.core.log.BatchState.Stay;
import velvetcrock.core.log.BatchState.Tending;
import velvetcrock.core.log.BatchState.Weighed;

/** Folds a log into the state of its batch: the only place where a state comes from. */
public final class BatchLog {
  /** Bottles may hold this much more than was strained, for rounding at the measuring jug. */
  private static final double BOTTLING_TOLERANCE = 1.02;

  private static final double DRAW_TOLERANCE_ML = 0.5;

  /** More than this share of what went in cannot come out, however wet the herb. */
  private static final double MOST_OUT_OF_IN = 1.25;

  private Event.@Nullable Charged charge;
  private final List<Stay> stays = new ArrayList<>();
  private Event.@Nullable JarIn vessel;
  private int transfers;
  private @Nullable Rest rest;
  private final List<Weighed> weighings = new ArrayList<>();
  private double toppedUpMl;
  private Observations seen = Observations.none();
  private Tending tended = Tending.none();
  private @Nullable Instant strainedAt;
  private Event.@Nullable Strained strained;
  private final List<BottleState> bottles = new ArrayList<>();
  private final HeatLog heat = new HeatLog();
  private BatchState.Remains remains = BatchState.Remains.none();
  private BatchState.Colours colours = BatchState.Colours.none();
  private double usedMl;
  private @Nullable Instant endedAt;
  private Event.@Nullable Reason endedBecause;

  /** Less than this is none, ml. */
  private static final double EMPTY_ML = 5;

  private BatchLog() {}

  /**
   * Folds a log.
   *
   * @param entries in any order
   * @return the state that they amount to
   * @throws Refused if the log could not have happened, at the field that makes it so
   */
  public static BatchState fold(List<Entry> entries) {
    Set<UUID> replaced = new HashSet<>();
    entries.stream().filter(e -> e.replaces() != null).forEach(e -> replaced.add(e.replaces()));
    BatchLog log = new BatchLog();
    entries.stream()
        .filter(e -> !replaced.contains(e.id()))
        .sorted(
            Comparator.comparing((Entry e) -> !(e.event() instanceof Event.Charged))
                .thenComparing(Entry::at)
                .thenComparing(Entry::number))
        .forEach(e -> log.apply(e.event(), e.at()));
    return log.state(replaced.size(), entries.size());
  }

  private BatchState state(int corrections, int entries) {
    if (charge == null) {
      throw new Refused(
          "replaces", "The charging itself stays in the log. Throw the batch out instead.");
    }
    return new BatchState(
        status(),
        charge,
        List.copyOf(stays),
        vessel == null ? charge.jar() : vessel,
        transfers,
        rest,
        weighings,
        toppedUpMl,
        seen,
        tended,
        strainedAt,
        strained,
        List.copyOf(bottles),
        endedAt,
        endedBecause,
        corrections,
        entries,
        heat.heat(),
        remains,
        colours,
        usedMl);
  }

  private Status status() {
    if (strained == null) {
      return endedAt != null
          ? Status.THROWN_OUT
          : rest != null && rest.pouredAt() == null ? Status.RESTING : Status.INFUSING;
    }
    if (bottles.isEmpty()) {
      return usedMl > 0 && strained.oilMl() - usedMl < EMPTY_ML ? Status.FINISHED : Status.STRAINED;
    }
    return bottles.stream().allMatch(b -> b.goneAt() != null) ? Status.FINISHED : Status.BOTTLED;
  }

  private void apply(Event event, Instant at) {
    if (event instanceof Event.Charged e) {
      charged(e, at);
    } else if (event instanceof Event.Noted
        || event instanceof Event.LookedBack
        || event instanceof Event.Struck) {
      return;
    } else if (event instanceof Event.Strained e) {
      strained(e, at);
    } else if (event instanceof Event.MarcWeighed e) {
      require(strained != null, "kind", "Strain it first, then weigh the marc.");
      remains = remains.marc(e.massG());
    } else if (event instanceof Event.Decanted e) {
      require(strained != null, "kind", "Strain it first, then decant.");
      remains = remains.left(e);
    } else if (event instanceof Event.StoodClear) {
      require(strained != null, "kind", "Strain it first, then let it settle.");
      remains = remains.clear();
    } else if (event instanceof Event.Coloured e) {
      coloured(e, at);
    } else if (event instanceof Event.Bottled e) {
      bottled(e, at);
    } else if (event instanceof Event.Capped) {
      require(!bottles.isEmpty(), "kind", "There is no bottle to cap yet.");
      bottles.replaceAll(BottleState::cappedNow);
    } else if (event instanceof Event.Drawn e) {
      drawn(e, at);
    } else if (event instanceof Event.DrawnUnbottled e) {
      drawnUnbottled(e);
    } else if (event instanceof Event.GivenBack e) {
      givenBack(e, at);
    } else if (event instanceof Event.BottleGone e) {
      int index = bottleIndex(e.bottle());
      bottles.set(index, bottles.get(index).gone(e.reason(), at));
    } else if (event instanceof BottleEvent e) {
      kept(e, at);
    } else {
      inTheJar(event, at);
    }
  }

  private void coloured(Event.Coloured event, Instant at) {
    require(endedAt == null, "at", "It was thrown out before that.");
    require(event.plain() || !notPoured(), "kind", "Pour the oil first, then look at its colour.");
    colours = colours.and(event, at);
  }

  private void kept(BottleEvent event, Instant at) {
    int index = bottleIndex(event.bottle());
    BottleState bottle = bottles.get(index);
    if (event instanceof BottleEvent.Stood e) {
      require(
          bottle.leftMl() <= e.sizeMl() * BOTTLING_TOLERANCE,
          "size",
          "That is less than the " + Math.round(bottle.leftMl()) + " ml that are left.");
      bottles.set(index, bottle.stood(e, at));
    } else if (event instanceof BottleEvent.Opened) {
      bottles.set(index, bottle.opened(at));
    } else if (event instanceof BottleEvent.Checked e) {
      bottles.set(index, bottle.checked(e, at));
    }
  }

  private void charged(Event.Charged event, Instant at) {
    require(charge == null, "kind", "It has been charged already.");
    charge = event;
    stays.add(new Stay(at, event.stand()));
    if (event.manner().spirit() != null) {
      rest = new Rest(at, null, null, 0);
    }
  }

  private void oilPoured(Event.OilPoured event, Instant at) {
    Rest resting = resting();
    rest = new Rest(resting.since(), resting.even(), at, event.oilMl());
    if (event.grossG() != null) {
      weighings.add(new Weighed(at, event.grossG(), toppedUpMl, transfers));
    }
  }

  private void weighed(Event.PotWeighed event, Instant at) {
    require(!notPoured(), "grossG", "Pour the oil first, then weigh vessel and all.");
    weighings.add(new Weighed(at, event.grossG(), toppedUpMl, transfers));
  }

  private Rest resting() {
    Rest resting = rest;
    if (resting == null || resting.pouredAt() != null) {
      throw new Refused("kind", "It does not rest in spirit.");
    }
    return resting;
  }

  private boolean notPoured() {
    return rest != null && rest.pouredAt() == null;
  }

  private void inTheJar(Event event, Instant at) {
    require(endedAt == null, "at", "It was thrown out before that.");
    require(strained == null, "at", "It was strained before that.");
    if (heat.take(event, at)) {
      return;
    } else if (event instanceof Event.DampChecked e) {
      rest = new Rest(resting().since(), e.even(), null, 0);
    } else if (event instanceof Event.OilPoured e) {
      oilPoured(e, at);
    } else if (event instanceof Event.PotWeighed e) {
      weighed(e, at);
    } else if (event instanceof Event.Transferred e) {
      vessel = e.jar();
      transfers++;
    } else if (event instanceof Event.Shaken) {
      tended = shaken(at);
    } else if (event instanceof Event.Turned) {
      seen = seen.turned();
      tended =
          with(
              tended.shakenAt(),
              at,
              tended.lookedAt(),
              tended.smelledAt(),
              tended.toppedUpAt(),
              tended.shakes());
    } else if (event instanceof Event.AllWell) {
      seen = seen.allWell();
      tended = with(at, tended.turnedAt(), at, at, tended.toppedUpAt(), tended.shakes() + 1);
    } else if (event instanceof Event.Looked e) {
      seen = seen.after(e);
      tended =
          with(
              tended.shakenAt(),
              tended.turnedAt(),
              at,
              tended.smelledAt(),
              tended.toppedUpAt(),
              tended.shakes());
    } else if (event instanceof Event.Smelled e) {
      seen = seen.after(e);
      tended =
          with(
              tended.shakenAt(),
              tended.turnedAt(),
              tended.lookedAt(),
              at,
              tended.toppedUpAt(),
              tended.shakes());
    } else if (event instanceof Event.ToppedUp e) {
      require(!notPoured(), "kind", "Pour the oil first.");
      require(e.ml() > 0 && e.ml() <= 100_000, "amount", "A top-up is above 0 and at most 100 l.");
      seen = seen.coveredAgain();
      toppedUpMl += e.ml();
      tended =
          with(
              tended.shakenAt(),
              tended.turnedAt(),
              tended.lookedAt(),
              tended.smelledAt(),
              at,
              tended.shakes());
    } else if (event instanceof Event.Moved e) {
      stays.add(new Stay(at, e.stand()));
    } else if (event instanceof Event.ThrownOut e) {
      heat.end(at);
      endedAt = at;
      endedBecause = e.reason();
    }
  }

  private Tending shaken(Instant at) {
    return with(
        at,
        tended.turnedAt(),
        tended.lookedAt(),
        tended.smelledAt(),
        tended.toppedUpAt(),
        tended.shakes() + 1);
  }

  private static Tending with(
      @Nullable Instant shaken,
      @Nullable Instant turned,
      @Nullable Instant looked,
      @Nullable Instant smelled,
      @Nullable Instant toppedUp,
      int shakes) {
    return new Tending(shaken, turned, looked, smelled, toppedUp, shakes);
  }

  private void strained(Event.Strained event, Instant at) {
    require(endedAt == null, "at", "It was thrown out before that.");
    require(strained == null, "kind", "It has been strained already.");
    require(!notPoured(), "kind", "It rests in spirit and has had no oil yet.");
    require(event.oilMl() > 0, "amount", "What came out is above 0.");
    Range inMl = rest == null ? charge.oilMl() : Range.exactly(rest.pouredMl());
    double mostMl = (inMl.high() + toppedUpMl) * MOST_OUT_OF_IN;
    require(
        event.oilMl() <= mostMl,
        "amount",
        "More came out than went in: at most about "
            + Math.round(mostMl)
            + " ml can. Check number and unit.");
    heat.end(at);
    strained = event;
    strainedAt = at;
  }

  private void bottled(Event.Bottled event, Instant at) {
    Event.Strained out = strained;
    if (out == null) {
      throw new Refused("kind", "Strain it before bottling.");
    }
    require(!event.bottles().isEmpty(), "bottles", "Fill at least one bottle.");
    Problems problems = new Problems();
    double total = filledMl() + usedMl;
    for (int i = 0; i < event.bottles().size(); i++) {
      Event.BottleIn bottle = event.bottles().get(i);
      total += bottle.ml();
      String at0 = "bottles[" + i + "].amount";
      problems.require(bottle.ml() > 0, at0, "A bottle holds more than nothing.");
      problems.require(
          bottle.ml() <= bottle.sizeMl() * BOTTLING_TOLERANCE,
          at0,
          "That is more than this bottle holds.");
      problems.require(
          bottles.stream().noneMatch(b -> b.letter().equals(bottle.letter())),
          at0,
          "There is a bottle " + bottle.letter() + " already.");
    }
    problems.require(
        total <= out.oilMl() * BOTTLING_TOLERANCE,
        "bottles[" + (event.bottles().size() - 1) + "].amount",
        "Together that is "
            + Math.round(total)
            + " ml, and "
            + Math.round(out.oilMl())
            + " ml were strained.");
    problems.refuseIfAny();
    event.bottles().forEach(b -> bottles.add(BottleState.filled(b, at)));
  }

  private void drawn(Event.Drawn event, Instant at) {
    int index = bottleIndex(event.bottle());
    BottleState bottle = bottles.get(index);
    require(event.ml() > 0, "amount", "A draw is above 0.");
    require(
        event.ml() <= bottle.leftMl() + DRAW_TOLERANCE_ML,
        "amount",
        "Bottle " + event.bottle() + " has " + Math.round(bottle.leftMl()) + " ml left.");
    bottles.set(index, bottle.drawn(event.ml(), at));
  }

  private void drawnUnbottled(Event.DrawnUnbottled event) {
    Event.Strained out = strained;
    if (out == null) {
      throw new Refused("kind", "Strain it first.");
    }
    require(event.ml() > 0, "amount", "A draw is above 0.");
    double left = out.oilMl() - usedMl - filledMl();
    require(
        event.ml() <= left + DRAW_TOLERANCE_ML,
        "amount",
        Math.round(Math.max(0, left)) + " ml of it are in no bottle.");
    usedMl += event.ml();
  }

  private void givenBack(Event.GivenBack event, Instant at) {
    require(event.ml() > 0, "amount", "What comes back is above 0.");
    String letter = event.bottle();
    if (letter == null) {
      require(event.ml() <= usedMl + DRAW_TOLERANCE_ML, "amount", "Less than that was used.");
      usedMl = Math.max(0, usedMl - event.ml());
      return;
    }
    for (int i = 0; i < bottles.size(); i++) {
      BottleState bottle = bottles.get(i);
      if (bottle.letter().equals(letter)) {
        require(
            bottle.goneAt() == null || bottle.goneBecause() == Event.Reason.USED_UP,
            "bottle",
            "Bottle " + letter + " is gone.");
        require(
            bottle.leftMl() + event.ml() <= bottle.sizeMl() * BOTTLING_TOLERANCE,
            "amount",
            "Bottle " + letter + " does not hold that much more.");
        bottles.set(i, bottle.givenBack(event.ml(), at));
        return;
      }
    }
    throw new Refused("bottle", "There is no bottle " + letter + " of this batch.");
  }

  private double filledMl() {
    return bottles.stream().mapToDouble(b -> b.filled().ml()).sum();
  }

  private int bottleIndex(String letter) {
    for (int i = 0; i < bottles.size(); i++) {
      if (bottles.get(i).letter().equals(letter)) {
        require(
            bottles.get(i).goneAt() == null, "bottle", "Bottle " + letter + " is gone already.");
        return i;
      }
    }
    throw new Refused("bottle", "There is no bottle " + letter + " of this batch.");
  }

  private static void require(boolean rule, String field, String message) {
    if (!rule) {
      throw new Refused(field, message);
    }
  }
}
