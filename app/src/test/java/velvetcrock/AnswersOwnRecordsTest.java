package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import velvetcrock.core.Range;

/** What is answered by JSON keeps its shape when the core's records change theirs. */
class AnswersOwnRecordsTest {
  /** A figure with two ends is a value like a number. */
  private static final Set<Class<?>> VALUES = Set.of(Range.class);

  @Test
  void noRecordOfTheCoreIsInAnAnswer() {
    List<Type> answers =
        Written.CLASSES.stream()
            .filter(type -> type.isAnnotatedWith(RestController.class))
            .map(JavaClass::reflect)
            .flatMap(type -> Arrays.stream(type.getDeclaredMethods()))
            .filter(m -> AnnotatedElementUtils.hasAnnotation(m, RequestMapping.class))
            .map(Method::getGenericReturnType)
            .toList();
    Set<Class<?>> reached = new HashSet<>();
    answers.forEach(type -> reach(type, reached));
    assertThat(reached).as("records that are answered").hasSizeGreaterThan(60);
    List<String> ofTheCore =
        reached.stream()
            .filter(type -> type.getPackageName().startsWith("velvetcrock.core"))
            .filter(type -> !VALUES.contains(type))
            .map(type -> type.getName())
            .sorted()
            .toList();
    assertThat(ofTheCore).isEmpty();
    assertThat(reached.stream().map(Class::getSimpleName))
        .as("names in the description of the answers")
        .doesNotHaveDuplicates();
  }

  private static void reach(Type type, Set<Class<?>> reached) {
    if (type instanceof ParameterizedType of) {
      Stream.of(of.getActualTypeArguments()).forEach(each -> reach(each, reached));
    } else if (type instanceof Class<?> plain && plain.isRecord() && reached.add(plain)) {
      Arrays.stream(plain.getRecordComponents())
          .map(RecordComponent::getGenericType)
          .forEach(each -> reach(each, reached));
    }
  }
}
