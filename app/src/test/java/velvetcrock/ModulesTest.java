package velvetcrock;

import com.tngtech.archunit.core.domain.JavaClass;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModulesTest {
  @Test
  void placesAreInNoCycleAndUseOnlyWhatIsPublished() {
    ApplicationModules.of(
            VelvetCrock.class, JavaClass.Predicates.resideInAPackage("velvetcrock.core.."))
        .verify();
  }
}
