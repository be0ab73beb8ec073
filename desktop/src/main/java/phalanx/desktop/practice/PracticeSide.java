package phalanx.desktop.practice;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.LatencyCheck;
import phalanx.desktop.model.PracticeSong;
import phalanx.desktop.model.PracticeViewModel;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.Hand;
import phalanx.picking.PickFinger;
import phalanx.practice.ChangeLateness;
import phalanx.practice.Evenness;
import phalanx.practice.Steadiness;
import phalanx.practice.StrokeReport;
import phalanx.text.Language;
import phalanx.text.Phrase;

/** Beside the drill: how steady the thumb is, minutes of the last weeks, what is due again. */
final class PracticeSide extends VBox {

  private static final int DUE = 4;

  /** A change that comes later than this on the whole is told, s, and so many of them. */
  private static final double LATE = 0.01;

  private static final int CHANGES = 3;

  /** How wide the name of a drill is, px. */
  private static final double TITLE = 190;

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern(Texts.of("practiceSide.eeeDMmm"), Language.spoken().dates());

  private final PracticeViewModel model;
  private final SteadinessChart chart;
  private final Label figures = Controls.wrapped("", "steadiness");
  private final Label others = Controls.wrapped("", "where");
  private final MinutesCalendar calendar = new MinutesCalendar();
  private final VBox due = new VBox(4);
  private final VBox hand = new VBox(6);
  private final Label tapOn = Controls.line("");
  private final Label heardBy = Controls.wrapped("", "where");
  private final Label latency = Controls.wrapped("", "where");

  PracticeSide(PracticeViewModel model, Palette palette) {
    this.model = model;
    setId("practice-now");
    chart = new SteadinessChart(palette);
    figures.setId("steadiness");
    due.setId("due-again");
    HBox tools =
        new HBox(
            6,
            listen(),
            Controls.smallTool(
                "simulate-taps", Texts.of("practiceSide.simulatedS"), model.playback()::simulate),
            measure());
    tools.getStyleClass().add("card-row");
    VBox all =
        new VBox(
            8,
            Controls.styled(Texts.of("practiceSide.steadinessOfTheThumb"), "form-title"),
            chart,
            figures,
            others,
            tapOn,
            tools,
            heardBy,
            latency,
            hand,
            Controls.styled(Texts.of("practiceSide.minutesLastFourWeeks"), "form-title"),
            calendar,
            Controls.styled(Texts.of("practiceSide.dueAgain"), "form-title"),
            due);
    all.getStyleClass().add("side-part");
    getChildren().add(Controls.scroll(all));
    Runnable keys =
        () -> {
          String by = model.playback().keysByProperty().get();
          tapOn.setText(
              Texts.of(
                  "practiceSide.tapWhileItPlays",
                  by.isEmpty() ? "" : Texts.of("practiceSide.orOnThumbBelow", by)));
        };
    model.playback().keysByProperty().addListener(o -> keys.run());
    keys.run();
    model.playback().reportProperty().addListener(o -> steady());
    model.diaryProperty().addListener(o -> pace());
    model.diaryProperty().addListener(o -> log());
    model.dayProperty().addListener(o -> log());
    steady();
    pace();
    log();
  }

  /** The way to measure how late taps arrive. */
  private ToggleButton measure() {
    LatencyCheck check = model.playback().latency();
    ToggleButton measure = new ToggleButton(Texts.of("practiceSide.latencyT"));
    measure.setId("set-latency");
    measure.getStyleClass().addAll("tool", "small-tool");
    measure.setMinWidth(Region.USE_PREF_SIZE);
    measure.setTooltip(new Tooltip(Texts.of("practiceSide.tapToClicksWhat")));
    measure.setOnAction(e -> model.playback().checkLatency());
    check.runningProperty().addListener((o, was, now) -> measure.setSelected(now));
    latency.setId("latency");
    latency.textProperty().bind(check.wordsProperty());
    latency.visibleProperty().bind(check.wordsProperty().isNotEmpty());
    latency.managedProperty().bind(latency.visibleProperty());
    return measure;
  }

  private ToggleButton listen() {
    ToggleButton listen = new ToggleButton(Texts.of("practiceSide.listenM"));
    listen.setId("listen");
    listen.getStyleClass().addAll("tool", "small-tool");
    listen.setMinWidth(Region.USE_PREF_SIZE);
    listen.setTooltip(new Tooltip(Texts.of("practiceSide.playTheDrillOn")));
    listen.setOnAction(e -> model.playback().listen());
    heardBy.setId("heard-by");
    Runnable show =
        () -> {
          String by = model.playback().heardByProperty().get();
          listen.setSelected(!by.isEmpty());
          heardBy.setText(by.isEmpty() ? "" : Texts.of("practiceSide.listening", by));
          heardBy.setVisible(!by.isEmpty());
          heardBy.setManaged(!by.isEmpty());
        };
    model.playback().heardByProperty().addListener(o -> show.run());
    show.run();
    return listen;
  }

