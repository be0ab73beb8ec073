package phalanx.desktop.strip;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ScrolledPictures;
import phalanx.desktop.model.FindingsViewModel;
import phalanx.desktop.model.FingerChoice;
import phalanx.desktop.model.HeardPlace;
import phalanx.desktop.model.LoopBars;
import phalanx.desktop.model.Workspace;
import phalanx.findings.Found;
import phalanx.findings.Grade;
import phalanx.instrument.Finger;

/** The two-hand strip on the screen, a picture each system: scrolls, zooms and selects. */
public final class StripView extends ScrolledPictures {

  private static final double ZOOM_STEP = 1.15;

  private final Workspace workspace;
  private final Palette palette;
  private final Map<GraphicsContext, StripPainter> painters = new HashMap<>();
  private Optional<StripChoice.Target> dragged = Optional.empty();
  private StripLayout layout;

  /** The chord on which the pointer went down, and whether it has left its bar since. */
  private Optional<Integer> dragFrom = Optional.empty();

  private boolean looping;
  private StripScale scale = StripScale.USUAL;

  public StripView(Workspace workspace, Palette palette) {
    super("strip");
    this.workspace = workspace;
    this.palette = palette;
    workspace.arrangementProperty().addListener(o -> rebuild());
    workspace.chord().placeProperty().addListener(o -> showSelected());
    workspace.viewing().namingProperty().addListener(o -> repaint());
    workspace.notes().property().addListener(o -> repaint());
    workspace.range().property().addListener(o -> repaint());
    workspace.fingerProperty().addListener(o -> repaint());
    workspace.reviewProperty().addListener(o -> repaint());
    workspace.models().findings().currentProperty().addListener(o -> repaint());
    workspace.models().sound().placeProperty().addListener((o, before, now) -> follow(now));
    workspace.models().sound().loop().property().addListener(o -> repaint());
    workspace.arrangementProperty().addListener(o -> describe());
    workspace.chord().placeProperty().addListener(o -> describe());
    workspace.notes().property().addListener(o -> describe());
    describe();
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(e -> drop());
    setOnKeyPressed(this::key);
  }

  @Override
  protected double layOut(double width) {
    if (workspace.performanceProperty().get() == null) {
      return -1;
    }
    layout = new StripLayout(workspace.performanceProperty().get(), width, scale);
    return layout.height();
  }

  @Override
  protected List<Double> cuts() {
    return layout == null ? List.of() : layout.cuts();
  }

  @Override
  protected void paint(GraphicsContext on, double top, double width, double height) {
    painters
        .computeIfAbsent(on, g -> new StripPainter(g, palette))
        .paint(layout, choice(), workspace.viewing().namingProperty().get(), top, width, height);
  }

  /** For those who hear the screen instead of seeing it. */
  private void describe() {
    Arrangement a = workspace.arrangementProperty().get();
    Optional<Note> note = workspace.notes().property().get();
    if (a != null && note.isPresent()) {
      setAccessibleText(StripWords.of(a, note.get()));
    } else if (a != null) {
      workspace.chord().slot().ifPresent(s -> setAccessibleText(StripWords.of(a, s)));
    }
  }

  private void showSelected() {
    int place = workspace.chord().placeProperty().get();
    if (layout == null || place >= layout.arrangement().slots().size()) {
      return;
    }
    StripLayout.StripSystem system = layout.systemOf(place);
    reveal(system.y() - StripLayout.HEADING, system.y() + layout.systemHeight());
  }

  /** The line runs over the strip with what is heard of it. */
  private void follow(Optional<HeardPlace> heard) {
    boolean mine =
        layout != null
            && getScene() != null
            && heard.filter(p -> p.performance().arrangement() == layout.arrangement()).isPresent();
    if (!mine) {
      standStill();
      return;
    }
    int tick = heard.get().tick();
    layout
        .systemAtTick(tick)
        .ifPresent(s -> runAlong(layout.x(s, tick), s.y() + 4, s.y() + layout.systemHeight() - 4));
  }

  private StripChoice choice() {
    FindingsViewModel findings = workspace.models().findings();
    return new StripChoice(
        workspace.range().property().get(),
        workspace.notes().property().get(),
        dragged,
        workspace.fingerProperty().get(),
        marks(findings.open()),
        findings.currentProperty().get().map(f -> Set.copyOf(f.ticks())).orElse(Set.of()),
        workspace.models().sound().loop().property().get(),
        Set.of());
  }

  /** One mark a tick, for what matters most there. */
  private static List<StripChoice.Mark> marks(List<Found> open) {
    Map<Integer, Grade> worst = new TreeMap<>();
    for (Found found : open) {
      Grade grade = found.finding().grade();
      found.ticks().forEach(t -> worst.merge(t, grade, (a, b) -> a.compareTo(b) < 0 ? a : b));
    }
    return worst.entrySet().stream()
        .map(e -> new StripChoice.Mark(e.getKey(), e.getValue()))
        .toList();
  }

  private void press(MouseEvent event) {
    requestFocus();
    if (layout == null) {
      return;
    }
    double x = event.getX();
    double y = event.getY() + scrolled();
    List<Found> open = workspace.models().findings().open();
    List<Integer> ticks = open.stream().flatMap(f -> f.ticks().stream()).distinct().toList();
    Optional<Integer> mark = touch().markAt(x, y, ticks);
    Optional<FingerChoice> finger =
        touch()
            .laneAt(x, y)
            .<FingerChoice>map(FingerChoice.Fretting::new)
            .or(() -> touch().letterAt(x, y).map(FingerChoice.Picking::new));
    if (mark.isPresent()) {
      open.stream()
          .filter(f -> f.ticks().contains(mark.get()))
          .min(Comparator.comparing(f -> f.finding().grade()))
          .ifPresent(f -> workspace.models().findings().lookAt(f, mark.get()));
    } else if (finger.isPresent()) {
      boolean same = workspace.fingerProperty().get().equals(finger);
      workspace.fingerProperty().set(same ? Optional.empty() : finger);
    } else {
      Optional<Integer> slot = touch().slotAt(x, y);
      slot.ifPresent(event.isShiftDown() ? workspace.range()::extendTo : workspace.chord()::select);
      dragFrom = slot;
      looping = false;
      if (event.getClickCount() == 2 && slot.isPresent()) {
        workspace.models().sound().playFromSelection();
      }
      workspace.notes().choose(touch().noteAt(x, y));
    }
  }

