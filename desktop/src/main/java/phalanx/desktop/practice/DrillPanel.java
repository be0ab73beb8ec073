package phalanx.desktop.practice;

import java.util.Optional;
import java.util.Set;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
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
import phalanx.practice.Drill;
import phalanx.practice.Outcome;
import phalanx.practice.StrokeWords;
import phalanx.practice.TempoLadder;
import phalanx.text.Phrase;

/** The drill at hand: its bars with what is left out drawn pale, its ladder, and three big keys. */
final class DrillPanel extends VBox {

  private static final double CHART = 190;

  /** Two bars in a line, where the window has its usual width. */
  private static final double ZOOM = 0.6;

  private final PracticeViewModel model;
  private final StripPreview strip;
  private final LadderChart chart;
  private final Label title = Controls.wrapped("", "drill-heading");
  private final Label motions = Controls.wrapped("", "where");
  private final Label rules = Controls.styled("", "where");
  private final Label now = Controls.styled("", "drill-now");
  private final Label end = Controls.wrapped("", "where");
  private final ToggleButton play = new ToggleButton("▶ Play");

  DrillPanel(PracticeViewModel model, Viewing viewing, Palette palette) {
    this.model = model;
    setId("drill");
    getStyleClass().add("drill");
    strip = new StripPreview(viewing, palette, ZOOM);
    chart = new LadderChart(palette);
    VBox.setVgrow(strip, Priority.ALWAYS);
    getChildren().addAll(head(), motions, strip, ladderHead(), ladder(), keys(), end);
    model.drillProperty().addListener(o -> name());
    model.shownProperty().addListener(o -> show());
    model.ladderProperty().addListener(o -> climb());
    model.playingProperty().addListener((o, was, plays) -> playing(plays));
    name();
    show();
    climb();
  }

  private HBox head() {
    title.setId("drill-title");
    play.setId("play-drill");
    play.getStyleClass().add("tool");
    play.setMinWidth(Region.USE_PREF_SIZE);
    play.setOnAction(e -> model.toggle());
    HBox.setHgrow(title, Priority.ALWAYS);
    title.setMaxWidth(Double.MAX_VALUE);
    Label pale = Controls.styled("pale: in a later layer", "where");
    pale.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(10, title, pale, play);
    row.getStyleClass().add("card-row");
    return row;
  }

  private void playing(boolean plays) {
    play.setSelected(plays);
    play.setText(plays ? "■ Stop" : "▶ Play");
  }

  private HBox ladderHead() {
    rules.setId("ladder-rules");
    HBox row = new HBox(10, Controls.styled("Tempo ladder", "form-title"), rules);
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
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox row =
        new HBox(
            10,
            key("attempt-clean", "Clean  C", Outcome.CLEAN, "primary-key"),
            key("attempt-again", "Again  A", Outcome.MISSED, "plain-key"),
            key("attempt-rest", "Rest  R", Outcome.RESTED, "plain-key"),
            gap,
            now);
    row.getStyleClass().add("card-row");
    return row;
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
    title.setText(model.drillProperty().get().map(Drill::title).orElse("No drill is chosen"));
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
    return motions.isEmpty() ? "" : "say: " + motions;
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
                        ? Phrase.of("♩ = %.0f is reached", l.tempo())
                        : Phrase.of("attempt %d at ♩ = %.0f", l.attempts().size() + 1, l.tempo()))
            .orElse(""));
    ladder.ifPresent(
        l -> {
          chart.paint(l);
          chart.setAccessibleText(LadderChart.words(l));
        });
  }

  StripPreview strip() {
    return strip;
  }
}
