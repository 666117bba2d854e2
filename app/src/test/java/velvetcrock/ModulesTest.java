package velvetcrock;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.library.ProxyRules;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.web.HeldUntilChanged;

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

  /** What a class asks of itself goes past what holds its answers, and is asked anew each time. */
  @Test
  void nobodyAsksItselfWhatIsHeld() {
    ProxyRules
        .no_classes_should_directly_call_other_methods_declared_in_the_same_class_that_are_annotated_with(
            HeldUntilChanged.class)
        .check(Written.CLASSES);
  }
}
