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
    search = Controls.smallTool("vary", "Vary it", model::search);
    search.setTooltip(new Tooltip("three ways to play this section; nothing is changed yet"));
    take = Controls.smallTool("take-variation", "Take what was heard", model::take);
    take.setTooltip(new Tooltip("into the song; one step to undo"));
    take.managedProperty().bind(take.visibleProperty());
    search.managedProperty().bind(search.visibleProperty());
    getChildren()
        .addAll(Controls.styled("When it comes again", "form-title"), words, search, ways, take);
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
      button.setTooltip(new Tooltip("hear the section so: " + way.words()));
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
    String name = label.isEmpty() ? "this section" : "“" + label + "”";
    if (searching) {
      return "Planning " + name + " otherwise …";
    }
    if (offered == 0) {
      return "The second time differs in one thing. Three ways to play "
          + name
          + " otherwise, tune and bass as they are.";
    }
    return offered == 1
        ? "Nothing else can be heard in " + name + " without changing tune or bass."
        : "Hear them side by side; tune and bass are the same in all.";
  }
}
