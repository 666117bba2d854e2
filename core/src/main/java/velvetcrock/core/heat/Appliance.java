package velvetcrock.core.heat;

import java.util.List;
import velvetcrock.core.materia.Method;

/**
 * What oil is kept warm on, with the figures of its stand-in: two lumps, a body that loses UA·(T −
 * room) and is fed by a power that a knob or a thermostat sets, and the jar of oil in it, which
 * follows (typical; measured of none).
 */
public enum Appliance {
  /** A gas ring under a water bath. */
  GAS_RING(
      "Gas ring",
      true,
      new Lumps(10_400, 3.5, 600),
      new Water(0.028, 2000),
      new Setting("lowest", 150),
      new Setting("low", 300),
      new Setting("medium", 700)),
  /** An electric plate under a water bath; its thermostat switches. */
  ELECTRIC_PLATE(
      "Electric plate",
      false,
      new Lumps(11_500, 3.5, 600),
      new Water(0.028, 2000),
      new Setting("1", 900, 44, 3),
      new Setting("2", 900, 62, 3),
      new Setting("3", 900, 84, 3)),
  /** A slow cooker with the oil in its crock. */
  SLOW_COOKER(
      "Slow cooker",
      false,
      new Lumps(3100, 1.1, 200),
      Water.NONE,
      new Setting("warm", 53),
      new Setting("low", 75),
      new Setting("high", 110)),
  /** A dehydrator with jars on its floor. */
  DEHYDRATOR(
      "Dehydrator",
      false,
      new Lumps(4000, 4, 900),
      Water.NONE,
      new Setting("35", 300, 35, 1.5),
      new Setting("42", 300, 42, 1.5),
      new Setting("50", 300, 50, 1.5)),
  /** An oven; what it says and what the oil has are two things. */
  OVEN(
      "Oven",
      false,
      new Lumps(9000, 5, 900),
      Water.NONE,
      new Setting("50", 800, 58, 6),
      new Setting("80", 800, 90, 6),
      new Setting("100", 800, 110, 6)),
  /** A yoghurt maker with a jar in it. */
  YOGHURT_MAKER(
      "Yoghurt maker", false, new Lumps(4600, 0.62, 600), Water.NONE, new Setting("on", 14.5)),
  /** A jar in a sunny window: 14 W of sun on it at noon. */
  SUNNY_WINDOW(
      "Sunny window", false, new Lumps(2400, 0.9, 100), Water.NONE, new Setting("sun", 14)),
  /** A jar in a cupboard: nothing warms it. */
  CUPBOARD("Cupboard", false, new Lumps(2400, 0.9, 100), Water.NONE, new Setting("shut", 0));

  /** Half a litre of oil in its jar, J/K (typical). */
  private static final double JAR_J_PER_K = 1200;

  /** The knob at nothing. */
  public static final Setting OFF = new Setting("off", 0);

  private final String words;
  private final boolean flame;
  private final Lumps lumps;
  private final Water water;
  private final List<Setting> settings;

  Appliance(String words, boolean flame, Lumps lumps, Water water, Setting... settings) {
    this.words = words;
    this.flame = flame;
    this.lumps = lumps;
    this.water = water;
    this.settings = List.of(settings);
  }

  /**
   * What takes up its heat: a body (pot and bath, crock, box) that loses it to the room, and in it
   * the jar of oil, which follows.
   *
   * @param heatCapacity of body and jar together, J/K
   * @param lossWPerK what the body loses to the room, W/K
   * @param lagS how far the oil lags behind the body, s
   */
  private record Lumps(double heatCapacity, double lossWPerK, double lagS) {}

  /**
   * The water of its bath.
   *
   * @param areaM2 its surface, m²
   * @param fullG when full, g
   */
  private record Water(double areaM2, double fullG) {
    static final Water NONE = new Water(0, 0);
  }

  /**
   * A position of its knob.
   *
   * @param name what is written there
   * @param watts power while it heats, W
   * @param thermostatC middle of what its thermostat holds, °C; NaN where it has none
   * @param swingC how far to either side before it switches, °C
   */
  public record Setting(String name, double watts, double thermostatC, double swingC) {
    /** Steady power. */
    public Setting(String name, double watts) {
      this(name, watts, Double.NaN, 0);
    }

    /** Whether a thermostat switches it. */
    public boolean switched() {
      return !Double.isNaN(thermostatC);
    }
  }

  /** Its name in plain words. */
  public String words() {
    return words;
  }

  /** Whether it burns with an open flame. */
  public boolean flame() {
    return flame;
  }

  /** Whether it is a burner that somebody has to look at. */
  public boolean burner() {
    return this == GAS_RING || this == ELECTRIC_PLATE;
  }

  /** Whether a water bath stands on it. */
  public boolean bath() {
    return water.fullG() > 0;
  }

  /** Whether oil is drawn on it by a method (practice). */
  public boolean serves(Method method) {
    return switch (method) {
      case WARM, TWO_STAGE ->
          burner() || this == SLOW_COOKER || this == DEHYDRATOR || this == YOGHURT_MAKER;
      case CROCK -> this == SLOW_COOKER;
      case SIMMER -> burner();
      case OVEN -> this == OVEN;
      case SOLAR -> this == SUNNY_WINDOW;
      case COLD, SPIRIT -> false;
    };
  }

  /**
   * How many jars it holds at once where nobody has counted (typical): a bath on a burner three, a
   * crock of water four.
   */
  public int holds() {
    return switch (this) {
      case GAS_RING, ELECTRIC_PLATE -> 3;
      case SLOW_COOKER -> 4;
      case DEHYDRATOR, OVEN -> 6;
      case YOGHURT_MAKER -> 1;
      case SUNNY_WINDOW, CUPBOARD -> 12;
    };
  }

  /** Heat capacity of pot, bath and oil together, J/K. */
  public double heatCapacity() {
    return lumps.heatCapacity();
  }

  /** Heat capacity of the jar with its oil alone, J/K. */
  public double jarCapacity() {
    return JAR_J_PER_K;
  }

  /** What passes from its body to the jar, W/K. */
  public double jarWPerK() {
    return JAR_J_PER_K / lumps.lagS();
  }

  /** What it loses to the room, W/K. */
  public double lossWPerK() {
    return lumps.lossWPerK();
  }

  /** Open water of its bath, m². */
  public double waterAreaM2() {
    return water.areaM2();
  }

  /** Water in its bath when full, g. */
  public double waterG() {
    return water.fullG();
  }

  /** The positions of its knob above off, the coolest first. */
  public List<Setting> settings() {
    return settings;
  }

  /** The position of a name; off where there is none. */
  public Setting setting(String name) {
    return settings.stream().filter(s -> s.name().equals(name)).findFirst().orElse(OFF);
  }
}
