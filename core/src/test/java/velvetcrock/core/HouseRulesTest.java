package velvetcrock.core;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;

@AnalyzeClasses(packages = "velvetcrock.core", importOptions = ImportOption.DoNotIncludeTests.class)
class HouseRulesTest {
  @ArchTest
  static final ArchRule dependenciesRunDownwards =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("diary")
          .definedBy("velvetcrock.core.diary")
          .layer("outlook")
          .definedBy("velvetcrock.core.outlook", "velvetcrock.core.stock")
          .layer("care")
          .definedBy("velvetcrock.core.care")
          .layer("jar")
          .definedBy("velvetcrock.core.jar")
          .layer("what happened")
          .definedBy(
              "velvetcrock.core.batch", "velvetcrock.core.drawer", "velvetcrock.core.product")
          .layer("log")
          .definedBy("velvetcrock.core.log")
          .layer("caution")
          .definedBy("velvetcrock.core.caution")
          .layer("reckonings")
          .definedBy(
              "velvetcrock.core.yield",
              "velvetcrock.core.keeping",
              "velvetcrock.core.extraction",
              "velvetcrock.core.making")
          .layer("what goes in")
          .definedBy(
              "velvetcrock.core.charge",
              "velvetcrock.core.heat",
              "velvetcrock.core.moisture",
              "velvetcrock.core.spirit")
          .layer("materia")
          .definedBy("velvetcrock.core.materia")
          .layer("measure")
          .definedBy("velvetcrock.core.measure", "velvetcrock.core.colour")
          .whereLayer("diary")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("outlook")
          .mayOnlyBeAccessedByLayers("diary")
          .whereLayer("care")
          .mayOnlyBeAccessedByLayers("outlook", "diary")
          .whereLayer("jar")
          .mayOnlyBeAccessedByLayers("care", "outlook", "diary")
          .whereLayer("what happened")
          .mayOnlyBeAccessedByLayers("jar", "care", "outlook", "diary")
          .whereLayer("caution")
          .mayOnlyBeAccessedByLayers("what happened", "jar", "care", "outlook", "diary")
          .whereLayer("reckonings")
          .mayOnlyBeAccessedByLayers("caution", "what happened", "jar", "care", "outlook", "diary")
          .whereLayer("what goes in")
          .mayOnlyBeAccessedByLayers(
              "reckonings", "caution", "what happened", "jar", "care", "outlook", "diary");

  @ArchTest
  static final ArchRule noPackageIsInACycle =
      SlicesRuleDefinition.slices().matching("velvetcrock.core.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule coreKnowsNoWebAndNoDatabase =
      ArchRuleDefinition.noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..", "jakarta..", "java.sql..", "tools.jackson..");
}
