package phalanx.architecture;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.List;

/** Core stands on the JDK alone, and its packages form layers. */
@AnalyzeClasses(
    packages = "phalanx",
    importOptions = {ImportOption.DoNotIncludeTests.class, ArrowsTest.NotOurTestTools.class})
class ArrowsTest {

  /** What tests share is a module of its own and no part of the program. */
  static final class NotOurTestTools implements ImportOption {
    @Override
    public boolean includes(Location location) {
      return !location.contains("/phalanx/testing/");
    }
  }

  @ArchTest
  static final ArchRule CORE_NEEDS_ONLY_THE_JDK =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage("phalanx..", "java..", "org.slf4j..");

  @ArchTest
  static final ArchRule CORE_KNOWS_NO_FILES_SCREENS_OR_CLOCKS =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("java.io..", "java.nio..", "java.awt..", "javax.swing..");

  /** Practice knows days, which are handed in; nothing in core asks what time it is. */
  @ArchTest
  static final ArchRule CORE_HAS_NO_CLOCK =
      noClasses()
          .that()
          .resideOutsideOfPackage("phalanx.practice")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("java.time..");

  @ArchTest
  static final ArchRule DAYS_ARE_HANDED_IN =
      noClasses()
          .should()
          .callMethod(java.time.LocalDate.class, "now")
          .orShould()
          .callMethod(java.time.Instant.class, "now")
          .orShould()
          .callMethod(System.class, "currentTimeMillis");

  @ArchTest
  static final ArchRule PACKAGES_FORM_NO_CYCLE =
      slices().matching("phalanx.(**)").should().beFreeOfCycles();

  /** From the bottom: a package knows those named before it, and no other. */
  private static final List<String> LAYERS =
      List.of(
          "phalanx.text",
          "phalanx.theory",
          "phalanx.instrument",
          "phalanx.technique",
          "phalanx.fretting",
          "phalanx.picking",
          "phalanx.melody",
          "phalanx.song",
          "phalanx.form",
          "phalanx.chart",
          "phalanx.embellishment",
          "phalanx.arrangement",
          "phalanx.performance",
          "phalanx.notation",
          "phalanx.arrangement.tune",
          "phalanx.findings",
          "phalanx.planning",
          "phalanx.arrangement.board",
          "phalanx.suggestion",
          "phalanx.advice",
          "phalanx.practice",
          "phalanx.review",
          "phalanx.level",
          "phalanx.draft");

  @ArchTest
  static void layersKnowOnlyWhatLiesBelow(JavaClasses all) {
    for (int i = 0; i + 1 < LAYERS.size(); i++) {
      noClasses()
          .that()
          .resideInAPackage(LAYERS.get(i))
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(LAYERS.subList(i + 1, LAYERS.size()).toArray(String[]::new))
          .check(all);
    }
  }

  @ArchTest
  static final ArchRule EVERY_PACKAGE_HAS_ITS_LAYER =
      classes().should().resideInAnyPackage(LAYERS.toArray(String[]::new));

  @ArchTest
  static final ArchRule THEORY_STANDS_BELOW_ALL =
      classes()
          .that()
          .resideInAPackage("phalanx.theory")
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage("phalanx.theory", "phalanx.text", "java..");

  @ArchTest
  static final ArchRule NO_CLASS_IS_A_DRAWER_FOR_ODDMENTS =
      noClasses()
          .should()
          .haveSimpleNameEndingWith("Util")
          .orShould()
          .haveSimpleNameEndingWith("Utils")
          .orShould()
          .haveSimpleNameEndingWith("Helper")
          .orShould()
          .haveSimpleNameEndingWith("Manager");

  /**
   * In Turkish an I becomes an ı: words of files and ids must not depend on where a player lives.
   */
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
