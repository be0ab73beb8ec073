package phalanx.desktop;

import atlantafx.base.theme.PrimerLight;
import java.io.File;
import java.io.IOException;
import java.net.URL;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.FileChooser;
import javafx.stage.Stage;
import phalanx.desktop.model.PlanService;
import phalanx.desktop.model.Workspace;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.chordpro.ChordProReading;

/** Starts the window, with the chart named as the first argument if there is one. */
public final class PhalanxApp extends Application {

  private static final String TOKENS = "theme-light.css";
  private static final String RULES = "phalanx.css";

  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "planner");
            thread.setDaemon(true);
            return thread;
          });
  private final Workspace workspace = new Workspace(new PlanService(worker, Platform::runLater));
  private Stage window;

  /** Starts the program. */
  public static void main(String[] args) {
    launch(args);
  }

  @Override
  public void start(Stage stage) {
    show(stage, getParameters().getUnnamed().stream().findFirst().map(Path::of));
  }

  /** Shows the window with a chart, or with an empty song. */
  void show(Stage stage, Optional<Path> chart) {
    window = stage;
    TypeFace.load();
    setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
    Workbench bench = new Workbench(workspace, Palette.of(resource(TOKENS)), this::chooseFile);
    Scene scene = new Scene(bench, 1280, 800);
    scene
        .getStylesheets()
        .setAll(resource(TOKENS).toExternalForm(), resource(RULES).toExternalForm());
    stage.setTitle("Phalanx");
    stage.setMinWidth(1100);
    stage.setMinHeight(600);
    stage.setScene(scene);
    chart.ifPresent(this::open);
    stage.show();
    bench.start();
  }

  @Override
  public void stop() {
    worker.shutdownNow();
  }

  private static URL resource(String name) {
    return PhalanxApp.class.getResource(name);
  }

  /** What the window shows; for tests that drive it. */
  Workspace workspace() {
    return workspace;
  }

  private void chooseFile() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Open a chart");
    chooser
        .getExtensionFilters()
        .add(new FileChooser.ExtensionFilter("ChordPro chart", "*.cho", "*.chopro", "*.chordpro"));
    File file = chooser.showOpenDialog(window);
    if (file != null) {
      open(file.toPath());
    }
  }

  /** Opens a chart; what cannot be read of it is listed above the strip, the rest is shown. */
  void open(Path file) {
    String name = file.getFileName().toString();
    try {
      ChordProReading reading = ChordProReader.read(Files.readString(file));
      workspace.open(reading.song(), reading.problems().stream().map(p -> p.in(name)).toList());
      window.setTitle(reading.song().title() + " – Phalanx");
    } catch (IOException e) {
      workspace.problems().setAll(name + ":1:1: this file cannot be read as text in UTF-8");
    }
  }
}
