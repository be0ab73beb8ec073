package phalanx.desktop.guitar;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.scene.control.Button;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.advice.Advised;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.AdviceViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/**
 * Beside the guitar: keys, capos and tunings in which the song is easier, found while one looks.
 */
final class AdvicePanel extends VBox {

  private final AdviceViewModel model;
  private final AdviceWords words;
  private final Button find;
  private final ProgressBar progress = new ProgressBar(0);
  private final VBox cards = new VBox();
  private final ChosenWay chosen;

  AdvicePanel(Workspace workspace, Palette palette) {
    model = workspace.models().advice();
    words = new AdviceWords(workspace);
    chosen = new ChosenWay(workspace, palette);
    setId("advice");
    getStyleClass().add("side-part");
    find = Controls.tool("find-ways", "", model::toggle);
    find.getStyleClass().add("main-tool");
    progress.setId("advice-progress");
    progress.setMaxWidth(Double.MAX_VALUE);
    progress.getStyleClass().add("thin-progress");
    HBox which =
        new ToolRow(
            toggle("any-key", Texts.of("advicePanel.inAnyKey"), model.anyKeyProperty()),
            toggle(
                "usual-tunings",
                Texts.of("advicePanel.inUsualTunings"),
                model.usualTuningsProperty()),
            find);
    which.setSpacing(6);
    cards.getStyleClass().add("cards");
    getChildren()
        .addAll(
            Controls.styled(Texts.of("advicePanel.waysToPlayIt"), "inspector-title"),
            which,
            progress,
            Controls.scroll(cards));
    model.stateProperty().addListener(o -> show());
    model.chosenProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    show();
  }

  private static ToggleButton toggle(String id, String name, BooleanProperty on) {
    ToggleButton button = new ToggleButton(name);
    button.setId(id);
    button.getStyleClass().addAll("tool", "small-tool");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.selectedProperty().bindBidirectional(on);
    return button;
  }

  private void show() {
    AdviceViewModel.State state = model.stateProperty().get();
    find.setText(
        state.running() ? Texts.of("advicePanel.cancelF") : Texts.of("advicePanel.findWaysF"));
    progress.setVisible(state.running());
    progress.setProgress(state.all() == 0 ? -1 : state.done() / (double) state.all());
    cards.getChildren().clear();
    if (state.now().isEmpty()) {
      String said =
          state.running()
              ? Texts.of("advicePanel.planningTheSongAs")
              : Texts.of("advicePanel.plansTheSongTune");
      cards.getChildren().add(Controls.line(said));
      return;
    }
    Advised now = state.now().get();
    cards.getChildren().add(Controls.line(Texts.of("advicePanel.asItIs", words.now(now))));
    double most = state.best().stream().mapToDouble(Advised::costPerBar).max().orElse(1);
    double scale = Math.max(most, now.costPerBar());
    for (int i = 0; i < state.best().size(); i++) {
      cards.getChildren().add(card(i + 1, state.best().get(i), now, scale));
    }
    cards.getChildren().add(Controls.line(weighed(state)));
  }

  private static String weighed(AdviceViewModel.State state) {
    String others =
        state.best().size() < AdviceViewModel.SHOWN
            ? ""
            : Texts.of("advicePanel.theOthersCostMore");
    return state.running()
        ? Texts.of("advicePanel.ofWaysWeighed", state.done(), state.all())
        : Texts.of("advicePanel.ofWaysWeighedOne", state.done(), state.all(), others);
  }

  private VBox card(int number, Advised way, Advised now, double scale) {
    boolean open = model.chosenProperty().get().equals(Optional.of(way));
    String title =
        words.title(way) + (way.way().equals(now.way()) ? Texts.of("advicePanel.asItIs2") : "");
    Button card = new Button();
    card.setId("way-" + number);
    card.getStyleClass().add("card");
    card.setMaxWidth(Double.MAX_VALUE);
    VBox lines =
        new VBox(
            Controls.styled(title, "card-fingers"),
            new CostBar(way.costPerBar() / scale, now.costPerBar() / scale));
    List<String> more = words.lines(way, now);
    more.forEach(l -> lines.getChildren().add(Controls.styled(l, "card-line")));
    lines.setSpacing(2);
    card.setGraphic(lines);
    card.setAccessibleText(title + ", " + String.join(", ", more));
    card.setOnAction(e -> model.chosenProperty().set(open ? Optional.empty() : Optional.of(way)));
    if (!open) {
      return new VBox(card);
    }
    card.getStyleClass().add("chosen");
    return new VBox(card, chosen);
  }
}
