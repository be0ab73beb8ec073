package phalanx.desktop.frame;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonType;
import javafx.scene.control.TextArea;
import javafx.stage.Window;
import phalanx.desktop.texts.Texts;
import phalanx.text.ProductVersion;

/** Which version this is, and under which licences what ships with it is. */
final class About {

  private static final String NOTICE = "/NOTICE";
  private static final double WIDTH = 640;

  private About() {}

  static void show(Window owner) {
    Alert about = new Alert(Alert.AlertType.NONE, "", ButtonType.CLOSE);
    about.initOwner(owner);
    about.setTitle(Texts.of("about.aboutPhalanx"));
    about.setHeaderText(Texts.of("about.phalanx", ProductVersion.words()));
    TextArea notice = new TextArea(notice());
    notice.setId("about-notice");
    notice.setEditable(false);
    notice.setWrapText(true);
    notice.setPrefWidth(WIDTH);
    about.getDialogPane().setContent(notice);
    about.show();
  }

  private static String notice() {
    try (InputStream in = About.class.getResourceAsStream(NOTICE)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
