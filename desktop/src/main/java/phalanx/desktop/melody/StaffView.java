package phalanx.desktop.melody;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.input.MouseEvent;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ScrolledCanvas;
import phalanx.desktop.model.HeardPlace;
import phalanx.desktop.model.MelodyViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.engraving.Mark;
import phalanx.engraving.score.TuneStaff;
import phalanx.findings.Found;
import phalanx.findings.Review;
import phalanx.melody.BarTune;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.TunePitches;
import phalanx.theory.Meter;

/** The tune on staves over the bars of the song; a click goes to a bar. */
final class StaffView extends ScrolledCanvas {

  private final Workspace workspace;
  private final MelodyViewModel model;
  private final StaffPainter painter;
  private StaffLayout layout;
  private final BooleanProperty numbers = new SimpleBooleanProperty();
  private Map<Integer, Meter> meters = Map.of();
  private Map<Integer, List<Note>> played = Map.of();

  StaffView(Workspace workspace, Palette palette) {
    super("staves");
    this.workspace = workspace;
    model = workspace.models().melody();
    painter = new StaffPainter(graphics(), palette);
    setFocusTraversable(false);
    workspace.historyProperty().addListener(o -> rebuild());
    workspace.viewing().namingProperty().addListener(o -> repaint());
    model.previewProperty().addListener(o -> repaint());
    model.boardProperty().addListener(o -> repaint());
    model.entry().caretProperty().addListener(o -> repaint());
    numbers.addListener(o -> repaint());
    workspace.arrangementProperty().addListener(o -> place());
    workspace.reviewProperty().addListener(o -> repaint());
    place();
    workspace.chord().placeProperty().addListener(o -> showSelected());
    workspace.models().sound().placeProperty().addListener((o, before, now) -> follow(now));
    setOnMousePressed(this::press);
  }

  @Override
  protected double layOut(double width) {
    Song song = workspace.song();
    layout = new StaffLayout(song, width);
    meters = song.chart().meters(song.meter());
    return layout.height();
  }

  @Override
  protected void paint(double top, double width, double height) {
    if (layout == null) {
      return;
    }
    Song song = workspace.song();
    Map<Integer, List<Integer>> missed = missed();
    Map<Integer, StaffPainter.Picture> pictures = new HashMap<>();
    List<StaffLayout.Cell> cells = layout.visible(top, top + height);
    for (StaffLayout.Cell cell : cells) {
      int bar = cell.bar().id();
      boolean selected = bar == model.bar();
      pictures.put(
          bar,
          new StaffPainter.Picture(
              song.chart().changes(cell.bar()),
              shown(song, bar),
              engraved(song, cell),
              signature(song, cell),
              meters.get(bar),
              selected ? Optional.of(model.entry().caretProperty().get()) : Optional.empty(),
              missed.getOrDefault(bar, List.of()),
              numbers.get() ? Optional.of(frets(bar)) : Optional.empty()));
    }
    if (model.bar() != 0) {
      setAccessibleText(
          StaffWords.of(
              song.barNumber(model.bar()),
              model.shown(model.bar()),
              model.meter(),
              workspace.viewing().namingProperty().get()));
    }
    painter.paint(
        layout, cells, pictures, workspace.viewing().namingProperty().get(), top, width, height);
  }

  private BarTune shown(Song song, int bar) {
    return model.shown(bar).moved(w -> TunePitches.of(song, w));
  }

  /** A bar as it stands on paper, behind the one before it, whose notes may go on into it. */
  private TuneStaff.Engraved engraved(Song song, StaffLayout.Cell cell) {
    TuneStaff staff = new TuneStaff(song.key());
    List<StaffLayout.Cell> cells = layout.cells();
    int place = cells.indexOf(cell);
    if (place > 0) {
      engrave(staff, song, place - 1);
    }
    return engrave(staff, song, place);
  }

