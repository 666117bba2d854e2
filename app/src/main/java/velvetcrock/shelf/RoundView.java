package velvetcrock.shelf;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.BottleRecord;
import velvetcrock.batch.TimerWords;
import velvetcrock.batch.VisitWords;
import velvetcrock.core.batch.Visited;
import velvetcrock.core.care.Ahead;
import velvetcrock.core.care.Care;
import velvetcrock.core.care.Round;
import velvetcrock.core.care.Task;
import velvetcrock.core.care.Task.Kind;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Method;
import velvetcrock.drawer.LoadRecord;
import velvetcrock.kitchen.Place;
import velvetcrock.plans.Planned;
import velvetcrock.web.Formats;

/**
 * The round of the day: what is late first, then what wants doing, by place in walking order; what
 * is to come, what was put off, and the timers that run.
 *
 * @param summary how many things, and about how long they take
 * @param works what takes a while and is no part of the walk
 */
record RoundView(
    String title,
    String summary,
    List<Stop> stops,
    List<Item> works,
    List<Later> later,
    List<Waived> waived,
    List<Timer> timers) {
  private static final int HOURS_AHEAD = 16;

  /** A bottle that may want something, with what it does. */
  record Waiting(BottleRecord bottle, Optional<Task> task) {}

  /** A product that wants something. */
  record Made(String code, String name, LocalDate bestBefore, Task task) {}

  /** A load that dries with what wants doing for it. */
  record Load(LoadRecord load, List<Task> tasks) {}

  /**
   * All that wants doing, wherever it is.
   *
   * @param moreLoads loads that dry beyond those
   */
  record Everything(
      List<Place> places,
      List<BatchRecord> batches,
      List<Waiting> bottles,
      List<Load> loads,
      long moreLoads,
      List<Planned> plans,
      List<Made> products,
      List<RoundNote.Noted> notes) {}

  /**
   * A visit to jars that stand together: what is done with each of them in one go.
   *
   * @param acts just what one tap logs
   */
  record Visit(Set<Visited.Act> acts, List<Jar> jars) {
    /** What one tap logs, by comma. */
    public String logs() {
      return acts.stream().map(Enum::name).collect(Collectors.joining(","));
    }

    /** The jars, by comma. */
    public String codes() {
      return jars.stream().map(Jar::code).collect(Collectors.joining(","));
    }

    /** The jars, as they are read out. */
    public String spoken() {
      return jars.stream().map(Jar::code).collect(Collectors.joining(", "));
    }

    /** Names the tap for each jar, by comma. */
    public String keys() {
      return jars.stream().map(Jar::key).collect(Collectors.joining(","));
    }

    double minutes() {
      return Care.visitMinutes(acts.size(), jars.size());
    }
  }

  /**
   * A jar that is visited.
   *
   * @param note how it is to be known, and what is special with it; may be empty
   * @param key names the tap for it
   */
  record Jar(String code, String note, String key) {}

  /** A place on the way with what is to be done there. */
  record Stop(String place, List<Item> items) {}

  /** Something to come by the clock, with how many seconds are left. */
  record Later(String code, String words, String clock, String when, long seconds, String link) {}

  /** Something put off or skipped. */
  record Waived(UUID id, String code, String words, String when) {}

  /** A timer that runs, or that has run out. */
  record Timer(UUID id, String words, String when, long seconds, boolean over) {}

  /**
   * What can be said of a task besides that it is done.
   *
   * @param subject what it is about
   * @param kind what it is; names it within that
   */
  record Says(String subject, Kind kind) {
    /** Whether it may be left undone this time. */
    public boolean skippable() {
      return kind.skippable();
    }

    /** For how many minutes it may be put off. */
    public List<Integer> waits() {
      return Care.waits(kind);
    }

    /** A timer that goes with it, min; 0 for none. */
    public int minutes() {
      return kind.timerMinutes();
    }

    /** What the time is for. */
    public String timerFor() {
      return TimerWords.reason(kind);
    }

    /** What the timer is called, with the code of what it is about. */
    public String timerName(String code) {
      return TimerWords.name(kind, code);
    }

    private String name() {
      return subject + "/" + kind.name();
    }

    /** Whether this is about a subject, alone or with others. */
    private boolean wants(String one, String task) {
      return kind.name().equals(task)
          && (subject.equals(one) || List.of(subject.split(",")).contains(one));
    }
  }

  /**
   * A thing to do.
   *
   * @param tick the kind of entry that one tap logs; null if it has a page of its own
   * @param amount oil that the tap logs, as text; may be empty
   * @param link its page
   * @param key names the tap, so that a second one by anybody is not logged again
   * @param says what else can be said of it
   */
  record Item(
      String code,
      String words,
      String note,
      boolean late,
      @Nullable String tick,
      String amount,
      String link,
      String key,
      @Nullable Visit visit,
      Says says) {
    /** Late in red is only what harms while it waits. */
    Item {
      late = late && says.kind().waiting() == Task.Waiting.HARMS;
    }

    Item(
        String code,
        String words,
        String note,
        boolean late,
        @Nullable String tick,
        String amount,
        String link,
        String key,
        Says says) {
      this(code, words, note, late, tick, amount, link, key, null, says);
    }

    /** Hands-on work, min. */
    public double minutes() {
      return visit == null ? says.kind().minutes() : visit.minutes();
    }

    /** Whether it is work to sit down to, and no part of the walk. */
    public boolean work() {
      return visit == null && says.kind().minutes() >= Care.WORK_FROM_MINUTES;
    }

    private Item at(String place) {
      String where = note.isEmpty() ? place : place + ": " + note;
      return new Item(code, words, where, late, tick, amount, link, key, visit, says);
    }
  }

  static RoundView of(Everything all, Round round, Catalogue catalogue, Formats fmt, int hour) {
    Map<String, RoundNote.Noted> waived = new HashMap<>();
    all.notes().stream()
        .filter(n -> n.what() != RoundNote.Deferral.TIMER)
        .forEach(n -> waived.put(n.subject() + "/" + n.task(), n));
    List<Stop> walk = new ArrayList<>();
    for (Stop stop : walk(all, round, catalogue, fmt)) {
      List<Item> left =
          stop.items().stream().filter(i -> !waived.containsKey(i.says().name())).toList();
      if (!left.isEmpty()) {
        walk.add(new Stop(stop.place(), left));
      }
    }
    List<Item> works =
        walk.stream()
            .flatMap(s -> s.items().stream().filter(Item::work).map(i -> i.at(s.place())))
            .toList();
    List<Stop> stops = lateFirst(walk.stream().flatMap(s -> Visits.together(s).stream()).toList());
    List<Item> walked = stops.stream().flatMap(s -> s.items().stream()).toList();
    long cannotWait = walked.stream().filter(Item::late).count();
    long minutes = Math.round(walk.stream().mapToDouble(RoundView::minutes).sum());
    String time =
        hour < 11 ? "This morning’s round" : hour < 17 ? "Today’s round" : "This evening’s round";
    String summary =
        walked.isEmpty()
            ? "Nothing wants doing. Come back tomorrow"
            : (walked.size() == 1 ? "One thing" : walked.size() + " things")
                + ", about "
                + Math.max(1, minutes)
                + " min"
                + (cannotWait == 0 ? "" : ". " + RoundWords.cannotWait(cannotWait));
    return new RoundView(
        time,
        summary,
        stops,
        works,
        later(all, catalogue, fmt),
        waived.values().stream()
            .sorted(Comparator.comparing(RoundNote.Noted::until))
            .map(
                n ->
                    new Waived(
                        n.id(),
                        n.subject(),
                        n.what() == RoundNote.Deferral.SKIPPED
                            ? "skipped: " + n.words()
                            : "put off",
                        fmt.moment(n.until())))
            .toList(),
        timers(all.notes(), fmt));
  }

  /** The timers among what was noted. */
  static List<Timer> timers(List<RoundNote.Noted> notes, Formats fmt) {
    return notes.stream()
        .filter(n -> n.what() == RoundNote.Deferral.TIMER)
        .map(n -> timer(n, fmt))
        .toList();
  }

  /** What is done at a stop takes, min: the way there is gone once. */
  private static double minutes(Stop stop) {
    return Visits.together(stop).stream()
        .flatMap(s -> s.items().stream())
        .mapToDouble(i -> i.minutes() - Care.TO_A_PLACE_MINUTES)
        .reduce(Double::sum)
        .stream()
        .map(sum -> sum + Care.TO_A_PLACE_MINUTES)
        .sum();
  }

  /** The first things of it. */
  public List<Item> first(int most) {
    return Stream.concat(stops.stream().flatMap(stop -> stop.items().stream()), works.stream())
        .limit(most)
        .toList();
  }

  /** What wants doing of a name about a subject, if anything does. */
  Optional<Item> wanting(String subject, String task) {
    return Stream.concat(stops.stream().flatMap(stop -> stop.items().stream()), works.stream())
        .filter(i -> i.says().wants(subject, task))
        .findFirst();
  }

  private static Timer timer(RoundNote.Noted note, Formats fmt) {
    long seconds = note.until().getEpochSecond() - fmt.now().getEpochSecond();
    return new Timer(
        note.id(),
        note.words().isEmpty() ? "Timer" : note.words(),
        fmt.clock(note.until()),
        Math.max(0, seconds),
        seconds <= 0);
  }

  private static List<Stop> lateFirst(List<Stop> walk) {
    List<Item> late = new ArrayList<>();
    List<Stop> stops = new ArrayList<>();
    for (Stop stop : walk) {
      List<Item> inTime = new ArrayList<>();
      for (Item item : stop.items()) {
        if (item.late()) {
          late.add(item.at(stop.place()));
        } else {
          inTime.add(item);
        }
      }
      if (!inTime.isEmpty()) {
        stops.add(new Stop(stop.place(), inTime));
      }
    }
    if (!late.isEmpty()) {
      stops.add(0, new Stop("Before all else", late));
    }
    return stops;
  }

  /** Everything there is to do, by place, in the order in which one passes. */
  private static List<Stop> walk(Everything all, Round round, Catalogue catalogue, Formats fmt) {
    List<Stop> stops = new ArrayList<>();
    List<Item> plans = all.plans().stream().flatMap(p -> plan(p, catalogue, fmt).stream()).toList();
    if (!plans.isEmpty()) {
      stops.add(new Stop("Bench", plans));
    }
    for (Place place : all.places()) {
      List<Item> items =
          all.batches().stream()
              .filter(b -> b.state().stand().place().equals(place.id().toString()))
              .flatMap(
                  b -> items(b, round.tasks(b.state(), b.readHours()), catalogue, fmt).stream())
              .toList();
      if (!items.isEmpty()) {
        stops.add(new Stop(place.name(), items));
      }
    }
    List<Item> drying =
        new ArrayList<>(
            all.loads().stream().flatMap(l -> drying(l, catalogue, fmt).stream()).toList());
    if (all.moreLoads() > 0) {
      drying.add(
          new Item(
              "Drawer",
              "See to " + all.moreLoads() + " more that dry",
              "the newest of them",
              false,
              null,
              "",
              "/drawer?all=yes",
              "",
              new Says("drawer", Kind.MORE_LOADS)));
    }
    if (!drying.isEmpty()) {
      stops.add(new Stop("Drawer", drying));
    }
    List<Item> cellar = cellar(all.bottles(), round, catalogue, fmt);
    if (!cellar.isEmpty()) {
      stops.add(new Stop("Cellar", cellar));
    }
    List<Item> products = all.products().stream().map(p -> product(p, fmt)).toList();
    if (!products.isEmpty()) {
      stops.add(new Stop("Products", products));
    }
    return stops;
  }

  private static Item product(Made product, Formats fmt) {
    Kind kind = product.task().kind();
    boolean inThePan = kind == Kind.FINISH_PRODUCT;
    String words =
        switch (kind) {
          case FINISH_PRODUCT -> "Test it and pour it";
          case PAST_DATE -> "Past its date: throw it out";
          default -> "Smell it";
        };
    return new Item(
        product.code(),
        words,
        product.name()
            + (inThePan ? ", in the pan" : ", good until " + fmt.date(product.bestBefore())),
        inThePan ? product.task().overdueDays(fmt.today()) > 0 : kind == Kind.PAST_DATE,
        null,
        "",
        "/products/" + product.code(),
        "",
        new Says(product.code(), kind));
  }

  /** A plan whose day has come. */
  private static Optional<Item> plan(Planned plan, Catalogue catalogue, Formats fmt) {
    LocalDate day = fmt.date(plan.begins());
    if (day.isAfter(fmt.today())) {
      return Optional.empty();
    }
    boolean late = day.isBefore(fmt.today());
    return Optional.of(
        new Item(
            plan.code(),
            "Charge it as planned",
            catalogue.herb(plan.herb()).name()
                + (late ? ", planned for " + fmt.date(day) : ", " + fmt.clock(plan.begins())),
            late,
            null,
            "",
            "/plans/" + plan.code(),
            "",
            new Says(plan.code(), Kind.CHARGE)));
  }

  /** What is to come by the clock, and what comes back after being put off. */
  private static List<Later> later(Everything all, Catalogue catalogue, Formats fmt) {
    Instant now = fmt.now();
    Instant last = now.plusSeconds(HOURS_AHEAD * 3600L);
    Ahead ahead = new Ahead(catalogue);
    return all.batches().stream()
        .flatMap(
            batch ->
                ahead.of(batch.state(), now).stream()
                    .filter(c -> c.at().isBefore(last))
                    .map(
                        c ->
                            new Later(
                                batch.code(),
                                coming(c.kind()),
                                fmt.clock(c.at()),
                                fmt.moment(c.at()),
                                c.at().getEpochSecond() - now.getEpochSecond(),
                                c.kind() == Kind.OFF_HEAT || c.kind() == Kind.FILL_BATH
                                    ? "/stove/" + batch.code()
                                    : "/batches/" + batch.code())))
        .sorted(Comparator.comparingLong(Later::seconds))
        .toList();
  }

  private static String coming(Kind kind) {
    return switch (kind) {
      case OFF_HEAT -> "Take it off the heat";
      case FILL_BATH -> "Top up the bath";
      case WEIGH -> "Weigh it";
      case POUR -> "Pour the oil";
      default -> "Shake it";
    };
  }

  private static List<Item> drying(Load load, Catalogue catalogue, Formats fmt) {
    String herb = catalogue.herb(load.load().drying().begun().herb()).name();
    String way = load.load().drying().begun().way().name().toLowerCase(Locale.ROOT);
    return load.tasks().stream()
        .map(
            task -> {
              long late = task.overdueDays(fmt.today());
              String words =
                  switch (task.kind()) {
                    case SNAP -> "Bend a stem: does it snap?";
                    case PUT_AWAY -> "Dry: put it away";
                    default -> "Weigh the " + way;
                  };
              return new Item(
                  herb,
                  words,
                  late > 0 ? "for " + fmt.days(late) : "drying",
                  late > 0,
                  null,
                  "",
                  "/drawer/drying/" + load.load().id(),
                  "",
                  new Says(load.load().id().toString(), task.kind()));
            })
        .toList();
  }

  private static List<Item> items(
      BatchRecord batch, List<Task> tasks, Catalogue catalogue, Formats fmt) {
    List<Item> items = new ArrayList<>();
    List<Task> tending = tasks.stream().filter(Task::tending).toList();
    tasks.stream()
        .filter(t -> !t.tending())
        .forEach(t -> items.add(item(batch, t, catalogue, fmt)));
    boolean trouble = tasks.stream().anyMatch(t -> t.kind() == Kind.COVER || t.kind() == Kind.TURN);
    if (!tending.isEmpty() && !trouble) {
      Kind least = tending.stream().map(Task::kind).min(Comparator.naturalOrder()).orElseThrow();
      items.add(tend(batch, tending, least, catalogue, fmt));
    }
    return items;
  }

  /** Shaking, looking and seeing to the level: one visit, and one tap that logs just that. */
  private static Item tend(
      BatchRecord batch, List<Task> tasks, Kind least, Catalogue catalogue, Formats fmt) {
    Set<Visited.Act> acts = VisitWords.acts(tasks);
    boolean loses = batch.state().charge().method() == Method.SPIRIT;
    long late = tasks.stream().mapToLong(t -> t.overdueDays(fmt.today())).max().orElse(0);
    String missing =
        tasks.stream()
            .filter(t -> t.kind() == Kind.TOP_UP && t.amountMl() > 0)
            .map(t -> "may want about " + fmt.ml(t.amountMl()))
            .collect(Collectors.joining());
    String more =
        loses
            ? "close it to shake, then loosen it"
            : late > 0 && missing.isEmpty() ? "for " + fmt.days(late) : missing;
    String note = note(batch, catalogue, more);
    return new Item(
        batch.code(),
        VisitWords.toDo(acts),
        note,
        false,
        null,
        "",
        "/batches/" + batch.code(),
        "",
        new Visit(acts, List.of(new Jar(batch.code(), note, key(batch, "tend", fmt)))),
        new Says(batch.code(), least));
  }

  private static Item item(BatchRecord batch, Task task, Catalogue catalogue, Formats fmt) {
    String page = "/batches/" + batch.code();
    long late = task.overdueDays(fmt.today());
    return switch (task.kind()) {
      case THROW_OUT ->
          page(
              batch,
              "Throw it out",
              note(batch, catalogue, "spoiled"),
              true,
              page + "#throw-out",
              task.kind());
      case COVER ->
          new Item(
              batch.code(),
              "Top up: about " + fmt.ml(task.amountMl()) + " of oil",
              note(batch, catalogue, "not covered"),
              true,
              "topped-up",
              fmt.typedMl(task.amountMl()),
              page,
              key(batch, "cover", fmt),
              new Says(batch.code(), task.kind()));
      case TURN ->
          new Item(
              batch.code(),
              "Turn upside down",
              note(batch, catalogue, "it floats"),
              false,
              "turned",
              "",
              page,
              key(batch, "turn", fmt),
              new Says(batch.code(), task.kind()));
      case TURN_BACK ->
          new Item(
              batch.code(),
              "Turn it back and see whether the herb has sunk",
              note(batch, catalogue, "it stood on its lid"),
              false,
              "turned",
              "",
              page,
              key(batch, "turn-back", fmt),
              new Says(batch.code(), task.kind()));
      case CAP ->
          new Item(
              batch.code(),
              "Cap the bottles when cold",
              note(batch, catalogue, ""),
              false,
              "capped",
              "",
              page,
              key(batch, "cap", fmt),
              new Says(batch.code(), task.kind()));
      case DECANT ->
          page(
              batch,
              "Pour it off what has settled",
              note(batch, catalogue, "stood overnight"),
              late > 0,
              page + "#balance",
              task.kind());
      case BOTTLE ->
          page(
              batch,
              "Bottle " + fmt.ml(task.amountMl()),
              note(batch, catalogue, "strained"),
              false,
              page + "/bottle",
              task.kind());
      case PUT_ON_HEAT ->
          page(
              batch,
              "Put it on the heat",
              note(batch, catalogue, "to be infused warm"),
              late > 0,
              "/stove/" + batch.code() + "#put-on",
              task.kind());
      case FILL_BATH ->
          new Item(
              batch.code(),
              "Top up the bath with hot water",
              note(batch, catalogue, "on the heat"),
              true,
              "bath-topped-up",
              "",
              "/stove/" + batch.code(),
              key(batch, "bath" + batch.state().entries(), fmt),
              new Says(batch.code(), task.kind()));
      case OFF_HEAT ->
          new Item(
              batch.code(),
              "Take it off the heat",
              note(batch, catalogue, "it has had its time"),
              true,
              "taken-off-heat",
              "",
              "/stove/" + batch.code(),
              key(batch, "off" + batch.state().entries(), fmt),
              new Says(batch.code(), task.kind()));
      case POUR ->
          page(
              batch,
              "Pour the oil",
              note(batch, catalogue, late > 0 ? "rested too long" : "has rested"),
              late > 0,
              page + "#pour",
              task.kind());
      case DAMP ->
          new Item(
              batch.code(),
              "Stir: evenly damp?",
              note(batch, catalogue, "resting in spirit"),
              false,
              "damp-even",
              "",
              page,
              key(batch, "damp", fmt),
              new Says(batch.code(), task.kind()));
      case WEIGH ->
          page(
              batch,
              "Weigh it",
              note(
                  batch,
                  catalogue,
                  batch.state().charge().manner().spirit() == null
                      ? "losing its water"
                      : "losing its spirit"),
              false,
              page + "#weigh",
              task.kind());
      case FINISH_PRODUCT, CHARGE, SNAP, PUT_AWAY, MORE_LOADS, PAST_DATE, SMELL ->
          throw new IllegalArgumentException("Not a jar's task: " + task.kind());
      case STRAIN ->
          page(
              batch,
              "Strain",
              note(
                  batch,
                  catalogue,
                  late > 0
                      ? fmt.days(late) + " over"
                      : "by " + fmt.date(Objects.requireNonNull(task.until()))),
              late > 0,
              page + "/strain",
              task.kind());
      case SETTLE, TOP_UP, SHAKE, LOOK ->
          throw new IllegalArgumentException("Tending goes in one: " + task.kind());
    };
  }

  private static Item page(
      BatchRecord batch, String words, String note, boolean late, String link, Kind kind) {
    return new Item(
        batch.code(), words, note, late, null, "", link, "", new Says(batch.code(), kind));
  }

  private static List<Item> cellar(
      List<Waiting> bottles, Round round, Catalogue catalogue, Formats fmt) {
    List<Item> items = new ArrayList<>();
    bottles.stream()
        .map(w -> w.bottle().batch())
        .distinct()
        .forEach(
            batch ->
                round.tasks(batch.state(), batch.readHours()).stream()
                    .filter(t -> t.kind() == Kind.CAP)
                    .forEach(t -> items.add(item(batch, t, catalogue, fmt))));
    bottles.forEach(
        w -> w.task().ifPresent(task -> items.add(bottle(w.bottle(), task, catalogue, fmt))));
    return items;
  }

  private static Item bottle(BottleRecord bottle, Task task, Catalogue catalogue, Formats fmt) {
    String herb = new BatchReckoning(catalogue, bottle.batch().state()).herbNames();
    String words =
        switch (task.kind()) {
          case THROW_OUT -> "Spoiled: throw it out";
          case PAST_DATE -> "Past its date: throw it out";
          default -> "Smell it";
        };
    return new Item(
        bottle.code(),
        words,
        herb + ", good until " + fmt.date(bottle.bestBefore()),
        task.kind() != Kind.SMELL,
        null,
        "",
        "/cellar/" + bottle.batch().code() + "/" + bottle.bottle().letter(),
        "",
        new Says(bottle.code(), task.kind()));
  }

  private static String note(BatchRecord batch, Catalogue catalogue, String more) {
    String herb = new BatchReckoning(catalogue, batch.state()).herbNames();
    return more.isEmpty() ? herb : herb + ", " + more;
  }

  /** The same for everybody who sees the same task, and another once it has been taken back. */
  private static String key(BatchRecord batch, String task, Formats fmt) {
    return "round:"
        + batch.code()
        + ":"
        + task
        + ":"
        + fmt.today()
        + ":"
        + (batch.state().charge().method() == Method.SPIRIT ? batch.state().tended().shakes() : "")
        + ":"
        + batch.state().corrections();
  }
}
