package phalanx.sound;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Sound stands on core alone, and reads the performance instead of patterns. */
@AnalyzeClasses(packages = "phalanx", importOptions = ImportOption.DoNotIncludeTests.class)
class ArrowsTest {

  @ArchTest
  static final ArchRule ON_CORE_ALONE =
      noClasses()
          .that()
          .resideInAPackage("phalanx.sound..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "phalanx.formats..", "phalanx.desktop..", "phalanx.cli..", "javafx..");

  @ArchTest
  static final ArchRule NOT_FROM_PATTERNS =
      noClasses()
          .that()
          .resideInAPackage("phalanx.sound..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "phalanx.planning..", "phalanx.arrangement.board..", "phalanx.chart..");

  @ArchTest
  static final ArchRule THE_DEVICE_STANDS_BEHIND_ONE_INTERFACE =
      noClasses()
          .that()
          .resideOutsideOfPackages("phalanx.sound.render..")
          .and()
          .haveNameNotMatching(
              ".*(SystemAudioDevice|listening.Recording|listening.MonoSamples|listening.SystemMicrophone).*")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("javax.sound.sampled..");

  @ArchTest
  static final ArchRule NO_CYCLES =
      slices().matching("phalanx.sound.(*)..").should().beFreeOfCycles();
}
