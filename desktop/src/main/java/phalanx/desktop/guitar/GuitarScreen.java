package phalanx.desktop.guitar;

import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.chart.Transposition;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.GuitarBench;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.neck.HarmonicsView;
import phalanx.desktop.strip.StripPreview;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.Finger;
import phalanx.instrument.Hand;
import phalanx.instrument.HandMeasure;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.Tuning;
import phalanx.theory.NoteName;
import phalanx.theory.NoteNaming;
import phalanx.theory.Pitch;

/** The middle of the Guitar screen: the neck with its harmonics, the strings, usual tunings. */
public final class GuitarScreen extends VBox {

  private static final double NECK_WIDTH = 826;
  private static final double NECK_HEIGHT = 196;

  /** Further up no neck goes. */
  private static final double HIGHEST = 24;

  private final Workspace workspace;
  private final GuitarBench bench;
  private final HarmonicsView neck;
  private final StripPreview preview;
  private final Label about = new Label();
  private final Label harmonics = Controls.line("");
  private final Label span = Controls.line("");
  private final Button use;

  GuitarScreen(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    bench = workspace.models().bench();
    use = Controls.tool("use-tuning", Texts.of("guitarScreen.useInThisSong"), bench::use);
    neck =
        new HarmonicsView(
            NECK_WIDTH, NECK_HEIGHT, palette, workspace.viewing().leftHandedProperty());
    neck.fill(this, 48);
    harmonics.setId("harmonic-words");
    getStyleClass().add("arrange");
    setMinWidth(0);
    FlowPane below = new FlowPane(new StringTable(workspace), new UsualTunings(workspace));
    below.getStyleClass().add("bench-row");
    VBox content = new VBox(neck, harmonics, span, below);
    content.getStyleClass().add("bench");
    ScrollPane scroll = Controls.scroll(content);
    preview = new StripPreview(workspace.viewing(), palette);
    VBox.setVgrow(preview, Priority.ALWAYS);
    scroll.getStyleClass().add("bare");
    StackPane room = new StackPane(scroll, previewed());
    VBox.setVgrow(room, Priority.ALWAYS);
    getChildren().addAll(header(), room);
    scroll.visibleProperty().bind(workspace.models().advice().previewingProperty().not());
    workspace
        .models()
        .advice()
        .previewProperty()
        .addListener((o, before, now) -> preview.show(now));
    workspace.models().hands().measureProperty().addListener(o -> show());
    workspace.historyProperty().addListener(o -> show());
    neck.onTouch(bench::touch);
    bench.touchedProperty().addListener(o -> show());
    bench.sheetProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    show();
  }

  /** The notes of a tuning, ⑥ to ①, as the player calls them. */
  static String words(Tuning tuning, NoteNaming naming) {
    return tuning.strings().stream()
        .map(p -> naming.name(p.name()))
        .collect(Collectors.joining(" "));
  }

  /** The way that is looked at, in place of the bench. */
  private VBox previewed() {
    Label title = Controls.styled("", "section-name");
    AdviceWords words = new AdviceWords(workspace);
    workspace
        .models()
        .advice()
        .chosenProperty()
        .addListener(
            (o, before, now) ->
                title.setText(
                    now.map(way -> Texts.of("guitarScreen.lookedAtNotIn", words.title(way)))
                        .orElse("")));
    VBox room = new VBox(8, title, preview);
    room.visibleProperty().bind(workspace.models().advice().previewingProperty());
    return room;
  }

  private HBox header() {
    Label title = new Label(Texts.of("guitarScreen.guitarBench"));
    title.getStyleClass().add("section-name");
    title.setMinWidth(USE_PREF_SIZE);
    about.setId("bench-about");
    about.getStyleClass().add("where");
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    Button all =
        Controls.tool("hear-strings", Texts.of("guitarScreen.hearAllSixH"), bench::hearAll);
    use.getStyleClass().add("main-tool");
    HBox header = new HBox(title, about, grow, all, use);
    header.getStyleClass().add("arrange-header");
    return header;
  }

  private String named(int midi, NoteNaming naming) {
    NoteName name = Transposition.keys(workspace.song()).get(0).nameOf(Math.floorMod(midi, 12));
    return naming.name(name) + Pitch.of(midi, name).octave();
  }

  /** What the diamonds are, or every place of the harmonic that was touched. */
  private String harmonicWords(NoteNaming naming) {
    return bench
        .touchedProperty()
        .get()
        .map(
            node ->
                Texts.of(
                    "guitarScreen.theHarmonicFCents",
                    named(node.midi(), naming),
                    node.cents(),
                    HarmonicNode.sounding(bench.sheetProperty().get().guitar(), node.midi())
                        .stream()
                        .filter(n -> n.fret() <= HIGHEST)
                        .map(HarmonicNode::where)
                        .collect(Collectors.joining(", "))))
        .orElse(Texts.of("guitarScreen.diamondsNaturalHarmonicsLarger"));
  }

  private void show() {
    NoteNaming naming = workspace.viewing().namingProperty().get();
    harmonics.setText(harmonicWords(naming));
    Hand hand = workspace.models().hands().measured().orElse(workspace.song().hand());
    span.setText(
        Texts.of(
            "guitarScreen.bandFromFretThe",
            hand.words(),
            hand.comfortable(Finger.INDEX, Finger.LITTLE),
            hand.limit(Finger.INDEX, Finger.LITTLE)));
    neck.show(
        bench.sheetProperty().get().guitar(),
        hand,
        workspace.models().hands().measureProperty().get().isPresent()
            ? List.of(1, HandMeasure.UPPER)
            : List.of(1),
        bench.touchedProperty().get());
    String there = words(bench.tuningProperty().get(), naming);
    about.setText(
        bench.isUsed()
            ? Texts.of("guitarScreen.asTheSongUses", there)
            : Texts.of(
                "guitarScreen.onTheBenchThe",
                there,
                words(workspace.song().guitar().tuning(), naming)));
    use.setDisable(bench.isUsed());
  }
}
