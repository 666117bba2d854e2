package velvetcrock.core.heat;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.ClassicalRungeKuttaIntegrator;

/**
 * The thermal stand-in for a pot, in two lumps: the body (pot and bath) with C·dT/dt = P(t) − UA·(T
 * − T_room) − L·evaporation − K·(T − T_jar), and the jar of oil, C_jar·dT_jar/dt = K·(T − T_jar),
 * stepped by Runge and Kutta's rule; a thermostat looks at the body before every step. So the oil
 * lags, and after the knob is turned down it rises on for a while. Evaporation after Dalton, area ×
 * β × (p(T) − half of p(room)), with the vapour pressure after Magnus; a lid takes nine tenths of
 * it. A bath that boils stays at 100 °C until it is dry; then the pot is lighter and runs away. Not
 * safe for use by several threads.
 */
public final class ThermalPot {
  /** Longest step, s: evaporation is looked at this often. */
  public static final double STEP_S = 5;

  /** A thermostat looks this often, s. */
  private static final double SWITCHED_STEP_S = 1;

  private static final int TYPICAL_MINUTES = 360;
  private static final double LATENT_J_PER_G = WaterBath.EVAPORATION_J_PER_G;
  private static final double WATER_J_PER_G_K = 4.19;

  /** Mass transfer from still water into a kitchen's air, g/(s·m²·Pa) (typical). */
  private static final double BETA = 6e-5;

  private static final double UNDER_A_LID = 0.1;
  private static final double BOILS_C = 100;
  private static final double HUMIDITY = 0.5;
  private static final double SECONDS_PER_HOUR = 3600;
  private static final double SUNRISE = 7;
  private static final double DAYLIGHT_HOURS = 12;

  private final Appliance appliance;
  private final ClassicalRungeKuttaIntegrator rule = new ClassicalRungeKuttaIntegrator(STEP_S);
  private Appliance.Setting setting = Appliance.OFF;
  private double roomC;
  private double lossFactor = 1;
  private double bodyC;
  private double oilC;
  private boolean lidded;
  private double waterG;
  private double seconds;
  private boolean heating;

  /**
   * A pot that has stood in the room.
   *
   * @param roomC the room's temperature, °C
   */
  public ThermalPot(Appliance appliance, double roomC) {
    this.appliance = appliance;
    this.roomC = roomC;
    this.bodyC = roomC;
    this.oilC = roomC;
    this.waterG = appliance.waterG();
  }

  /**
   * What a setting comes to in a room of 20 °C; typical where nothing better is known.
   *
   * @return where it settles and how long that takes
   */
  public static Settled typical(Appliance appliance, Appliance.Setting setting) {
    ThermalPot pot = new ThermalPot(appliance, Ageing.REFERENCE_C);
    pot.turn(setting);
    List<Trace.Point> points = new ArrayList<>();
    for (int minute = 0; minute <= TYPICAL_MINUTES; minute++) {
      points.add(new Trace.Point(minute / 60.0, pot.celsius()));
      pot.fill(appliance.waterG());
      pot.run(60);
    }
    return Settled.of(points)
        .orElseGet(() -> new Settled(pot.celsius(), 0, 0, TYPICAL_MINUTES / 2.0));
  }

  /** Turns its knob. */
  public void turn(Appliance.Setting to) {
    setting = to;
    heating = !to.switched() || bodyC < to.thermostatC() + to.swingC();
  }

  /**
   * Changes what is around it.
   *
   * @param room the room's temperature from now on, °C
   * @param draught how much faster than in still air it loses heat, at least 1
   */
  public void surround(double room, double draught) {
    roomC = room;
    lossFactor = draught;
  }

  /** Puts a lid on its bath, or takes it off. */
  public void lid(boolean on) {
    lidded = on;
  }

  /** Begins its clock at an hour of the day, for the sun. */
  public void startAt(double hourOfDay) {
    seconds = hourOfDay * SECONDS_PER_HOUR;
  }

