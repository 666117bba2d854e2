package velvetcrock.web;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/** What is wrong with a form, by field, for a template to show where it was made. */
public final class FieldErrors {
  private final Map<String, String> byField = new LinkedHashMap<>();

  /** Nothing wrong. */
  public static FieldErrors none() {
    return new FieldErrors();
  }

  /** The problems of a refusal; the first of each field. */
  public static FieldErrors of(Refused refused) {
    FieldErrors errors = new FieldErrors();
    refused.problems().forEach(p -> errors.byField.putIfAbsent(p.field(), p.message()));
    return errors;
  }

  /** The message at a field, or null. */
  public @Nullable String at(String field) {
    return byField.get(field);
  }

  /** Whether anything is wrong. */
  public boolean any() {
    return !byField.isEmpty();
  }

  /** All messages, by field, in the order in which they were found. */
  public Map<String, String> all() {
    return byField;
  }
}
