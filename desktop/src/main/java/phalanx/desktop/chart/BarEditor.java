package phalanx.desktop.chart;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.chart.ChartLine;
import phalanx.chart.ChartProblem;
import phalanx.chart.Completion;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Bar;

/**
 * The line in which a bar is typed, laid over it, with the chords that are offered below. Enter
 * keeps what was typed, a bar line keeps it and goes on to the next bar, Escape leaves the bar as
 * it was.
 */
final class BarEditor extends VBox {

  static final double HEIGHT = 34;
  private static final int OFFERS = 6;

  /** What happens once a bar was typed. */
  interface Done {
    /** Goes on after the bar: 0 stays, 1 to the next bar, making one at the end. */
    void goOn(int bars);
  }

  private final Workspace workspace;
  private final ChartCursor cursor;
  private final TextField field = new TextField();
  private final VBox list = new VBox();
  private Optional<Bar> at = Optional.empty();
  private String opened = "";
  private Done done = bars -> {};
  private List<String> offers = List.of();
  private int chosen = -1;

  BarEditor(Workspace workspace, ChartCursor cursor) {
    this.workspace = workspace;
    this.cursor = cursor;
    setId("bar-editor");
    getStyleClass().add("bar-editor");
    field.setId("bar-text");
    field.getStyleClass().add("bar-text");
    list.getStyleClass().add("offers");
    getChildren().addAll(field, list);
    setManaged(false);
    setVisible(false);
    workspace.historyProperty().addListener(o -> follow());
    field.textProperty().addListener(o -> offer());
    field.caretPositionProperty().addListener(o -> offer());
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    field.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
    field
        .focusedProperty()
        .addListener(
            (o, before, focused) -> {
              if (!focused && isVisible()) {
                keep(0);
              }
            });
  }

  /** Opens over a bar, with its text or with what was typed first. */
  void open(Optional<Bar> bar, Optional<String> typed, Done then) {
    at = bar;
    done = then;
    setVisible(true);
    workspace.typing().begin(song -> cursor.written(song, at, cursor.read(field.getText(), at)));
    opened = typed.orElseGet(() -> text(bar));
    field.setText(opened);
    field.requestFocus();
    field.end();
    offer();
  }

  private String text(Optional<Bar> bar) {
    return bar.map(cursor::text).filter(t -> !t.equals(".")).orElse("");
  }

  /** The song changed under it, as by undo: what nobody has touched yet shows the bar as it is. */
  private void follow() {
    if (!isVisible() || !field.getText().equals(opened)) {
      return;
    }
    at = at.flatMap(b -> workspace.song().chart().bar(b.id()));
    opened = text(at);
    field.setText(opened);
    field.end();
  }

  private void close() {
    setVisible(false);
    workspace.typing().end();
    list.getChildren().clear();
  }

  private void keep(int goOn) {
    ChartLine line = cursor.read(field.getText(), at);
    close();
    cursor.write(at, line);
    done.goOn(goOn);
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.ENTER && chosen < 0) {
      keep(0);
    } else if (event.getCode() == KeyCode.ESCAPE) {
      close();
      done.goOn(0);
    } else if (event.getCode() == KeyCode.TAB || event.getCode() == KeyCode.ENTER) {
      tab();
    } else if (event.getCode() == KeyCode.DOWN && !offers.isEmpty()) {
      choose(Math.min(offers.size() - 1, chosen + 1));
    } else if (event.getCode() == KeyCode.UP && chosen >= 0) {
      choose(chosen - 1);
    } else {
      return;
    }
    event.consume();
  }

  /** Takes the offer, or goes on to the next bar where nothing is offered. */
  private void tab() {
    if (offers.isEmpty() || word().isEmpty()) {
      keep(1);
    } else {
      take(offers.get(Math.max(0, chosen)));
    }
  }

  /** A bar line closes the bar; after a colon it ends a repeat. */
  private void typed(KeyEvent event) {
    if (event.getCharacter().equals("|")) {
      event.consume();
      if (!field.getText().isBlank()) {
        keep(1);
      }
    }
  }

  private String word() {
    String before =
        field.getText().substring(0, Math.min(field.getCaretPosition(), field.getLength()));
    return before.substring(before.lastIndexOf(' ') + 1);
  }

  private void take(String offer) {
    int end = field.getCaretPosition();
    field.replaceText(end - word().length(), end, offer);
  }

  private void offer() {
    if (!isVisible()) {
      return;
    }
    String word = word();
    boolean chord = !word.isEmpty() && Character.isLetter(word.charAt(0));
    offers =
        chord
            ? Completion.of(
                workspace.song(),
                word,
                workspace.viewing().namingProperty().get(),
                cursor.notation(at).up(),
                OFFERS)
            : List.of();
    choose(-1);
  }

  private void choose(int index) {
    chosen = index;
    list.getChildren().clear();
    for (int i = 0; i < offers.size(); i++) {
      Label label = new Label(offers.get(i));
      label.getStyleClass().add(i == chosen ? "offer-chosen" : "offer");
      label.setMaxWidth(Double.MAX_VALUE);
      String offer = offers.get(i);
      label.setOnMousePressed(
          e -> {
            take(offer);
            e.consume();
          });
      list.getChildren().add(label);
    }
    cursor.read(field.getText(), at).problems().stream().findFirst().ifPresent(this::showProblem);
    if (offers.isEmpty() && list.getChildren().isEmpty()) {
      Label hint = new Label(Texts.of("barEditor.enterKeepsNextBar"));
      hint.getStyleClass().add("offer-hint");
      hint.setMinWidth(Region.USE_PREF_SIZE);
      list.getChildren().add(hint);
    }
    applyCss();
    autosize();
  }

  private void showProblem(ChartProblem problem) {
    Label label = new Label(problem.message());
    label.setId("bar-problem");
    label.getStyleClass().add("offer-problem");
    label.setWrapText(true);
    label.setMaxWidth(getWidth() > 0 ? Math.max(260, getWidth()) : 260);
    list.getChildren().add(label);
  }
}
