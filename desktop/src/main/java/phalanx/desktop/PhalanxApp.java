package phalanx.desktop;

import java.io.File;
import java.io.IOException;
import java.net.URL;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.stage.FileChooser;
import javafx.stage.Stage;
import javafx.util.Duration;
import phalanx.desktop.background.NewestAnswer;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.device.SystemTheme;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.files.DemoSongs;
import phalanx.desktop.files.Documents;
import phalanx.desktop.files.PlayerFolder;
import phalanx.desktop.frame.NoticeBar;
import phalanx.desktop.frame.SongController;
import phalanx.desktop.frame.Workbench;
import phalanx.desktop.model.Appearance;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.ShapeTrialModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.desktop.texts.Tips;
import phalanx.formats.FileFormat;
import phalanx.formats.SongFiles;

/** Starts the window, with the song named as the first argument if there is one. */
public final class PhalanxApp extends Application {

  private static final String LIGHT = "theme-light.css";
  private static final String DARK = "theme-dark.css";
  private static final String RULES = "phalanx.css";

  /** The looks of the toolkit’s controls, made from its theme when the window is built. */
  private static final String CONTROLS_LIGHT = "primer-light.css";

  private static final String CONTROLS_DARK = "primer-dark.css";

  /** Sides of the pictures of the program's icon, px. */
  private static final List<Integer> ICONS = List.of(16, 32, 48, 128);

  /** An unsaved song is kept for recovery this often. */
  private static final Duration KEEP_EVERY = Duration.seconds(4);

  /** What is being written gets this long when the program ends, s. */
  private static final int LAST_WRITES = 5;

  /** Size of the window at the start, px. */
  private static final double WIDTH = 1280;

  private static final double HEIGHT = 800;

  private final ExecutorService planner = thread("planner");
  private final ExecutorService worker = thread("worker");
  private final ExecutorService disk = thread("disk");
  private final Workspace workspace =
      new Workspace(new PlanService(planner, worker, Platform::runLater));
  private Documents documents;
  private SongController songs;
  private Timeline keeping;
  private Stage window;

  private static ExecutorService thread(String name) {
    return Executors.newSingleThreadExecutor(
        task -> {
          Thread thread = new Thread(task, name);
          thread.setDaemon(true);
          return thread;
        });
  }

  @Override
  public void start(Stage stage) {
    Optional<Path> song = getParameters().getUnnamed().stream().findFirst().map(Path::of);
    show(stage, song, PlayerFolder.usual(), new Chooser());
    int given = getParameters().getRaw().size();
    Relaunch.words(ProcessHandle.current().info())
        .ifPresent(
            words ->
                songs
                    .restart()
                    .by(() -> Relaunch.start(Relaunch.command(words, given, documents.origin()))));
  }

  /** The folder with the demo songs, where the start script says it is. */
  private static Optional<Path> demoSongs() {
    return DemoSongs.folder();
  }

  private static boolean isIn(Optional<Path> folder, Path file) {
    try {
      return folder.isPresent() && file.toRealPath().getParent().equals(folder.get().toRealPath());
    } catch (IOException e) {
      return false;
    }
  }

  /** Shows the window with a song, or with an empty one to type into. */
  void show(Stage stage, Optional<Path> song, PlayerFolder folder, SongController.FileAsker asker) {
    window = stage;
    Thread.setDefaultUncaughtExceptionHandler(
        (thread, fault) ->
            workspace.faults().tell(Texts.of("phalanxApp.somethingDidNotWork"), fault));
    TypeFace.load();
    setUserAgentStylesheet(resource(CONTROLS_LIGHT).toExternalForm());
    documents =
        new Documents(workspace, folder, disk, Platform::runLater, file -> isIn(demoSongs(), file));
    NoticeBar notices = new NoticeBar();
    songs = new SongController(workspace, documents, notices, asker);
    songs.whenClosed(stage::close);
    ShapeTrialModel trials =
        new ShapeTrialModel(
            workspace, workspace.chord(), new NewestAnswer(worker, Platform::runLater));
    workspace.screenProperty().set(song.isPresent() ? Screen.ARRANGE : Screen.CHART);
    Palette palette = Palette.of(resource(LIGHT));
    Workbench bench = new Workbench(workspace, trials, documents, palette, notices, songs);
    // On a screen smaller than the window needs, or with text twice as large, it scrolls.
    Rectangle2D room = javafx.stage.Screen.getPrimary().getVisualBounds();
    Scene scene =
        new Scene(bench, Math.min(WIDTH, room.getWidth()), Math.min(HEIGHT, room.getHeight()));
    Tips.on(scene);
    scene
        .getStylesheets()
        .setAll(resource(LIGHT).toExternalForm(), resource(RULES).toExternalForm());
    workspace
        .viewing()
        .appearanceProperty()
        .addListener((o, before, now) -> show(now.theme(), scene, palette, bench));
    Runnable ask =
        () -> show(workspace.viewing().appearanceProperty().get().theme(), scene, palette, bench);
    ask.run();
    // The system's theme may have changed while the player was elsewhere.
    stage
        .focusedProperty()
        .addListener(
            (o, before, now) -> {
              if (now) {
                ask.run();
              }
            });
    stage
        .titleProperty()
        .bind(
            Bindings.createStringBinding(
                () -> workspace.song().title() + " – Phalanx", workspace.historyProperty()));
    for (int side : ICONS) {
      stage.getIcons().add(new Image(resource("icons/phalanx-" + side + ".png").toExternalForm()));
    }
    stage.setMinWidth(Math.min(Workbench.LEAST_WIDTH, room.getWidth()));
    stage.setMinHeight(Math.min(Workbench.LEAST_HEIGHT, room.getHeight()));
    stage.setScene(scene);
    stage.sizeToScene();
    stage.setOnCloseRequest(
        e -> {
          e.consume();
          songs.restart().forget();
          documents.close();
        });
    song.ifPresent(documents::open);
    stage.show();
    bench.start();
    keeping = new Timeline(new KeyFrame(KEEP_EVERY, e -> documents.keep()));
    keeping.setCycleCount(Animation.INDEFINITE);
    keeping.play();
    documents.findLeft(songs::offerLeft);
  }

