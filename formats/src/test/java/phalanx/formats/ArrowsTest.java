package phalanx.formats;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Formats stand on core and know no screen and no command line. */
@AnalyzeClasses(packages = "phalanx", importOptions = ImportOption.DoNotIncludeTests.class)
class ArrowsTest {

  @ArchTest
  static final ArchRule NO_SCREEN =
      noClasses()
          .that()
          .resideInAPackage("phalanx.formats..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("javafx..", "picocli..", "phalanx.desktop..", "phalanx.cli..");

  @ArchTest
  static final ArchRule CORE_DOES_NOT_KNOW_FORMATS =
      noClasses()
          .that()
          .resideOutsideOfPackage("phalanx.formats..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("phalanx.formats..");

  @ArchTest
  static final ArchRule LETTERS_ARE_CHANGED_THE_SAME_EVERYWHERE =
      noClasses()
          .should()
          .callMethod(String.class, "toLowerCase")
          .orShould()
          .callMethod(String.class, "toUpperCase")
          .orShould()
          .callMethod(String.class, "formatted", Object[].class)
          .orShould()
          .callMethod(String.class, "format", String.class, Object[].class);
}
