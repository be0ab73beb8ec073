package phalanx.desktop.practice;

import java.util.Optional;
import java.util.Set;
import javafx.animation.AnimationTimer;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.PracticeViewModel;
import phalanx.desktop.model.ShownDrill;
import phalanx.desktop.model.Viewing;
import phalanx.desktop.strip.StripPreview;
import phalanx.desktop.texts.Texts;
import phalanx.practice.Drill;
import phalanx.practice.Outcome;
import phalanx.practice.StrokeWords;
import phalanx.practice.TempoLadder;

/** The drill at hand: its bars with what is left out drawn pale, its ladder, and three big keys. */
final class DrillPanel extends VBox {

  private static final double CHART = 150;

  /** How wide the field for a note is, px. */
  private static final double NOTE = 230;

  /** Two bars in a line, where the window has its usual width. */
  private static final double ZOOM = 0.6;

  private final PracticeViewModel model;
  private final StripPreview strip;
  private final LadderChart chart;
  private final Label title = Controls.wrapped("", "drill-heading");
  private final Label motions = Controls.wrapped("", "where");
  private final Label rules = Controls.wrapped("", "where");
  private final Label now = Controls.styled("", "where");
  private final Label tempo = Controls.styled("", "drill-tempo");
  private final TextField note = new TextField();

  /** Whether the key that leads to the note is still down. */
  private boolean opening;

  private final Label end = Controls.wrapped("", "where");

  /** Looks where the drill is with every picture, as long as it plays. */
  private final AnimationTimer looking =
      new AnimationTimer() {
        @Override
        public void handle(long now) {
          model.playback().look();
        }
      };

  private final ToggleButton play = new ToggleButton(Texts.of("drillPanel.play"));

  DrillPanel(PracticeViewModel model, Viewing viewing, Palette palette) {
    this.model = model;
    setId("drill");
    getStyleClass().add("drill");
    strip = new StripPreview(viewing, palette, ZOOM);
    chart = new LadderChart(palette);
    VBox.setVgrow(strip, Priority.ALWAYS);
    getChildren().addAll(head(), motions, strip, ladderHead(), ladder(), keys(), foot());
    model.drillProperty().addListener(o -> name());
    model.shownProperty().addListener(o -> show());
    model.ladderProperty().addListener(o -> climb());
    model.playback().playingProperty().addListener((o, was, plays) -> playing(plays));
    model.playback().heardAtProperty().addListener((o, was, at) -> strip.follow(at));
    name();
    show();
    climb();
  }

  private HBox head() {
    title.setId("drill-title");
    play.setId("play-drill");
    play.getStyleClass().add("tool");
    play.setMinWidth(Region.USE_PREF_SIZE);
    play.setOnAction(e -> model.playback().toggle());
    HBox.setHgrow(title, Priority.ALWAYS);
    title.setMaxWidth(Double.MAX_VALUE);
    Label pale = Controls.styled(Texts.of("drillPanel.paleInALater"), "where");
    pale.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(10, title, pale, play);
    row.getStyleClass().add("card-row");
    return row;
  }

  private void playing(boolean plays) {
    play.setSelected(plays);
    if (plays) {
      looking.start();
    } else {
      looking.stop();
    }
    play.setText(plays ? Texts.of("drillPanel.stop") : Texts.of("drillPanel.play"));
  }

  private HBox ladderHead() {
    rules.setId("ladder-rules");
    LadderRulesRow change = new LadderRulesRow(model);
    ToggleButton changes = new ToggleButton(Texts.of("drillPanel.rules"));
    changes.setId("change-rules");
    changes.getStyleClass().addAll("tool", "small-tool");
    changes.setMinWidth(Region.USE_PREF_SIZE);
    changes.setTooltip(new Tooltip(Texts.of("drillPanel.whenTheTempoGoes")));
    change.visibleProperty().bind(changes.selectedProperty());
    change.managedProperty().bind(changes.selectedProperty());
    rules.visibleProperty().bind(changes.selectedProperty().not());
    rules.managedProperty().bind(rules.visibleProperty());
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    gap.visibleProperty().bind(changes.selectedProperty());
    gap.managedProperty().bind(changes.selectedProperty());
    // In a narrow window the rules take a second line.
    HBox.setHgrow(rules, Priority.ALWAYS);
    rules.setMaxWidth(Double.MAX_VALUE);
    rules.setMinWidth(0);
    Label heading = Controls.styled(Texts.of("drillPanel.tempoLadder"), "form-title");
    heading.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(10, heading, rules, change, gap, changes);
    row.getStyleClass().add("card-row");
    return row;
  }

