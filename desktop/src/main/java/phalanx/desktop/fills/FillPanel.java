package phalanx.desktop.fills;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.advice.FillTry;
import phalanx.arrangement.board.ShapeFilter.Position;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.files.OwnShelf;
import phalanx.desktop.model.FillViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.embellishment.Ending;
import phalanx.embellishment.Fill;
import phalanx.formats.fills.OwnFills;
import phalanx.text.ShelfTexts;
import phalanx.theory.NoteNaming;

/**
 * The shelf of fills: all are tried at the end of the selected bar; one is looked at, heard, and
 * put in.
 */
public final class FillPanel extends VBox {

  private static final List<Integer> LENGTHS = List.of(1, 2, 3, 4, 8);

  private final Workspace workspace;
  private final FillViewModel model;
  private final OwnShelf<OwnFills, Fill> own;
  private final Palette palette;
  private final Label over = Controls.wrapped("", "where");
  private final VBox cards = new VBox();
  private final Map<Fill, FillCard> made = new HashMap<>();
  private final ToggleButton bluesy = toggle("fill-bluesy", Texts.of("fillPanel.bluesyB"));
  private final Label says = Controls.wrapped("", "where");
  private final Button hear;
  private final Button put;
  private final Button remove;
  private final Button nearest;
  private final HBox tools = new ToolRow();
  private final VBox open = new VBox(says, tools);

  public FillPanel(Workspace workspace, OwnShelf<OwnFills, Fill> own, Palette palette) {
    this.workspace = workspace;
    this.own = own;
    this.palette = palette;
    model = workspace.models().fills();
    setId("fills");
    getStyleClass().add("side-part");
    cards.getStyleClass().add("cards");
    says.setId("fill-says");
    over.setId("fill-over");
    open.getStyleClass().add("chosen-way");
    bluesy.setOnAction(e -> model.switchColour());
    hear = Controls.smallTool("hear-fill", Texts.of("fillPanel.hear"), model::hear);
    put = Controls.smallTool("put-fill", Texts.of("fillPanel.putIntoThisBar"), model::put);
    remove =
        Controls.smallTool(
            "remove-fill",
            Texts.of("fillPanel.remove"),
            () -> model.chosenProperty().get().ifPresent(f -> own.remove(f.name())));
    nearest =
        Controls.smallTool(
            "nearest-fill",
            "",
            () ->
                model.nearest().ifPresent(n -> model.chosenProperty().set(Optional.of(n.fill()))));
    tools.setSpacing(6);
    tools.getChildren().addAll(hear, put, remove, nearest);
    getChildren()
        .addAll(
            over,
            lengths(),
            positions(),
            endings(),
            Controls.scroll(cards),
            new WalkRow(workspace),
            new SaveRow());
    own.property().addListener(o -> model.ownProperty().set(own.property().get().fills()));
    model.ownProperty().set(own.property().get().fills());
    model.ownProperty().addListener(o -> show());
    model.beatsProperty().addListener(o -> show());
    model.positionProperty().addListener(o -> show());
    model.fittingOnlyProperty().addListener(o -> show());
    model.chosenProperty().addListener(o -> show());
    model.newsProperty().addListener(o -> show());
    // Only the shelf that is on the screen asks for fills to be tried.
    sceneProperty()
        .addListener(
            o -> {
              model.lookedProperty().set(getScene() != null);
              show();
            });
    show();
  }

  private static ToggleButton toggle(String id, String words) {
    ToggleButton button = new ToggleButton(words);
    button.setId(id);
    button.getStyleClass().addAll("tool", "small-tool", "string-tool");
    button.setMinWidth(Region.USE_PREF_SIZE);
    return button;
  }

  private HBox lengths() {
    HBox row = row(Texts.of("fillPanel.beats"));
    for (int beats : LENGTHS) {
      ToggleButton length = toggle("fill-beats-" + beats, beats + "");
      length.setAccessibleText(Texts.of("fillPanel.beats2", beats));
      length.setOnAction(
          e ->
              model
                  .beatsProperty()
                  .set(length.isSelected() ? Optional.of(beats) : Optional.empty()));
      model
          .beatsProperty()
          .addListener(
              o -> length.setSelected(model.beatsProperty().get().equals(Optional.of(beats))));
      row.getChildren().add(length);
    }
    ToggleButton fitting = toggle("fill-fitting", Texts.of("fillPanel.thatFit"));
    fitting.selectedProperty().bindBidirectional(model.fittingOnlyProperty());
    row.getChildren().addAll(fitting, bluesy);
    return row;
  }

  private HBox positions() {
    HBox row = row(Texts.of("fillPanel.frets"));
    choices(row, Position.values(), "position", FillPanel::inFrets, model.positionProperty());
    return row;
  }

  /** Short enough for a row. */
  private static String inFrets(Position position) {
    return switch (position) {
      case ANY -> Texts.of("fillPanel.any");
      case LOW -> "1–4";
      case MIDDLE -> "5–8";
      case HIGH -> Texts.of("fillPanel.from");
    };
  }

