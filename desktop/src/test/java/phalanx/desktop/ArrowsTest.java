package phalanx.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The window stands on the rest, nothing stands on it, and it asks core instead of computing. */
@AnalyzeClasses(packages = "phalanx", importOptions = ImportOption.DoNotIncludeTests.class)
class ArrowsTest {

  @ArchTest
  static final ArchRule NOTHING_BELOW_KNOWS_THE_WINDOW =
      noClasses()
          .that()
          .resideOutsideOfPackage("phalanx.desktop..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("phalanx.desktop..", "javafx..");

  @ArchTest
  static final ArchRule LAYOUTS_ARE_GEOMETRY_ONLY =
      noClasses()
          .that()
          .haveSimpleNameEndingWith("Layout")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("javafx..");

  @ArchTest
  static final ArchRule THE_WINDOW_NEVER_SEARCHES_OR_SOLVES =
      noClasses()
          .that()
          .resideInAPackage("phalanx.desktop..")
          .should()
          .dependOnClassesThat()
          .haveSimpleNameEndingWith("Search")
          .orShould()
          .dependOnClassesThat()
          .haveSimpleNameEndingWith("Solver");

  @ArchTest
  static final ArchRule THE_MODEL_KNOWS_NO_NODES =
      classes()
          .that()
          .resideInAPackage("phalanx.desktop.model")
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "phalanx..", "java..", "javafx.beans..", "javafx.collections..", "org.slf4j..");

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
