package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ToggleButton;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;
import phalanx.desktop.model.Screen;
import phalanx.text.Language;
import phalanx.theory.Mode;

/**
 * What a player chooses from a list stays chosen, and is what the song then has, in every language:
 * a window of its own speaks it, since a program speaks one from its first sentence on.
 */
class ChoicesTest {

  /** What one walk through all lists came to, said on the standard output. */
  private static final String FAULT = "fault: ";

  private static final String DONE = "lists tried: ";

  /** Lists that begin something else and then forget what was chosen. */
  private static final Set<String> ACTIONS = Set.of("move-to", "incoming-track");

  // German stands for all: what works there works in English, whose names are the program's own.
  @ParameterizedTest
  @EnumSource(names = "GERMAN")
  void whatIsChosenStays(Language language) throws IOException, InterruptedException {
    Process window =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-D" + Language.PROPERTY + "=" + language.code(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                Walk.class.getName())
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    String said = new String(window.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(window.waitFor(5, TimeUnit.MINUTES)).isTrue();
    assertThat(said.lines().filter(l -> l.startsWith(FAULT))).isEmpty();
    Optional<String> done = said.lines().filter(l -> l.startsWith(DONE)).findFirst();
    assertThat(done).as(said).isPresent();
    assertThat(Integer.parseInt(done.get().substring(DONE.length()))).isGreaterThan(6);
  }

  /** The names of scales are told apart in the language of this test too. */
  @Test
  void noTwoScalesAreCalledAlike() {
    assertThat(List.of(Mode.values()).stream().map(Mode::title)).doesNotHaveDuplicates();
  }

  /** A program that tries every list of every screen. */
  public static final class Walk {

    private final OpenWindow window = new OpenWindow();
    private final FxRobot robot = new FxRobot();
    private int lists;

    private Walk() {}

    /** Takes no arguments. */
    public static void main(String[] args) throws TimeoutException {
      Walk walk = new Walk();
      FxToolkit.registerPrimaryStage();
      FxToolkit.setupStage(stage -> walk.window.show(stage, Optional.of(Demo.FILE), Demo.folder()));
      walk.window.untilPlanned();
      for (Screen screen : Screen.values()) {
        walk.screen(screen);
      }
      walk.key();
      System.out.println(DONE + walk.lists);
      System.exit(0);
    }

    private void screen(Screen screen) throws TimeoutException {
      robot.interact(() -> window.workspace().screenProperty().set(screen));
      tryLists(screen);
      for (Node tab :
          robot.lookup((Node n) -> n.getId() != null && n.getId().startsWith("part-")).queryAll()) {
        robot.interact(() -> ((ToggleButton) tab).fire());
        tryLists(screen);
      }
    }

    private void tryLists(Screen screen) throws TimeoutException {
      List<String> ids = new ArrayList<>();
      robot.lookup(".combo-box").queryAll().stream()
          .map(Node::getId)
          .filter(id -> id != null && !ACTIONS.contains(id))
          .forEach(ids::add);
      for (String id : ids) {
        lists++;
        List<Object> items = new ArrayList<>();
        robot.interact(() -> box(id).ifPresent(b -> items.addAll(b.getItems())));
        for (Object item : items) {
          robot.interact(() -> box(id).ifPresent(b -> b.setValue(item)));
          WaitForAsyncUtils.waitForFxEvents();
          robot.interact(
              () ->
                  box(id)
                      .filter(b -> !item.equals(b.getValue()))
                      .ifPresent(
                          b ->
                              System.out.println(
                                  FAULT + screen + " " + id + " " + item + ": " + b.getValue())));
        }
        window.untilPlanned();
      }
    }

    @SuppressWarnings("unchecked")
    private Optional<ComboBox<Object>> box(String id) {
      return robot.lookup("#" + id).tryQuery().map(n -> (ComboBox<Object>) n);
    }

    /** The key is what the list says. */
    private void key() {
      robot.interact(() -> window.workspace().screenProperty().set(Screen.CHART));
      for (Mode mode : Mode.values()) {
        robot.interact(
            () ->
                box("mode")
                    .filter(b -> b.getItems().contains(mode.title()))
                    .ifPresent(b -> b.setValue(mode.title())));
        WaitForAsyncUtils.waitForFxEvents();
        boolean offered = box("mode").filter(b -> b.getItems().contains(mode.title())).isPresent();
        Mode now = window.workspace().song().key().orElseThrow().mode();
        if (offered && now != mode) {
          System.out.println(FAULT + "the key is " + now + " for " + mode.title());
        }
      }
    }
  }
}
