package phalanx.desktop.guitar;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.AdviceViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.screen.Shortcut;
import phalanx.desktop.screen.SideTabs;
import phalanx.desktop.texts.Texts;

/** The Guitar screen. */
public final class GuitarScreenView extends ScreenView<GuitarScreen, SideTabs> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut(
              Texts.of("guitarScreenView.to"), Texts.of("guitarScreenView.hearThatString")),
          new Shortcut("H, T", Texts.of("guitarScreenView.hearAllSixHear")),
          new Shortcut("N, C", Texts.of("guitarScreenView.theNextStringHear")),
          new Shortcut("F", Texts.of("guitarScreenView.findWaysToPlay")),
          new Shortcut("P, U", Texts.of("guitarScreenView.seeTheWayLooked")));

  private final Workspace workspace;

  /** Puts the screen together. */
  public GuitarScreenView(Workspace workspace, Palette palette) {
    super(new GuitarScreen(workspace, palette), GuitarSide.of(workspace, palette));
    this.workspace = workspace;
    middle().setFocusTraversable(true);
  }

  @Override
  public Node keyboard() {
    return middle();
  }

  @Override
  public boolean key(KeyEvent event) {
    int string = digit(event.getCode());
    if (string >= 1 && string <= 6) {
      workspace.models().bench().hear(6 - string);
    } else if (event.getCode() == KeyCode.H) {
      workspace.models().bench().hearAll();
    } else if (event.getCode() == KeyCode.T) {
      workspace.models().bench().hearAgainst();
    } else if (event.getCode() == KeyCode.N) {
      workspace.models().bench().next();
    } else {
      return advice(event.getCode());
    }
    return true;
  }

  private boolean advice(KeyCode key) {
    AdviceViewModel advice = workspace.models().advice();
    if (key == KeyCode.C) {
      workspace.models().bench().hearCheck();
    } else if (key == KeyCode.F) {
      beside().openProperty().set(GuitarSide.ADVICE);
      advice.toggle();
    } else if (key == KeyCode.P && advice.chosenProperty().get().isPresent()) {
      advice.previewingProperty().set(!advice.previewingProperty().get());
    } else if (key == KeyCode.U && advice.chosenProperty().get().isPresent()) {
      advice.apply();
    } else {
      return false;
    }
    return true;
  }

  @Override
  public void hidden() {
    workspace.models().advice().previewingProperty().set(false);
  }
}
