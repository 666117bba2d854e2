package velvetcrock.stove;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.FigureRow;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.heat.Reduced;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.materia.Catalogue;

/**
 * What a pot with very many readings is shown by until they are read: what they came to and how
 * their trace was drawn when it was last reckoned.
 *
 * @param entries of its log then
 * @param corrections of its log then
 * @param heat what {@link PotHeat#kept} put down
 * @param trace all of it, thinned to {@link #COLUMNS}
 */
record PotOutline(int entries, int corrections, FigureRow heat, Reduced trace) {
  /** Of a drawing, where a page does not say how many it has. */
  static final int COLUMNS = 700;

  /** Says that figures stand as they are put down here; another where that changes. */
  private static final double LAYOUT = 1;

  /** Of a pot as it was reckoned; empty where some of it is assumed. */
  static Optional<PotOutline> of(BatchState state, PotHeat heat, Series series) {
    return heat.kept()
        .map(
            kept ->
                new PotOutline(
                    state.entries(),
                    state.corrections(),
                    kept,
                    series.reduced(Long.MIN_VALUE, Long.MAX_VALUE, COLUMNS)));
  }

  /** As it was put down; empty where that was otherwise than it is now. */
  static Optional<PotOutline> of(FigureRow row) {
    if (row.next() != LAYOUT) {
      return Optional.empty();
    }
    int entries = (int) row.nextWhole();
    int corrections = (int) row.nextWhole();
    int from = (int) row.nextWhole();
    List<Reduced.At> points = new ArrayList<>();
    for (long left = row.nextWhole(); left > 0; left--) {
      long at = row.nextWhole();
      double celsius = row.next();
      points.add(new Reduced.At(at, Double.isNaN(celsius) ? null : celsius));
    }
    return Optional.of(new PotOutline(entries, corrections, row, new Reduced(points, from)));
  }

  /** With what was read since drawn behind. */
  PotOutline with(List<Reading> since) {
    Series.Builder series = Series.builder();
    since.forEach(r -> series.addUnlessSame(r.at().toEpochMilli(), r.celsius()));
    Reduced later = series.build().reduced(Long.MIN_VALUE, Long.MAX_VALUE, COLUMNS);
    return new PotOutline(entries, corrections, heat, trace.with(later));
  }

  /** All of it in a row. */
  FigureRow row() {
    FigureRow row =
        FigureRow.empty().put(LAYOUT, entries, corrections, trace.from(), trace.points().size());
    for (Reduced.At point : trace.points()) {
      Double celsius = point.celsius();
      row.put(point.millis(), celsius == null ? Double.NaN : celsius);
    }
    return row.put(heat.all());
  }

  /** Whether the log is still as it was. */
  boolean isOf(BatchState state) {
    return entries == state.entries() && corrections == state.corrections();
  }

  /** What it came to, to go on from. */
  PotHeat heat(Catalogue catalogue, BatchState state, Instant now) {
    return PotHeat.resumed(catalogue, state, heat, now);
  }
}