  private HBox endings() {
    HBox row = row(Texts.of("fillPanel.ending"));
    choices(row, Ending.values(), "ending", Ending::words, model.endingProperty());
    return row;
  }

  private static HBox row(String words) {
    HBox row = new ToolRow();
    row.setSpacing(3);
    Label name = Controls.styled(words, "row-word");
    name.setMinWidth(46);
    row.getChildren().add(name);
    return row;
  }

  private static <E extends Enum<E>> void choices(
      HBox row, E[] values, String id, Function<E, String> words, ObjectProperty<E> chosen) {
    for (E value : values) {
      ToggleButton one = toggle("fill-" + id + "-" + value.ordinal(), words.apply(value));
      one.setSelected(chosen.get() == value);
      one.setOnAction(
          e -> {
            one.setSelected(true);
            chosen.set(value);
          });
      chosen.addListener(o -> one.setSelected(chosen.get() == value));
      row.getChildren().add(one);
    }
  }

  private void show() {
    if (getScene() == null) {
      return;
    }
    bluesy.setSelected(model.colourHere() == Fill.Colour.BLUESY);
    bluesy.setDisable(!model.hasColours());
    NoteNaming naming = workspace.viewing().namingProperty().get();
    over.setText(
        model
            .chord()
            .map(c -> Texts.of("fillPanel.atTheEndOf", model.barNumber(), naming.name(c)))
            .orElse(Texts.of("fillPanel.thisBarHasNo")));
    List<Node> shown = new ArrayList<>();
    for (Fill fill : model.shown()) {
      shown.add(card(fill));
      if (isChosen(fill)) {
        tell();
        shown.add(open);
      }
    }
    if (!cards.getChildren().equals(shown)) {
      cards.getChildren().setAll(shown);
    }
  }

  private boolean isChosen(Fill fill) {
    return model.chosenProperty().get().equals(Optional.of(fill));
  }

  private FillCard card(Fill fill) {
    FillCard card =
        made.computeIfAbsent(
            fill,
            f ->
                new FillCard(
                    f,
                    palette,
                    () ->
                        model
                            .chosenProperty()
                            .set(isChosen(f) ? Optional.empty() : Optional.of(f))));
    card.show(model.colourHere(), model.tried(fill), isChosen(fill));
    return card;
  }

  private void tell() {
    Optional<FillTry> looked = model.looked();
    says.setText(looked.map(FillPanel::words).orElse(Texts.of("fillPanel.tryingItInThis")));
    boolean playable = looked.flatMap(FillTry::fitted).isPresent();
    hear.setDisable(!playable);
    put.setDisable(!playable);
    remove.setVisible(model.chosenProperty().get().filter(model::isOwn).isPresent());
    remove.setManaged(remove.isVisible());
    nearest.setVisible(model.nearest().isPresent());
    nearest.setManaged(nearest.isVisible());
    model
        .nearest()
        .ifPresent(
            n ->
                nearest.setText(
                    Texts.of("fillPanel.nearestThatFits", ShelfTexts.of(n.fill().name()))));
  }

  private static String words(FillTry tried) {
    String about = ShelfTexts.of(tried.fill().about());
    String places = tried.fitted().map(f -> f.places("  ")).orElse("");
    String hard =
        tried
            .why()
            .map(why -> Texts.of("fillPanel.notHere", why))
            .orElse(Texts.of("fillPanel.nothingIsHard"));
    String lands = tried.landing().map(FillTry.Landing::words).orElse("");
    return Stream.of(about, places, lands, hard)
        .filter(s -> !s.isEmpty())
        .collect(Collectors.joining("\n"));
  }

  /** The selected bars become a fill of the player's own. */
  private final class SaveRow extends VBox {

    private final TextField name = new TextField();
    private final Label trouble = Controls.wrapped("", "refusal");

    SaveRow() {
      getStyleClass().add("save-row");
      name.setId("fill-name");
      name.setPromptText(Texts.of("fillPanel.name"));
      name.setAccessibleText(Texts.of("fillPanel.nameOfTheFill"));
      name.setPrefColumnCount(10);
      name.setOnAction(e -> save());
      trouble.setId("fill-trouble");
      trouble.managedProperty().bind(trouble.textProperty().isNotEmpty());
      HBox row = new ToolRow();
      row.setSpacing(6);
      row.getChildren()
          .addAll(
              name,
              Controls.smallTool("save-fill", Texts.of("fillPanel.saveBarAsMine"), this::save));
      getChildren().addAll(row, trouble);
      workspace.chord().placeProperty().addListener(o -> trouble.setText(""));
    }

    private void save() {
      String called = name.getText().strip();
      if (called.isEmpty()) {
        trouble.setText(Texts.of("fillPanel.giveItAName"));
        return;
      }
      var made = model.make(called);
      trouble.setText(made.trouble().isEmpty() ? "" : Texts.of("fillPanel.noFill", made.trouble()));
      made.fill().ifPresent(f -> keep(f));
    }

    private void keep(Fill fill) {
      own.put(fill);
      name.clear();
    }
  }
}
