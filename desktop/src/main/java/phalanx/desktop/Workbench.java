package phalanx.desktop;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import phalanx.desktop.model.Workspace;

/** The window's content: the regions and the keys that work everywhere. */
final class Workbench extends StackPane {

  private final Workspace workspace;
  private final Inspector inspector;
  private final ArrangeView arrange;
  private final ShortcutSheet sheet = new ShortcutSheet();
  private final Runnable openFile;

  Workbench(Workspace workspace, Palette palette, Runnable openFile) {
    this.workspace = workspace;
    this.openFile = openFile;
    inspector = new Inspector(workspace, palette);
    arrange = new ArrangeView(workspace, palette);
    BorderPane regions = new BorderPane(arrange);
    regions.setTop(new TopBar(workspace));
    regions.setLeft(new SectionRail(workspace));
    regions.setRight(inspector);
    getStyleClass().add("workbench");
    getChildren().addAll(regions, sheet);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  /** Puts the keyboard where a player starts. */
  void start() {
    arrange.strip().requestFocus();
  }

  private void key(KeyEvent event) {
    boolean handled = event.isShortcutDown() ? command(event) : plain(event.getCode());
    if (handled) {
      event.consume();
    }
  }

  private boolean command(KeyEvent event) {
    switch (event.getCode()) {
      case Z -> {
        if (event.isShiftDown()) {
          workspace.redo();
        } else {
          workspace.undo();
        }
      }
      case Y -> workspace.redo();
      case O -> openFile.run();
      default -> {
        return false;
      }
    }
    return true;
  }

  private boolean plain(KeyCode code) {
    if (sheet.isVisible() || code == KeyCode.F1) {
      sheet.setVisible(!sheet.isVisible());
      return true;
    }
    if (code == KeyCode.P) {
      workspace.togglePin();
      return true;
    }
    int digit = digit(code);
    if (digit >= 1 && digit <= Inspector.CARDS) {
      inspector.pinCard(digit);
      return true;
    }
    return false;
  }

  private static int digit(KeyCode code) {
    return code.isDigitKey() ? code.getName().charAt(code.getName().length() - 1) - '0' : -1;
  }
}
