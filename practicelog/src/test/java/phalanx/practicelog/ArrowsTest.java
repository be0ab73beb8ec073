package phalanx.practicelog;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The log knows what an attempt is, and how it is kept; nothing of screens or sound. */
@AnalyzeClasses(
    packages = "phalanx.practicelog",
    importOptions = ImportOption.DoNotIncludeTests.class)
class ArrowsTest {

  @ArchTest
  static final ArchRule THE_LOG_KNOWS_CORE_ALONE =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "phalanx.practicelog..",
              "phalanx.practice..",
              "phalanx.text..",
              "java..",
              "org.slf4j..");
}
