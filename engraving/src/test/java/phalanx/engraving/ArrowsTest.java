package phalanx.engraving;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The engraving stands on core alone and knows no toolkit; only outlines of fonts are geometry. */
@AnalyzeClasses(packages = "phalanx", importOptions = ImportOption.DoNotIncludeTests.class)
class ArrowsTest {

  @ArchTest
  static final ArchRule ON_CORE_ALONE =
      noClasses()
          .that()
          .resideInAPackage("phalanx.engraving..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "phalanx.formats..", "phalanx.sound..", "phalanx.desktop..", "javafx..", "java.awt");

  @ArchTest
  static final ArchRule CORE_DOES_NOT_KNOW_PAGES =
      noClasses()
          .that()
          .resideOutsideOfPackage("phalanx.engraving..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("phalanx.engraving..");
}
