package phalanx.desktop.manual;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.desktop.texts.Texts;

/**
 * The manual over the window: keys first, then its pages, and a field that finds words in all of
 * them. F1 and Esc put it away.
 */
public final class ManualSheet extends StackPane {

  private static final double LIST = 210;
  private static final double GAP = 8;
  private static final double WIDEST = 1240;
  private static final double HIGHEST = 900;

  private final Node keys;
  private final List<ManualPage> pages = ManualPage.all();
  private final TextField search = new TextField();
  private final Label found = new Label();
  private final ListView<Optional<ManualPage>> list = new ListView<>();
  private final ScrollPane room = new ScrollPane();

  /**
   * Puts it together; nothing is shown yet.
   *
   * @param keys what every key does, which is its first page
   */
  public ManualSheet(Node keys) {
    this.keys = keys;
    setId("manual");
    getStyleClass().add("sheet-back");
    search.setId("manual-search");
    search.setPromptText(Texts.of("manualSheet.searchTheManual"));
    search.setAccessibleText(Texts.of("manualSheet.searchTheManual"));
    search.textProperty().addListener(o -> find());
    found.setId("manual-found");
    found.getStyleClass().add("where");
    list.setId("manual-pages");
    list.setAccessibleText(Texts.of("manualSheet.pagesOfTheManual"));
    list.setCellFactory(v -> new Title());
    list.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> open(now));
    list.getStyleClass().add("manual-list");
    VBox.setVgrow(list, Priority.ALWAYS);
    VBox left = new VBox(GAP, search, found, list);
    left.setPrefWidth(LIST);
    left.setMinWidth(LIST);
    room.setFitToWidth(true);
    room.getStyleClass().add("sheet-scroll");
    HBox.setHgrow(room, Priority.ALWAYS);
    Button close = new Button(Texts.of("manualSheet.closeEsc"));
    close.setId("manual-close");
    close.getStyleClass().addAll("tool", "small-tool");
    close.setOnAction(e -> setVisible(false));
    Label title = new Label(Texts.of("manualSheet.manual"));
    title.getStyleClass().add("section-name");
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    HBox head = new HBox(GAP, title, grow, close);
    head.setAlignment(Pos.CENTER_LEFT);
    BorderPane sheet = new BorderPane(new HBox(2 * GAP, left, room));
    sheet.setTop(head);
    sheet.getStyleClass().add("sheet");
    sheet.setMaxSize(WIDEST, HIGHEST);
    setPadding(new Insets(2 * GAP));
    getChildren().add(sheet);
    setVisible(false);
    find();
  }

  /** Shows it, at the keys. */
  public void open() {
    search.clear();
    find();
    list.getSelectionModel().select(0);
    setVisible(true);
    search.requestFocus();
  }

  /** The pages that have all the words; the keys where nothing is sought. */
  private void find() {
    String words = search.getText().strip();
    List<Optional<ManualPage>> fitting =
        new ArrayList<>(
            pages.stream().filter(p -> words.isEmpty() || p.has(words)).map(Optional::of).toList());
    if (words.isEmpty()) {
      fitting.add(0, Optional.empty());
    }
    found.setText(
        words.isEmpty()
            ? ""
            : fitting.isEmpty()
                ? Texts.of("manualSheet.onNoPage")
                : fitting.size() == 1
                    ? Texts.of("manualSheet.onOnePage")
                    : Texts.of("manualSheet.onPages", fitting.size()));
    found.setManaged(!words.isEmpty());
    list.getItems().setAll(fitting);
    list.getSelectionModel().select(0);
    if (fitting.isEmpty()) {
      room.setContent(null);
    }
  }

  private void open(Optional<ManualPage> page) {
    if (page != null) {
      room.setContent(
          page.<Node>map(p -> new MarkdownView(p.tree(), search.getText())).orElse(keys));
      room.setVvalue(0);
    }
  }

  /** A page by its title. */
  private static final class Title extends ListCell<Optional<ManualPage>> {
    @Override
    protected void updateItem(Optional<ManualPage> page, boolean empty) {
      super.updateItem(page, empty);
      setText(
          empty || page == null
              ? ""
              : page.map(ManualPage::title).orElse(Texts.of("manualSheet.keys")));
    }
  }
}
