package phalanx.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;
import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.board.NeckPlaces;
import phalanx.arrangement.board.TuneProposal;
import phalanx.findings.Review;
import phalanx.fretting.Reach;
import phalanx.fretting.ShapeTrial;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.planning.Damping;
import phalanx.song.Song;
import phalanx.suggestion.Suggestions;

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

  /** What takes long is asked for in the model, which hands it to another thread. */
  @ArchTest
  static final ArchRule SCREENS_ASK_FOR_NOTHING_THAT_TAKES_LONG =
      noClasses()
          .that()
          .resideInAPackage("phalanx.desktop..")
          .and()
          .resideOutsideOfPackages(
              "phalanx.desktop.model..", "phalanx.desktop.background..", "phalanx.desktop.files..")
          .should()
          .dependOnClassesThat()
          .belongToAnyOf(Arranger.class, Suggestions.class, Damping.class)
          .orShould()
          .callMethod(NeckPlaces.class, "of", Arrangement.class, int.class)
          .orShould()
          .callMethod(Review.class, "of", Arrangement.class)
          .orShould()
          .callMethod(Performance.class, "of", Arrangement.class)
          .orShould()
          .callMethod(ShapeTrial.class, "of", List.class, Reach.class)
          .orShould()
          .callMethod(TuneProposal.class, "of", Song.class);

  /** Formulas of hand and sound stand in core, with their sources. */
  @ArchTest
  static final ArchRule THE_WINDOW_KNOWS_NO_FORMULAS =
      noClasses()
          .that()
          .resideInAPackage("phalanx.desktop..")
          .should()
          .callMethod(Math.class, "log", double.class)
          .orShould()
          .callMethod(Math.class, "log10", double.class)
          .orShould()
          .callMethod(Math.class, "exp", double.class);

  /** The frame and the screens know the shared parts, and those know neither. */
  @ArchTest
  static final ArchRule SHARED_PARTS_KNOW_NO_SCREEN =
      noClasses()
          .that()
          .resideInAnyPackage(
              "phalanx.desktop.drawing..", "phalanx.desktop.screen..", "phalanx.desktop.model..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "phalanx.desktop.frame..",
              "phalanx.desktop.arrange..",
              "phalanx.desktop.chart..",
              "phalanx.desktop.shapes..",
              "phalanx.desktop.picking..",
              "phalanx.desktop.melody..",
              "phalanx.desktop.guitar..",
              "phalanx.desktop.strip..");

  @ArchTest
  static final ArchRule PACKAGES_FORM_NO_CYCLE =
      slices().matching("phalanx.desktop.(*)..").should().beFreeOfCycles();

  /** Each class of the model can be read on its own: what it needs lies below it. */
  @ArchTest
  static final ArchRule CLASSES_OF_THE_MODEL_FORM_NO_CYCLE =
      slices()
          .assignedFrom(EachClass.of("phalanx.desktop.model", "phalanx.desktop.background"))
          .should()
          .beFreeOfCycles();

  /** A class with those inside it is one slice. */
  private record EachClass(List<String> packages) implements SliceAssignment {

    static EachClass of(String... packages) {
      return new EachClass(List.of(packages));
    }

    @Override
    public SliceIdentifier getIdentifierOf(JavaClass javaClass) {
      JavaClass outermost = javaClass;
      while (outermost.getEnclosingClass().isPresent()) {
        outermost = outermost.getEnclosingClass().get();
      }
      return packages.contains(outermost.getPackageName())
          ? SliceIdentifier.of(outermost.getName())
          : SliceIdentifier.ignore();
    }

    @Override
    public String getDescription() {
      return "each class of " + packages;
    }
  }

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
