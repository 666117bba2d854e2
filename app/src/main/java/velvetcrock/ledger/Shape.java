package velvetcrock.ledger;

import java.lang.reflect.GenericArrayType;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Names the shape of a type by what it is made of, records within records, so that data kept in
 * another shape are known by their name.
 */
final class Shape {
  private static final int LETTERS = 12;
  private static final Map<Class<?>, String> KNOWN = new ConcurrentHashMap<>();

  private Shape() {}

  /** The name of a type's shape: the same for as long as its components are. */
  static String of(Class<?> type) {
    return KNOWN.computeIfAbsent(type, Shape::reckon);
  }

  private static String reckon(Class<?> type) {
    Set<String> lines = new LinkedHashSet<>();
    describe(type, lines);
    try {
      byte[] hash =
          MessageDigest.getInstance("SHA-256")
              .digest(String.join("\n", lines).getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(hash).substring(0, LETTERS);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void describe(Type type, Set<String> lines) {
    if (type instanceof ParameterizedType p) {
      Arrays.stream(p.getActualTypeArguments()).forEach(a -> describe(a, lines));
    } else if (type instanceof GenericArrayType a) {
      describe(a.getGenericComponentType(), lines);
    } else if (type instanceof Class<?> c && c.isRecord()) {
      StringBuilder line = new StringBuilder(c.getName());
      for (RecordComponent component : c.getRecordComponents()) {
        line.append(' ').append(component.getName());
        line.append(':').append(component.getGenericType().getTypeName());
      }
      if (lines.add(line.toString())) {
        for (RecordComponent component : c.getRecordComponents()) {
          describe(component.getGenericType(), lines);
        }
      }
    } else if (type instanceof Class<?> c && c.isEnum()) {
      lines.add(c.getName() + " " + Arrays.toString(c.getEnumConstants()));
    }
  }
}
