package velvetcrock;

import java.util.Arrays;
import java.util.Map;
import org.springframework.beans.BeanUtils;
import velvetcrock.web.Flat;

/** Forms as they come out of a page, for tests that need no page. */
public final class Typing {
  private Typing() {}

  /** A form of text fields with what was typed in them, in whatever group they stand. */
  public static <T> T form(Class<T> type, Map<String, String> typed) {
    Object[] values =
        Arrays.stream(type.getRecordComponents())
            .map(
                c ->
                    c.isAnnotationPresent(Flat.class)
                        ? form(c.getType(), typed)
                        : typed.get(c.getName()))
            .toArray();
    return BeanUtils.instantiateClass(BeanUtils.getResolvableConstructor(type), values);
  }
}
