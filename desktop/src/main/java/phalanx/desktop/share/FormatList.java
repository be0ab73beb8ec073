package phalanx.desktop.share;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.files.Documents;
import phalanx.desktop.model.ShareViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.formats.FileFormat;

/** One row a format: what it carries, what it leaves, and a way to take the song away as it. */
final class FormatList extends VBox {

  private final Workspace workspace;
  private final ShareViewModel model;
  private final SongExchange songs;
  private final Documents documents;

  FormatList(Workspace workspace, SongExchange songs, Documents documents) {
    this.workspace = workspace;
    this.songs = songs;
    this.documents = documents;
    model = workspace.models().share();
    setId("formats");
    getStyleClass().add("side-part");
    VBox rows = new VBox();
    rows.getStyleClass().add("cards");
    FileFormat.taken().forEach(f -> rows.getChildren().add(row(f)));
    getChildren()
        .addAll(
            Controls.styled(Texts.of("formatList.takeItAway"), "inspector-title"),
            Controls.line(Texts.of("formatList.saveAFileOr")),
            Controls.scroll(rows));
  }

  private Node row(FileFormat format) {
    Label name = Controls.styled(format.words(), "cards-title");
    Button save =
        Controls.smallTool(
            "save-" + format.endings().get(0).substring(1),
            Texts.of("formatList.save"),
            () -> songs.exportAs(format, model.optionsProperty().get()));
    BorderPane head = new BorderPane();
    head.setLeft(name);
    head.setRight(save);
    VBox card =
        new VBox(
            head,
            Controls.line(Texts.of("formatList.carries", format.carries())),
            Controls.line(Texts.of("formatList.leavesOut", format.leaves())));
    card.getStyleClass().addAll("card", "format");
    card.setId("format-" + format.endings().get(0).substring(1));
    card.setMinHeight(Region.USE_PREF_SIZE);
    if (!format.isSound()) {
      lend(card, format);
    }
    return card;
  }

  /** A file is written when the row is pressed, so that it is there when the drag begins. */
  private void lend(Node card, FileFormat format) {
    Path[] ready = new Path[1];
    card.setOnMousePressed(
        e -> {
          ready[0] = null;
          Arrangement plan = workspace.arrangementProperty().get();
          if (plan != null && !plan.timeline().bars().isEmpty()) {
            documents
                .exports()
                .lend(plan, model.optionsProperty().get(), format, file -> ready[0] = file);
          }
        });
    card.setOnDragDetected(
        e -> {
          Optional.ofNullable(ready[0])
              .ifPresent(
                  file -> {
                    Dragboard board = card.startDragAndDrop(TransferMode.COPY);
                    ClipboardContent content = new ClipboardContent();
                    content.putFiles(List.of(file.toFile()));
                    board.setContent(content);
                  });
          e.consume();
        });
  }
}
