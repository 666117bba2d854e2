package velvetcrock.core.extraction;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.FigureRow;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.Part;

/** Draws along a temperature under every guess at once. */
final class Guessing {
  private final Mobility usual;
  private final Mobility slower;
  private final Mobility faster;

  Guessing(CarrierBlend carriers, @Nullable Part part) {
    this.usual = new Mobility(carriers, part, Mobility.USUAL_GROWTH);
    this.slower = new Mobility(carriers, part, Ensemble.LEAST_GROWTH);
    this.faster = new Mobility(carriers, part, Ensemble.MOST_GROWTH);
  }

  /** Over a trace; where it is assumed it may be 8 °C off. */
  Ensemble over(Trace trace, boolean assumed) {
    Walk walk = new Walk();
    for (Trace.Point point : trace.points()) {
      walk.to(point.hours(), point.celsius(), !assumed);
    }
    return walk.drawn();
  }

  /** Over a steady time. */
  Ensemble steady(double celsius, double hours) {
    Drawn middle = usual.steady(celsius, hours);
    return new Ensemble(
        middle, slower.steady(celsius, hours), faster.steady(celsius, hours), middle, middle);
  }

  /** A walk from point to point. */
  Walk walk() {
    return new Walk();
  }

  /** Goes along points as they come in. */
  final class Walk {
    private final Mobility.Walk middle = usual.new Walk();
    private final Mobility.Walk less = slower.new Walk();
    private final Mobility.Walk more = faster.new Walk();

    /** The middle one itself, until something is assumed. */
    private Mobility.Walk cold = middle;

    private Mobility.Walk hot = middle;

    /** Goes on to the next point. */
    void to(double hours, double celsius, boolean read) {
      if (!read && cold == middle) {
        cold = middle.copy();
        hot = middle.copy();
      }
      if (cold != middle) {
        double within = read ? 0 : Assumed.WITHIN_C;
        cold.to(usual.next(hours, celsius - within));
        hot.to(usual.next(hours, celsius + within));
      }
      Mobility.Next next = usual.next(hours, celsius);
      if (middle.glides(celsius, next.pace())) {
        double days = middle.daysTo(hours, celsius);
        double half = days / 2;
        double mend = days * middle.stepTo(celsius) / 12;
        middle.glide(next, half, mend);
        less.glide(next, half, mend);
        more.glide(next, half, mend);
      } else {
        middle.to(next);
        less.to(next);
        more.to(next);
      }
    }

    /** Goes on from where another stood. */
    void resume(FigureRow kept) {
      middle.resume(kept);
      less.resume(kept);
      more.resume(kept);
    }

    /**
     * Puts down all that it holds, for {@link #resume}.
     *
     * @throws IllegalStateException once something was assumed
     */
    void keep(FigureRow row) {
      if (cold != middle) {
        throw new IllegalStateException("What is assumed is not kept.");
      }
      middle.keep(row);
      less.keep(row);
      more.keep(row);
    }

    /** What was drawn so far. */
    Ensemble drawn() {
      return new Ensemble(middle.drawn(), less.drawn(), more.drawn(), cold.drawn(), hot.drawn());
    }
  }
}
