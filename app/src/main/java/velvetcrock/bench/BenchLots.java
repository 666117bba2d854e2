package velvetcrock.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.batch.Written;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotRecord;
import velvetcrock.drawer.LotWords;
import velvetcrock.drawer.Promises;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.Formats;
import velvetcrock.web.Typed;

/** The lots of the drawer as the bench offers them and tells of them. */
@Component
class BenchLots {
  private final Drawer drawer;
  private final Promises promises;
  private final Catalogues catalogues;

  BenchLots(Drawer drawer, Promises promises, Catalogues catalogues) {
    this.drawer = drawer;
    this.promises = promises;
    this.catalogues = catalogues;
  }

  /** A lot to choose. */
  record LotChoice(String id, String words) {}

  /** A herb's row with what can be chosen in it. */
  record HerbChoices(BenchForm.HerbRow row, List<Part> parts, List<LotChoice> lots, String lot) {}

  /** An oil's row with what can be chosen in it. */
  record OilChoices(BenchForm.OilRow row, List<LotChoice> lots, String lot) {}

  List<HerbChoices> herbRows(BenchForm form, @Nullable Reckoned plan, Formats fmt) {
    List<BenchForm.HerbRow> rows = Objects.requireNonNull(form.herbs());
    return IntStream.range(0, rows.size())
        .mapToObj(
            i -> {
              BenchForm.HerbRow row = rows.get(i);
              String key = Typed.text(row.herb());
              List<Part> parts =
                  catalogues.current().herbs().stream()
                      .filter(h -> h.key().equals(key))
                      .findFirst()
                      .map(Herb::parts)
                      .orElse(List.of());
              List<LotRecord> lots = drawer.choices(Kind.HERB, key, state(row));
              String lot = plan == null ? "" : id(plan.wish().herbs().get(i).lot());
              return new HerbChoices(row, parts, lots(lots, fmt), lot);
            })
        .toList();
  }

  private static @Nullable HerbState state(BenchForm.HerbRow row) {
    return Arrays.stream(HerbState.values())
        .filter(s -> s.name().equals(row.state()))
        .findFirst()
        .orElse(null);
  }

  List<OilChoices> oilRows(BenchForm form, @Nullable Reckoned plan, Formats fmt) {
    List<BenchForm.OilRow> rows = Objects.requireNonNull(form.oils());
    return IntStream.range(0, rows.size())
        .mapToObj(
            i ->
                new OilChoices(
                    rows.get(i),
                    lots(
                        drawer.choices(Kind.CARRIER, Typed.text(rows.get(i).carrier()), null), fmt),
                    plan == null ? "" : id(plan.wish().oils().get(i).lot())))
        .toList();
  }

  /** Spirits to dampen with. */
  List<LotChoice> spirits(Formats fmt) {
    return lots(drawer.choices(Kind.SPIRIT, "", null), fmt);
  }

  private List<LotChoice> lots(List<LotRecord> lots, Formats fmt) {
    LotWords words = new LotWords(catalogues.current(), fmt);
    Map<UUID, Double> promised = lots.isEmpty() ? Map.of() : promises.promised();
    return lots.stream()
        .map(
            l ->
                new LotChoice(
                    l.id().toString(),
                    words.choice(l.lot()) + words.putBy(l.lot(), promised.get(l.id()))))
        .toList();
  }

  static String id(Optional<LotRecord> lot) {
    return lot.map(l -> l.id().toString()).orElse(BenchForm.NO_LOT);
  }

  /** What was charged, and where a lot held less than went in. */
  String told(List<Written> written, Formats fmt) {
    String codes = written.stream().map(Written::code).collect(Collectors.joining(", "));
    if (written.get(0).repeated()) {
      return codes + (written.size() == 1 ? " was" : " were") + " charged already.";
    }
    LotWords words = new LotWords(catalogues.current(), fmt);
    String shorts =
        written.stream()
            .flatMap(w -> w.shorts().stream())
            .map(
                s -> {
                  LotRecord lot = drawer.lot(s.lot());
                  Kind kind = lot.lot().details().kind();
                  return " The drawer held "
                      + words.amount(kind, s.taken())
                      + " of the "
                      + words.amount(kind, s.wanted())
                      + " of "
                      + words.name(lot.lot())
                      + ".";
                })
            .collect(Collectors.joining());
    return (written.size() == 1
            ? "Charged: write " + codes + " on the lid."
            : "Charged: write " + codes + " on the lids.")
        + shorts;
  }
}
