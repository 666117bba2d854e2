package velvetcrock.shelf;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.log.BatchReckoning;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Method;
import velvetcrock.core.plan.Round;
import velvetcrock.core.plan.Task;
import velvetcrock.core.plan.Task.Kind;
import velvetcrock.drawer.LoadRecord;
import velvetcrock.kitchen.Place;
import velvetcrock.web.Formats;

/**
 * The round of the day: what wants doing, by place in walking order.
 *
 * @param summary how many things, and about how long they take
 */
record RoundView(String title, String summary, List<Stop> stops) {
  private static final int MINUTES_TENDING = 1;
  private static final int MINUTES_OTHER = 3;
  private static final int MINUTES_STRAINING = 20;
  private static final int MINUTES_BOTTLING = 10;

  /** A bottle that may want something, with what it does. */
  record Waiting(BottleRecord bottle, Optional<Task> task) {}

  /** A load that dries with what wants doing for it. */
  record Load(LoadRecord load, List<Task> tasks) {}

  /** A place on the way with what is to be done there. */
  record Stop(String place, List<Item> items) {}

  /**
   * A thing to do.
   *
   * @param tick the kind of entry that one tap logs; null if it has a page of its own
   * @param amount oil that the tap logs, as text; may be empty
   * @param link its page
   * @param key names the tap, so that a second one by anybody is not logged again
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
      int minutes) {}

  static RoundView of(
      List<Place> places,
      List<BatchRecord> batches,
      List<Waiting> bottles,
      List<Load> loads,
      long moreLoads,
      Round round,
      Catalogue catalogue,
      Formats fmt,
      int hour) {
    List<Stop> stops = new ArrayList<>();
    for (Place place : places) {
      List<Item> items =
          batches.stream()
              .filter(b -> b.state().stand().place().equals(place.id().toString()))
              .flatMap(b -> items(b, round.tasks(b.state()), catalogue, fmt).stream())
              .sorted(Comparator.comparing((Item i) -> !i.late()))
              .toList();
      if (!items.isEmpty()) {
        stops.add(new Stop(place.name(), items));
      }
    }
    List<Item> drying = loads.stream().flatMap(l -> drying(l, catalogue, fmt).stream()).toList();
    if (!drying.isEmpty()) {
      stops.add(new Stop("Drawer", drying));
    }
    List<Item> cellar = cellar(bottles, round, catalogue, fmt);
    if (!cellar.isEmpty()) {
      stops.add(new Stop("Cellar", cellar));
    }
    int count = stops.stream().mapToInt(s -> s.items().size()).sum();
    int minutes = stops.stream().flatMap(s -> s.items().stream()).mapToInt(Item::minutes).sum();
    String time =
        hour < 11 ? "This morning’s round" : hour < 17 ? "Today’s round" : "This evening’s round";
    String summary =
        count == 0
            ? "Nothing wants doing. Come back tomorrow."
            : count == 1
                ? "One thing, about " + minutes + " min"
                : count + " things, about " + minutes + " min";
    return new RoundView(time, summary, stops);
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
                  late > 0 ? "since " + fmt.days(late) : "drying",
                  late > 0,
                  null,
                  "",
                  "/drawer/drying/" + load.load().id(),
                  "",
                  MINUTES_OTHER);
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
      items.add(tend(batch, tending, catalogue, fmt));
    }
    return items;
  }

  /** Shaking, looking and seeing to the level, as the one tap that they are when all is well. */
  private static Item tend(BatchRecord batch, List<Task> tasks, Catalogue catalogue, Formats fmt) {
    List<Kind> kinds = tasks.stream().map(Task::kind).toList();
    boolean onlyShake = kinds.equals(List.of(Kind.SHAKE));
    List<String> words = new ArrayList<>();
    if (kinds.contains(Kind.SHAKE)) {
      words.add(
          batch.state().charge().method() == Method.SPIRIT ? "close, shake and loosen" : "shake");
    }
    if (kinds.contains(Kind.SETTLE)) {
      words.add("see whether it has settled and is covered");
    }
    if (kinds.contains(Kind.TOP_UP)) {
      words.add("see to the level");
    }
    if (kinds.contains(Kind.LOOK)) {
      words.add("look and smell");
    }
    String sentence = String.join(", ", words);
    long late = tasks.stream().mapToLong(t -> t.overdueDays(fmt.today())).max().orElse(0);
    String missing =
        tasks.stream()
            .filter(t -> t.kind() == Kind.TOP_UP)
            .map(t -> "may want about " + fmt.ml(t.amountMl()))
            .collect(Collectors.joining());
    String note = late > 0 ? "since " + fmt.days(late) : missing;
    return new Item(
        batch.code(),
        Character.toUpperCase(sentence.charAt(0)) + sentence.substring(1),
        note(batch, catalogue, note),
        late > 0,
        onlyShake ? "shaken" : "all-well",
        "",
        "/batches/" + batch.code(),
        key(batch, "tend", fmt),
        MINUTES_TENDING);
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
              MINUTES_OTHER);
      case COVER ->
          new Item(
              batch.code(),
              "Top up: about " + fmt.ml(task.amountMl()) + " of oil",
              note(batch, catalogue, "not covered"),
              true,
              "topped-up",
              fmt.number(task.amountMl(), 0) + " ml",
              page,
              key(batch, "cover", fmt),
              MINUTES_OTHER);
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
              MINUTES_TENDING);
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
              MINUTES_TENDING);
      case DECANT ->
          page(
              batch,
              "Pour it off what has settled",
              note(batch, catalogue, "stood overnight"),
              late > 0,
              page + "#balance",
              MINUTES_BOTTLING);
      case BOTTLE ->
          page(
              batch,
              "Bottle " + fmt.ml(task.amountMl()),
              note(batch, catalogue, "strained"),
              false,
              page + "/bottle",
              MINUTES_BOTTLING);
      case PUT_ON_HEAT ->
          page(
              batch,
              "Put it on the heat",
              note(batch, catalogue, "to be drawn warm"),
              late > 0,
              "/stove/" + batch.code() + "#put-on",
              MINUTES_OTHER);
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
              MINUTES_OTHER);
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
              MINUTES_OTHER);
      case POUR ->
          page(
              batch,
              "Pour the oil",
              note(batch, catalogue, late > 0 ? "rested too long" : "has rested"),
              late > 0,
              page + "#pour",
              MINUTES_BOTTLING);
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
              MINUTES_TENDING);
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
              MINUTES_OTHER);
      case SNAP, PUT_AWAY, PAST_DATE, SMELL ->
          throw new IllegalArgumentException("Not a jar's task: " + task.kind());
      case STRAIN ->
          page(
              batch,
              "Strain",
              note(
                  batch,
                  catalogue,
                  late > 0 ? fmt.days(late) + " over" : "by " + fmt.date(batch.state().latest())),
              late > 0,
              page + "/strain",
              MINUTES_STRAINING);
      case SETTLE, TOP_UP, SHAKE, LOOK ->
          throw new IllegalArgumentException("Tending goes in one: " + task.kind());
    };
  }

  private static Item page(
      BatchRecord batch, String words, String note, boolean late, String link, int minutes) {
    return new Item(batch.code(), words, note, late, null, "", link, "", minutes);
  }

  private static List<Item> cellar(
      List<Waiting> bottles, Round round, Catalogue catalogue, Formats fmt) {
    List<Item> items = new ArrayList<>();
    bottles.stream()
        .map(w -> w.bottle().batch())
        .distinct()
        .forEach(
            batch ->
                round.tasks(batch.state()).stream()
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
          default -> "Smell at it";
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
        MINUTES_TENDING);
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
