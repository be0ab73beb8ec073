package phalanx.desktop.chart;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.chart.KeyChords;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.ChordEntry;
import phalanx.desktop.model.ChordEntry.Place;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Song;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.NoteNaming;

/** Chords to click instead of typing them: those of the key, from elsewhere, of the song. */
final class ChordPanel extends VBox {

  private static final double GAP = 4;

  /** What the chords offered hang on. */
  private record Shown(
      Key key, List<Chord> others, Optional<Chord> last, NoteNaming naming, Interval up) {}

  private final Workspace workspace;
  private final ChartCursor cursor;
  private final ChordEntry entry;
  private final Runnable toSheet;
  private final Label title = Controls.styled("", "form-title");
  private final Label where = Controls.wrapped("", "where");
  private final VBox rows = new VBox(GAP);
  private Shown shown;

  /**
   * Chords for the bar at the cursor.
   *
   * @param toSheet brings the keyboard back to the chart
   */
  ChordPanel(Workspace workspace, ChartCursor cursor, Runnable toSheet) {
    super(GAP);
    this.workspace = workspace;
    this.cursor = cursor;
    this.toSheet = toSheet;
    entry = new ChordEntry(workspace, cursor);
    setId("chord-panel");
    where.setId("chord-next");
    ToggleButton halves = new ToggleButton(Texts.of("chordPanel.halfABarEach"));
    halves.setId("chord-halves");
    halves.getStyleClass().addAll("tool", "small-tool");
    halves.setMinWidth(Region.USE_PREF_SIZE);
    halves.selectedProperty().bindBidirectional(entry.halvesProperty());
    halves.setOnAction(e -> toSheet.run());
    halves.setTooltip(new Tooltip(Texts.of("chordPanel.twoChordsABar")));
    getChildren().addAll(title, where, halves, rows);
    workspace.historyProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    workspace.viewing().soundingProperty().addListener(o -> show());
    cursor.barProperty().addListener(o -> show());
    entry.halvesProperty().addListener(o -> tell());
    show();
  }

  /** Anew only where other chords are offered: the song changes on every screen. */
  private void show() {
    Shown now = new Shown(entry.key(), entry.others(), entry.last(), naming(), up());
    if (!now.equals(shown)) {
      shown = now;
      fill(now.key());
    }
    tell();
  }

  private void fill(Key key) {
    title.setText(Texts.of("chordPanel.chordsOf", key.up(up()).text(naming())));
    rows.getChildren().clear();
    row("chord-triads", KeyChords.triads(key), entry::put);
    row("chord-sevenths", KeyChords.sevenths(key), entry::put);
    List<Chord> borrowed = KeyChords.borrowed(key);
    titled(Texts.of("chordPanel.fromElsewhere"), "chord-borrowed", borrowed, entry::put);
    titled(Texts.of("chordPanel.alsoInThisSong"), "chord-others", entry.others(), entry::put);
    entry
        .last()
        .ifPresent(
            last ->
                titled(
                    Texts.of("chordPanel.insteadOf", name(last)),
                    "chord-like",
                    KeyChords.like(last),
                    entry::insteadOfLast));
  }

  private void tell() {
    Place next = entry.next();
    Song song = workspace.song();
    where.setText(
        next instanceof Place.InBar in
            ? Texts.of("chordPanel.aClickPutsItInto", song.barNumber(in.bar().id()))
            : next instanceof Place.SecondHalf half
                ? Texts.of("chordPanel.aClickPutsItIntoHalf", song.barNumber(half.bar().id()))
                : Texts.of("chordPanel.aClickPutsItAtTheEnd"));
  }

  private void titled(String words, String id, List<Chord> chords, Consumer<Chord> does) {
    if (!chords.isEmpty()) {
      rows.getChildren().add(Controls.styled(words, "where"));
      row(id, chords, does);
    }
  }

  private void row(String id, List<Chord> chords, Consumer<Chord> does) {
    FlowPane row = new FlowPane(GAP, GAP);
    row.setId(id);
    for (Chord chord : chords) {
      Button button = new Button(name(chord));
      button.getStyleClass().addAll("tool", "small-tool", "chord-chip");
      button.setMinWidth(Region.USE_PREF_SIZE);
      // The keyboard types chords sooner than it would walk through these.
      button.setFocusTraversable(false);
      Chord sounding = chord.up(up());
      button.setTooltip(
          new Tooltip(
              Texts.of("chordPanel.numeralNotes", entry.key().numeral(chord), notes(sounding))));
      button.setOnAction(
          e -> {
            keepTyped();
            does.accept(chord);
          });
      row.getChildren().add(button);
    }
    rows.getChildren().add(row);
  }

  /** What is still being typed is kept first; its bar has its chords then. */
  private void keepTyped() {
    Song before = workspace.song();
    toSheet.run();
    if (!workspace.song().equals(before)) {
      entry.typed();
    }
  }

  private String notes(Chord chord) {
    return chord.notes().stream().map(naming()::name).collect(Collectors.joining(" "));
  }

  private Interval up() {
    return cursor.notation(cursor.bar()).up();
  }

  private NoteNaming naming() {
    return workspace.viewing().namingProperty().get();
  }

  private String name(Chord chord) {
    return naming().name(chord.up(up()));
  }
}
