package velvetcrock;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What a reader can hold at once: components of a record, collaborators, a line of a template. */
class SizesTest {
  private static final int MOST_COMPONENTS = 12;
  private static final int MOST_COLLABORATORS = 8;
  private static final int LONGEST_LINE = 160;

  /** Those from before the rule, with what they have; they may shrink and none may join them. */
  private static final Map<String, Integer> WIDE_RECORDS =
      Map.ofEntries(
          Map.entry("api.Answers$Charge", 15),
          Map.entry("api.Answers$Formula", 13),
          Map.entry("batch.BatchView", 14),
          Map.entry("batch.JarView", 13),
          Map.entry("batch.LogForm", 21),
          Map.entry("batch.StoredJar$ChargedData", 14),
          Map.entry("bench.BenchForm", 19),
          Map.entry("bench.BenchView", 16),
          Map.entry("bench.Reckoned", 15),
          Map.entry("bench.TakeOnForm", 13),
          Map.entry("bench.Wish", 13),
          Map.entry("cellar.BottleView", 20),
          Map.entry("core.batch.Charged", 14),
          Map.entry("core.charge.Charge", 14),
          Map.entry("core.drawer.LotDetails", 15),
          Map.entry("core.materia.Carrier", 18),
          Map.entry("core.materia.Herb", 14),
          Map.entry("core.outlook.Route", 23),
          Map.entry("core.outlook.Way", 13),
          Map.entry("core.product.ProductState", 17),
          Map.entry("drawer.DryingController$DryingForm", 13),
          Map.entry("drawer.LotForm", 18),
          Map.entry("drawer.LotView", 14),
          Map.entry("drawer.StoredDetails$LotDetailsData", 15),
          Map.entry("kitchen.KitchenController$KitchenForm", 22),
          Map.entry("plans.OutlookView$Lane", 13),
          Map.entry("plans.PlanDetails", 21),
          Map.entry("plans.WhatIfForm", 14),
          Map.entry("products.NewProductForm", 21),
          Map.entry("products.ProductForm", 20),
          Map.entry("products.ProductView", 27),
          Map.entry("stove.PotRow", 27),
          Map.entry("stove.PracticeController$Out", 14),
          Map.entry("stove.StoveForm", 14),
          Map.entry("web.JarDrawing", 15));

  private static final Map<String, Integer> BUSY_CLASSES =
      Map.ofEntries(
          Map.entry("batch.BatchController", 9),
          Map.entry("batch.Batches", 16),
          Map.entry("bench.BenchController", 12),
          Map.entry("demo.DemoHousehold", 14),
          Map.entry("papers.PassController", 11),
          Map.entry("plans.Plans", 13),
          Map.entry("products.ProductController", 9),
          Map.entry("products.Recipes", 10),
          Map.entry("stove.StoveController", 11));

  private static final JavaClasses CLASSES =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("velvetcrock");

  @Test
  void noRecordGrowsWiderThanAReaderCanHold() {
    Map<String, Integer> wide = new TreeMap<>();
    for (JavaClass type : CLASSES) {
      Class<?> real = type.reflect();
      if (real.isRecord() && real.getRecordComponents().length > MOST_COMPONENTS) {
        wide.put(name(type), real.getRecordComponents().length);
      }
    }
    assertNoneGrew(wide, WIDE_RECORDS);
  }

  @Test
  void noClassTakesMoreCollaboratorsThanAReaderCanHold() {
    Map<String, Integer> busy = new TreeMap<>();
    for (JavaClass type : CLASSES) {
      Class<?> real = type.reflect();
      if (!real.isRecord() && !real.isEnum() && !real.isInterface()) {
        Arrays.stream(real.getDeclaredConstructors())
            .filter(c -> !c.isSynthetic() && c.getParameterCount() > MOST_COLLABORATORS)
            .forEach(c -> busy.merge(name(type), c.getParameterCount(), Math::max));
      }
    }
    assertNoneGrew(busy, BUSY_CLASSES);
  }

  @Test
  void noTwoTypesOfTheApplicationAreOfOneName() {
    Map<String, List<String>> byName =
        CLASSES.stream()
            .filter(c -> !c.isNestedClass() && !c.getPackageName().startsWith("velvetcrock.core"))
            .filter(c -> !c.getSimpleName().equals("package-info"))
            .collect(groupingBy(JavaClass::getSimpleName, mapping(JavaClass::getName, toList())));
    assertThat(byName.values()).allSatisfy(named -> assertThat(named).hasSize(1));
  }

  @Test
  void noNestedTypeHasANameThatSaysNothing() {
    Set<String> empty = Set.of("Known", "Said", "Of", "In", "What");
    assertThat(CLASSES.stream().filter(JavaClass::isNestedClass).map(JavaClass::getSimpleName))
        .doesNotContainAnyElementsOf(empty);
  }

  @Test
  void everyLineOfATemplateCanBeRead() throws IOException {
    List<String> tooLong = new ArrayList<>();
    Path templates = Path.of("src/main/resources/templates");
    try (Stream<Path> files = Files.walk(templates)) {
      for (Path file : files.filter(f -> f.toString().endsWith(".html")).toList()) {
        List<String> lines = Files.readAllLines(file);
        for (int i = 0; i < lines.size(); i++) {
          if (lines.get(i).length() > LONGEST_LINE) {
            tooLong.add(templates.relativize(file) + ":" + (i + 1));
          }
        }
      }
    }
    assertThat(tooLong).isEmpty();
  }

  private static void assertNoneGrew(Map<String, Integer> found, Map<String, Integer> known) {
    assertThat(found.keySet()).isSubsetOf(known.keySet());
    found.forEach((name, size) -> assertThat(size).as(name).isLessThanOrEqualTo(known.get(name)));
    Set<String> mended = new TreeSet<>(known.keySet());
    mended.removeAll(found.keySet());
    assertThat(mended).as("within the bound now: take them off the list").isEmpty();
  }

  private static String name(JavaClass type) {
    return type.getName().substring("velvetcrock.".length());
  }
}
