package phalanx.desktop.shapes;

import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import phalanx.arrangement.board.ShapeFilter;
import phalanx.arrangement.board.ShapeFilter.Wish;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/** Which shapes are shown: what they must have, may have, must not have. */
final class FilterRow extends ToolRow {

  private final Workspace workspace;

  /**
   * The row.
   *
   * @param count says how many shapes are shown, at its end
   */
  FilterRow(Workspace workspace, Label count) {
    this.workspace = workspace;
    Label name = new Label(Texts.of("filterRow.show"));
    name.getStyleClass().add("row-name");
    ComboBox<String> position = new ComboBox<>();
    position.setId("filter-position");
    position.getStyleClass().add("form-field");
    position.setMinWidth(132);
    for (ShapeFilter.Position p : ShapeFilter.Position.values()) {
      position.getItems().add(p.words());
    }
    position.getSelectionModel().select(0);
    position.setOnAction(
        e -> {
          // A box that is being emptied or closed may have none.
          int chosen = Math.max(0, position.getSelectionModel().getSelectedIndex());
          ShapeFilter f = filter();
          filter(
              new ShapeFilter(
                  f.thumb(),
                  f.barre(),
                  f.stretch(),
                  f.ringing(),
                  ShapeFilter.Position.values()[chosen]));
        });
    getChildren()
        .addAll(
            name,
            wish(
                "filter-thumb",
                Texts.of("filterRow.thumbOver"),
                f -> f.thumb(),
                (f, w) -> with(f, w, f.barre(), f.stretch(), f.ringing())),
            wish(
                "filter-barre",
                Texts.of("filterRow.barre"),
                f -> f.barre(),
                (f, w) -> with(f, f.thumb(), w, f.stretch(), f.ringing())),
            wish(
                "filter-stretch",
                Texts.of("filterRow.stretch"),
                f -> f.stretch(),
                (f, w) -> with(f, f.thumb(), f.barre(), w, f.ringing())),
            wish(
                "filter-open",
                Texts.of("filterRow.openStrings"),
                f -> f.ringing(),
                (f, w) -> with(f, f.thumb(), f.barre(), f.stretch(), w)),
            position,
            ShapesView.grow(),
            count);
    getStyleClass().add("trial-row");
  }

  private static ShapeFilter with(ShapeFilter f, Wish thumb, Wish barre, Wish stretch, Wish open) {
    return new ShapeFilter(thumb, barre, stretch, open, f.position());
  }

  private ShapeFilter filter() {
    return workspace.viewing().filterProperty().get();
  }

  private void filter(ShapeFilter next) {
    workspace.viewing().filterProperty().set(next);
  }

  private interface Change {
    ShapeFilter to(ShapeFilter filter, Wish wish);
  }

  /** A button that goes round: either, with, without. */
  private Button wish(String id, String what, Function<ShapeFilter, Wish> get, Change change) {
    Button button = Controls.tool(id, what);
    Runnable show =
        () -> {
          Wish now = get.apply(filter());
          button.setText(
              switch (now) {
                case EITHER -> Texts.of("filterRow.either", what);
                case WITH -> Texts.of("filterRow.with", what);
                case WITHOUT -> Texts.of("filterRow.without", what);
              });
          button.getStyleClass().remove("on");
          if (now != Wish.EITHER) {
            button.getStyleClass().add("on");
          }
        };
    button.setOnAction(e -> filter(change.to(filter(), get.apply(filter()).next())));
    workspace.viewing().filterProperty().addListener(o -> show.run());
    show.run();
    return button;
  }
}