  /**
   * A chosen note follows the pointer to the strings it may be on; beside notes bars are looped.
   */
  private void drag(MouseEvent event) {
    Optional<Note> note = workspace.notes().property().get();
    if (layout != null && note.isEmpty() && dragFrom.isPresent()) {
      touch().slotAt(event.getX(), event.getY() + scrolled()).ifPresent(this::loopTo);
    }
    if (layout == null || note.isEmpty()) {
      return;
    }
    TreeMap<Integer, Integer> places = workspace.notes().places(note.get());
    dragged =
        touch()
            .stringAt(event.getY() + scrolled())
            .filter(places::containsKey)
            .map(s -> new StripChoice.Target(s, places.get(s)));
    repaint();
  }

  /**
   * Round the bars from where the pointer went down to where it is now, once it has left its bar.
   */
  private void loopTo(int slot) {
    List<Slot> slots = layout.arrangement().slots();
    int one = slots.get(dragFrom.get()).played().bar();
    int other = slots.get(slot).played().bar();
    if (one != other || looping) {
      looping = true;
      LoopBars bars = new LoopBars(Math.min(one, other), Math.max(one, other));
      workspace.models().sound().loop().property().set(Optional.of(bars));
    }
  }

  private void drop() {
    Optional<StripChoice.Target> target = dragged;
    dragged = Optional.empty();
    Optional<Note> note = workspace.notes().property().get();
    target
        .filter(t -> note.isPresent() && note.get().string() != t.string())
        .ifPresent(t -> workspace.notes().moveTo(t.string()));
    repaint();
  }

  @Override
  protected void scroll(ScrollEvent event) {
    if (event.isControlDown()) {
      zoomBy(event.getDeltaY() > 0 ? ZOOM_STEP : 1 / ZOOM_STEP);
      event.consume();
    } else {
      super.scroll(event);
    }
  }

  /** Where a note would be drawn on a string, in this view. */
  public Point2D pointOf(Note note, int string) {
    StripLayout.StripSystem system =
        layout.systems().stream().filter(s -> note.tick() < s.endTick()).findFirst().orElseThrow();
    double y = system.y() + layout.stringY(string) - scrolled();
    return new Point2D(layout.x(system, note.tick()), y);
  }

  /** Where the name of a finger's lane is drawn in the first row, in this view. */
  public Point2D pointOfLane(Finger finger) {
    double y = layout.systems().get(0).y() + layout.laneY(finger) + StripLayout.LANE / 2;
    return new Point2D(StripLayout.LEFT / 2, y - scrolled());
  }

  private void key(KeyEvent event) {
    int selected = workspace.chord().placeProperty().get();
    switch (event.getCode()) {
      case PERIOD -> workspace.notes().step(1);
      case COMMA -> workspace.notes().step(-1);
      case PAGE_UP -> workspace.notes().move(1);
      case PAGE_DOWN -> workspace.notes().move(-1);
      case DELETE -> workspace.notes().unpin();
      case ESCAPE -> {
        workspace.notes().choose(Optional.empty());
        workspace.fingerProperty().set(Optional.empty());
      }
      case LEFT -> go(event, selected - 1);
      case RIGHT -> go(event, selected + 1);
      case UP -> across(selected, -1);
      case DOWN -> across(selected, 1);
      case HOME -> workspace.chord().select(0);
      case END -> workspace.chord().select(Integer.MAX_VALUE);
      case PLUS, ADD, EQUALS -> zoom(1);
      case MINUS, SUBTRACT -> zoom(-1);
      case DIGIT0, NUMPAD0 -> zoom(0);
      default -> {
        return;
      }
    }
    event.consume();
  }

  private void go(KeyEvent event, int slot) {
    if (event.isShiftDown()) {
      workspace.range().extendTo(slot);
    } else {
      workspace.chord().select(slot);
    }
  }

  private void across(int selected, int direction) {
    if (layout != null && selected < layout.arrangement().slots().size()) {
      workspace.chord().select(touch().slotAcross(selected, direction));
    }
  }

  /** Larger (1), smaller (-1) or at its usual size (0). */
  public void zoom(int step) {
    if (step == 0) {
      scale(StripScale.USUAL.folding(scale.folded()));
    } else {
      zoomBy(step > 0 ? ZOOM_STEP : 1 / ZOOM_STEP);
    }
  }

  private void zoomBy(double factor) {
    scale(scale.times(factor));
  }

  private void scale(StripScale other) {
    scale = other;
    rebuild();
    showSelected();
  }

  /** How large bars are drawn; 1 is the usual size. */
  public double zoom() {
    return scale.zoom();
  }

  /** Draws so many bars in a line; 0 for as many as fit at the usual size. */
  public void lines(int bars) {
    scale(scale.lines(bars));
  }

  /** Leaves the lanes of the fretting fingers out, or shows them. */
  public void fold(boolean folded) {
    scale(scale.folding(folded));
  }

  /** Whether the lanes of the fretting fingers are left out. */
  public boolean isFolded() {
    return scale.folded();
  }

  private StripTouch touch() {
    return new StripTouch(layout);
  }
}
