package phalanx.desktop.arrange;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.files.OwnShelf;
import phalanx.desktop.model.DraftViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.draft.Draft;
import phalanx.draft.Manner;
import phalanx.formats.manners.OwnManners;
import phalanx.song.Section;

/** The song arranged in three manners: a card each, heard by a click, taken by another. */
final class DraftPanel extends VBox {

  private static final double GAP = 8;
  private static final int LEVELS = 5;

  private final DraftViewModel model;
  private final Palette palette;
  private final Label words = Controls.wrapped("", "where");
  private final VBox cards = new VBox(GAP);
  private final Button make;
  private final Button take;
  private final Button takeSection;

  DraftPanel(Workspace workspace, OwnShelf<OwnManners, Manner> own, Palette palette) {
    super(GAP);
    model = workspace.models().drafts();
    this.palette = palette;
    setId("draft-panel");
    words.setId("draft-words");
    make =
        Controls.smallTool("make-drafts", Texts.of("draftPanel.arrangeItThreeWays"), model::search);
    make.setTooltip(new Tooltip(Texts.of("draftPanel.pinsAndWhatHas")));
    Button keep =
        Controls.smallTool(
            "keep-manner", Texts.of("draftPanel.keepMine"), () -> own.put(model.mannerOfSong()));
    keep.setTooltip(new Tooltip(Texts.of("draftPanel.keepThisSongS")));
    take = Controls.smallTool("take-draft", Texts.of("draftPanel.takeIt"), model::take);
    take.setTooltip(new Tooltip(Texts.of("draftPanel.whatWasHeardInto")));
    takeSection =
        Controls.smallTool(
            "take-draft-section", Texts.of("draftPanel.sectionOnly"), model::takeSection);
    takeSection.setTooltip(new Tooltip(Texts.of("draftPanel.whatWasHeardInto2")));
    own.property().addListener(o -> model.ownProperty().set(own.property().get().manners()));
    model.ownProperty().set(own.property().get().manners());
    ScrollPane scroll = Controls.scroll(cards);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren()
        .addAll(
            Controls.styled(Texts.of("draftPanel.wholeArrangements"), "form-title"),
            levels(),
            new HBox(GAP, make, keep),
            words,
            scroll,
            new HBox(GAP, take, takeSection));
    model.searchingProperty().addListener(o -> show());
    model.chosenProperty().addListener(o -> show());
    model.searchedProperty().addListener(o -> show());
    model.draftsProperty().addListener(o -> list());
    model.placeProperty().addListener(o -> show());
    list();
  }

  private HBox levels() {
    HBox row = new HBox(3, Controls.styled(Texts.of("draftPanel.level"), "row-word"));
    for (int level = 1; level <= LEVELS; level++) {
      int wanted = level;
      ToggleButton one = new ToggleButton(String.valueOf(level));
      one.setId("draft-level-" + level);
      one.setAccessibleText(Texts.of("draftPanel.level2", level));
      one.getStyleClass().addAll("tool", "small-tool");
      one.setOnAction(
          e ->
              model.levelProperty().set(one.isSelected() ? Optional.of(wanted) : Optional.empty()));
      model
          .levelProperty()
          .addListener(
              o -> one.setSelected(model.levelProperty().get().equals(Optional.of(wanted))));
      row.getChildren().add(one);
    }
    row.getStyleClass().add("draft-levels");
    return row;
  }

  private void list() {
    cards.getChildren().clear();
    List<Draft> drafts = model.draftsProperty().get();
    for (int n = 0; n < drafts.size(); n++) {
      Draft draft = drafts.get(n);
      int place = n;
      cards
          .getChildren()
          .add(
              new DraftCard(
                  draft,
                  n,
                  model.shown(draft),
                  palette,
                  () -> {
                    model.hear(draft);
                    show();
                  },
                  model::take,
                  by -> pass(place + by)));
    }
    show();
    if (model.takesKeyboard() && !drafts.isEmpty()) {
      ((DraftCard) cards.getChildren().get(0)).takeKeyboard();
    }
  }

  /** The keyboard goes to another card, if there is one. */
  private void pass(int place) {
    if (place >= 0 && place < cards.getChildren().size()) {
      ((DraftCard) cards.getChildren().get(place)).takeKeyboard();
    }
  }

  private void show() {
    boolean searching = model.searchingProperty().get();
    List<Draft> drafts = model.draftsProperty().get();
    boolean none = model.searchedProperty().get() && drafts.isEmpty();
    make.setDisable(searching);
    words.setText(
        searching
            ? drafts.isEmpty()
                ? Texts.of("draftPanel.planning")
                : Texts.of("draftPanel.aFirstOneThe")
            : none
                ? Texts.of("draftPanel.thereIsNothingTo")
                : drafts.isEmpty()
                    ? Texts.of("draftPanel.aTeacherPlaysIt")
                    : Texts.of("draftPanel.hearThemTheTune"));
    Optional<Draft> chosen = model.chosenProperty().get();
    take.setDisable(chosen.isEmpty());
    takeSection.setText(
        model
            .section()
            .map(Section::label)
            .filter(l -> !l.isBlank())
            .map(l -> Texts.of("draftPanel.forOnly", l))
            .orElse(Texts.of("draftPanel.sectionOnly")));
    takeSection.setDisable(chosen.isEmpty() || model.section().isEmpty());
    cards
        .getChildren()
        .forEach(n -> ((DraftCard) n).show(chosen.equals(Optional.of(((DraftCard) n).draft()))));
  }
}
