package phalanx.desktop;

import java.io.File;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.desktop.chart.ChartScreen;
import phalanx.desktop.chart.SongPanel;
import phalanx.desktop.files.Documents;
import phalanx.desktop.melody.MelodyScreen;
import phalanx.desktop.melody.TunePanel;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.ShapeTrialModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.picking.PickingScreen;
import phalanx.desktop.picking.ShelfPanel;
import phalanx.desktop.shapes.ShapesView;
import phalanx.desktop.shapes.WhyPanel;
import phalanx.formats.SongFiles;

/** The window's content: the regions and the keys that work everywhere. */
final class Workbench extends StackPane {

  private final Workspace workspace;
  private final ShortcutSheet sheet = new ShortcutSheet();
  private final BorderPane regions = new BorderPane();
  private final SongDesk desk;
  private final Documents documents;
  private final Palette palette;
  private final ShapeTrialModel trials;
  private final ChartCursor cursor;
  private final Map<Screen, Parts> screens = new EnumMap<>(Screen.class);

  Workbench(
      Workspace workspace,
      ShapeTrialModel trials,
      Documents documents,
      Palette palette,
      NoticeBar notices,
      SongDesk desk) {
    this.workspace = workspace;
    this.desk = desk;
    this.documents = documents;
    this.palette = palette;
    this.trials = trials;
    cursor = new ChartCursor(workspace);
    regions.setTop(
        new VBox(
            new TopBar(workspace, new SongMenu(desk, documents)),
            notices,
            new ProblemList(workspace)));
    regions.setLeft(new Rail(workspace));
    workspace.screenProperty().addListener(o -> showScreen());
    showScreen();
    getStyleClass().add("workbench");
    getChildren().addAll(regions, sheet);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    setOnDragOver(this::dragOver);
    setOnDragDropped(this::dropped);
  }

  /** A screen as it is put together: its middle, what is beside it, where keys go. */
  private record Parts(Node middle, Node beside, Node keyboard) {}

  /** Put together when it is first opened, so that the window comes up soon. */
  private Parts parts(Screen screen) {
    return switch (screen) {
      case CHART -> {
        ChartScreen chart = new ChartScreen(workspace, cursor, palette);
        yield new Parts(chart, new SongPanel(workspace, cursor), chart.sheet());
      }
      case SHAPES -> {
        ShapesView shapes = new ShapesView(workspace, trials, palette);
        shapes.setFocusTraversable(true);
        yield new Parts(shapes, new WhyPanel(workspace), shapes);
      }
      case PICKING -> {
        PickingScreen picking = new PickingScreen(workspace, documents.shelf(), palette);
        yield new Parts(
            picking, new ShelfPanel(workspace, documents.shelf(), palette), picking.grid());
      }
      case MELODY -> {
        MelodyScreen melody = new MelodyScreen(workspace, palette, desk::chooseAndImport);
        yield new Parts(melody, new TunePanel(workspace), melody.field());
      }
      case ARRANGE -> {
        ArrangeView arrange = new ArrangeView(workspace, palette);
        yield new Parts(arrange, new Inspector(workspace, palette), arrange.strip());
      }
    };
  }

  private Parts shown() {
    return screens.computeIfAbsent(workspace.screenProperty().get(), this::parts);
  }

  private void showScreen() {
    regions.setCenter(shown().middle());
    regions.setRight(shown().beside());
    start();
  }

  /** Puts the keyboard where a player starts. */
  void start() {
    shown().keyboard().requestFocus();
  }

  private void dragOver(DragEvent event) {
    if (event.getDragboard().hasFiles()) {
      event.acceptTransferModes(TransferMode.COPY);
    }
    event.consume();
  }

  private void dropped(DragEvent event) {
    List<File> files = event.getDragboard().getFiles();
    event.setDropCompleted(!files.isEmpty());
    files.stream().findFirst().map(File::toPath).ifPresent(this::take);
    event.consume();
  }

  /** Over the Melody screen a score gives its tune; any other file is opened. */
  private void take(Path file) {
    if (workspace.screenProperty().get() == Screen.MELODY && SongFiles.isScore(file)) {
      desk.importTune(file);
    } else {
      desk.open(file);
    }
  }

  private void key(KeyEvent event) {
    boolean handled = event.isShortcutDown() ? command(event) : plain(event);
    if (handled) {
      event.consume();
    }
  }

  private boolean command(KeyEvent event) {
    boolean typing = event.getTarget() instanceof TextInputControl;
    switch (event.getCode()) {
      case Z -> {
        if (event.isShiftDown()) {
          workspace.redo();
        } else {
          workspace.undo();
        }
      }
      case Y -> workspace.redo();
      case N -> desk.startNew();
      case O -> desk.chooseAndOpen();
      case S -> {
        if (event.isShiftDown()) {
          desk.saveAs(() -> {});
        } else {
          desk.save(() -> {});
        }
      }
      case DIGIT1, DIGIT2, DIGIT3, DIGIT4, DIGIT5 -> open(digit(event.getCode()));
      default -> {
        return false;
      }
    }
    return !typing || event.getCode() != KeyCode.Z;
  }

  private void open(int screen) {
    workspace.screenProperty().set(Screen.values()[screen - 1]);
  }

  private boolean plain(KeyEvent event) {
    KeyCode code = event.getCode();
    if (sheet.isVisible() || code == KeyCode.F1) {
      sheet.setVisible(!sheet.isVisible());
      return true;
    }
    boolean typing = event.getTarget() instanceof TextInputControl;
    Screen now = workspace.screenProperty().get();
    if (typing || now == Screen.CHART || now == Screen.PICKING || now == Screen.MELODY) {
      return false;
    }
    if (code == KeyCode.P) {
      workspace.togglePin();
      return true;
    }
    if (code == KeyCode.F && now == Screen.ARRANGE) {
      workspace.findings().step(event.isShiftDown() ? -1 : 1);
      return true;
    }
    if (code == KeyCode.L && shown().middle() instanceof ArrangeView arrange) {
      arrange.toggleFindings();
      return true;
    }
    if (shown().middle() instanceof ShapesView shapes) {
      return shapesKey(event, shapes);
    }
    int digit = digit(code);
    if (digit >= 1 && digit <= Inspector.CARDS && shown().beside() instanceof Inspector inspector) {
      inspector.pinCard(digit);
      return true;
    }
    return false;
  }

  private boolean shapesKey(KeyEvent event, ShapesView shapes) {
    int digit = digit(event.getCode());
    if (digit >= 1) {
      shapes.pinCard(digit);
    } else if (event.getCode() == KeyCode.PAGE_DOWN) {
      workspace.select(workspace.selectedProperty().get() + 1);
    } else if (event.getCode() == KeyCode.PAGE_UP) {
      workspace.select(workspace.selectedProperty().get() - 1);
    } else if (event.getTarget() == shapes && event.getCode() == KeyCode.RIGHT) {
      workspace.select(workspace.selectedProperty().get() + 1);
    } else if (event.getTarget() == shapes && event.getCode() == KeyCode.LEFT) {
      workspace.select(workspace.selectedProperty().get() - 1);
    } else {
      return false;
    }
    return true;
  }

  private static int digit(KeyCode code) {
    return code.isDigitKey() ? code.getName().charAt(code.getName().length() - 1) - '0' : -1;
  }
}
