package phalanx.desktop.chart;

import java.util.List;
import javafx.scene.Node;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.screen.Shortcut;
import phalanx.desktop.texts.Texts;

/** The Chart screen. */
public final class ChartScreenView extends ScreenView<ChartScreen, SongPanel> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut(
              Texts.of("chartScreenView.aLetter"), Texts.of("chartScreenView.typeTheBarAnew")),
          new Shortcut(
              Texts.of("chartScreenView.enterF"), Texts.of("chartScreenView.correctTheBar")),
          new Shortcut(
              Texts.of("chartScreenView.whileTyping"), Texts.of("chartScreenView.keepItOnTo")),
          new Shortcut("=5 . . D7 .", Texts.of("chartScreenView.asBarButD")),
          new Shortcut("3/4 G, q=80 G", Texts.of("chartScreenView.anotherMetreAnotherTempo")),
          new Shortcut("F4", Texts.of("chartScreenView.wordsUnderTheBar")),
          new Shortcut("< >", Texts.of("chartScreenView.theChordAStep")),
          new Shortcut(Texts.of("chartScreenView.alt"), Texts.of("chartScreenView.soManyChordsA")),
          new Shortcut("|", Texts.of("chartScreenView.newBarBehind")),
          new Shortcut("[ ]", Texts.of("chartScreenView.repeatFromHereTo")),
          new Shortcut("1 2", Texts.of("chartScreenView.firstSecondEnding")),
          new Shortcut("(", Texts.of("chartScreenView.aPhraseBeginsHere")),
          new Shortcut(
              Texts.of("chartScreenView.shiftAndArrows"), Texts.of("chartScreenView.selectBars")),
          new Shortcut(
              Texts.of("chartScreenView.ctrlCXV"), Texts.of("chartScreenView.copyCutPasteBars")),
          new Shortcut(Texts.of("chartScreenView.alt2"), Texts.of("chartScreenView.moveBars")),
          new Shortcut(Texts.of("chartScreenView.delete"), Texts.of("chartScreenView.takeBarsOut")),
          new Shortcut(
              Texts.of("chartScreenView.ctrlEnter"), Texts.of("chartScreenView.startOrNameA")),
          new Shortcut(
              Texts.of("chartScreenView.ctrlBackspace"),
              Texts.of("chartScreenView.joinWithTheSection")),
          new Shortcut(
              Texts.of("chartScreenView.ctrlD"), Texts.of("chartScreenView.sectionLikeThisOne")));

  /** Puts the screen together. */
  public ChartScreenView(Workspace workspace, ChartCursor cursor, Palette palette) {
    this(workspace, cursor, new ChartScreen(workspace, cursor, palette));
  }

  private ChartScreenView(Workspace workspace, ChartCursor cursor, ChartScreen chart) {
    super(chart, new SongPanel(workspace, cursor, () -> chart.sheet().requestFocus()));
  }

  @Override
  public Node keyboard() {
    return middle().sheet();
  }
}
