package phalanx.desktop.guitar;

import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.GuitarBench;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.neck.HarmonicsView;
import phalanx.instrument.Tuning;
import phalanx.theory.NoteNaming;

/** The middle of the Guitar screen: the neck with its harmonics, the strings, usual tunings. */
public final class GuitarScreen extends VBox {

  private static final double NECK_WIDTH = 826;
  private static final double NECK_HEIGHT = 196;

  private final Workspace workspace;
  private final GuitarBench bench;
  private final HarmonicsView neck;
  private final Label about = new Label();
  private final Button use = tool("use-tuning", "Use in this song");

  GuitarScreen(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    bench = workspace.bench();
    neck =
        new HarmonicsView(
            NECK_WIDTH, NECK_HEIGHT, palette, workspace.viewing().leftHandedProperty());
    neck.fill(this, 48);
    getStyleClass().add("arrange");
    setMinWidth(0);
    Label harmonics =
        line(
            "Diamonds: natural harmonics, larger where they speak more easily. Over fret 12 an octave,"
                + " 7 and 19 an octave and a fifth, 5 two octaves, 4, 9 and 16 two octaves and a third;"
                + " counted from the capo.");
    FlowPane below = new FlowPane(new StringTable(workspace), new UsualTunings(workspace));
    below.getStyleClass().add("bench-row");
    VBox content = new VBox(neck, harmonics, below);
    content.getStyleClass().add("bench");
    ScrollPane scroll = new ScrollPane(content);
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("bare");
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(header(), scroll);
    bench.sheetProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    show();
  }

  static Button tool(String id, String words) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().add("tool");
    button.setMinWidth(USE_PREF_SIZE);
    return button;
  }

  static Label line(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("where");
    label.setWrapText(true);
    label.setMinHeight(USE_PREF_SIZE);
    return label;
  }

  /** The notes of a tuning, ⑥ to ①, as the player calls them. */
  static String words(Tuning tuning, NoteNaming naming) {
    return tuning.strings().stream()
        .map(p -> naming.name(p.name()))
        .collect(Collectors.joining(" "));
  }

  private HBox header() {
    Label title = new Label("Guitar bench");
    title.getStyleClass().add("section-name");
    title.setMinWidth(USE_PREF_SIZE);
    about.setId("bench-about");
    about.getStyleClass().add("where");
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    Button all = tool("hear-strings", "Hear all six H");
    all.setOnAction(e -> bench.hearAll());
    use.getStyleClass().add("main-tool");
    use.setOnAction(e -> bench.use());
    HBox header = new HBox(title, about, grow, all, use);
    header.getStyleClass().add("arrange-header");
    return header;
  }

  private void show() {
    NoteNaming naming = workspace.viewing().namingProperty().get();
    neck.show(bench.sheetProperty().get().guitar());
    String there = words(bench.tuningProperty().get(), naming);
    about.setText(
        bench.isUsed()
            ? there + ", as the song uses it"
            : there
                + " on the bench · the song uses "
                + words(workspace.song().guitar().tuning(), naming));
    use.setDisable(bench.isUsed());
  }
}
