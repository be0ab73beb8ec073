package phalanx.desktop.chart;

import java.util.List;
import javafx.scene.Node;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.screen.Shortcut;

/** The Chart screen. */
public final class ChartScreenView extends ScreenView<ChartScreen, SongPanel> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut("a letter", "type the bar anew"),
          new Shortcut("Enter, F2", "correct the bar"),
          new Shortcut("| while typing", "keep it, on to the next bar"),
          new Shortcut("=5 . . D7 .", "as bar 5, but D7 on beat 3"),
          new Shortcut("3/4 G, q=80 G", "another metre, another tempo from here"),
          new Shortcut("F4", "words under the bar; | next chord, // next verse"),
          new Shortcut("< >", "the chord a step shorter, longer, its words along"),
          new Shortcut("Alt 1, 2, 4", "so many chords a bar in the whole song"),
          new Shortcut("|", "new bar behind"),
          new Shortcut("[ ]", "repeat from here, to here"),
          new Shortcut("1 2", "first, second ending"),
          new Shortcut("(", "a phrase begins here, or goes on; drag its arc"),
          new Shortcut("Shift and arrows", "select bars"),
          new Shortcut("Ctrl C, X, V", "copy, cut, paste bars"),
          new Shortcut("Alt ← →", "move bars"),
          new Shortcut("Delete", "take bars out"),
          new Shortcut("Ctrl Enter", "start or name a section"),
          new Shortcut("Ctrl Backspace", "join with the section before"),
          new Shortcut("Ctrl D", "section like this one"));

  /** Puts the screen together. */
  public ChartScreenView(Workspace workspace, ChartCursor cursor, Palette palette) {
    super(new ChartScreen(workspace, cursor, palette), new SongPanel(workspace, cursor));
  }

  @Override
  public Node keyboard() {
    return middle().sheet();
  }
}
