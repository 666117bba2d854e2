package velvetcrock;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;

import com.tngtech.archunit.core.domain.JavaClass;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.transaction.annotation.Transactional;

class ModulesTest {
  @Test
  void placesAreInNoCycleAndUseOnlyWhatIsPublished() {
    ApplicationModules.of(
            VelvetCrock.class,
            JavaClass.Predicates.resideInAPackage("velvetcrock.core..")
                .or(JavaClass.Predicates.simpleNameContaining("__")))
        .verify();
  }

  /** What is asked outside a transaction is asked of no household, and finds nothing. */
  @Test
  void everyRepositoryAsksWithinATransaction() {
    classes()
        .that()
        .areAssignableTo(Repository.class)
        .should()
        .beAnnotatedWith(Transactional.class)
        .check(Written.CLASSES);
  }
}
