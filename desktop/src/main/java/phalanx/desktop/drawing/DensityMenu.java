package phalanx.desktop.drawing;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import phalanx.desktop.model.DensityViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.picking.Density;
import phalanx.song.Patterns.Scope;

/** How much of the pattern is played, for a part of the song. */
public final class DensityMenu extends MenuButton {

  private final DensityViewModel model;
  private final Supplier<List<Scope>> scopes;
  private final Supplier<Optional<Density>> now;

  /**
   * A menu.
   *
   * @param scopes for which part of the song it is
   * @param now what counts there
   */
  public DensityMenu(
      Workspace workspace, Supplier<List<Scope>> scopes, Supplier<Optional<Density>> now) {
    model = workspace.models().density();
    this.scopes = scopes;
    this.now = now;
    setId("density");
    getStyleClass().add("chip-button");
    setMinWidth(USE_PREF_SIZE);
    setTooltip(new Tooltip(Texts.of("densityMenu.howMuchIsPlayed")));
    for (Optional<Density> choice : DensityViewModel.choices()) {
      MenuItem item = new MenuItem(DensityViewModel.words(choice));
      item.setId("density-" + choice.map(Density::word).orElse("itself"));
      item.setOnAction(e -> model.play(this.scopes.get(), choice));
      getItems().add(item);
    }
    workspace.historyProperty().addListener(o -> tell());
    workspace.arrangementProperty().addListener(o -> tell());
    workspace.range().property().addListener(o -> tell());
    tell();
  }

  /** What it is for has changed. */
  public void tell() {
    setText(Texts.of("densityMenu.plays", DensityViewModel.words(now.get())));
  }
}
