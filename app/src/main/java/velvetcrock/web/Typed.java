package velvetcrock.web;

import java.util.Locale;
import java.util.Objects;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Figures;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;

/** Reads what is typed into forms; every page reads it the same way. */
public final class Typed {
  private static final int SHOWN = 40;

  private Typed() {}

  /** What was typed, without spaces round it; empty for nothing. */
  public static String text(@Nullable String text) {
    return text == null ? "" : text.strip();
  }

  /** Whether nothing was typed. */
  public static boolean blank(@Nullable String text) {
    return text(text).isEmpty();
  }

  /** What was chosen; null for nothing. */
  public static @Nullable String chosen(@Nullable String text) {
    return blank(text) ? null : text;
  }

  /**
   * A number in bounds.
   *
   * @param what what it is a number of, for the error
   * @throws Refused without a field, for whoever asks to name it
   */
  public static double number(@Nullable String text, double low, double high, String what) {
    String typed = text(text);
    double value;
    try {
      value = Double.parseDouble(typed.replace(',', '.').replaceFirst("\\s*(mm|%)$", ""));
    } catch (NumberFormatException e) {
      throw new Refused("", "“" + shown(typed) + "” is not a number of " + what + ".");
    }
    if (!(value >= low && value <= high)) {
      throw new Refused(
          "",
          "Between "
              + Figures.plain(low)
              + " and "
              + Figures.plain(high)
              + " "
              + what
              + "; "
              + shown(typed)
              + " was read.");
    }
    return value;
  }

  private static String shown(String typed) {
    return typed.length() > SHOWN ? typed.substring(0, SHOWN) + "…" : typed;
  }

  /**
   * One of a list, in either case, with hyphens or without.
   *
   * @throws Refused at {@code field}
   */
  public static <E extends Enum<E>> E named(Class<E> type, @Nullable String name, String field) {
    try {
      return Enum.valueOf(type, text(name).toUpperCase(Locale.ROOT).replace('-', '_'));
    } catch (IllegalArgumentException e) {
      throw new Refused(field, "Choose one of the list.");
    }
  }

  /** Runs a step whose problems all belong to one field of the form. */
  public static <T> T at(String field, Supplier<T> step) {
    Problems problems = new Problems();
    T result = problems.attempt(field, step);
    problems.refuseIfAny();
    return Objects.requireNonNull(result);
  }
}
