package phalanx.desktop.arrange;

import java.util.List;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.texts.Texts;
import phalanx.draft.Draft;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.ShelfTexts;

/** A draft: two bars of it, how hard it is, what was done. Space lets it be heard. */
final class DraftCard extends VBox {

  private static final double GAP = 2;
  private static final double WIDTH = 240;

  private final Draft draft;
  private final ToggleButton hear;

  /**
   * A card.
   *
   * @param heard runs when the player wants to hear it
   * @param taken runs when the player takes it
   * @param passed hears whether the keyboard goes to the next card (1) or the one before (-1)
   */
  DraftCard(
      Draft draft,
      int place,
      List<PlayedBar> bars,
      Palette palette,
      Runnable heard,
      Runnable taken,
      IntConsumer passed) {
    super(GAP);
    this.draft = draft;
    hear =
        new ToggleButton(
            Texts.of(
                "draftCard.level", ShelfTexts.of(draft.manner().name()), draft.level().words()));
    hear.setId("draft-" + place);
    hear.getStyleClass().addAll("tool", "small-tool");
    hear.setMaxWidth(Double.MAX_VALUE);
    hear.setTooltip(new Tooltip(Texts.of("draftCard.hearSomeBarsSpace")));
    hear.setOnAction(e -> heard.run());
    hear.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            heard.run();
            taken.run();
            e.consume();
          } else if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.UP) {
            passed.accept(e.getCode() == KeyCode.DOWN ? 1 : -1);
            e.consume();
          }
        });
    String holds =
        draft.ceiling().map(c -> Texts.of("draftCard.handsHoldTo", Math.floor(c))).orElse("");
    String figures =
        Texts.of("draftCard.notesABeat", draft.notesABeat(), holds, draft.tally().words());
    Label did =
        Controls.wrapped(
            draft.sections().stream()
                .map(s -> (s.label().isEmpty() ? "" : s.label() + ": ") + s.did())
                .collect(Collectors.joining("\n")),
            "where");
    getChildren()
        .addAll(
            hear,
            new DraftPicture(draft.arrangement(), bars, WIDTH, palette),
            Controls.wrapped(figures, "where"),
            did);
    draft.reason().ifPresent(r -> getChildren().add(Controls.wrapped(r, "where")));
    hear.setAccessibleText(hear.getText() + ", " + figures + ". " + did.getText());
    getStyleClass().add("draft-card");
  }

  /** In a moment: a card that goes takes the keyboard along, and a new one is not drawn yet. */
  void takeKeyboard() {
    Platform.runLater(hear::requestFocus);
  }

  void show(boolean chosen) {
    hear.setSelected(chosen);
  }

  Draft draft() {
    return draft;
  }
}
