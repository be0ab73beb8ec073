package phalanx.desktop.melody;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import phalanx.arrangement.board.TuneBoard;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.Workspace;

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
    Label form =
        new Label(
            "g4  a note with its octave; b d  the nearest\n"
                + ".  it goes on      -  a rest\n"
                + "[b c]  two in one cell      b+d  together\n"
                + "b@2  on string 2      2:3  string 2, fret 3\n"
                + "d'  an octave higher      a,  lower\n"
                + "^b  hammered      _a  pulled      /c  slid to\n"
                + "{a}b  a short a before      /2:5+3:5  both slid\n"
                + "e5(h)  harmonic    g4(t12)  touched 12 above\n"
                + "d4(b1)  bent a tone   (b1/2r)  and back\n"
                + "(v)  vibrato   (vw)  wide   (pm)  palm mute\n"
                + "On the neck: touch a place to put it in,\n"
                + "with Shift together with the note before,\n"
                + "H  its harmonics: (h7) the node over 7;\n"
                + "1 to 5  length   .  dotted   -  rest   ⌫  back");
    form.getStyleClass().add("hand-says");
    form.setMaxWidth(Double.MAX_VALUE);
    form.setWrapText(true);
    form.setMinHeight(USE_PREF_SIZE);
    CheckBox onTop = new CheckBox("Nothing above the tune");
    onTop.setId("tune-on-top");
    onTop.setTooltip(
        new Tooltip("what the pattern would strike above the tune gives way while it sounds"));
    onTop.setOnAction(e -> workspace.models().melody().keepOnTop(onTop.isSelected()));
    Runnable read = () -> onTop.setSelected(workspace.song().tune().onTop());
    workspace.historyProperty().addListener(o -> read.run());
    read.run();
    getChildren().addAll(new OctaveOffer(workspace), heading, scroll, onTop, form);
    workspace.models().melody().boardProperty().addListener(o -> show());
    show();
  }

  private void show() {
    List<TuneBoard.Entry> entries = workspace.models().melody().boardProperty().get().entries();
    heading.setText(entries.isEmpty() ? "No tune in this bar" : "Notes of this bar");
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