  private Pane ladder() {
    Pane room = new Pane(chart);
    room.getStyleClass().add("ladder-room");
    room.setMinHeight(CHART);
    room.setPrefHeight(CHART);
    chart.widthProperty().bind(room.widthProperty());
    chart.heightProperty().bind(room.heightProperty());
    chart.widthProperty().addListener(o -> climb());
    chart.heightProperty().addListener(o -> climb());
    return room;
  }

  private HBox keys() {
    now.setId("attempt");
    now.setMinWidth(USE_PREF_SIZE);
    tempo.setId("attempt-tempo");
    tempo.setMinWidth(USE_PREF_SIZE);
    VBox figures = new VBox(now, tempo);
    figures.getStyleClass().add("attempt-figures");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox row =
        new HBox(
            10,
            key("attempt-clean", Texts.of("drillPanel.cleanC"), Outcome.CLEAN, "primary-key"),
            key("attempt-again", Texts.of("drillPanel.againA"), Outcome.MISSED, "plain-key"),
            key("attempt-rest", Texts.of("drillPanel.restR"), Outcome.RESTED, "plain-key"),
            gap,
            figures);
    row.getStyleClass().add("card-row");
    return row;
  }

  /** Where the ladder ends, and what the player writes to the attempt. */
  private HBox foot() {
    note.setId("attempt-note");
    note.setPromptText(Texts.of("drillPanel.aNoteToThe"));
    note.setPrefWidth(NOTE);
    note.setMinWidth(NOTE);
    note.textProperty().bindBidirectional(model.noteProperty());
    note.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
    note.addEventFilter(KeyEvent.KEY_RELEASED, e -> opening = false);
    // Back to the keys for attempts.
    note.setOnAction(e -> strip.requestFocus());
    HBox.setHgrow(end, Priority.ALWAYS);
    end.setMaxWidth(Double.MAX_VALUE);
    HBox row = new HBox(10, end, note);
    row.getStyleClass().add("card-row");
    return row;
  }

  /** Where a note is written. */
  void writeNote() {
    opening = true;
    note.requestFocus();
  }

  /** The key that led here is no letter of the note. */
  private void typed(KeyEvent event) {
    if (opening) {
      opening = false;
      event.consume();
    }
  }

  private Button key(String id, String words, Outcome outcome, String style) {
    Button key = Controls.tool(id, words, () -> model.attempted(outcome));
    key.getStyleClass().addAll("big-key", style);
    key.disableProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> model.ladderProperty().get().isEmpty(), model.ladderProperty()));
    return key;
  }

  private void name() {
    title.setText(
        model
            .drillProperty()
            .get()
            .map(Drill::title)
            .orElse(Texts.of("drillPanel.noDrillIsChosen")));
  }

  private void show() {
    Optional<ShownDrill> shown = model.shownProperty().get();
    motions.setText(shown.map(DrillPanel::said).orElse(""));
    strip.show(shown.map(ShownDrill::seen), shown.map(ShownDrill::later).orElse(Set.of()));
  }

  /** The first bar as it is said aloud. */
  private static String said(ShownDrill shown) {
    Drill drill = shown.drill();
    int bar = shown.seen().arrangement().timeline().bars().get(0).endTick();
    String motions =
        StrokeWords.motions(
            drill.played().notesFrom(drill.fromTick(), Math.min(bar, drill.toTick())));
    return motions.isEmpty() ? "" : Texts.of("drillPanel.say", motions);
  }

  private void climb() {
    Optional<TempoLadder> ladder = model.ladderProperty().get();
    rules.setText(ladder.map(TempoLadder::words).orElse(""));
    end.setText(ladder.map(TempoLadder::end).orElse(""));
    now.setText(
        ladder
            .map(
                l ->
                    l.isReached()
                        ? Texts.of("drillPanel.reachedAndClean")
                        : Texts.of("drillPanel.attemptAt", l.attempts().size() + 1))
            .orElse(""));
    tempo.setText(ladder.map(l -> model.pulse().mark(l.tempo())).orElse(""));
    ladder.ifPresent(
        l -> {
          chart.paint(l, model.pulse());
          chart.setAccessibleText(LadderChart.words(l));
        });
  }

  StripPreview strip() {
    return strip;
  }
}
