package phalanx.desktop.arrange;

import java.util.List;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Slot;
import phalanx.chart.ChartLine;
import phalanx.chart.ChartProblem;
import phalanx.desktop.drawing.ChoiceChips;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.PatternWords;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.strip.StripView;
import phalanx.desktop.texts.Texts;
import phalanx.formats.patterns.PatternShelf;
import phalanx.picking.PickingStyle;
import phalanx.song.Section;

/** The Arrange screen: a line that says where one is, the two-hand strip. */
public final class ArrangeView extends VBox {

  /** Bars in a line to choose from. */
  /** So many letters of a section's name stand before the bar; the strip has them all. */
  private static final int LONGEST_NAME = 18;

  private static final List<Integer> BARS_A_LINE = List.of(1, 2, 4, 8);

  private final Workspace workspace;
  private final ChartCursor cursor;
  private TextField firstChords;
  private final StripView strip;
  private final FindingBar findings;

  public ArrangeView(Workspace workspace, ChartCursor cursor, Palette palette) {
    this.workspace = workspace;
    this.cursor = cursor;
    strip = new StripView(workspace, palette);
    findings = new FindingBar(workspace, palette);
    getStyleClass().add("arrange");
    StackPane body = new StackPane(strip, empty());
    VBox.setVgrow(body, Priority.ALWAYS);
    getChildren().addAll(header(), findings, body);
  }

