package phalanx.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Questions and notices above the screen, in place of dialogs: one line each with its answers. */
public final class NoticeBar extends VBox {

  public NoticeBar() {
    setId("notices");
    getStyleClass().add("notices");
  }

  /**
   * An answer to a question.
   *
   * @param id what tests and style sheets call it
   * @param words what the player reads
   * @param action what it does; the question goes away first
   */
  record Answer(String id, String words, Runnable action) {}

  /** Asks; the first answer gets the keyboard, Escape takes the last. */
  void ask(String id, String question, List<Answer> answers) {
    ask(id, question, answers, true);
  }

  /**
   * Asks.
   *
   * @param expected whether the player waits for it: what comes while they type must not take the
   *     keyboard from them
   */
  void ask(String id, String question, List<Answer> answers, boolean expected) {
    forget(id);
    Label words = new Label(question);
    words.setWrapText(true);
    words.setMinHeight(Region.USE_PREF_SIZE);
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox row = new HBox(words);
    row.setId(id);
    row.getStyleClass().add("notice");
    List<Button> buttons = new ArrayList<>();
    for (Answer answer : answers) {
      Button button = new Button(answer.words());
      button.setId(answer.id());
      button.getStyleClass().add("tool");
      button.setMinWidth(Region.USE_PREF_SIZE);
      button.setOnAction(
          e -> {
            getChildren().remove(row);
            answer.action().run();
          });
      buttons.add(button);
    }
    buttons.get(buttons.size() - 1).setCancelButton(true);
    row.getChildren().addAll(buttons);
    getChildren().add(row);
    boolean typing = getScene() != null && getScene().getFocusOwner() instanceof TextInputControl;
    if (expected || !typing) {
      buttons.get(0).requestFocus();
    }
  }

  /**
   * Shows how far something is that takes its time, until it is forgotten.
   *
   * @param cancel what ends it
   * @return the bar to be filled, 0 to 1
   */
  ProgressBar progress(String id, String what, Answer cancel) {
    ask(id, what, List.of(cancel));
    ProgressBar bar = new ProgressBar(0);
    bar.setId(id + "-progress");
    bar.setPrefWidth(220);
    getChildren().stream()
        .filter(n -> id.equals(n.getId()))
        .map(HBox.class::cast)
        .forEach(row -> row.getChildren().add(1, bar));
    return bar;
  }

  void forget(String id) {
    getChildren().removeIf(n -> id.equals(n.getId()));
  }
}
