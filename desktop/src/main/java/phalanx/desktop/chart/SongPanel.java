package phalanx.desktop.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.theory.Borrowing;
import phalanx.theory.Key;
import phalanx.theory.NoteNaming;

/** Beside the chart: the song's settings, the guitar, the hand, and what is to say of the bar. */
public final class SongPanel extends VBox {

  private final Workspace workspace;
  private final ChartCursor cursor;
  private final Label about = new Label();

  /**
   * Puts it together.
   *
   * @param toSheet brings the keyboard back to the chart
   */
  public SongPanel(Workspace workspace, ChartCursor cursor, Runnable toSheet) {
    this.workspace = workspace;
    this.cursor = cursor;
    setId("song-panel");
    getStyleClass().add("inspector");
    about.setId("bar-about");
    about.getStyleClass().add("bar-about");
    about.setWrapText(true);
    about.setMaxWidth(Double.MAX_VALUE);
    about.setMinHeight(USE_PREF_SIZE);
    VBox forms =
        new VBox(
            SongForm.of(workspace),
            new ChordPanel(workspace, cursor, toSheet),
            new FramePanel(workspace),
            new VariationPanel(workspace));
    forms.getStyleClass().add("forms");
    ScrollPane scroll = Controls.scroll(forms);
    getChildren().addAll(about, scroll);
    workspace.historyProperty().addListener(o -> tell());
    workspace.viewing().namingProperty().addListener(o -> tell());
    cursor.barProperty().addListener(o -> tell());
    tell();
  }

  private NoteNaming naming() {
    return workspace.viewing().namingProperty().get();
  }

  /** What is to say of the bar at the cursor. */
  private void tell() {
    Song song = workspace.song();
    List<String> lines = new ArrayList<>();
    Optional<Bar> bar = cursor.bar();
    bar.ifPresent(b -> lines.addAll(lines(song, b)));
    if (bar.isEmpty()) {
      lines.add(Texts.of("songPanel.typeChordsToBegin"));
    }
    about.setText(String.join("\n", lines));
  }

  private List<String> lines(Song song, Bar bar) {
    List<String> lines = new ArrayList<>();
    int number = song.barNumber(bar.id());
    String text = cursor.text(bar);
    lines.add(
        Texts.of(
            "songPanel.bar",
            number,
            text.equals(".") ? Texts.of("songPanel.goesOnWithThe") : text));
    bar.borrows()
        .map(song::barNumber)
        .ifPresent(n -> lines.add(Texts.of("songPanel.hasTheChordsOf", n)));
    for (ChordChange change : song.chart().changes(bar)) {
      if (change.harmony() instanceof Harmony.Sounding s && song.key().isPresent()) {
        Key key = song.key().get();
        Borrowing.of(key, s.chord())
            .ifPresent(
                b ->
                    lines.add(
                        Texts.of(
                            "songPanel.is", s.label(naming()), key.numeral(s.chord()), b.words())));
      } else if (change.harmony() instanceof Harmony.Unread u) {
        lines.add(Texts.of("songPanel.isNotAChord", u.text()));
      }
    }
    return lines;
  }
}
