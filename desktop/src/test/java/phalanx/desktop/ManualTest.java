package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.control.TextInputControl;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.manual.ManualPage;
import phalanx.desktop.model.Screen;

/** The manual in the window: opened, searched, read and put away by keyboard. */
@ExtendWith(ApplicationExtension.class)
class ManualTest {

  private final OpenWindow window = new OpenWindow();

  @Start
  void start(Stage stage) {
    window.show(stage, Optional.of(Demo.FILE), Demo.folder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  private static List<String> found(FxRobot robot) {
    return robot.lookup(".manual-found").queryAll().stream()
        .map(n -> ((Text) n).getText())
        .toList();
  }

  @Test
  void wordsAreFoundOnItsPages(FxRobot robot) {
    robot.type(KeyCode.F1);
    Node manual = robot.lookup("#manual").query();
    assertThat(manual.isVisible()).isTrue();
    assertThat(robot.lookup("#shortcuts").tryQuery()).isPresent();
    TextInputControl search = robot.lookup("#manual-search").queryTextInputControl();
    assertThat(search.isFocused()).isTrue();
    robot.write("campanella");
    assertThat(OpenWindow.text(robot, "#manual-found")).isEqualTo("on one page");
    assertThat(found(robot)).contains("campanella");
    robot.interact(() -> search.setText("nothing of the kind"));
    assertThat(OpenWindow.text(robot, "#manual-found")).isEqualTo("on no page");
    robot.type(KeyCode.ESCAPE);
    assertThat(manual.isVisible()).isFalse();
  }

  /** What is typed into its field is not taken for keys of the screen behind it. */
  @Test
  void nothingReachesTheScreenBehindIt(FxRobot robot) {
    var before = window.workspace().song();
    robot.type(KeyCode.F1);
    robot.write("p[]d1");
    assertThat(window.workspace().song()).isEqualTo(before);
    robot.type(KeyCode.F1);
    assertThat(robot.lookup("#manual").query().isVisible()).isFalse();
  }

  @Test
  void everyPageIsShown(FxRobot robot) {
    robot.type(KeyCode.F1);
    ListView<?> list = robot.lookup("#manual-pages").queryListView();
    assertThat(list.getItems()).hasSize(ManualPage.all().size() + 1);
    for (int n = 1; n < list.getItems().size(); n++) {
      int page = n;
      robot.interact(() -> list.getSelectionModel().select(page));
      assertThat(robot.lookup(".manual-title").tryQuery()).isPresent();
      assertThat(robot.lookup(".manual-plain").queryAll()).isNotEmpty();
    }
  }

  /** Each screen's page shows it; the pictures are those of the documents. */
  @Test
  void pagesOfScreensHaveTheirPicture(FxRobot robot) throws TimeoutException {
    robot.type(KeyCode.F1);
    ListView<?> list = robot.lookup("#manual-pages").queryListView();
    int seen = 0;
    for (int n = 1; n < list.getItems().size(); n++) {
      int page = n;
      robot.interact(() -> list.getSelectionModel().select(page));
      for (Node node : robot.lookup(".manual-picture").queryAll()) {
        Image picture = ((ImageView) node).getImage();
        OpenWindow.until(() -> picture.getProgress() == 1);
        assertThat(picture.isError()).as(picture.getUrl()).isFalse();
        assertThat(picture.getWidth()).isEqualTo(640);
        assertThat(node.getAccessibleText()).isNotBlank();
        seen++;
      }
    }
    assertThat(seen).isGreaterThanOrEqualTo(Screen.values().length);
  }

  /** The installed program is an archive, which knows no path with dots. */
  @Test
  void picturesAreFoundInAnArchiveToo() {
    assertThat(ManualPage.resource("../screenshots/chart.png"))
        .isEqualTo("/phalanx/desktop/screenshots/chart.png");
  }
}