  /** Takes up a theme; what the system has is asked away from plans and interface. */
  private void show(Appearance.Theme theme, Scene scene, Palette palette, Workbench bench) {
    if (theme == Appearance.Theme.SYSTEM) {
      CompletableFuture.supplyAsync(SystemTheme::isDark)
          .thenAcceptAsync(
              dark -> {
                if (workspace.viewing().appearanceProperty().get().theme() == theme) {
                  show(dark, scene, palette, bench);
                }
              },
              Platform::runLater);
    } else {
      show(theme == Appearance.Theme.DARK, scene, palette, bench);
    }
  }

  private void show(boolean dark, Scene scene, Palette palette, Workbench bench) {
    URL tokens = resource(dark ? DARK : LIGHT);
    if (!scene.getStylesheets().get(0).equals(tokens.toExternalForm())) {
      setUserAgentStylesheet(resource(dark ? CONTROLS_DARK : CONTROLS_LIGHT).toExternalForm());
      palette.become(tokens);
      scene.getStylesheets().set(0, tokens.toExternalForm());
      bench.redraw();
    }
  }

  @Override
  public void stop() {
    if (keeping != null) {
      keeping.stop();
    }
    workspace.models().practice().look(false);
    workspace.models().sound().close();
    if (documents != null) {
      documents.end();
    }
    planner.shutdownNow();
    worker.shutdownNow();
    disk.shutdown();
    try {
      disk.awaitTermination(LAST_WRITES, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    if (songs != null) {
      songs.restart().ended();
    }
  }

  private static URL resource(String name) {
    return PhalanxApp.class.getResource(name);
  }

  /** What the window shows; for tests that drive it. */
  Workspace workspace() {
    return workspace;
  }

  /** What is done with songs as a whole; for tests that drive the window. */
  SongController songs() {
    return songs;
  }

  /** The songs on the disk; for tests that drive the window. */
  Documents documents() {
    return documents;
  }

  /** The system's own windows to choose a file. */
  private final class Chooser implements SongController.FileAsker {

    private FileChooser chooser(String title) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(title);
      workspace
          .fileProperty()
          .get()
          .map(f -> f.toAbsolutePath().getParent().toFile())
          .filter(File::isDirectory)
          .ifPresent(chooser::setInitialDirectory);
      return chooser;
    }

    @Override
    public Optional<Path> toOpen() {
      FileChooser chooser = chooser(Texts.of("phalanxApp.openASong"));
      String[] endings = FileFormat.endingsRead().stream().map(e -> "*" + e).toArray(String[]::new);
      chooser
          .getExtensionFilters()
          .add(
              new FileChooser.ExtensionFilter(
                  Texts.of("phalanxApp.songsChartsAndScores"), endings));
      return Optional.ofNullable(chooser.showOpenDialog(window)).map(File::toPath);
    }

    @Override
    public Optional<Path> toImport() {
      FileChooser chooser = chooser(Texts.of("phalanxApp.takeTheTuneOf"));
      String[] endings = FileFormat.endingsRead().stream().map(e -> "*" + e).toArray(String[]::new);
      chooser
          .getExtensionFilters()
          .add(new FileChooser.ExtensionFilter(Texts.of("phalanxApp.scoresTunesAndMidi"), endings));
      return Optional.ofNullable(chooser.showOpenDialog(window)).map(File::toPath);
    }

    @Override
    public Optional<Path> toExport(String title) {
      FileChooser chooser = chooser(Texts.of("phalanxApp.exportThePlan"));
      for (FileFormat format : FileFormat.taken()) {
        List<String> endings = format.endings().stream().map(e -> "*" + e).toList();
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(format.words(), endings));
      }
      chooser.setInitialFileName(named(title) + FileFormat.PDF.endings().get(0));
      return Optional.ofNullable(chooser.showSaveDialog(window)).map(File::toPath);
    }

    @Override
    public Optional<Path> toExport(String title, FileFormat format) {
      FileChooser chooser = chooser(format.words());
      List<String> endings = format.endings().stream().map(e -> "*" + e).toList();
      chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(format.words(), endings));
      chooser.setInitialFileName(named(title) + format.endings().get(0));
      return Optional.ofNullable(chooser.showSaveDialog(window)).map(File::toPath);
    }

    private static String named(String title) {
      return title.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", "-");
    }

    @Override
    public Optional<Path> toSave(String title) {
      FileChooser chooser = chooser(Texts.of("phalanxApp.saveTheSong"));
      chooser.setInitialFileName(named(title) + SongFiles.ENDING);
      return Optional.ofNullable(chooser.showSaveDialog(window)).map(File::toPath);
    }
  }
}