  private TuneStaff.Engraved engrave(TuneStaff staff, Song song, int place) {
    StaffLayout.Cell cell = layout.cells().get(place);
    int bar = cell.bar().id();
    Meter meter = meters.get(bar);
    boolean pickup = place == 0 && song.feel().pickupTicks() > 0;
    boolean goesOn =
        place + 1 < layout.cells().size()
            && shown(song, layout.cells().get(place + 1).bar().id()).heldTicks() > 0;
    double half = StaffLayout.HEAD / 2;
    return staff.bar(
        shown(song, bar),
        meter,
        pickup ? song.feel().pickupTicks() : meter.barTicks(),
        goesOn,
        tick -> layout.noteX(cell, tick, meter.barTicks()) / StaffLayout.LINE_GAP - half,
        cell.x() / StaffLayout.LINE_GAP,
        (cell.x() + layout.barWidth()) / StaffLayout.LINE_GAP);
  }

  /** Clef and key before a row; the metre where the song or another metre begins. */
  private List<Mark> signature(Song song, StaffLayout.Cell cell) {
    int place = layout.cells().indexOf(cell);
    Meter now = meters.get(cell.bar().id());
    boolean begins =
        place == 0 || !now.equals(meters.get(layout.cells().get(place - 1).bar().id()));
    return new TuneStaff(song.key()).signature(begins ? Optional.of(now) : Optional.empty());
  }

  /** A bar without a tune has none, though the pattern may have a stroke of its own on top. */
  private List<Note> frets(int bar) {
    return model.shown(bar).isSilent() ? List.of() : played.getOrDefault(bar, List.of());
  }

  /** Notes that no finger reaches, by the bar they are written in. */
  private Map<Integer, List<Integer>> missed() {
    Map<Integer, List<Integer>> missed = new HashMap<>();
    workspace.reviewProperty().get().map(Review::unreached).orElse(List.of()).stream()
        .map(Found::ref)
        .forEach(r -> missed.computeIfAbsent(r.bar(), b -> new ArrayList<>()).add(r.tick()));
    return missed;
  }

  /** Whether frets on the strings are shown instead of notes on the staff. */
  BooleanProperty numbersProperty() {
    return numbers;
  }

  /** Where the tune lies in each written bar, the first time it is played. */
  private void place() {
    played = new HashMap<>();
    Arrangement a = workspace.arrangementProperty().get();
    for (PlayedBar bar : a == null ? List.<PlayedBar>of() : a.timeline().bars()) {
      played.computeIfAbsent(
          bar.written(),
          b ->
              a.notesFrom(bar.startTick(), bar.endTick()).stream()
                  .filter(n -> n.part() == Note.Part.TUNE)
                  .map(n -> n.at(n.tick() - bar.startTick()))
                  .toList());
    }
    repaint();
  }

  private void showSelected() {
    if (layout != null) {
      layout
          .cell(model.bar())
          .ifPresent(c -> reveal(c.y() - StaffLayout.HEADING, c.y() + StaffLayout.ROW));
    }
  }

  /** The line runs over the staves with what is heard of them. */
  private void follow(Optional<HeardPlace> heard) {
    if (layout == null || getScene() == null || heard.isEmpty()) {
      standStill();
      return;
    }
    PlayedBar bar = heard.get().bar();
    int tick = heard.get().tick() - bar.startTick();
    layout
        .cell(bar.written())
        .ifPresentOrElse(
            c ->
                runAlong(
                    layout.noteX(c, tick, bar.lengthTicks()),
                    c.y() + 4,
                    c.y() + StaffLayout.ROW - 4),
            this::standStill);
  }

  private void press(MouseEvent event) {
    if (layout != null) {
      layout
          .at(event.getX(), event.getY() + scrolled())
          .ifPresent(
              c -> {
                workspace.chord().selectBar(c.bar().id());
                int ticks = meters.get(c.bar().id()).barTicks();
                model.entry().goTo(layout.tickAt(c, event.getX(), ticks));
              });
    }
  }
}
