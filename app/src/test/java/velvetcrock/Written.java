package velvetcrock;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;

/** What somebody wrote, and not what the build wrote down ahead of a start. */
final class Written implements ImportOption {
  static final JavaClasses CLASSES =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .withImportOption(new Written())
          .importPackages("velvetcrock");

  @Override
  public boolean includes(Location location) {
    return !location.contains("__") && !location.contains("$$");
  }
}
