package velvetcrock.web;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.cfg.CoercionAction;
import tools.jackson.databind.cfg.CoercionInputShape;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.type.LogicalType;

/**
 * Forms as they are sent: each field under its name, {@code herbs[0].cut} for one in a row, {@code
 * figures[density]} for one of many that have names. A form is a record of words, of lists and maps
 * of words, and of lists of rows that are such records; a group of fields that is a record of its
 * own ({@link JsonUnwrapped}) has no prefix. What was not sent is null; a group is never null, nor
 * is what a form has no place for refused.
 */
@Component
public class SentForms implements HandlerMethodArgumentResolver, WebMvcConfigurer {
  private static final Pattern STEP = Pattern.compile("[.\\[]");
  private static final Pattern PLACE = Pattern.compile("\\d+]");
  private static final int MOST_DIGITS = 3;

  /** No list of a form is as long. */
  private static final int LONGEST = 256;

  private static final JsonMapper FORMS =
      JsonMapper.builder()
          .enable(DeserializationFeature.ACCEPT_SINGLE_VALUE_AS_ARRAY)
          .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .withCoercionConfig(
              LogicalType.Enum,
              nothing -> nothing.setCoercion(CoercionInputShape.EmptyString, CoercionAction.AsNull))
          .build();

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType().isRecord();
  }

  @Override
  public Object resolveArgument(
      MethodParameter parameter,
      @Nullable ModelAndViewContainer container,
      NativeWebRequest request,
      @Nullable WebDataBinderFactory binders) {
    return read(parameter.getParameterType(), request.getParameterMap());
  }

  /**
   * Reads a form.
   *
   * @param form a record as described above
   * @param sent each field's values; more than one only where the form has a list
   * @throws Unreadable if a field is not of the kind that the form has there
   */
  public static <T> T read(Class<T> form, Map<String, String[]> sent) {
    ObjectNode typed = JsonNodeFactory.instance.objectNode();
    sent.forEach((name, values) -> put(typed, name, values));
    try {
      return FORMS.treeToValue(typed, form);
    } catch (JacksonException other) {
      throw unexpected(
          other.getPath().stream()
              .map(JacksonException.Reference::getPropertyName)
              .filter(name -> name != null)
              .findFirst()
              .orElse("a field"));
    }
  }

  private static void put(ObjectNode typed, String name, String[] values) {
    String[] steps = STEP.split(name);
    JsonNode at = typed;
    for (int i = 0; i < steps.length - 1; i++) {
      at = within(at, steps[i], steps[i + 1], name);
    }
    if (steps.length > 0) {
      set(at, steps[steps.length - 1], value(values), name);
    }
  }

  /** What stands at a step and holds the next one, made if there is nothing yet. */
  private static JsonNode within(JsonNode at, String step, String next, String name) {
    JsonNode there = at.isArray() ? at.get(place(step, name)) : at.get(field(step));
    if (there != null && !there.isNull()) {
      return there;
    }
    JsonNode made =
        PLACE.matcher(next).matches()
            ? JsonNodeFactory.instance.arrayNode()
            : JsonNodeFactory.instance.objectNode();
    set(at, step, made, name);
    return made;
  }

  private static void set(JsonNode at, String step, JsonNode value, String name) {
    if (at instanceof ObjectNode fields) {
      fields.set(field(step), value);
    } else if (at instanceof ArrayNode rows) {
      int place = place(step, name);
      while (rows.size() <= place) {
        rows.addNull();
      }
      rows.set(place, value);
    } else {
      throw unexpected(name);
    }
  }

  private static String field(String step) {
    return step.endsWith("]") ? step.substring(0, step.length() - 1) : step;
  }

  private static int place(String step, String name) {
    String digits = field(step);
    int place =
        PLACE.matcher(step).matches() && digits.length() <= MOST_DIGITS
            ? Integer.parseInt(digits)
            : LONGEST;
    if (place >= LONGEST) {
      throw unexpected(name);
    }
    return place;
  }

  private static JsonNode value(String[] values) {
    JsonNodeFactory nodes = JsonNodeFactory.instance;
    if (values.length == 1) {
      return nodes.stringNode(values[0]);
    }
    ArrayNode several = nodes.arrayNode();
    for (String value : values) {
      several.add(value);
    }
    return several;
  }

  private static Unreadable unexpected(String field) {
    return new Unreadable(field, "This is not of the kind that is expected here.");
  }
}
