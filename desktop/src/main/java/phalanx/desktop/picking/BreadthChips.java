package phalanx.desktop.picking;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import phalanx.arrangement.Slot;
import phalanx.desktop.model.PatternViewModel;
import phalanx.desktop.model.PatternViewModel.Breadth;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Section;

/** For what the pattern is laid down: the song, this section, this bar, this chord. */
final class BreadthChips extends HBox {

  private final Workspace workspace;
  private final PatternViewModel model;
  private final Map<Breadth, ToggleButton> chips = new EnumMap<>(Breadth.class);
  private final Button follow = new Button(Texts.of("breadthChips.asTheRest"));

  BreadthChips(Workspace workspace) {
    this.workspace = workspace;
    model = workspace.models().patterns();
    getStyleClass().add("chart-tools");
    ToggleGroup group = new ToggleGroup();
    for (Breadth reach : Breadth.values()) {
      ToggleButton chip = new ToggleButton();
      chip.setId("reach-" + reach.name().toLowerCase(Locale.ROOT));
      chip.getStyleClass().addAll("tool", "small-tool");
      chip.setMinWidth(Region.USE_PREF_SIZE);
      chip.setToggleGroup(group);
      chip.setOnAction(
          e -> {
            // A chip that is down stays down: there always is a reach.
            chip.setSelected(true);
            model.reachProperty().set(reach);
          });
      chips.put(reach, chip);
    }
    follow.setId("reach-follow");
    follow.getStyleClass().addAll("tool", "small-tool");
    follow.setMinWidth(Region.USE_PREF_SIZE);
    follow.setAccessibleText(Texts.of("breadthChips.playHereWhatIs"));
    follow.setOnAction(e -> model.follow());
    getChildren().addAll(chips.values());
    getChildren().add(follow);
    model.shownProperty().addListener(o -> tell());
    model.reachProperty().addListener(o -> tell());
    workspace.viewing().namingProperty().addListener(o -> tell());
    tell();
  }

  private void tell() {
    Optional<Slot> slot = workspace.chord().slot();
    chips.get(Breadth.SONG).setText(Texts.of("breadthChips.song"));
    String section =
        slot.flatMap(s -> workspace.song().chart().sectionOf(s.played().ref().bar()))
            .map(Section::label)
            .filter(l -> !l.isBlank())
            .orElse(Texts.of("breadthChips.section"));
    chips.get(Breadth.SECTION).setText(section);
    chips
        .get(Breadth.BAR)
        .setText(
            slot.map(s -> Texts.of("breadthChips.bar", s.played().bar()))
                .orElse(Texts.of("breadthChips.bar2")));
    chips
        .get(Breadth.CHORD)
        .setText(
            slot.map(s -> s.played().harmony().label(workspace.viewing().namingProperty().get()))
                .orElse(Texts.of("breadthChips.chord")));
    chips.forEach(
        (reach, chip) -> {
          chip.setSelected(reach == model.reachProperty().get());
          boolean own =
              reach != Breadth.SONG && workspace.song().patterns().has(model.scope(reach));
          chip.getStyleClass().remove("has-own");
          if (own && slot.isPresent()) {
            chip.getStyleClass().add("has-own");
          }
        });
    follow.setVisible(model.isOwn());
    follow.setManaged(model.isOwn());
  }
}
