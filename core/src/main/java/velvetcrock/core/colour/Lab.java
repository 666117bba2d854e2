package velvetcrock.core.colour;

/**
 * A colour in CIE L*a*b* under D65, and its difference to another by CIEDE2000.
 *
 * <p>The formula is that of G. Sharma, W. Wu and E. N. Dalal, “The CIEDE2000 color-difference
 * formula: implementation notes, supplementary test data, and mathematical observations” (2005), in
 * its notation, with k_L = k_C = k_H = 1. It is written out here because the colour library of this
 * project misses that paper's test data by up to 1.7.
 *
 * @param l lightness L*, 0–100
 * @param a green to red
 * @param b blue to yellow
 */
record Lab(double l, double a, double b) {
  private static final double POW25_7 = Math.pow(25, 7);
  private static final double TURN = 360;
  private static final double HALF_TURN = 180;

  /** ΔE00 to another. */
  double difference(Lab other) {
    double meanC = (Math.hypot(a, b) + Math.hypot(other.a, other.b)) / 2;
    double g = 0.5 * (1 - fade(meanC));
    double a1 = (1 + g) * a;
    double a2 = (1 + g) * other.a;
    double c1 = Math.hypot(a1, b);
    double c2 = Math.hypot(a2, other.b);
    double h1 = hue(a1, b);
    double h2 = hue(a2, other.b);

    double dL = other.l - l;
    double dC = c2 - c1;
    double dH = 2 * Math.sqrt(c1 * c2) * sin(turned(h1, h2, c1 * c2) / 2);

    double l50 = Math.pow((l + other.l) / 2 - 50, 2);
    double meanC2 = (c1 + c2) / 2;
    double meanH = meanHue(h1, h2, c1 * c2);
    double t =
        1
            - 0.17 * cos(meanH - 30)
            + 0.24 * cos(2 * meanH)
            + 0.32 * cos(3 * meanH + 6)
            - 0.20 * cos(4 * meanH - 63);
    double sL = 1 + 0.015 * l50 / Math.sqrt(20 + l50);
    double sC = 1 + 0.045 * meanC2;
    double sH = 1 + 0.015 * meanC2 * t;
    double theta = 30 * Math.exp(-Math.pow((meanH - 275) / 25, 2));
    double rT = -sin(2 * theta) * 2 * fade(meanC2);
    return Math.sqrt(
        Math.pow(dL / sL, 2)
            + Math.pow(dC / sC, 2)
            + Math.pow(dH / sH, 2)
            + rT * (dC / sC) * (dH / sH));
  }

  /** √(C⁷/(C⁷ + 25⁷)). */
  private static double fade(double c) {
    double c7 = Math.pow(c, 7);
    return Math.sqrt(c7 / (c7 + POW25_7));
  }

  /** Hue angle, 0–360°; 0 for a grey. */
  private static double hue(double a, double b) {
    if (a == 0 && b == 0) {
      return 0;
    }
    double degrees = Math.toDegrees(Math.atan2(b, a));
    return degrees < 0 ? degrees + TURN : degrees;
  }

  /** Δh′: from one hue to another the short way round; 0 if either is grey. */
  private static double turned(double h1, double h2, double chromas) {
    double turn = h2 - h1;
    if (chromas == 0) {
      return 0;
    }
    return turn > HALF_TURN ? turn - TURN : turn < -HALF_TURN ? turn + TURN : turn;
  }

  private static double meanHue(double h1, double h2, double chromas) {
    double sum = h1 + h2;
    if (chromas == 0) {
      return sum;
    }
    if (Math.abs(h1 - h2) <= HALF_TURN) {
      return sum / 2;
    }
    return sum < TURN ? (sum + TURN) / 2 : (sum - TURN) / 2;
  }

  private static double sin(double degrees) {
    return Math.sin(Math.toRadians(degrees));
  }

  private static double cos(double degrees) {
    return Math.cos(Math.toRadians(degrees));
  }
}
