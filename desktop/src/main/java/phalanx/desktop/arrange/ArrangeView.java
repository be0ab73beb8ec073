package phalanx.desktop.arrange;

import java.util.List;
import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Slot;
import phalanx.desktop.drawing.ChoiceChips;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.strip.StripView;
import phalanx.formats.patterns.PatternShelf;
import phalanx.picking.PickingStyle;
import phalanx.song.Section;
import phalanx.theory.Phrase;

/** The Arrange screen: a line that says where one is, the two-hand strip. */
public final class ArrangeView extends VBox {

  private final Workspace workspace;
  private final StripView strip;
  private final FindingBar findings;

  public ArrangeView(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    strip = new StripView(workspace, palette);
    findings = new FindingBar(workspace);
    getStyleClass().add("arrange");
    StackPane body = new StackPane(strip, empty());
    VBox.setVgrow(body, Priority.ALWAYS);
    getChildren().addAll(header(), findings, body);
  }

  private HBox header() {
    Label section = new Label();
    section.getStyleClass().add("section-name");
    Label where = new Label();
    where.setId("where");
    where.getStyleClass().add("where");
    Runnable tell =
        () -> {
          section.setText(workspace.selectedSlot().map(this::sectionName).orElse(""));
          where.setText(workspace.selectedSlot().map(this::place).orElse(""));
        };
    workspace.range().property().addListener(o -> tell.run());
    workspace.arrangementProperty().addListener(o -> tell.run());
    Label busy = new Label("planning …");
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
                    workspace.selectedSlot().filter(Slot::pinned).isPresent()
                        ? "Unpin shape"
                        : "Pin shape",
                workspace.arrangementProperty(),
                workspace.selectedProperty()));
    pin.setOnAction(e -> workspace.togglePin());
    pin.disableProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> workspace.selectedSlot().flatMap(Slot::shape).isEmpty(),
                workspace.arrangementProperty(),
                workspace.selectedProperty()));
    ChoiceChips chips = new ChoiceChips(workspace);
    MenuButton school = chips.school("school");
    MenuButton pattern =
        chips.of(
            "pattern",
            s -> s.pattern().title(),
            () -> PatternShelf.in(workspace.song().meter()),
            ArrangeView::patternWords,
            (song, style) -> workspace.patterns().inForce(song, style));
    // What is in force here may be this section's, bar's or chord's alone.
    pattern.textProperty().unbind();
    pattern
        .textProperty()
        .bind(
            Bindings.createStringBinding(
                () -> workspace.patterns().inForce().title(),
                workspace.historyProperty(),
                workspace.arrangementProperty(),
                workspace.selectedProperty()));
    // A long name gives way; where one is and what the button does must be read.
    pattern.setMinWidth(90);
    pattern.setMaxWidth(150);
    where.setMinWidth(Region.USE_PREF_SIZE);
    pin.setMinWidth(Region.USE_PREF_SIZE);
    MenuButton thumb = chips.thumb("thumb");
    Label keys = new Label("F1 keys");
    keys.getStyleClass().add("where");
    HBox header = new HBox(section, where, busy, grow, keys, school, thumb, pattern, pin);
    header.getStyleClass().add("arrange-header");
    return header;
  }

  private static String patternWords(PickingStyle style) {
    String start =
        style.title().substring(0, 1).toUpperCase(Locale.ROOT) + style.title().substring(1);
    return style.words().isEmpty() ? start : start + ": " + style.words();
  }

  /** What to do while no chart is open. */
  private Label empty() {
    Label label =
        new Label(
            "No bars yet. Open the Chart screen (Ctrl 1) and type chords,\n"
                + "or press Ctrl O and open a song or a ChordPro chart.");
    label.setId("empty");
    label.getStyleClass().add("empty");
    label
        .visibleProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> workspace.song().sections().isEmpty(), workspace.historyProperty()));
    return label;
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
        ? Phrase.of("bar %d of %d", from, bars)
        : Phrase.of("bars %d to %d of %d", from, to, bars);
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
