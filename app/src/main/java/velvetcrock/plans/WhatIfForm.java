package velvetcrock.plans;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The sliders as they stand; every field is kept whatever it says.
 *
 * @param material the herb
 * @param grams herb, g
 * @param ratio oil per herb, ml/g
 * @param celsius oil temperature, °C
 * @param time place on the slider of time, 0–100: half an hour to eight weeks, evenly in its
 *     logarithm
 * @param moved how often the herb is moved
 * @param light the light it stands in
 * @param jar a vessel's key; empty for none
 * @param pins earlier states, each as {@link #pinned()} wrote it
 */
record WhatIfForm(
    @JsonUnwrapped Material material,
    @Nullable String carrier,
    @Nullable String grams,
    @Nullable String ratio,
    @Nullable String celsius,
    @Nullable String time,
    @Nullable String moved,
    @Nullable String light,
    @Nullable String spirit,
    @Nullable String jar,
    @Nullable List<String> pins,
    @Nullable String set) {

  /** The herb. */
  record Material(@Nullable String herb, @Nullable String cut, @Nullable String state) {}

  private static final int MOST_PINS = 3;
  private static final int FIELDS = 12;
  private static final String BETWEEN = "~";

  /** The same with nothing missing, and pinned or unpinned as asked. */
  WhatIfForm completed(String usualHerb, String usualCarrier) {
    WhatIfForm whole =
        new WhatIfForm(
            new WhatIfForm.Material(
                or(material.herb(), usualHerb),
                or(material.cut(), "CUT"),
                or(material.state(), "DRIED")),
            or(carrier, usualCarrier),
            or(grams, "60"),
            or(ratio, "8"),
            or(celsius, "20"),
            or(time, "94"),
            or(moved, "DAILY"),
            or(light, "DARK"),
            or(spirit, ""),
            or(jar, ""),
            List.of(),
            null);
    List<String> kept = new ArrayList<>();
    if (pins != null) {
      pins.stream().filter(Objects::nonNull).distinct().limit(MOST_PINS).forEach(kept::add);
    }
    String change = set == null ? "" : set;
    if (change.equals("pin") && !kept.contains(whole.pinned())) {
      if (kept.size() == MOST_PINS) {
        kept.remove(0);
      }
      kept.add(whole.pinned());
    }
    if (change.startsWith("unpin-")) {
      kept.remove(change.substring("unpin-".length()));
    }
    return whole.with(kept);
  }

  private WhatIfForm with(List<String> kept) {
    return new WhatIfForm(
        new WhatIfForm.Material(material.herb(), material.cut(), material.state()),
        carrier,
        grams,
        ratio,
        celsius,
        time,
        moved,
        light,
        spirit,
        jar,
        kept,
        null);
  }

  /** Its sliders in one word, for a pin. */
  String pinned() {
    return String.join(
        BETWEEN,
        List.of(
            or(material.herb(), ""),
            or(material.cut(), ""),
            or(material.state(), ""),
            or(carrier, ""),
            or(grams, ""),
            or(ratio, ""),
            or(celsius, ""),
            or(time, ""),
            or(moved, ""),
            or(light, ""),
            or(spirit, ""),
            or(jar, "")));
  }

  /** The sliders of a pin; empty where that is none. */
  static Optional<WhatIfForm> ofPin(String pin) {
    String[] parts = pin.split(BETWEEN, -1);
    return parts.length != FIELDS
        ? Optional.empty()
        : Optional.of(
            new WhatIfForm(
                new WhatIfForm.Material(parts[0], parts[1], parts[2]),
                parts[3],
                parts[4],
                parts[5],
                parts[6],
                parts[7],
                parts[8],
                parts[9],
                parts[10],
                parts[11],
                List.of(),
                null));
  }

  private static String or(@Nullable String typed, String usual) {
    return Optional.ofNullable(typed).orElse(usual);
  }
}
