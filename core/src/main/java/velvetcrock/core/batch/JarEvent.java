package velvetcrock.core.batch;

/**
 * What happens to a jar: it is charged, tended, seen and smelled at, moved and, if it must be,
 * thrown out.
 */
public sealed interface JarEvent extends BatchEvent
    permits Charged,
        DampChecked,
        OilPoured,
        PotWeighed,
        Transferred,
        Shaken,
        Turned,
        AllWell,
        Looked,
        OilLooked,
        Smelled,
        ToppedUp,
        Moved,
        Coloured,
        Visited,
        LeftLonger,
        ThrownOut {
  /**
   * What is to be said of each kind.
   *
   * @param <R> what it is
   */
  interface Cases<R> {
    /** For Charged. */
    R charged(Charged event);

    /** For DampChecked. */
    R dampChecked(DampChecked event);

    /** For OilPoured. */
    R oilPoured(OilPoured event);

    /** For PotWeighed. */
    R potWeighed(PotWeighed event);

    /** For Transferred. */
    R transferred(Transferred event);

    /** For Shaken. */
    R shaken(Shaken event);

    /** For Turned. */
    R turned(Turned event);

    /** For AllWell. */
    R allWell(AllWell event);

    /** For Looked. */
    R looked(Looked event);

    /** For OilLooked. */
    R oilLooked(OilLooked event);

    /** For Smelled. */
    R smelled(Smelled event);

    /** For ToppedUp. */
    R toppedUp(ToppedUp event);

    /** For Moved. */
    R moved(Moved event);

    /** For Coloured. */
    R coloured(Coloured event);

    /** For Visited. */
    R visited(Visited event);

    /** For LeftLonger. */
    R leftLonger(LeftLonger event);

    /** For ThrownOut. */
    R thrownOut(ThrownOut event);
  }
}
