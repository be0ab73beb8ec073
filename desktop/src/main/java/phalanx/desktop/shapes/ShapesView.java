package phalanx.desktop.shapes;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.ShapeChoice;
import phalanx.arrangement.board.SlotBoard;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.ShapeTrialModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.neck.NeckPicture;
import phalanx.desktop.neck.NeckSize;
import phalanx.desktop.neck.NeckView;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeTrial;

/** The Shapes screen: neck, own shape, filters, cards. */
public final class ShapesView extends VBox {

  private static final double NECK_WIDTH = 826;
  private static final double NECK_HEIGHT = 186;

  private final Workspace workspace;
  private final Palette palette;
  private final ShapeTrialModel trials;
  private final NeckView neck;
  private final Label title = label("shapes-title", "section-name");
  private final Label place = label("shapes-place", "where");
  private final Label hand = label("shapes-hand", "where");
  private final Button pin = Controls.tool("pin-held", Texts.of("shapesView.pinShape"));
  private final Button pinAll =
      Controls.tool("pin-everywhere", Texts.of("shapesView.pinEverywhereThisChord"));
  private final FlowPane cards = new FlowPane();
  private final Label count = label("shapes-count", "where");

  public ShapesView(Workspace workspace, ShapeTrialModel trials, Palette palette) {
    this.workspace = workspace;
    this.palette = palette;
    this.trials = trials;
    neck =
        new NeckView(
            NECK_WIDTH,
            NECK_HEIGHT,
            palette,
            NeckSize.LARGE,
            workspace.viewing().leftHandedProperty());
    neck.fill(this, 30);
    neck.onTouch((string, fret, together) -> trials.touch(string, fret));
    getStyleClass().addAll("arrange", "shapes");
    cards.getStyleClass().add("card-flow");
    ScrollPane scroll = Controls.scroll(cards);
    scroll.getStyleClass().add("bare");
    hand.setWrapText(true);
    hand.setMinWidth(0);
    hand.setMinHeight(Region.USE_PREF_SIZE);
    getChildren()
        .addAll(
            header(),
            neck,
            hand,
            new OwnShapeRow(workspace, trials),
            new HarpRow(workspace),
            new FilterRow(workspace, count),
            scroll);
    workspace.arrangementProperty().addListener(o -> show());
    workspace.chord().placeProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    workspace.boardProperty().addListener(o -> showCards());
    workspace.viewing().leftHandedProperty().addListener(o -> showCards());
    trials.trialProperty().addListener(o -> show());
    show();
  }

  static Label label(String id, String style) {
    Label label = new Label();
    label.setMinWidth(USE_PREF_SIZE);
    label.setId(id);
    label.getStyleClass().add(style);
    return label;
  }

  static Region grow() {
    Region region = new Region();
    HBox.setHgrow(region, Priority.ALWAYS);
    return region;
  }

  private HBox header() {
    Button before = Controls.tool("chord-before", "‹");
    before.setAccessibleText(Texts.of("shapesView.chordBefore"));
    before.setOnAction(e -> workspace.chord().select(workspace.chord().placeProperty().get() - 1));
    Button after = Controls.tool("chord-after", "›");
    after.setAccessibleText(Texts.of("shapesView.chordAfter"));
    after.setOnAction(e -> workspace.chord().select(workspace.chord().placeProperty().get() + 1));
    pin.setOnAction(e -> workspace.pins().toggle());
    pinAll.setOnAction(
        e ->
            workspace
                .chord()
                .slot()
                .flatMap(Slot::shape)
                .ifPresent(workspace.pins()::pinEverywhere));
    title.setMinWidth(USE_PREF_SIZE);
    Button hear = Controls.tool("hear-shape", Texts.of("shapesView.hearItH"));
    hear.setOnAction(e -> hear());
    HBox header = new HBox(before, after, title, place, grow(), hear, pinAll, pin);
    header.getStyleClass().add("arrange-header");
    return header;
  }

