package phalanx.desktop.frame;

import java.io.File;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.event.EventTarget;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.ListView;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.WholeScroll;
import phalanx.desktop.files.Documents;
import phalanx.desktop.manual.ManualSheet;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.ShapeTrialModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.song.Bar;

/** The window's content: the regions and the keys that work everywhere. */
public final class Workbench extends StackPane {

  /** The smallest size at which everything is seen; below it the window scrolls, px. */
  public static final double LEAST_WIDTH = 1024;

  public static final double LEAST_HEIGHT = 640;

  /** From this width on nothing has to give way, px. */
  private static final double WIDE = 1280;

  private final Workspace workspace;

  /** Put together when it is first asked for: it reads all its pages. */
  private Optional<ManualSheet> manual = Optional.empty();

  /** The same: it has many controls, and few songs need it. */
  private Optional<SoundPanel> sound = Optional.empty();

  private final BorderPane regions = new BorderPane();
  private final SongController songs;
  private final Transport transport;
  private final ChartCursor cursor;
  private final Screens screens;
  private final Map<Screen, ScreenView<?, ?>> places = new EnumMap<>(Screen.class);

  public Workbench(
      Workspace workspace,
      ShapeTrialModel trials,
      Documents documents,
      Palette palette,
      NoticeBar notices,
      SongController songs) {
    this.workspace = workspace;
    this.songs = songs;
    cursor = new ChartCursor(workspace, workspace.chord());
    screens = new Screens(workspace, cursor, trials, documents, palette, songs);
    transport = new Transport(workspace.models().sound(), this::toggleLoop);
    SongMenu menu = new SongMenu(songs, documents, workspace.viewing(), this::openManual);
    VBox top =
        new VBox(
            new TopBar(workspace, menu, transport),
            notices,
            new FirstSteps(workspace, documents.remembered()),
            new ProblemList(workspace));
    transport.panelButton().selectedProperty().addListener(o -> showSound(top));
    regions.setTop(top);
    regions.setLeft(new Rail(workspace, screens));
    workspace.screenProperty().addListener(o -> showScreen());
    songs.whenStarted(this::start);
    songs.toFinishTyping(this::finishTyping);
    showScreen();
    getStyleClass().add("workbench");
    widthProperty().addListener(o -> fit());
    heightProperty().addListener(o -> fit());
    regions.setMinSize(LEAST_WIDTH, LEAST_HEIGHT);
    getChildren().add(regions);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    setOnDragOver(this::dragOver);
    setOnDragDropped(this::dropped);
  }

  private ScreenView<?, ?> shown() {
    Screen screen = workspace.screenProperty().get();
    return places.computeIfAbsent(screen, screens::make);
  }

  private void showScreen() {
    ScreenView<?, ?> now = shown();
    places.values().stream().filter(p -> p != now).forEach(ScreenView::hidden);
    // The middle takes what room there is; its rows of tools wrap.
    now.middle().setMinWidth(0);
    regions.setCenter(now.middle());
    regions.setRight(now.beside());
    now.shown();
    start();
  }

  private void openManual() {
    if (manual.isEmpty()) {
      manual = Optional.of(new ManualSheet(new ShortcutSheet()));
      getChildren().add(manual.get());
    }
    manual.get().open();
  }

  private boolean isManualOpen() {
    return manual.filter(ManualSheet::isVisible).isPresent();
  }

  /** Shows the row of the sound under the top bar, or puts it away. */
  private void showSound(VBox top) {
    boolean shown = transport.panelButton().isSelected();
    if (sound.isEmpty() && shown) {
      sound = Optional.of(new SoundPanel(workspace));
      top.getChildren().add(1, sound.get());
    }
    sound.ifPresent(panel -> panel.setVisible(shown));
    sound.ifPresent(panel -> panel.setManaged(shown));
  }

  /** Draws every screen anew: the theme has changed. */
  public void redraw() {
    places.values().forEach(ScreenView::hidden);
    places.clear();
    showScreen();
  }

  /** Puts the keyboard where a player starts. */
  public void start() {
    // What scrolls is put together at the next pulse only, and takes no keyboard before.
    shown().middle().applyCss();
    shown().keyboard().requestFocus();
  }