  private HBox header() {
    Label section = new Label();
    section.getStyleClass().add("section-name");
    section.setMinWidth(Region.USE_PREF_SIZE);
    Label where = new Label();
    where.setId("where");
    where.getStyleClass().add("where");
    Runnable tell =
        () -> {
          String name = workspace.chord().slot().map(this::sectionName).orElse("");
          section.setText(
              name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME).strip() + " …" : name);
          where.setText(workspace.chord().slot().map(this::place).orElse(""));
        };
    workspace.range().property().addListener(o -> tell.run());
    workspace.arrangementProperty().addListener(o -> tell.run());
    if (workspace.arrangementProperty().get() != null) {
      tell.run();
    }
    Label busy = new Label(Texts.of("arrangeView.planning"));
    busy.getStyleClass().add("where");
    busy.visibleProperty().bind(workspace.planningProperty());
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    Button pin = new Button();
    pin.setId("pin");
    pin.getStyleClass().add("tool");
    pin.textProperty()
        .bind(
            Bindings.createStringBinding(
                () ->
                    workspace.chord().slot().filter(Slot::pinned).isPresent()
                        ? Texts.of("arrangeView.unpinShape")
                        : Texts.of("arrangeView.pinShape"),
                workspace.arrangementProperty(),
                workspace.chord().placeProperty()));
    pin.setOnAction(e -> workspace.pins().toggle());
    pin.disableProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> workspace.chord().slot().flatMap(Slot::shape).isEmpty(),
                workspace.arrangementProperty(),
                workspace.chord().placeProperty()));
    ChoiceChips chips = new ChoiceChips(workspace);
    MenuButton school = chips.school("school");
    MenuButton pattern =
        chips.of(
            "pattern",
            s -> PatternWords.name(s.pattern()),
            () -> PatternShelf.in(workspace.song().meter()),
            ArrangeView::patternWords,
            (song, style) -> workspace.models().patterns().inForce(song, style));
    // What is in force here may be this section's, bar's or chord's alone.
    pattern.textProperty().unbind();
    pattern
        .textProperty()
        .bind(
            Bindings.createStringBinding(
                () -> PatternWords.name(workspace.models().patterns().inForce()),
                workspace.historyProperty(),
                workspace.arrangementProperty(),
                workspace.chord().placeProperty()));
    // Names are read whole; where there is no room for them the row takes another line.
    pattern.setMinWidth(Region.USE_PREF_SIZE);
    where.setMinWidth(Region.USE_PREF_SIZE);
    pin.setMinWidth(Region.USE_PREF_SIZE);
    MenuButton thumb = chips.thumb("thumb");
    HBox header = new ToolRow(section, where, busy, grow, view(), school, thumb, pattern, pin);
    header.getStyleClass().add("arrange-header");
    return header;
  }

  /** How much of the song is seen at once. */
  private MenuButton view() {
    MenuButton view = new MenuButton(Texts.of("arrangeView.view"));
    view.setId("strip-view");
    view.getStyleClass().add("chip-button");
    view.setMinWidth(Region.USE_PREF_SIZE);
    view.setTooltip(new Tooltip(Texts.of("arrangeView.barsALineAnd")));
    for (int bars : BARS_A_LINE) {
      MenuItem item =
          new MenuItem(
              bars == 1
                  ? Texts.of("arrangeView.oneBarALine")
                  : Texts.of("arrangeView.barsALine", bars));
      item.setId("bars-a-line-" + bars);
      item.setOnAction(e -> strip.lines(bars));
      view.getItems().add(item);
    }
    MenuItem usual = new MenuItem(Texts.of("arrangeView.asManyAsFit"));
    usual.setId("bars-a-line-0");
    usual.setOnAction(e -> strip.lines(0));
    CheckMenuItem lanes = new CheckMenuItem(Texts.of("arrangeView.lanesOfTheFretting"));
    lanes.setId("finger-lanes");
    lanes.setOnAction(e -> fold());
    view.getItems().addAll(usual, new SeparatorMenuItem(), lanes);
    view.setOnShowing(e -> lanes.setSelected(!strip.isFolded()));
    return view;
  }

  /** Larger (1), smaller (-1) or at its usual size (0). */
  void zoom(int step) {
    strip.zoom(step);
  }

  /** Leaves the lanes of the fretting fingers out, or shows them again. */
  void fold() {
    strip.fold(!strip.isFolded());
  }

  private static String patternWords(PickingStyle style) {
    String about = PatternWords.about(style);
    return PatternWords.title(style) + (about.isEmpty() ? "" : ": " + about);
  }

  /** While there is no chart its chords are typed right here. */
  private VBox empty() {
    Label heading = new Label(Texts.of("arrangeView.noBarsYetType"));
    heading.setId("empty");
    Label fault = new Label();
    fault.setId("first-chords-fault");
    fault.getStyleClass().add("form-fault");
    TextField chords = new TextField();
    chords.setId("first-chords");
    chords.getStyleClass().add("form-field");
    chords.setPromptText("G | D/F# . Em7 . | Cadd9 | D7");
    chords.setMaxWidth(460);
    chords.setOnAction(
        e -> {
          ChartLine line = cursor.read(chords.getText(), Optional.empty());
          fault.setText(line.problems().stream().map(ChartProblem::message).findFirst().orElse(""));
          if (line.problems().isEmpty() && !line.bars().isEmpty()) {
            chords.clear();
            cursor.write(Optional.empty(), line);
            strip.requestFocus();
          }
        });
    Label more = new Label(Texts.of("arrangeView.enterPlansThemOr"));
    more.getStyleClass().add("where");
    VBox box = new VBox(10, heading, chords, fault, more);
    box.setAlignment(Pos.CENTER);
    box.getStyleClass().add("empty");
    box.visibleProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> workspace.song().chart().isEmpty(), workspace.historyProperty()));
    heading.visibleProperty().bind(box.visibleProperty());
    box.visibleProperty()
        .addListener(
            (o, was, shown) -> {
              if (!shown && chords.isFocused()) {
                strip.requestFocus();
              }
            });
    firstChords = chords;
    return box;
  }

  /** Where the keyboard starts: in the strip, or in the line for the first chords. */
  Node keyboard() {
    return workspace.song().chart().isEmpty() ? firstChords : strip;
  }

  private String sectionName(Slot slot) {
    return workspace
        .song()
        .chart()
        .sectionOf(slot.played().ref().bar())
        .map(Section::label)
        .orElse("");
  }

  private String place(Slot slot) {
    int bars = workspace.arrangementProperty().get().timeline().bars().size();
    List<Slot> range = workspace.range().slots();
    int from = range.isEmpty() ? slot.played().bar() : range.get(0).played().bar();
    int to = range.isEmpty() ? from : range.get(range.size() - 1).played().bar();
    return from == to
        ? Texts.of("arrangeView.barOf", from, bars)
        : Texts.of("arrangeView.barsToOf", from, to, bars);
  }

  /** Opens or closes the list of what is hard. */
  public void toggleFindings() {
    findings.toggleList();
  }

  /** The strip, where keys go when a window opens. */
  public StripView strip() {
    return strip;
  }
}
