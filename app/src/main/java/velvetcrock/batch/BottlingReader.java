package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.VesselSize;
import velvetcrock.web.Typed;

/** Reads which bottles strained oil goes into: rows of bottles that are alike. */
final class BottlingReader {
  private static final int MOST_BOTTLES = 26;

  private final Kitchen kitchen;
  private final BatchReckoning reckoning;

  BottlingReader(Kitchen kitchen, BatchReckoning reckoning) {
    this.kitchen = kitchen;
    this.reckoning = reckoning;
  }

  /** How all of them are kept, unless a row says otherwise. */
  private record Kept(Store.Place place, Store.Glass glass, Store.Antioxidant antioxidant) {}

  /**
   * Bottles that are alike.
   *
   * @param ml what goes into each, ml
   * @param sizeMl what each holds, ml
   */
  private record Alike(int count, double ml, double sizeMl, Store.Place place, Store.Glass glass) {}

  /**
   * Reads them.
   *
   * @param before how many bottles the batch has already
   * @throws Refused at every field that cannot be read
   */
  List<BottleIn> read(BottlingForm form, int before) {
    Problems problems = new Problems();
    Store.Place place =
        problems.attempt("place", () -> Typed.named(Store.Place.class, form.place(), "place"));
    Store.Glass glass =
        problems.attempt("glass", () -> Typed.named(Store.Glass.class, form.glass(), "glass"));
    Store.Antioxidant antioxidant =
        problems.attempt(
            "antioxidant",
            () -> Typed.named(Store.Antioxidant.class, form.antioxidant(), "antioxidant"));
    problems.require(
        form.clean() != null,
        "clean",
        "Tick this once the bottles are clean and dry: a drop of water spoils the oil.");
    Optional<Kept> kept =
        place == null || glass == null || antioxidant == null
            ? Optional.empty()
            : Optional.of(new Kept(place, glass, antioxidant));
    List<BottleIn> bottles = new ArrayList<>();
    double left = reckoning.unbottledMl();
    for (int row = 0; row < form.rows(); row++) {
      Alike alike = form.amountAt(row).isEmpty() ? null : row(form, row, left, kept, problems);
      if (alike != null && kept.isPresent()) {
        left -= alike.count() * alike.ml();
        for (int i = 0; i < alike.count() && bottles.size() + before <= MOST_BOTTLES; i++) {
          bottles.add(
              new BottleIn(
                  String.valueOf((char) ('A' + before + bottles.size())),
                  alike.ml(),
                  alike.sizeMl(),
                  alike.place(),
                  alike.glass(),
                  kept.get().antioxidant(),
                  form.cold() != null));
        }
      }
    }
    problems.require(
        !bottles.isEmpty() || !problems.none(),
        "bottles[0].amount",
        "Say what goes into the bottle, such as 100 ml.");
    problems.require(
        bottles.size() + before <= MOST_BOTTLES,
        "bottles[0].count",
        "A batch has at most " + MOST_BOTTLES + " bottles.");
    problems.refuseIfAny();
    return bottles;
  }

  /** One row; null where it cannot be read. */
  private @Nullable Alike row(
      BottlingForm form, int row, double left, Optional<Kept> all, Problems problems) {
    String at = "bottles[" + row + "].";
    String many = form.countAt(row);
    Integer count =
        many.isEmpty()
            ? Integer.valueOf(1)
            : problems.attempt(
                at + "count", () -> (int) Math.round(Typed.number(many, 1, MOST_BOTTLES, "count")));
    if (count == null) {
      return null;
    }
    Double ml =
        problems.attempt(
            at + "amount",
            () -> Amounts.ofOil(form.amountAt(row), left / count, kitchen, reckoning.carriers()));
    String size = form.sizeAt(row);
    Double sizeMl =
        size.isEmpty()
            ? ml
            : problems.attempt(
                at + "size",
                () -> VesselSize.ml(size, kitchen, reckoning.carriers().densityAt(Carrier.ROOM_C)));
    Store.Place stands =
        form.placeAt(row).isEmpty()
            ? all.map(Kept::place).orElse(null)
            : problems.attempt(
                "place", () -> Typed.named(Store.Place.class, form.placeAt(row), "place"));
    Store.Glass in =
        form.glassAt(row).isEmpty()
            ? all.map(Kept::glass).orElse(null)
            : problems.attempt(
                "glass", () -> Typed.named(Store.Glass.class, form.glassAt(row), "glass"));
    return ml == null || sizeMl == null || stands == null || in == null
        ? null
        : new Alike(count, ml, sizeMl, stands, in);
  }
}