  /** In a small window the rail and what is beside a screen give way; in a tiny one all scrolls. */
  private void fit() {
    getStyleClass().remove("narrow");
    if (getWidth() < WIDE) {
      getStyleClass().add("narrow");
    }
    boolean tiny = getWidth() < LEAST_WIDTH || getHeight() < LEAST_HEIGHT;
    if (tiny && getChildren().get(0) == regions) {
      getChildren().remove(regions);
      WholeScroll whole = new WholeScroll(regions);
      whole.setFitToHeight(true);
      getChildren().add(0, whole);
    } else if (!tiny && getChildren().get(0) instanceof WholeScroll whole) {
      whole.setContent(null);
      getChildren().set(0, regions);
    }
  }

  /** Fields put what was typed into the song when they lose the keyboard. */
  private void finishTyping() {
    if (getScene() != null && getScene().getFocusOwner() instanceof TextInputControl) {
      // The screen’s own field may be the one that is typed in: the keyboard leaves it and comes
      // back.
      requestFocus();
      shown().keyboard().requestFocus();
    }
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

  private void take(Path file) {
    if (!shown().take(file)) {
      songs.open(file);
    }
  }

  private void key(KeyEvent event) {
    boolean handled =
        isManualOpen() || event.getCode() == KeyCode.F1
            ? manual(event)
            : event.isShortcutDown() ? command(event) : plain(event);
    if (handled) {
      event.consume();
    }
  }

  /** While it is open the keyboard is the manual’s. */
  private boolean manual(KeyEvent event) {
    boolean ends = event.getCode() == KeyCode.F1 || event.getCode() == KeyCode.ESCAPE;
    if (ends && isManualOpen()) {
      manual.orElseThrow().setVisible(false);
      start();
    } else if (ends) {
      openManual();
    }
    return ends;
  }

  private boolean command(KeyEvent event) {
    if (event.getTarget() instanceof TextInputControl field && undoes(field, event)) {
      return false;
    }
    switch (event.getCode()) {
      case Z -> {
        if (event.isShiftDown()) {
          workspace.redo();
        } else {
          workspace.undo();
        }
      }
      case Y -> workspace.redo();
      case SPACE -> workspace.models().sound().toggle();
      case L -> toggleLoop();
      case M -> transport.panelButton().fire();
      case E -> songs.export();
      case N -> songs.startNew();
      case O -> songs.chooseAndOpen();
      case S -> {
        if (event.isShiftDown()) {
          songs.saveAs();
        } else {
          songs.save();
        }
      }
      case PLUS, ADD, EQUALS -> {
        return shown().zoom(1);
      }
      case MINUS, SUBTRACT -> {
        return shown().zoom(-1);
      }
      case DIGIT0, NUMPAD0 -> {
        return shown().zoom(0);
      }
      default -> {
        return open(ScreenView.digit(event.getCode()));
      }
    }
    return true;
  }

  /** A field in which something was typed takes that back first, the song’s undo comes after it. */
  private static boolean undoes(TextInputControl field, KeyEvent event) {
    boolean again = event.getCode() == KeyCode.Y || event.isShiftDown();
    return (event.getCode() == KeyCode.Z || event.getCode() == KeyCode.Y)
        && (again ? field.isRedoable() : field.isUndoable());
  }

  /** Round what is selected: bars of the chart, or chords. */
  private void toggleLoop() {
    boolean chart = workspace.screenProperty().get() == Screen.CHART;
    Set<Integer> bars = cursor.selection().stream().map(Bar::id).collect(Collectors.toSet());
    if (chart && !bars.isEmpty()) {
      workspace.models().sound().loop().toggle(bars);
    } else {
      workspace.models().sound().loop().toggle();
    }
  }

  /** Opens a screen by its place in the list, from 1; there may be none. */
  private boolean open(int place) {
    Optional<Screens.Entry> there = screens.at(place);
    there.ifPresent(e -> workspace.screenProperty().set(e.id()));
    return there.isPresent();
  }

  /** Space presses the button it is on. */
  private static boolean takesSpace(EventTarget target) {
    return target instanceof ButtonBase
        || target instanceof ComboBoxBase
        || target instanceof ListView;
  }

  private boolean plain(KeyEvent event) {
    KeyCode code = event.getCode();
    if (event.getTarget() instanceof TextInputControl) {
      return false;
    }
    if (code == KeyCode.SPACE && !takesSpace(event.getTarget())) {
      if (event.isShiftDown()) {
        workspace.models().sound().stop();
      } else {
        workspace.models().sound().toggle();
      }
      return true;
    }
    return shown().key(event);
  }
}