  /** Puts it at a temperature. */
  public void warmTo(double to) {
    bodyC = to;
    oilC = to;
  }

  /** Sets the water of its bath, g. */
  public void fill(double grams) {
    if (appliance.bath()) {
      double added = grams - waterG;
      if (added > 0) {
        double held = heatCapacity();
        bodyC = (bodyC * held + roomC * added * WATER_J_PER_G_K) / (held + added * WATER_J_PER_G_K);
      }
      waterG = grams;
    }
  }

  /** Goes on for a while, s. */
  public void run(double forSeconds) {
    double step = setting.switched() ? SWITCHED_STEP_S : STEP_S;
    for (double left = forSeconds; left > 1e-9; left -= step) {
      step(Math.min(step, left));
    }
  }

  private void step(double s) {
    look();
    double capacity = heatCapacity();
    double power = power();
    OrdinaryDifferentialEquation newton =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 2;
          }

          @Override
          public double[] computeDerivatives(double t, double[] y) {
            double toJar = appliance.jarWPerK() * (y[0] - y[1]);
            return new double[] {
              (power - lossW(y[0]) - evaporation(y[0]) * LATENT_J_PER_G - toJar) / capacity,
              toJar / appliance.jarCapacity()
            };
          }
        };
    double evaporated = evaporation(bodyC) * s;
    double[] next = rule.singleStep(newton, 0, new double[] {bodyC, oilC}, s);
    if (waterG > 0 && next[0] > BOILS_C) {
      evaporated += (next[0] - BOILS_C) * capacity / LATENT_J_PER_G;
      next[0] = BOILS_C;
    }
    bodyC = next[0];
    oilC = next[1];
    waterG = Math.max(0, waterG - evaporated);
    seconds += s;
  }

  private void look() {
    if (setting.switched()) {
      if (bodyC > setting.thermostatC() + setting.swingC()) {
        heating = false;
      } else if (bodyC < setting.thermostatC() - setting.swingC()) {
        heating = true;
      }
    }
  }

  private double power() {
    if (appliance == Appliance.SUNNY_WINDOW) {
      double hour = seconds / SECONDS_PER_HOUR % 24;
      return setting.watts() * Math.max(0, Math.sin(Math.PI * (hour - SUNRISE) / DAYLIGHT_HOURS));
    }
    return heating ? setting.watts() : 0;
  }

  private double lossW(double atC) {
    return appliance.lossWPerK() * lossFactor * (atC - roomC);
  }

  /** Water that leaves, g/s. */
  private double evaporation(double atC) {
    return waterG <= 0
        ? 0
        : Math.max(
            0,
            (lidded ? UNDER_A_LID : 1)
                * BETA
                * appliance.waterAreaM2()
                * (vapourPa(atC) - HUMIDITY * vapourPa(roomC)));
  }

  /** Saturation pressure of water, Pa (Magnus, after Alduchov and Eskridge 1996). */
  static double vapourPa(double celsius) {
    return 610.94 * Math.exp(17.625 * celsius / (celsius + 243.04));
  }

  private double heatCapacity() {
    return appliance.heatCapacity()
        - appliance.jarCapacity()
        - (appliance.waterG() - waterG) * WATER_J_PER_G_K;
  }

  /** The oil's temperature, °C. */
  public double celsius() {
    return oilC;
  }

  /** The temperature of what the jar stands in, °C. */
  public double bodyC() {
    return bodyC;
  }

  /** Whether its bath has a lid on. */
  public boolean lidded() {
    return lidded;
  }

  /** Water left in its bath, g. */
  public double waterG() {
    return waterG;
  }

  /** Its clock, s. */
  public double seconds() {
    return seconds;
  }

  /** Whether it heats just now. */
  public boolean heating() {
    return heating && setting.watts() > 0;
  }

  /** The position of its knob. */
  public Appliance.Setting setting() {
    return setting;
  }

  /** What it stands on. */
  public Appliance appliance() {
    return appliance;
  }
}