  private void show() {
    Optional<Slot> selected = workspace.chord().slot();
    setVisible(selected.isPresent());
    if (selected.isEmpty()) {
      return;
    }
    Slot slot = selected.get();
    Arrangement a = workspace.arrangementProperty().get();
    title.setText(slot.played().harmony().label(workspace.viewing().namingProperty().get()));
    place.setText(
        Texts.of(
            "shapesView.barOf",
            slot.played().bar(),
            a.timeline().bars().get(a.timeline().bars().size() - 1).number(),
            slot.pinned() ? Texts.of("shapesView.pinned") : ""));
    pin.setText(
        slot.pinned() ? Texts.of("shapesView.unpinShape") : Texts.of("shapesView.pinShape"));
    pin.setDisable(slot.shape().isEmpty());
    pinAll.setDisable(slot.shape().isEmpty());
    showNeck(a, slot);
  }

  /** Lets the shape on the neck be heard: the one tried, or the one held. */
  void hear() {
    Optional<ShapeTrial> trial = trials.trialProperty().get();
    Optional<Shape> held = workspace.chord().slot().flatMap(Slot::shape);
    trial
        .map(ShapesView::drawn)
        .or(() -> held)
        .ifPresent(workspace.models().sound().audition()::hear);
  }

  private void showNeck(Arrangement a, Slot slot) {
    Optional<ShapeTrial> trial = trials.trialProperty().get();
    int index = workspace.chord().placeProperty().get();
    Shape held = slot.shape().orElse(Shape.NOTHING);
    Shape shown = trial.map(ShapesView::drawn).orElse(held);
    Optional<Slot> next =
        index + 1 < a.slots().size() ? Optional.of(a.slots().get(index + 1)) : Optional.empty();
    var moves = ShapeChoice.movesAfter(a, index);
    neck.show(
        new NeckPicture(
                a.song().guitar(),
                a.song().hand(),
                shown,
                trial.isPresent() ? Optional.empty() : next.flatMap(Slot::shape),
                moves)
            .resting(trial.isPresent() ? Set.of() : slot.resting()));
    List<String> words = new ArrayList<>();
    Reach reach = a.plan().problem().changes().reach();
    reach
        .widestSpan(trial.isPresent() ? shown : slot.asked())
        .ifPresent(
            s ->
                words.add(
                    Texts.of(
                        "shapesView.spanMmAtEase",
                        s.from().sign(),
                        s.to().sign(),
                        s.millimetres(),
                        s.comfortable(),
                        s.limit())));
    if (trial.isEmpty() && next.isPresent() && !moves.isEmpty()) {
      words.add(
          Texts.of(
              "shapesView.dashedTo",
              next.get().played().harmony().label(workspace.viewing().namingProperty().get()),
              moves.stream().map(m -> m.words()).collect(Collectors.joining(", "))));
    }
    if (trial.isEmpty()) {
      slot.remarks().forEach(words::add);
    }
    hand.setText(String.join(" · ", words));
  }

  /** A tried shape as it is drawn: with its easiest fingering, or only where it is pressed. */
  private static Shape drawn(ShapeTrial trial) {
    return trial.fingerings().stream().findFirst().map(RatedShape::shape).orElse(Shape.NOTHING);
  }

  private void showCards() {
    Optional<SlotBoard> board = workspace.boardProperty().get();
    List<ShapeCard> shown = new ArrayList<>();
    boolean pinned = workspace.chord().slot().filter(Slot::pinned).isPresent();
    for (ShapeChoice choice : board.map(SlotBoard::choices).orElse(List.of())) {
      ShapeCard card = new ShapeCard(shown.size() + 1, palette, this::pin);
      card.show(choice, pinned, workspace.viewing().leftHandedProperty().get());
      card.setPrefWidth(268);
      shown.add(card);
    }
    cards.getChildren().setAll(shown);
    count.setText(
        board.map(b -> Texts.of("shapesView.ofDShapes", b.choices().size(), b.found())).orElse(""));
  }

  /** Pins the shape of a card, counted from 1; nothing where there is no such card. */
  public void pinCard(int number) {
    List<ShapeChoice> choices =
        workspace.boardProperty().get().map(SlotBoard::choices).orElse(List.of());
    if (number >= 1 && number <= choices.size()) {
      pin(choices.get(number - 1).shape());
    }
  }

  /** A card of the chord before, pressed while the new ones are on their way, does nothing. */
  private void pin(Shape shape) {
    if (workspace.isBoardOfNow()) {
      workspace.pins().pin(shape);
    }
  }
}
