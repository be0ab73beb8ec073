package phalanx.desktop.share;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.ShareViewModel;
import phalanx.desktop.model.ShareViewModel.Incoming;
import phalanx.desktop.texts.Texts;
import phalanx.formats.FileFormat;
import phalanx.formats.FileProblem;
import phalanx.formats.TuneSources;
import phalanx.song.Harmony;
import phalanx.song.Song;

/** What was dropped in: what of it will be taken, and what is lost, before it is taken. */
final class IncomingPanel extends VBox {

  private static final int MOST_TOLD = 12;

  private final ShareViewModel model;
  private final Incomings actions;
  private final VBox content = new VBox();

  /** What can be done with what came in. */
  interface Incomings {
    void choose();

    void paste();

    /** The tune of what came in is to be that of another part. */
    void takeFrom(String part);

    void open();

    void takeTune();
  }

  IncomingPanel(ShareViewModel model, Incomings actions) {
    this.model = model;
    this.actions = actions;
    setId("incoming");
    getStyleClass().add("side-part");
    content.getStyleClass().add("cards");
    HBox row =
        new ToolRow(
            Controls.smallTool(
                "incoming-choose", Texts.of("incomingPanel.chooseAFileI"), actions::choose),
            Controls.smallTool(
                "incoming-paste", Texts.of("incomingPanel.pasteTextV"), actions::paste));
    row.setSpacing(6);
    getChildren()
        .addAll(
            Controls.styled(Texts.of("incomingPanel.bringItIn"), "inspector-title"),
            row,
            Controls.scroll(content));
    model.incomingProperty().addListener(o -> show());
    show();
  }

  private void show() {
    content.getChildren().clear();
    Optional<Incoming> now = model.incomingProperty().get();
    if (now.isEmpty()) {
      content
          .getChildren()
          .addAll(
              Controls.line(Texts.of("incomingPanel.dropAFileOn")),
              Controls.line(
                  Texts.of("incomingPanel.readAre", String.join(", ", FileFormat.endingsRead()))));
      return;
    }
    content.getChildren().add(Controls.styled(now.get().name(), "cards-title"));
    Optional<Song> song = now.get().opened().song();
    if (song.isEmpty()) {
      content
          .getChildren()
          .add(Controls.wrapped(Texts.of("incomingPanel.nothingOfItCan"), "refusal"));
    } else {
      facts(song.get()).forEach(f -> content.getChildren().add(Controls.line(f)));
      now.get().opened().sources().ifPresent(s -> content.getChildren().add(parts(s)));
    }
    told(now.get().opened().told());
    if (song.isPresent()) {
      Button open =
          Controls.smallTool("incoming-open", Texts.of("incomingPanel.openItO"), actions::open);
      Button tune =
          Controls.smallTool(
              "incoming-tune", Texts.of("incomingPanel.takeItsTuneT"), actions::takeTune);
      tune.setDisable(song.get().tune().isEmpty());
      Button leave =
          Controls.smallTool(
              "incoming-leave",
              Texts.of("incomingPanel.leaveIt"),
              () -> model.incomingProperty().set(Optional.empty()));
      HBox row = new ToolRow(open, tune, leave);
      row.setSpacing(6);
      content.getChildren().add(row);
    }
  }

  /** The parts and voices there are; another one is read at once. */
  private HBox parts(TuneSources sources) {
    ComboBox<String> box = new ComboBox<>();
    box.setId("incoming-part");
    box.getItems().setAll(sources.names());
    box.setValue(sources.taken());
    box.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(box, Priority.ALWAYS);
    box.setOnAction(e -> actions.takeFrom(box.getValue()));
    HBox row = new HBox(6, Controls.line(Texts.of("incomingPanel.tuneFrom")), box);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** What will be taken, in sentences. */
  private static List<String> facts(Song song) {
    List<String> facts = new ArrayList<>();
    int bars = song.chart().bars().size();
    long chords =
        song.chart().bars().stream()
            .flatMap(b -> song.chart().changes(b).stream())
            .filter(c -> c.harmony() instanceof Harmony.Sounding)
            .count();
    int notes = song.tune().bars().values().stream().mapToInt(t -> t.notes().size()).sum();
    facts.add(
        Texts.of(
            "incomingPanel.barsInChords",
            song.title(),
            bars,
            song.sections().size(),
            song.sections().size() == 1
                ? Texts.of("incomingPanel.section")
                : Texts.of("incomingPanel.sections"),
            chords));
    facts.add(
        Texts.of("incomingPanel.quarterNotesAMinute", song.meter(), song.tempo())
            + song.key().map(k -> Texts.of("incomingPanel.keyOf", k)).orElse(""));
    if (notes > 0) {
      facts.add(Texts.of("incomingPanel.notesOfTune", notes));
    }
    if (!song.words().bars().isEmpty()) {
      facts.add(Texts.of("incomingPanel.wordsUnderBars", song.words().bars().size()));
    }
    if (!song.pins().shapes().isEmpty() || !song.pins().frets().isEmpty()) {
      facts.add(
          Texts.of(
              "incomingPanel.shapesPinnedAsThey",
              song.pins().shapes().size() + song.pins().frets().size()));
    }
    return facts;
  }

  private void told(List<FileProblem> told) {
    if (told.isEmpty()) {
      content.getChildren().add(Controls.line(Texts.of("incomingPanel.nothingOfItIs")));
      return;
    }
    content.getChildren().add(Controls.styled(Texts.of("incomingPanel.notAsItWas"), "cards-title"));
    for (FileProblem problem : told.subList(0, Math.min(MOST_TOLD, told.size()))) {
      content
          .getChildren()
          .add(Controls.line(Texts.of("incomingPanel.line", problem.line(), problem.message())));
    }
    if (told.size() > MOST_TOLD) {
      content
          .getChildren()
          .add(Controls.line(Texts.of("incomingPanel.andMore", told.size() - MOST_TOLD)));
    }
  }

  /** The name of a file without its folder. */
  static String name(Path file) {
    return file.getFileName().toString();
  }
}
