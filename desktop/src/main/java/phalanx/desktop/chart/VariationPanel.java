package phalanx.desktop.chart;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import phalanx.advice.Variation;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.VariationViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Section;

/** A section that comes again, otherwise: three ways beside what it is, each heard by a click. */
final class VariationPanel extends VBox {

  private static final double GAP = 6;

  private final VariationViewModel model;
  private final Label words = Controls.wrapped("", "where");
  private final VBox ways = new VBox(GAP);
  private final Button search;
  private final Button take;

  VariationPanel(Workspace workspace) {
    super(GAP);
    model = workspace.models().variations();
    setId("variation-panel");
    words.setId("variation-words");
    search = Controls.smallTool("vary", Texts.of("variationPanel.varyIt"), model::search);
    search.setTooltip(new Tooltip(Texts.of("variationPanel.threeWaysToPlay")));
    take =
        Controls.smallTool(
            "take-variation", Texts.of("variationPanel.takeWhatWasHeard"), model::take);
    take.setTooltip(new Tooltip(Texts.of("variationPanel.intoTheSongOne")));
    take.managedProperty().bind(take.visibleProperty());
    search.managedProperty().bind(search.visibleProperty());
    getChildren()
        .addAll(
            Controls.styled(Texts.of("variationPanel.whenItComesAgain"), "form-title"),
            words,
            search,
            ways,
            take);
    managedProperty().bind(visibleProperty());
    model.sectionProperty().addListener(o -> show());
    model.searchingProperty().addListener(o -> show());
    model.chosenProperty().addListener(o -> show());
    model.offeredProperty().addListener(o -> list());
    list();
  }

  private void list() {
    ways.getChildren().clear();
    for (Variation way : model.offeredProperty().get()) {
      ToggleButton button = new ToggleButton(way.words());
      button.setId("variation-" + way.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'));
      button.getStyleClass().addAll("tool", "small-tool");
      button.setMaxWidth(Double.MAX_VALUE);
      button.setUserData(way);
      button.setTooltip(new Tooltip(Texts.of("variationPanel.hearTheSectionSo", way.words())));
      button.setOnAction(
          e -> {
            model.hear(way);
            show();
          });
      ways.getChildren().add(button);
    }
    show();
  }

  private void show() {
    Optional<Section> section = model.sectionProperty().get();
    List<Variation> offered = model.offeredProperty().get();
    Optional<Variation> chosen = model.chosenProperty().get();
    boolean searching = model.searchingProperty().get();
    setVisible(section.isPresent());
    words.setText(words(section.map(Section::label).orElse(""), searching, offered.size()));
    search.setVisible(offered.isEmpty());
    search.setDisable(searching);
    take.setVisible(offered.size() > 1);
    take.setDisable(chosen.filter(v -> v.kind() != Variation.Kind.AS_BEFORE).isEmpty());
    ways.getChildren()
        .forEach(n -> ((ToggleButton) n).setSelected(chosen.equals(Optional.of(n.getUserData()))));
  }

  private static String words(String label, boolean searching, int offered) {
    String name = label.isEmpty() ? Texts.of("variationPanel.thisSection") : "“" + label + "”";
    if (searching) {
      return Texts.of("variationPanel.planningOtherwise", name);
    }
    if (offered == 0) {
      return Texts.of("variationPanel.theSecondTimeDiffers", name);
    }
    return offered == 1
        ? Texts.of("variationPanel.nothingElseCanBe", name)
        : Texts.of("variationPanel.hearThemSideBy");
  }
}
