package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.io.InputStream;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.CssParser;
import javafx.css.Styleable;
import javafx.css.Stylesheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** The rules of the controls that the window has are all kept when its styles are built. */
@ExtendWith(ApplicationExtension.class)
class ControlStylesTest {

  private static final String CONTROLS = "javafx.scene.control.";

  /** Style classes that selectors begin with; comments are none. */
  private static final Pattern BEGINS = Pattern.compile("(?m)(?:^|,)\\s*\\.([A-Za-z][\\w-]*)");

  /** What comes along with the controls that are named in the code. */
  private static final Set<String> PARTS =
      Set.of(
          CONTROLS + "DialogPane",
          CONTROLS + "ListCell",
          CONTROLS + "ScrollBar",
          CONTROLS + "ContextMenu",
          CONTROLS + "Separator",
          CONTROLS + "ProgressIndicator");

  private static String sheet(String name) throws IOException {
    try (InputStream in = ControlStylesTest.class.getResourceAsStream(name)) {
      String css = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return css.replaceAll("(?s)/\\*.*?\\*/", "");
    }
  }

  private static Set<String> begins(String css) {
    return BEGINS.matcher(css).results().map(r -> r.group(1)).collect(Collectors.toSet());
  }

  private static Stream<Class<?>> controls() {
    Set<String> used = new TreeSet<>(PARTS);
    new ClassFileImporter()
        .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
        .importPackages("phalanx.desktop")
        .forEach(
            c ->
                c.getDirectDependenciesFromSelf().stream()
                    .map(Dependency::getTargetClass)
                    .filter(t -> t.getName().startsWith(CONTROLS))
                    .filter(t -> !t.getModifiers().contains(JavaModifier.ABSTRACT))
                    .forEach(t -> used.add(t.getName())));
    return used.stream()
        .<Class<?>>map(
            name -> {
              try {
                return Class.forName(name);
              } catch (ClassNotFoundException e) {
                throw new IllegalStateException(e);
              }
            })
        .filter(Styleable.class::isAssignableFrom)
        .filter(c -> Stream.of(c.getConstructors()).anyMatch(n -> n.getParameterCount() == 0));
  }

  private static Stream<String> styleClasses(Class<?> control) {
    try {
      return ((Styleable) control.getConstructor().newInstance()).getStyleClass().stream();
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test
  void everyControlOfTheWindowKeepsItsRules() throws Exception {
    Set<String> worn =
        WaitForAsyncUtils.asyncFx(
                () ->
                    controls().flatMap(ControlStylesTest::styleClasses).collect(Collectors.toSet()))
            .get();
    assertThat(worn).contains("button", "text-field", "spinner", "combo-box");
    Set<String> ruled = begins(sheet("/atlantafx/base/theme/primer-light.css"));
    worn.retainAll(ruled);
    assertThat(Files.readAllLines(Path.of("src/build/controls.txt"))).containsAll(worn);
  }

  /** What is left out is left out whole, and what is kept is kept as it was. */
  @ParameterizedTest
  @ValueSource(strings = {"primer-light.css", "primer-dark.css"})
  void aRuleIsKeptAsItIsOrNotAtAll(String name) throws Exception {
    String whole = sheet("/atlantafx/base/theme/" + name);
    String kept = sheet(name);
    assertThat(begins(kept)).contains("button", "root").doesNotContain("calendar", "tree-view");
    assertThat(kept.length()).isBetween(whole.length() / 10, whole.length());
    Set<String> blocks =
        Pattern.compile("\\{[^{}]*\\}")
            .matcher(whole)
            .results()
            .map(r -> r.group())
            .collect(Collectors.toSet());
    assertThat(Pattern.compile("\\{[^{}]*\\}").matcher(kept).results().map(r -> r.group()))
        .isSubsetOf(blocks);
  }

  /** What the window reads is what is written, rule by rule. */
  @ParameterizedTest
  @ValueSource(strings = {"phalanx", "theme-light", "theme-dark", "primer-light", "primer-dark"})
  void theBinaryFormHasTheSameRules(String name) throws Exception {
    URL text = PhalanxApp.class.getResource(name + ".css");
    URL binary = PhalanxApp.class.getResource(name + ".bss");
    assertThat(rules(Stylesheet.loadBinary(binary)))
        .isNotEmpty()
        .isEqualTo(rules(new CssParser().parse(text)));
  }

  private static List<String> rules(Stylesheet sheet) {
    return sheet.getRules().stream()
        .map(r -> r.getSelectors() + " " + r.getDeclarations().size())
        .toList();
  }
}
