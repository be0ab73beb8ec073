package phalanx.desktop.arrange;

import java.text.Collator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.FindingsViewModel;
import phalanx.desktop.model.FindingsViewModel.Filter;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.neck.ShapePicture;
import phalanx.desktop.texts.Texts;
import phalanx.findings.Found;
import phalanx.findings.Grade;
import phalanx.findings.RuleWords;
import phalanx.findings.Tally;
import phalanx.fretting.Shape;
import phalanx.suggestion.Suggestion;
import phalanx.text.Language;
import phalanx.text.Phrase;

/** What is hard in the song, one finding at a time, each with its ways out. */
final class FindingBar extends VBox {

  private final Workspace workspace;
  private final Palette palette;
  private final FindingsViewModel model;
  private final Label words = new Label();
  private final MenuButton kinds = new MenuButton();
  private final Button list;
  private final Button leave;
  private final Button close;
  private final FlowPane ways = new FlowPane(6, 4);
  private final TextField note = new TextField();
  private final HBox noting;
  private final HBox tools;
  private final FindingList all;

  FindingBar(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    this.palette = palette;
    model = workspace.models().findings();
    all = new FindingList(model);
    close = Controls.smallTool("finding-close", "×", model::close);
    close.setAccessibleText(Texts.of("findingBar.lookAtNoFinding"));
    list = Controls.smallTool("finding-list", Texts.of("findingBar.listL"), this::toggleList);
    leave = Controls.smallTool("finding-leave", Texts.of("findingBar.leaveIt"), this::leave);
    setId("finding-bar");
    getStyleClass().add("finding-bar");
    words.setId("finding-words");
    words.setWrapText(true);
    words.setMinHeight(Region.USE_PREF_SIZE);
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    kinds.setId("finding-kinds");
    kinds.getStyleClass().addAll("chip-button", "small-chip");
    kinds.setMinWidth(Region.USE_PREF_SIZE);
    kinds.setOnShowing(e -> fillKinds());
    note.setId("finding-note");
    note.setPromptText(Texts.of("findingBar.whyForYourselfMay"));
    HBox.setHgrow(note, Priority.ALWAYS);
    note.setOnAction(e -> accept());
    noting =
        new HBox(
            note,
            Controls.smallTool("finding-accept", Texts.of("findingBar.leaveItAsIt"), this::accept),
            Controls.smallTool(
                "finding-accept-all", Texts.of("findingBar.leaveAllOfThis"), this::acceptAll));
    noting.getStyleClass().add("arrange-header");
    tools =
        new ToolRow(
            words,
            kinds,
            list,
            Controls.smallTool("finding-before", "‹", () -> model.step(-1)),
            Controls.smallTool("finding-next", Texts.of("findingBar.nextF"), () -> model.step(1)),
            leave,
            close);
    tools.getStyleClass().add("arrange-header");
    getChildren().addAll(tools, ways, noting, all);
    setShown(noting, false);
    setShown(all, false);
    workspace.reviewProperty().addListener(o -> show());
    workspace.planningProperty().addListener(o -> show());
    model.filterProperty().addListener(o -> show());
    model.currentProperty().addListener(o -> moved());
    model.remediesProperty().addListener(o -> show());
    show();
  }

  private static void setShown(Node node, boolean shown) {
    node.setVisible(shown);
    node.setManaged(shown);
  }

  /** Opens or closes the list of all findings. */
  void toggleList() {
    setShown(all, !all.isVisible() && isVisible());
    if (all.isVisible()) {
      all.requestFocus();
    }
  }

  /** Asks for a note on why the finding is left, or takes it up again if it was left. */
  private void leave() {
    if (model.note().isPresent()) {
      model.reopen();
    } else {
      note.clear();
      setShown(noting, true);
      note.requestFocus();
    }
  }

  private void accept() {
    setShown(noting, false);
    model.accept(note.getText());
  }

  private void acceptAll() {
    setShown(noting, false);
    String rule = model.currentProperty().get().map(f -> f.finding().rule()).orElse("");
    model.filter(new Filter.OfRule(rule));
    model.acceptAll(note.getText());
  }

  private void moved() {
    setShown(noting, false);
    show();
  }

  private void fillKinds() {
    List<MenuItem> items = new ArrayList<>();
    Tally tally = model.tally();
    items.add(kind(Texts.of("findingBar.allHardSpots", tally.hard()), new Filter.Open()));
    grade(items, Grade.CANNOT, tally.cannot());
    grade(items, Grade.HEARD, tally.heard());
    grade(items, Grade.NOTE, tally.notes());
    Collator byName = Collator.getInstance(Language.spoken().locale());
    model.rules().entrySet().stream()
        .sorted(Comparator.comparing(r -> RuleWords.of(r.getKey()), byName))
        .forEach(
            r ->
                items.add(
                    kind(
                        Phrase.of("%s (%d)", RuleWords.of(r.getKey()), r.getValue()),
                        new Filter.OfRule(r.getKey()))));
    if (!model.accepted().isEmpty()) {
      String left = Texts.of("findingBar.leftAsTheyAre", model.accepted().size());
      items.add(kind(left, new Filter.Accepted()));
    }
    kinds.getItems().setAll(items);
  }

