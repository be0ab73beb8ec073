package phalanx.desktop.arrange;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.DraftViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.draft.Draft;
import phalanx.text.Phrase;

/** The song arranged in three manners: a card each, heard by a click, taken by another. */
final class DraftPanel extends VBox {

  private static final double GAP = 8;
  private static final int LEVELS = 4;

  private final DraftViewModel model;
  private final Label words = Controls.wrapped("", "where");
  private final VBox cards = new VBox(GAP);
  private final Button make;
  private final Button take;

  DraftPanel(Workspace workspace) {
    super(GAP);
    model = workspace.models().drafts();
    setId("draft-panel");
    words.setId("draft-words");
    make = Controls.smallTool("make-drafts", "Arrange it three ways", model::search);
    make.setTooltip(new Tooltip("pins, and what has a pattern of its own, stay as they are"));
    take = Controls.smallTool("take-draft", "Take what was heard", model::take);
    take.setTooltip(new Tooltip("into the song; one step to undo"));
    ScrollPane scroll = Controls.scroll(cards);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren()
        .addAll(
            Controls.styled("Whole arrangements", "form-title"),
            levels(),
            make,
            words,
            scroll,
            take);
    model.searchingProperty().addListener(o -> show());
    model.chosenProperty().addListener(o -> show());
    model.searchedProperty().addListener(o -> show());
    model.draftsProperty().addListener(o -> list());
    list();
  }

  private HBox levels() {
    HBox row = new HBox(3, Controls.styled("Level", "row-word"));
    for (int level = 1; level <= LEVELS; level++) {
      int wanted = level;
      ToggleButton one = new ToggleButton(String.valueOf(level));
      one.setId("draft-level-" + level);
      one.setAccessibleText("level " + level);
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
      cards.getChildren().add(card(drafts.get(n), n));
    }
    show();
  }

  private VBox card(Draft draft, int place) {
    ToggleButton hear = new ToggleButton(draft.manner().name());
    hear.setId("draft-" + place);
    hear.getStyleClass().addAll("tool", "small-tool");
    hear.setMaxWidth(Double.MAX_VALUE);
    hear.setUserData(draft);
    hear.setTooltip(new Tooltip("hear its beginning"));
    hear.setOnAction(
        e -> {
          model.hear(draft);
          show();
        });
    String holds =
        draft.ceiling().map(c -> Phrase.of(", hands hold to %.0f", Math.floor(c))).orElse("");
    Label figures =
        Controls.wrapped(
            Phrase.of(
                "level %s, %.1f notes a beat%s; %s",
                draft.level().words(), draft.notesABeat(), holds, draft.tally().words()),
            "where");
    Label did =
        Controls.wrapped(
            draft.sections().stream()
                .map(s -> (s.label().isEmpty() ? "" : s.label() + ": ") + s.did())
                .collect(Collectors.joining("\n")),
            "where");
    VBox card = new VBox(2, hear, figures, did);
    card.getStyleClass().add("draft-card");
    return card;
  }

  private void show() {
    boolean searching = model.searchingProperty().get();
    boolean none = model.searchedProperty().get() && model.draftsProperty().get().isEmpty();
    make.setDisable(searching);
    words.setText(
        searching
            ? "Planning every manner in full …"
            : none
                ? "There is nothing to arrange yet: type some chords."
                : model.draftsProperty().get().isEmpty()
                    ? "A teacher plays it three ways and says: choose. Nothing is changed yet."
                    : "Hear them; the tune is the same in all.");
    take.setDisable(model.chosenProperty().get().isEmpty());
    Optional<Draft> chosen = model.chosenProperty().get();
    cards
        .lookupAll(".small-tool")
        .forEach(n -> ((ToggleButton) n).setSelected(chosen.equals(Optional.of(n.getUserData()))));
  }
}