  private void steady() {
    Optional<StrokeReport> report = model.playback().reportProperty().get();
    chart.paint(report);
    figures.setText(
        report.map(PracticeSide::words).orElse(Texts.of("practiceSide.playTheDrillAnd")));
    others.setText(report.map(PracticeSide::details).filter(f -> !f.isEmpty()).orElse(""));
    others.setVisible(!others.getText().isEmpty());
    others.setManaged(others.isVisible());
  }

  private static String words(StrokeReport report) {
    Steadiness thumb = report.thumb();
    if (thumb.count() == 0) {
      return Texts.of("practiceSide.theThumbWasNot");
    }
    return Texts.of(
        "practiceSide.meanMsSpreadMs",
        Math.abs(1000 * thumb.mean()),
        thumb.mean() < 0 ? Texts.of("practiceSide.early") : Texts.of("practiceSide.late"),
        1000 * thumb.spread(),
        thumb.drift(),
        report.missed().size(),
        report.extra().size());
  }

  /** What was measured of the hand is offered, never taken unasked. */
  private void pace() {
    Optional<Hand> measured = model.pace().hand();
    hand.setVisible(measured.isPresent());
    hand.setManaged(measured.isPresent());
    if (measured.isEmpty()) {
      return;
    }
    ChangeLateness lateness = model.pace().lateness();
    String words = Texts.of("practiceSide.overChangesYourStrokes");
    hand.getChildren()
        .setAll(
            Controls.wrapped(
                Phrase.of(
                    words,
                    lateness.count(),
                    Math.abs(1000 * lateness.late()),
                    lateness.late() < 0
                        ? Texts.of("practiceSide.sooner")
                        : Texts.of("practiceSide.later"),
                    measured.get().pace().reactionMs()),
                "drill-why"),
            Controls.smallTool(
                "take-pace", Texts.of("practiceSide.takeItAsMy"), model.pace()::take));
  }

  /** Each finger with its spread; how late each beat and the latest changes are; loudness. */
  private static String details(StrokeReport report) {
    List<String> lines = new ArrayList<>();
    lines.add(
        line(
            report.byFinger().entrySet().stream()
                .filter(e -> e.getKey() != PickFinger.P)
                .map(
                    e ->
                        Phrase.of(
                            "%s ± %.0f",
                            late(e.getKey().letter(), e.getValue()),
                            1000 * e.getValue().spread()))));
    lines.add(
        line(
            report.byBeat().entrySet().stream()
                .sorted(Comparator.comparing(e -> e.getKey() == StrokeReport.OFF_BEAT))
                .map(e -> late(beat(e.getKey()), e.getValue()))));
    report.byChange().entrySet().stream()
        .filter(e -> e.getValue().mean() > LATE)
        .limit(CHANGES)
        .forEach(e -> lines.add(Texts.of("practiceSide.changeMs", late(e.getKey(), e.getValue()))));
    Evenness loud = report.evenness(s -> true);
    if (loud.count() > 1) {
      lines.add(Texts.of("practiceSide.loudnessDbFromOne", loud.spread()));
    }
    lines.removeIf(String::isEmpty);
    return String.join("\n", lines);
  }

  private static String beat(int beat) {
    return beat == StrokeReport.OFF_BEAT ? "&" : Texts.of("practiceSide.on", beat);
  }

  private static String late(String what, Steadiness of) {
    return Phrase.of("%s %+.0f", what, 1000 * of.mean());
  }

  private static String line(Stream<String> figures) {
    String all = figures.collect(Collectors.joining(" · "));
    return all.isEmpty() ? "" : all + " ms";
  }

  private void log() {
    calendar.show(model.diaryProperty().get().minutes(), model.date());
    due.getChildren().setAll(dueAgain());
  }

  private List<Node> dueAgain() {
    List<Node> rows = new ArrayList<>();
    List<PracticeSong> songs = model.dayProperty().get().songs();
    songs.stream()
        .flatMap(s -> s.due().stream())
        .filter(d -> d.date().isAfter(model.date()))
        .sorted(Comparator.comparing(PracticeSong.Due::date))
        .limit(DUE)
        .forEach(
            d -> {
              boolean open = d.song().equals(songs.get(0));
              String title = d.drill().title() + (open ? "" : ", " + d.song().title());
              rows.add(row(title, DAY.format(d.date())));
            });
    if (rows.isEmpty()) {
      rows.add(Controls.line(Texts.of("practiceSide.nothingYetWhatYou")));
    }
    return rows;
  }

  private static HBox row(String title, String date) {
    Label what = Controls.wrapped(title, "drill-title");
    HBox.setHgrow(what, Priority.ALWAYS);
    // Its width is said before its height is asked for, so that a second line has room.
    what.setPrefWidth(TITLE);
    what.setMaxWidth(Double.MAX_VALUE);
    Label when = Controls.styled(date, "where");
    when.setMinWidth(Region.USE_PREF_SIZE);
    return new HBox(8, what, when);
  }
}
