package phalanx.desktop.chart;

import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.chart.Rebarring;
import phalanx.chart.Transposition;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Song;
import phalanx.theory.Interval;

/** The Chart screen: a line that says what is shown, what can be done, the lead sheet. */
public final class ChartScreen extends VBox {

  private final Workspace workspace;
  private final ChartCursor cursor;
  private final ChartView sheet;

  public ChartScreen(Workspace workspace, ChartCursor cursor, Palette palette) {
    this.workspace = workspace;
    this.cursor = cursor;
    sheet = new ChartView(workspace, cursor, palette);
    getStyleClass().add("arrange");
    Label empty = new Label(Texts.of("chartScreen.typeYourChordsG"));
    empty.setId("chart-empty");
    empty.getStyleClass().add("empty");
    empty.setMouseTransparent(true);
    empty
        .visibleProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> workspace.song().chart().isEmpty(), workspace.historyProperty()));
    StackPane body = new StackPane(sheet, empty);
    VBox.setVgrow(body, Priority.ALWAYS);
    getChildren().addAll(header(), tools(), body);
  }

  private HBox header() {
    Label title = new Label(Texts.of("chartScreen.leadSheet"));
    title.getStyleClass().add("section-name");
    Label shown = new Label();
    shown.setId("chart-shown");
    shown.getStyleClass().add("where");
    Runnable tell = () -> shown.setText(shownWords());
    workspace.historyProperty().addListener(o -> tell.run());
    workspace.viewing().namingProperty().addListener(o -> tell.run());
    workspace.viewing().soundingProperty().addListener(o -> tell.run());
    tell.run();
    ToggleButton sounding = new ToggleButton(Texts.of("chartScreen.asItSounds"));
    sounding.setId("sounding");
    sounding.getStyleClass().add("tool");
    sounding.selectedProperty().bindBidirectional(workspace.viewing().soundingProperty());
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    HBox header = new ToolRow(title, shown, grow, sounding);
    header.getStyleClass().add("arrange-header");
    return header;
  }

  private String shownWords() {
    Song song = workspace.song();
    int bars = song.chart().bars().size();
    int capo = song.guitar().capo();
    Interval up = Transposition.ofCapo(song);
    String key =
        song.key()
            .map(
                k ->
                    workspace.viewing().soundingProperty().get()
                        ? Texts.of(
                            "chartScreen.soundsIn",
                            k.up(up).text(workspace.viewing().namingProperty().get()))
                        : "")
            .orElse("");
    String view =
        capo == 0
            ? Texts.of("chartScreen.noCapoShapesSound")
            : workspace.viewing().soundingProperty().get()
                ? Texts.of("chartScreen.chordsAsTheySound", key)
                : Texts.of("chartScreen.shapesCountedFromThe", song.guitar().capoWords());
    return Texts.of("chartScreen.bars", bars, view);
  }

  private HBox tools() {
    HBox tools =
        new ToolRow(
            tool("type-bar", Texts.of("chartScreen.typeEnter"), () -> sheet.edit(Optional.empty())),
            tool("new-bar", Texts.of("chartScreen.newBar"), cursor::insertBar),
            tool("repeat-start", Texts.of("chartScreen.repeatFrom"), cursor::toggleRepeatStart),
            tool("repeat-end", Texts.of("chartScreen.repeatTo"), cursor::cycleRepeatEnd),
            tool("phrase", Texts.of("chartScreen.phrase"), cursor::togglePhrase),
            tool("first-ending", Texts.of("chartScreen.ending"), () -> cursor.toggleEnding(1)),
            tool("name-section", Texts.of("chartScreen.sectionCtrlEnter"), sheet::nameSection),
            tool(
                "like-section", Texts.of("chartScreen.sectionLikeThisCtrl"), cursor::repeatSection),
            tool("bar-words-tool", Texts.of("chartScreen.wordsF"), sheet::editWords),
            chordsABar());
    tools.getStyleClass().add("chart-tools");
    return tools;
  }

  /** Lays the whole song anew where its bars were proposed wrongly. */
  private MenuButton chordsABar() {
    MenuButton button = new MenuButton(Texts.of("chartScreen.chordsABar"));
    button.setId("chords-a-bar");
    button.getStyleClass().addAll("tool", "small-tool", "small-menu");
    button.setFocusTraversable(false);
    button.setMinWidth(USE_PREF_SIZE);
    for (int chords : new int[] {1, 2, 4}) {
      MenuItem item = new MenuItem(Texts.of("chartScreen.inTheWholeSong", chords));
      item.setAccelerator(KeyCombination.valueOf("Alt+" + chords));
      item.setOnAction(e -> workspace.edit(s -> Rebarring.chordsABar(s, chords)));
      button.getItems().add(item);
    }
    return button;
  }

  private Button tool(String id, String words, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().addAll("tool", "small-tool");
    button.setFocusTraversable(false);
    button.setMinWidth(USE_PREF_SIZE);
    button.setOnAction(
        e -> {
          sheet.requestFocus();
          action.run();
        });
    return button;
  }

  /** The lead sheet, where keys go when the screen opens. */
  public ChartView sheet() {
    return sheet;
  }
}
