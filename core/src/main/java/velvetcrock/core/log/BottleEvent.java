package velvetcrock.core.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import velvetcrock.core.keeping.Store;

/** What happens to one bottle while it is kept. */
public sealed interface BottleEvent extends Event {
  /** The bottle's letter. */
  String bottle();

  /**
   * It stands otherwise from now on: elsewhere, in other glass, in a bottle of another size, or
   * with an antioxidant stirred in.
   *
   * @param sizeMl what the bottle holds, ml
   */
  record Stood(
      String bottle,
      Store.Place place,
      Store.Glass glass,
      double sizeMl,
      Store.Antioxidant antioxidant)
      implements BottleEvent {
    /** Checks what has to be there. */
    public Stood {
      Checks.text("bottle", bottle);
      Checks.present("place", place);
      Checks.present("glass", glass);
      Checks.within("sizeMl", sizeMl, 0.001, 100_000);
      Checks.present("antioxidant", antioxidant);
    }
  }

  /** It was opened for the first time. */
  record Opened(String bottle) implements BottleEvent {
    /** Checks what has to be there. */
    public Opened {
      Checks.text("bottle", bottle);
    }
  }

  /**
   * It was smelled at and looked at.
   *
   * @param off what it smells of that it should not
   * @param cloudy whether it is cloudy
   * @param fizzing whether it fizzes
   */
  record Checked(String bottle, Event.OffSmell off, boolean cloudy, boolean fizzing)
      implements BottleEvent {
    /** Checks what has to be there. */
    public Checked {
      Checks.text("bottle", bottle);
      Checks.present("off", off);
    }

    /** How it was, in words. */
    public String words() {
      List<String> bad = new ArrayList<>();
      if (off != Event.OffSmell.NONE) {
        bad.add(off.name().toLowerCase(Locale.ROOT));
      }
      if (cloudy) {
        bad.add("cloudy");
      }
      if (fizzing) {
        bad.add("fizzing");
      }
      return bad.isEmpty() ? "good" : String.join(", ", bad);
    }

    /** Whether nothing is wrong with it. */
    public boolean good() {
      return off == Event.OffSmell.NONE && !cloudy && !fizzing;
    }
  }
}
