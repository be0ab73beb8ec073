package phalanx.desktop.melody;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import phalanx.arrangement.board.TuneBoard;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.MelodyViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/** Beside the staves: what each note of the bar is, and where the hand finds it. */
public final class TunePanel extends VBox {

  private final Workspace workspace;
  private final Label heading = new Label();
  private final VBox notes = new VBox();

  public TunePanel(Workspace workspace) {
    this.workspace = workspace;
    setId("tune-panel");
    getStyleClass().add("side-part");
    heading.getStyleClass().add("form-title");
    notes.getStyleClass().add("cards");
    ScrollPane scroll = Controls.scroll(notes);
    Label form = new Label(Texts.of("tunePanel.gANoteWith"));
    form.getStyleClass().add("hand-says");
    form.setMaxWidth(Double.MAX_VALUE);
    form.setWrapText(true);
    form.setMinHeight(USE_PREF_SIZE);
    CheckBox onTop = new CheckBox(Texts.of("tunePanel.nothingAboveTheTune"));
    onTop.setId("tune-on-top");
    onTop.setTooltip(new Tooltip(Texts.of("tunePanel.whatThePatternWould")));
    onTop.setOnAction(e -> workspace.models().melody().keepOnTop(onTop.isSelected()));
    Runnable read = () -> onTop.setSelected(workspace.song().tune().onTop());
    MelodyViewModel melody = workspace.models().melody();
    CheckBox ring = ringing(Texts.of("tunePanel.letThisSectionRing"), "tune-rings");
    ring.setOnAction(e -> melody.letRing(ring.isSelected(), false));
    CheckBox ringAll = ringing(Texts.of("tunePanel.theWholeSong"), "tune-rings-all");
    ringAll.setOnAction(e -> melody.letRing(ringAll.isSelected(), true));
    Runnable readAll =
        () -> {
          read.run();
          ring.setSelected(melody.rings());
          ringAll.setSelected(melody.ringsEverywhere());
        };
    workspace.historyProperty().addListener(o -> readAll.run());
    workspace.chord().placeProperty().addListener(o -> readAll.run());
    readAll.run();
    FlowPane rings = new FlowPane(12, 4, ring, ringAll);
    getChildren().addAll(new TuneOffers(workspace), heading, scroll, onTop, rings, form);
    workspace.models().melody().boardProperty().addListener(o -> show());
    show();
  }

  private static CheckBox ringing(String words, String id) {
    CheckBox box = new CheckBox(words);
    box.setId(id);
    box.setTooltip(new Tooltip(Texts.of("tunePanel.neighbouringNotesOfThe")));
    return box;
  }

  private void show() {
    List<TuneBoard.Entry> entries = workspace.models().melody().boardProperty().get().entries();
    heading.setText(
        entries.isEmpty()
            ? Texts.of("tunePanel.noTuneInThis")
            : Texts.of("tunePanel.notesOfThisBar"));
    List<Node> rows = new ArrayList<>();
    for (TuneBoard.Entry entry : entries) {
      rows.add(row(entry, rows.size() + 1));
    }
    notes.getChildren().setAll(rows);
  }

  private static VBox row(TuneBoard.Entry entry, int number) {
    Label name = new Label(entry.sung().label() + "   " + entry.place());
    name.setId("tune-note-" + number);
    name.getStyleClass().add("tune-note");
    if (entry.played().isEmpty()) {
      name.getStyleClass().add("refusal");
    }
    String key = entry.inKey().isEmpty() ? "" : " · " + entry.inKey();
    Label degree = new Label(entry.inChord() + key);
    degree.getStyleClass().add("where");
    VBox row = new VBox(name, degree);
    row.getStyleClass().add("tune-row");
    return row;
  }
}
