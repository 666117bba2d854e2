package velvetcrock.drawer;

import java.util.Map;
import java.util.UUID;

/** Who knows what of a lot is promised to a plan; the drawer asks, and does not know plans. */
public interface Promises {
  /** What is promised of each lot, in its unit; lots of which nothing is are not in it. */
  Map<UUID, Double> promised();
}
