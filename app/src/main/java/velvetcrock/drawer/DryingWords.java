package velvetcrock.drawer;

import java.util.Locale;
import velvetcrock.core.drawer.DryingBegun;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.DryingStruck;
import velvetcrock.core.drawer.LoadThrownOut;
import velvetcrock.core.drawer.LoadWeighed;
import velvetcrock.core.drawer.PutAway;
import velvetcrock.core.drawer.Snapped;
import velvetcrock.core.drawer.WaterKnown;
import velvetcrock.ledger.Told;
import velvetcrock.web.Formats;

/** Says the entries of a load that dries. */
final class DryingWords implements DryingEvent.Visitor<Told> {
  private final Formats fmt;

  DryingWords(Formats fmt) {
    this.fmt = fmt;
  }

  @Override
  public Told dryingBegun(DryingBegun event) {
    return new Told("Begun with " + fmt.g(event.freshG()));
  }

  @Override
  public Told loadWeighed(LoadWeighed event) {
    return new Told("Weighed " + fmt.g(event.massG()));
  }

  @Override
  public Told snapped(Snapped event) {
    return new Told(
        switch (event.snap()) {
          case CRUMBLES -> "Crumbles and snaps";
          case LEATHERY -> "Leathery: not dry";
          case SOFT -> "Still soft";
        });
  }

  @Override
  public Told waterKnown(WaterKnown event) {
    return new Told("Held " + fmt.percent(event.waterFraction()) + " water fresh");
  }

  @Override
  public Told putAway(PutAway event) {
    return new Told(
        "Put away: " + fmt.g(event.massG()) + " " + event.state().name().toLowerCase(Locale.ROOT));
  }

  @Override
  public Told loadThrownOut(LoadThrownOut event) {
    return new Told("Thrown out");
  }

  @Override
  public Told dryingStruck(DryingStruck event) {
    return new Told("Taken back");
  }
}
