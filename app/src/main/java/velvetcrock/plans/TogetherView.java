package velvetcrock.plans;

import java.util.List;
import velvetcrock.web.TimeAxis;

/**
 * All open plans along one line of time, with what they share.
 *
 * @param heaters a lane for each appliance that is used
 * @param clashes where they are in each other's way
 * @param shifts what would resolve it, each in words
 * @param left what no shift resolves
 * @param searched whether a search was needed to find the shifts
 */
record TogetherView(
    List<TimeAxis.Tick> ticks,
    List<Lane> plans,
    List<HeaterLane> heaters,
    List<String> clashes,
    List<String> shifts,
    List<String> left,
    String searched) {

  /** A plan as a lane. */
  record Lane(
      String code,
      String title,
      String how,
      String when,
      TimeAxis.Piece drawing,
      TimeAxis.Piece after,
      List<TimeAxis.Piece> heat,
      String by,
      String tint,
      boolean clashes,
      String words) {}

  /** An appliance with when it is taken. */
  record HeaterLane(String name, String holds, List<Use> uses) {}

  /** A go of a plan on an appliance. */
  record Use(TimeAxis.Piece piece, String title) {}
}
