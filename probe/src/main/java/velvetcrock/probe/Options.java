package velvetcrock.probe;

import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.heat.Appliance;

/**
 * What a probe is asked to do.
 *
 * @param url where Velvet Crock is
 * @param token a household's, for the header
 * @param batch code on the jar's lid; empty for a thermometer that was paired, which need not know
 * @param trust file of the house's certificate; null where it is not needed
 * @param appliance what the pot stands on
 * @param setting where its knob is at first
 * @param every time between readings, by its own clock
 * @param speed how many times as fast as real its clock runs, until it has caught up with now
 * @param back how long ago it begins
 * @param lid whether its bath has a lid on
 * @param noiseC spread of its readings, °C
 * @param count readings after which it stops; 0 for never
 */
public record Options(
    URI url,
    String token,
    String batch,
    @Nullable Path trust,
    Appliance appliance,
    String setting,
    Duration every,
    double speed,
    Duration back,
    double noiseC,
    boolean lid,
    long count) {
  /** Fastest its clock runs. */
  public static final double MOST_SPEED = 3600;

  static final String USAGE =
      """
      bin/probe --token TOKEN [--batch CODE] [--url http://localhost:8080]
        --batch CODE              the jar; without it the token is of a thermometer that was paired
        --trust FILE              the house’s certificate, for https://
        --appliance slow-cooker   gas-ring, electric-plate, slow-cooker, dehydrator, oven, yoghurt-maker,
                                  sunny-window, cupboard
        --setting warm            where its knob is; type another and Enter to turn it
        --lid off                 on: the bath has a lid, and loses a tenth of its water; type lid to change it
        --every 2                 seconds between readings, by its own clock
        --speed 1                 how fast its clock runs, up to 3600, until it has caught up with now
        --back 0                  hours ago at which it begins
        --noise 0.2               spread of its readings, °C
        --count 0                 readings after which it stops; 0 for never
      The token may also stand in VELVETCROCK_TOKEN.""";

  private static final List<String> NAMES =
      List.of(
          "--url",
          "--token",
          "--batch",
          "--trust",
          "--appliance",
          "--setting",
          "--lid",
          "--every",
          "--speed",
          "--back",
          "--noise",
          "--count");

  /**
   * Reads the words of the command.
   *
   * @param words names and values in turn
   * @param tokenOfEnvironment used where no token is given; may be null
   * @throws IllegalArgumentException with what is wrong
   */
  public static Options of(String[] words, @Nullable String tokenOfEnvironment) {
    Map<String, String> given = new HashMap<>();
    for (int i = 0; i < words.length; i += 2) {
      if (!NAMES.contains(words[i]) || i + 1 == words.length) {
        throw new IllegalArgumentException("“" + words[i] + "” is not understood.\n" + USAGE);
      }
      given.put(words[i], words[i + 1]);
    }
    String token =
        given.getOrDefault("--token", tokenOfEnvironment == null ? "" : tokenOfEnvironment);
    String batch = given.getOrDefault("--batch", "");
    if (token.isBlank()) {
      throw new IllegalArgumentException("A token is needed.\n" + USAGE);
    }
    Appliance appliance = appliance(given.getOrDefault("--appliance", "slow-cooker"));
    String setting = given.getOrDefault("--setting", appliance.settings().get(0).name());
    if (appliance.setting(setting).equals(Appliance.OFF) && !setting.equals("off")) {
      throw new IllegalArgumentException("A " + appliance.words() + " has no “" + setting + "”.");
    }
    return new Options(
        URI.create(given.getOrDefault("--url", "http://localhost:8080")),
        token,
        batch,
        given.containsKey("--trust") ? Path.of(given.get("--trust")) : null,
        appliance,
        setting,
        Duration.ofMillis(Math.round(1000 * number(given, "--every", 2, 0.05, 3600))),
        number(given, "--speed", 1, 0.001, MOST_SPEED),
        Duration.ofSeconds(Math.round(3600 * number(given, "--back", 0, 0, 24 * 60))),
        number(given, "--noise", 0.2, 0, 20),
        lid(given.getOrDefault("--lid", "off")),
        Math.round(number(given, "--count", 0, 0, 1e9)));
  }

  private static Appliance appliance(String name) {
    try {
      return Appliance.valueOf(name.toUpperCase(Locale.ROOT).replace('-', '_'));
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException("There is no appliance “" + name + "”.\n" + USAGE);
    }
  }

  private static boolean lid(String word) {
    return switch (word) {
      case "on" -> true;
      case "off" -> false;
      default -> throw new IllegalArgumentException("The lid is on or off, not “" + word + "”.");
    };
  }

  private static double number(
      Map<String, String> given, String name, double usual, double low, double high) {
    try {
      double number = Double.parseDouble(given.getOrDefault(name, String.valueOf(usual)));
      if (number >= low && number <= high) {
        return number;
      }
    } catch (NumberFormatException e) {
      // said below, as for a number out of range
    }
    throw new IllegalArgumentException(
        name
            + " wants a number from "
            + low
            + " to "
            + high
            + "; "
            + given.get(name)
            + " was read.");
  }
}
