package phalanx.desktop.shapes;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.arrangement.ShapeSuggestion;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.SlotBoard;
import phalanx.arrangement.board.SlotBoard.Difference;
import phalanx.arrangement.board.SlotBoard.OtherPlan;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.Cost;
import phalanx.fretting.CostDifference;
import phalanx.song.Song;
import phalanx.text.Phrase;
import phalanx.theory.ChordName;

/** Beside the shapes: why the plan holds this one, what else it is called, the next best plans. */
public final class WhyPanel extends VBox {

  private static final int NAMES = 5;
  private static final int DIFFERENCES = 4;

  /** Length of the bar for a cost of 1, px. */
  private static final double BAR = 27;

  private static final double LONGEST_BAR = 54;
  private static final double SMALLEST_SHOWN = 0.005;
  private static final List<String> PARTS =
      List.of(
          Texts.of("whyPanel.theShapeByItself"),
          Texts.of("whyPanel.comingToIt"),
          Texts.of("whyPanel.goingOn"));

  private final Workspace workspace;
  private final VBox content = new VBox();

  public WhyPanel(Workspace workspace) {
    this.workspace = workspace;
    setId("why");
    getStyleClass().add("inspector");
    content.getStyleClass().add("why");
    ScrollPane scroll = Controls.scroll(content);
    getChildren().add(scroll);
    workspace.boardProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    workspace.arrangementProperty().addListener(o -> show());
  }

  private void show() {
    List<Node> rows = new ArrayList<>();
    Optional<Slot> slot = workspace.chord().slot();
    Optional<SlotBoard> board = workspace.boardProperty().get();
    if (slot.isPresent() && slot.get().shape().isEmpty()) {
      rows.addAll(nothingHeld(slot.get()));
    } else if (board.isPresent()) {
      boolean exact = workspace.arrangementProperty().get().plan().exact();
      rows.addAll(why(board.get().why(), exact));
      rows.addAll(names(board.get().names()));
      rows.addAll(others(board.get().others()));
    }
    content.getChildren().setAll(rows);
  }

  private List<Node> nothingHeld(Slot slot) {
    List<Node> rows = new ArrayList<>();
    rows.add(Controls.styled(Texts.of("whyPanel.nothingIsHeldHere"), "form-title"));
    slot.remarks().forEach(r -> rows.add(Controls.wrapped(r + ".", "where")));
    if (!slot.waysOut().isEmpty()) {
      rows.add(Controls.styled(Texts.of("whyPanel.whatWouldHelp"), "form-title"));
    }
    for (ShapeSuggestion way : slot.waysOut()) {
      Button button = new Button(way.words());
      button.setId("way-out-" + (slot.waysOut().indexOf(way) + 1));
      button.getStyleClass().add("card");
      button.setWrapText(true);
      button.setMaxWidth(Double.MAX_VALUE);
      button.setOnAction(e -> workspace.edit(song -> way.edit().apply(song, slot.played().ref())));
      rows.add(button);
    }
    return rows;
  }

  private List<Node> why(List<Cost> why, boolean exact) {
    List<Node> rows = new ArrayList<>();
    double total = why.stream().mapToDouble(Cost::value).sum();
    rows.add(Controls.styled(Texts.of("whyPanel.whyThisShape"), "form-title"));
    rows.add(
        Controls.wrapped(
            Texts.of(
                "whyPanel.thePlanTakesThe",
                exact ? ". " : Texts.of("whyPanel.ofTheEasiestOf"),
                Texts.of("whyPanel.thisOneAndIts", total)),
            "where"));
    for (int part = 0; part < why.size(); part++) {
      // Without a chord before, the change that follows is the one that goes on.
      boolean first = workspace.chord().placeProperty().get() == 0;
      String name = PARTS.get(part > 0 && first ? 2 : part);
      rows.add(costRow(name, why.get(part).value(), "why-part"));
      why.get(part).parts().stream()
          .filter(c -> Math.abs(c.value()) >= SMALLEST_SHOWN)
          .sorted((a, b) -> Double.compare(Math.abs(b.value()), Math.abs(a.value())))
          .forEach(c -> rows.add(costRow(c.name(), c.value(), "why-term")));
    }
    return rows;
  }

  private static HBox costRow(String name, double value, String style) {
    Label words = new Label(name);
    words.setMinWidth(USE_PREF_SIZE);
    words.getStyleClass().add(style);
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    Region bar = new Region();
    bar.getStyleClass().add(value < 0 ? "why-bar-good" : "why-bar");
    double length = Math.min(LONGEST_BAR, Math.abs(value) * BAR);
    bar.setMinSize(length, 6);
    bar.setMaxSize(length, 6);
    Label figure = new Label(Phrase.shown("%.2f", value).replace('-', '−'));
    figure.getStyleClass().add("why-figure");
    boolean term = style.equals("why-term");
    HBox row = term ? new HBox(words, grow, bar, figure) : new HBox(words, grow, figure);
    row.getStyleClass().add("why-row");
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private List<Node> names(List<ChordName> names) {
    if (names.isEmpty()) {
      return List.of();
    }
    String words =
        names.stream()
            .limit(NAMES)
            .map(
                n ->
                    workspace.viewing().namingProperty().get().name(n.chord())
                        + (n.rootless() ? Texts.of("whyPanel.withoutRoot") : ""))
            .collect(Collectors.joining(" · "));
    Label label = Controls.wrapped(words, "where");
    label.setId("other-names");
    return List.of(Controls.styled(Texts.of("whyPanel.theSameNotesAre"), "form-title"), label);
  }

  private List<Node> others(List<OtherPlan> others) {
    List<Node> rows = new ArrayList<>();
    if (!others.isEmpty()) {
      rows.add(Controls.styled(Texts.of("whyPanel.theNextBestPlans"), "form-title"));
    }
    for (int i = 0; i < others.size(); i++) {
      OtherPlan plan = others.get(i);
      Button button =
          new Button(CostDifference.of(plan.extraCost()).words() + "\n" + differences(plan));
      button.setId("other-plan-" + (i + 1));
      button.getStyleClass().add("card");
      button.setWrapText(true);
      button.setMaxWidth(Double.MAX_VALUE);
      button.setAccessibleText(Texts.of("whyPanel.pinWhatThisPlan"));
      button.setOnAction(e -> take(plan));
      rows.add(button);
    }
    return rows;
  }

  private String differences(OtherPlan plan) {
    List<Slot> slots = workspace.arrangementProperty().get().slots();
    int more = plan.differences().size() - DIFFERENCES;
    String rest = more > 0 ? Texts.of("whyPanel.andMore", more) : "";
    return plan.differences().stream()
            .limit(DIFFERENCES)
            .filter(d -> d.slot() < slots.size())
            .map(d -> Texts.of("whyPanel.bar", slots.get(d.slot()).played().bar(), d.shape()))
            .collect(Collectors.joining("\n"))
        + rest;
  }

  /** Pins what the other plan does otherwise. */
  private void take(OtherPlan plan) {
    if (!workspace.isBoardOfNow()) {
      return;
    }
    List<Slot> slots = workspace.arrangementProperty().get().slots();
    workspace.edit(
        song -> {
          Song next = song;
          for (Difference d : plan.differences()) {
            next = next.pin(slots.get(d.slot()).played().ref(), d.shape());
          }
          return next;
        });
  }
}
