package velvetcrock;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What a reader can hold at once: components of a record, collaborators, a line of a template. */
class SizesTest {
  private static final int MOST_COMPONENTS = 12;
  private static final int MOST_COLLABORATORS = 8;
  private static final int LONGEST_LINE = 160;

  @Test
  void noRecordGrowsWiderThanAReaderCanHold() {
    Map<String, Integer> wide = new TreeMap<>();
    for (JavaClass type : Written.CLASSES) {
      Class<?> real = type.reflect();
      if (real.isRecord() && real.getRecordComponents().length > MOST_COMPONENTS) {
        wide.put(name(type), real.getRecordComponents().length);
      }
    }
    assertThat(wide).isEmpty();
  }

  @Test
  void noClassTakesMoreCollaboratorsThanAReaderCanHold() {
    Map<String, Integer> busy = new TreeMap<>();
    for (JavaClass type : Written.CLASSES) {
      Class<?> real = type.reflect();
      if (!real.isRecord() && !real.isEnum() && !real.isInterface()) {
        Arrays.stream(real.getDeclaredConstructors())
            .filter(c -> !c.isSynthetic() && c.getParameterCount() > MOST_COLLABORATORS)
            .forEach(c -> busy.merge(name(type), c.getParameterCount(), Math::max));
      }
    }
    assertThat(busy).isEmpty();
  }

  @Test
  void noTwoTypesOfTheApplicationAreOfOneName() {
    Map<String, List<String>> byName =
        Written.CLASSES.stream()
            .filter(c -> !c.isNestedClass() && !c.getPackageName().startsWith("velvetcrock.core"))
            .filter(c -> !c.getSimpleName().equals("package-info"))
            .collect(groupingBy(JavaClass::getSimpleName, mapping(JavaClass::getName, toList())));
    assertThat(byName.values()).allSatisfy(named -> assertThat(named).hasSize(1));
  }

  @Test
  void noNestedTypeHasANameThatSaysNothing() {
    Set<String> empty = Set.of("Known", "Said", "Of", "In", "What");
    assertThat(
            Written.CLASSES.stream().filter(JavaClass::isNestedClass).map(JavaClass::getSimpleName))
        .doesNotContainAnyElementsOf(empty);
  }

  @Test
  void everyLineOfATemplateCanBeRead() throws IOException {
    List<String> tooLong = new ArrayList<>();
    for (Path file : templates()) {
      List<String> lines = Files.readAllLines(file);
      for (int i = 0; i < lines.size(); i++) {
        if (lines.get(i).length() > LONGEST_LINE) {
          tooLong.add(file + ":" + (i + 1));
        }
      }
    }
    assertThat(tooLong).isEmpty();
  }

  /** The words for a kind of thing come from where the compiler asks for a new kind's. */
  @Test
  void noTemplateHasTheWordsOfAKind() throws IOException {
    Pattern byKind =
        Pattern.compile(
            "th:(?:text|value|placeholder)=\"[^\"]*?(?:name\\(\\)|kind|unit\\(\\)|level\\(\\))"
                + " *[=!]= *'[^\"]*\\? *'[^\"]*\"");
    List<String> worded = new ArrayList<>();
    for (Path file : templates()) {
      byKind.matcher(Files.readString(file)).results().forEach(m -> worded.add(m.group()));
    }
    assertThat(worded).isEmpty();
  }

  private static List<Path> templates() throws IOException {
    try (Stream<Path> files = Files.walk(Path.of("src/main/resources/templates"))) {
      return files.filter(f -> f.toString().endsWith(".html")).toList();
    }
  }

  private static String name(JavaClass type) {
    return type.getName().substring("velvetcrock.".length());
  }
}
