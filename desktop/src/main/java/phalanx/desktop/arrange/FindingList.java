package phalanx.desktop.arrange;

import javafx.collections.FXCollections;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import phalanx.desktop.model.FindingsViewModel;
import phalanx.desktop.texts.Texts;
import phalanx.findings.Found;
import phalanx.text.Phrase;

/** The findings under each other; Enter or a click goes to one. */
final class FindingList extends ListView<Found> {

  private static final double ROW = 24;
  private static final int MOST_ROWS = 7;

  private final FindingsViewModel model;
  private boolean filling;

  FindingList(FindingsViewModel model) {
    this.model = model;
    setId("findings");
    setFixedCellSize(ROW);
    setCellFactory(view -> new Row());
    setPlaceholder(new Label(Texts.of("findingList.nothingOfThisKind")));
    visibleProperty().addListener(o -> fill());
    model.filterProperty().addListener(o -> fill());
    model.currentProperty().addListener(o -> fill());
    getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, before, now) -> {
              if (!filling && now != null) {
                model.look(now);
              }
            });
    setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            setVisible(false);
            setManaged(false);
            e.consume();
          }
        });
  }

  /** Shows the findings there are now. */
  void fill() {
    filling = true;
    if (isVisible() && !getItems().equals(model.all())) {
      setItems(FXCollections.observableArrayList(model.all()));
      double height = ROW * Math.max(1, Math.min(MOST_ROWS, getItems().size())) + 2;
      setMinHeight(height);
      setMaxHeight(height);
      setPrefHeight(height);
    }
    model.currentProperty().get().ifPresent(f -> getSelectionModel().select(f));
    filling = false;
  }

  /** One finding: its bar and what it says. */
  private static final class Row extends ListCell<Found> {
    @Override
    protected void updateItem(Found found, boolean empty) {
      super.updateItem(found, empty);
      setText(
          empty || found == null
              ? ""
              : Phrase.of(
                  "%s  %s · %s",
                  found.finding().grade().sign(), found.where(), found.finding().message()));
    }
  }
}
