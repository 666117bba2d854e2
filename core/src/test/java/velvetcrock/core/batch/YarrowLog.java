package velvetcrock.core.batch;

import java.time.LocalDate;
import java.util.List;
import velvetcrock.core.Range;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;

/** A cold jar of dried yarrow in 400 ml of rapeseed, for tests that go on from there. */
public final class YarrowLog {
  private YarrowLog() {}

  /** Charged on a day, in the dark, with so much herb and oil that is good until then. */
  public static Charged charged(LocalDate day, double grams, LocalDate oilUntil) {
    return charged(Method.COLD, day, grams, oilUntil);
  }

  /** The same by another method. */
  public static Charged charged(Method method, LocalDate day, double grams, LocalDate oilUntil) {
    return new Charged(
        method,
        List.of(
            new HerbIn(
                "yarrow", Part.FLOWER, Cut.CUT, HerbState.DRIED, Range.exactly(grams), 0.10, "")),
        List.of(new OilIn("rapeseed", 1, oilUntil, null, null)),
        new Charged.Oil(Range.exactly(400), "400 ml"),
        new JarIn("Jar", 600, 80),
        12,
        Use.SKIN,
        new Stand("place", "Dark cupboard", Light.DARK),
        new Charged.Begun(day, 0, false),
        true,
        Manner.PLAIN);
  }
}
