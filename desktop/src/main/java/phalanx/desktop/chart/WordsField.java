package phalanx.desktop.chart;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.theory.Quoted;

/**
 * The line in which the words of a bar are typed, laid under it. Enter keeps them, Tab goes on to
 * the next bar, Escape leaves them as they were.
 */
final class WordsField extends TextField {

  private final Workspace workspace;
  private Optional<Bar> at = Optional.empty();
  private Consumer<Integer> then = bars -> {};

  WordsField(Workspace workspace) {
    this.workspace = workspace;
    setId("bar-words");
    getStyleClass().add("bar-text");
    setPromptText(Texts.of("wordsField.wordsNextChordNext"));
    setManaged(false);
    setVisible(false);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    focusedProperty()
        .addListener(
            (o, before, focused) -> {
              if (!focused && isVisible()) {
                keep(0);
              }
            });
  }

  /**
   * Opens under a bar.
   *
   * @param done is told by how many bars to go on: 0 or 1
   */
  void open(Bar bar, Consumer<Integer> done) {
    at = Optional.of(bar);
    then = done;
    setText(workspace.song().words().at(bar.id()).typed(ticks(workspace.song(), bar)));
    setVisible(true);
    requestFocus();
    selectAll();
  }

  private static List<Integer> ticks(Song song, Bar bar) {
    return song.chart().changes(bar).stream().map(ChordChange::tick).toList();
  }

  private void keep(int goOn) {
    setVisible(false);
    at.flatMap(b -> workspace.song().chart().bar(b.id()))
        .ifPresent(
            bar -> {
              Song song = workspace.song();
              int length = song.chart().meters(song.meter()).get(bar.id()).barTicks();
              String typed = Quoted.start(getText(), SongBounds.LONGEST_LINE);
              BarLyrics words = BarLyrics.read(typed, ticks(song, bar), length);
              if (!words.equals(song.words().at(bar.id()))) {
                workspace.edit(s -> s.withWords(s.words().with(bar.id(), words)));
              }
            });
    at = Optional.empty();
    then.accept(goOn);
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.ENTER) {
      keep(0);
    } else if (event.getCode() == KeyCode.TAB) {
      keep(1);
    } else if (event.getCode() == KeyCode.ESCAPE) {
      setVisible(false);
      at = Optional.empty();
      then.accept(0);
    } else {
      return;
    }
    event.consume();
  }
}
