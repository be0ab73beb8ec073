package phalanx.desktop.melody;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.files.OwnShelf;
import phalanx.desktop.fills.FillPanel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.screen.Shortcut;
import phalanx.desktop.screen.SideTabs;
import phalanx.desktop.texts.Texts;
import phalanx.embellishment.Fill;
import phalanx.formats.SongFiles;
import phalanx.formats.fills.OwnFills;

/** The Melody screen. */
public final class MelodyScreenView extends ScreenView<MelodyScreen, SideTabs> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut(
              Texts.of("melodyScreenView.enter"), Texts.of("melodyScreenView.keepTheBarOn")),
          new Shortcut("↑", Texts.of("melodyScreenView.theBarBefore")),
          new Shortcut(Texts.of("melodyScreenView.esc"), Texts.of("melodyScreenView.theBarAsIt")),
          new Shortcut("H", Texts.of("melodyScreenView.onTheNeckThe")),
          new Shortcut("B", Texts.of("melodyScreenView.fillsMajorOrBluesy")));

  private final Workspace workspace;
  private final Consumer<Path> importTune;

  /**
   * Puts the screen together.
   *
   * @param fills the player's own fills
   * @param chooseTune asks for a score and takes its tune
   * @param importTune takes the tune of a score
   */
  public MelodyScreenView(
      Workspace workspace,
      OwnShelf<OwnFills, Fill> fills,
      Palette palette,
      Runnable chooseTune,
      Consumer<Path> importTune) {
    super(
        new MelodyScreen(workspace, palette, chooseTune),
        new SideTabs(
            "melody-side",
            List.of(
                new SideTabs.Tab(
                    "part-notes",
                    Texts.of("melodyScreenView.notes"),
                    () -> new TunePanel(workspace)),
                new SideTabs.Tab(
                    "part-fills",
                    Texts.of("melodyScreenView.fills"),
                    () -> new FillPanel(workspace, fills, palette)))));
    this.workspace = workspace;
    this.importTune = importTune;
  }

  @Override
  public Node keyboard() {
    return middle().field();
  }

  /** A tune begins where the song begins, though its chords were typed to the end. */
  @Override
  public void shown() {
    Arrangement plan = workspace.arrangementProperty().get();
    int last = plan == null ? 0 : plan.slots().size() - 1;
    if (workspace.song().tune().isEmpty() && workspace.chord().placeProperty().get() >= last) {
      workspace.chord().select(0);
    }
  }

  /** With the keyboard on a card of the shelf the colour is switched. */
  @Override
  public boolean key(KeyEvent event) {
    boolean colour = event.getCode() == KeyCode.B;
    if (colour) {
      workspace.models().fills().switchColour();
    }
    return colour;
  }

  /** A score gives its tune. */
  @Override
  public boolean take(Path file) {
    boolean score = SongFiles.isScore(file);
    if (score) {
      importTune.accept(file);
    }
    return score;
  }
}