  private void grade(List<MenuItem> items, Grade grade, int count) {
    if (count > 0) {
      String words = Phrase.of("%s %s (%d)", grade.sign(), grade.words(), count);
      items.add(kind(words, new Filter.OfGrade(grade)));
    }
  }

  private MenuItem kind(String words, Filter filter) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> model.filter(filter));
    return item;
  }

  private static String words(Filter filter) {
    if (filter instanceof Filter.OfRule r) {
      return RuleWords.of(r.rule());
    } else if (filter instanceof Filter.OfGrade g) {
      return g.grade().words();
    }
    return filter instanceof Filter.Accepted
        ? Texts.of("findingBar.leftAsTheyAre2")
        : Texts.of("findingBar.allHardSpots2");
  }

  /** Whether a first picture is shown, of which nobody knows yet what is hard in it. */
  private boolean isFirstPicture() {
    Arrangement shown = workspace.arrangementProperty().get();
    return workspace.planningProperty().get()
        && workspace.reviewProperty().get().isEmpty()
        && shown != null
        && !shown.slots().isEmpty();
  }

  private void show() {
    all.fill();
    boolean looking = model.currentProperty().get().isPresent();
    boolean first = isFirstPicture();
    // Its line is there from the beginning, so that nothing moves when the plan comes.
    setShown(this, first || !model.open().isEmpty() || !model.accepted().isEmpty());
    tools.getChildren().stream().filter(n -> n != words).forEach(n -> n.setDisable(first));
    setShown(close, looking);
    setShown(leave, looking);
    kinds.setText(words(model.filterProperty().get()));
    leave.setText(
        model.note().isPresent()
            ? Texts.of("findingBar.lookAtItAgain")
            : Texts.of("findingBar.leaveIt"));
    if (looking) {
      showFinding(model.currentProperty().get().orElseThrow());
    } else {
      words.setText(first ? Texts.of("findingBar.stillBeingPlanned") : summary());
      ways.getChildren().clear();
      ways.setManaged(false);
    }
  }

  private String summary() {
    Tally tally = model.tally();
    int left = model.accepted().size();
    return Texts.of(
        "findingBar.inThisSong",
        tally.words(),
        left > 0 ? Texts.of("findingBar.leftAsTheyAre3", left) : "",
        tally.notes() > 0 ? Texts.of("findingBar.worthKnowing", tally.notes()) : "");
  }

  /** What stands where ways out will be, or would be if there were one. */
  private Label waiting() {
    boolean tried = model.remediesProperty().get().isPresent();
    Label label =
        new Label(
            tried ? Texts.of("findingBar.noWayOutWas") : Texts.of("findingBar.tryingWaysOut"));
    label.setId("remedies-none");
    label.getStyleClass().add("where");
    return label;
  }

  /** Says at a glance what a row of frets says slowly. */
  private void picture(Button way, Shape shape) {
    ShapePicture picture = new ShapePicture(palette);
    picture.show(shape, workspace.viewing().leftHandedProperty().get());
    way.setGraphic(picture);
    way.setGraphicTextGap(4);
  }

  private void showFinding(Found found) {
    Tally before = model.tally();
    String noted =
        model
            .note()
            .map(n -> n.isEmpty() ? Texts.of("findingBar.left") : Texts.of("findingBar.left2", n))
            .orElse("");
    words.setText(
        Texts.of(
            "findingBar.of",
            model.all().indexOf(found) + 1,
            model.all().size(),
            found.finding().grade().sign(),
            found.finding().grade().words(),
            found.where(),
            found.finding().message(),
            noted));
    List<Node> buttons = new ArrayList<>();
    for (Suggestion remedy : model.remediesProperty().get().orElse(List.of())) {
      Button way =
          Controls.smallTool(
              "remedy-" + (buttons.size() + 1), remedy.line(before), () -> model.take(remedy));
      way.setTooltip(new Tooltip(remedy.details()));
      remedy.shape().ifPresent(s -> picture(way, s));
      way.setAccessibleText(remedy.details());
      buttons.add(way);
    }
    if (buttons.isEmpty()) {
      buttons.add(waiting());
    }
    ways.getChildren().setAll(buttons);
    ways.setManaged(true);
  }
}
