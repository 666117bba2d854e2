package velvetcrock.core.heat;

import java.util.ArrayList;
import java.util.List;

/**
 * The daily course of a jar in a sunny window, by the stand-in: coolest before sunrise, warmest in
 * the afternoon. Assumed where nobody reads a thermometer there (an estimate, ± 8 °C as every
 * assumed trace).
 */
public final class SunnyDay {
  private static final int HOURS = 24;
  private static final int DAYS_TO_SETTLE = 3;
  private static final double SECONDS_PER_HOUR = 3600;
  private static final double ROOM_C = 20;
  private static final double[] ABOVE_ROOM = run();

  private SunnyDay() {}

  private static double[] run() {
    ThermalPot jar = new ThermalPot(Appliance.SUNNY_WINDOW, ROOM_C);
    jar.turn(Appliance.SUNNY_WINDOW.settings().get(0));
    jar.startAt(0);
    jar.run(DAYS_TO_SETTLE * HOURS * SECONDS_PER_HOUR);
    double[] above = new double[HOURS];
    for (int hour = 0; hour < HOURS; hour++) {
      above[hour] = jar.celsius() - ROOM_C;
      jar.run(SECONDS_PER_HOUR);
    }
    return above;
  }

  /** Its temperature at an hour of the day in a room of a warmth, °C. */
  public static double celsius(double hourOfDay, double roomC) {
    double wrapped = (hourOfDay % HOURS + HOURS) % HOURS;
    int before = (int) wrapped;
    double share = wrapped - before;
    return roomC + ABOVE_ROOM[before] * (1 - share) + ABOVE_ROOM[(before + 1) % HOURS] * share;
  }

  /**
   * Its course.
   *
   * @param hours how long, h
   * @param fromHourOfDay the hour of the day at which it begins
   * @param roomC the room behind the window, °C
   */
  public static Trace course(double hours, double fromHourOfDay, double roomC) {
    List<Trace.Point> points = new ArrayList<>();
    for (double at = 0; at < hours; at++) {
      points.add(new Trace.Point(at, celsius(fromHourOfDay + at, roomC)));
    }
    points.add(new Trace.Point(hours, celsius(fromHourOfDay + hours, roomC)));
    return new Trace(points);
  }
}
