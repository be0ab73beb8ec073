package phalanx.desktop.frame;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Side;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.findings.Review;
import phalanx.findings.TempoCeiling;
import phalanx.level.PlanLevel;
import phalanx.song.Pulse;
import phalanx.text.Phrase;

/**
 * How hard the song is and up to which tempo both hands hold, with a tick at the song's own. A
 * click lists what it comes from, each of which leads to its bar.
 */
final class TempoGauge extends Button {

  private static final double WIDTH = 50;
  private static final double HEIGHT = 8;

  /** Tempo at the right end of the gauge, quarter notes a minute. */
  private static final double MOST = 200;

  /** So many reasons of the level are named. */
  private static final int PARTS = 6;

  private final Workspace workspace;
  private final Tooltip tip = new Tooltip(Texts.of("tempoGauge.howHardItIs"));
  private final ContextMenu parts = new ContextMenu();
  private final Label words = new Label();
  private final Region filled = new Region();
  private final Region tick = new Region();

  TempoGauge(Workspace workspace) {
    this.workspace = workspace;
    setId("tempo-gauge");
    getStyleClass().add("gauge");
    Region track = new Region();
    track.getStyleClass().add("gauge-track");
    track.resizeRelocate(0, 4, WIDTH, HEIGHT);
    filled.getStyleClass().add("gauge-filled");
    tick.getStyleClass().add("gauge-tick");
    Pane bar = new Pane(track, filled, tick);
    track.setMinSize(WIDTH, HEIGHT);
    track.setLayoutY(4);
    filled.setLayoutY(4);
    tick.setMinSize(2, 16);
    bar.setMinSize(WIDTH, 16);
    bar.setMaxSize(WIDTH, 16);
    words.getStyleClass().add("gauge-words");
    words.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(words, bar);
    row.getStyleClass().add("arrange-header");
    setGraphic(row);
    setMinWidth(Region.USE_PREF_SIZE);
    setTooltip(tip);
    parts.setId("level-parts");
    setOnAction(e -> toggleParts());
    workspace.reviewProperty().addListener(o -> show());
    workspace.historyProperty().addListener(o -> show());
    show();
  }

  private Optional<TempoCeiling> ceiling() {
    return workspace.reviewProperty().get().map(Review::ceiling);
  }

  private void show() {
    Optional<Double> holds = ceiling().flatMap(TempoCeiling::song);
    setVisible(holds.isPresent());
    setManaged(holds.isPresent());
    if (holds.isEmpty()) {
      return;
    }
    double tempo = workspace.song().tempo();
    boolean enough = holds.get() >= tempo;
    double beats = Pulse.of(workspace.song()).beats(holds.get());
    String level =
        workspace
            .levelProperty()
            .get()
            .map(l -> Texts.of("tempoGauge.level", l.words()))
            .orElse("");
    words.setText(level + Texts.of("tempoGauge.handsHoldTo", Math.floor(beats)));
    filled.getStyleClass().remove("gauge-short");
    if (!enough) {
      filled.getStyleClass().add("gauge-short");
    }
    filled.setMinSize(place(holds.get()), HEIGHT);
    filled.setMaxSize(place(holds.get()), HEIGHT);
    tick.setLayoutX(place(tempo) - 1);
    int bar = ceiling().flatMap(TempoCeiling::bar).orElse(0);
    setAccessibleText(Texts.of("tempoGauge.barSetsIt", words.getText(), bar));
  }

  /** What the tempo is set by and the level comes from, the most first; each leads to its bar. */
  private void toggleParts() {
    if (parts.isShowing()) {
      parts.hide();
      return;
    }
    parts.getItems().clear();
    ceiling()
        .flatMap(TempoCeiling::bar)
        .ifPresent(
            bar ->
                parts
                    .getItems()
                    .add(item(Texts.of("tempoGauge.theTempoIsSet", bar), Optional.of(bar))));
    workspace.levelProperty().get().map(PlanLevel::parts).orElse(List.of()).stream()
        .limit(PARTS)
        .map(
            p ->
                item(
                    Phrase.of("%.0f %%  %s", 100 * p.share(), p.words()),
                    p.bars().stream().findFirst()))
        .forEach(parts.getItems()::add);
    parts.show(this, Side.BOTTOM, 0, 0);
  }

  private MenuItem item(String text, Optional<Integer> bar) {
    MenuItem item = new MenuItem(text);
    item.setOnAction(e -> bar.ifPresent(workspace.chord()::selectPlayedBar));
    return item;
  }

  private static double place(double tempo) {
    return WIDTH * Math.min(1, tempo / MOST);
  }
}
