package phalanx.desktop.strip;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import javafx.scene.canvas.GraphicsContext;
import phalanx.arrangement.Note;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ScrolledPictures;
import phalanx.desktop.model.SlotRange;
import phalanx.desktop.model.Viewing;
import phalanx.desktop.texts.Texts;
import phalanx.performance.Performance;

/** The two-hand strip of a plan that is only looked at: it scrolls and takes nothing. */
public final class StripPreview extends ScrolledPictures {

  private static final double USUAL = 0.8;

  private final Palette palette;
  private final Viewing viewing;
  private final Map<GraphicsContext, StripPainter> painters = new HashMap<>();
  private Optional<Performance> played = Optional.empty();
  private Set<Note> later = Set.of();
  private StripLayout layout;

  private final double zoom;

  /** A strip without a plan yet. */
  public StripPreview(Viewing viewing, Palette palette) {
    this(viewing, palette, USUAL);
  }

  /** One of another size, 1 as on the Arrange screen. */
  public StripPreview(Viewing viewing, Palette palette, double zoom) {
    super("strip-preview");
    this.zoom = zoom;
    this.palette = palette;
    this.viewing = viewing;
    setAccessibleText(Texts.of("stripPreview.stripOfTheWay"));
    viewing.namingProperty().addListener(o -> repaint());
  }

  /** Shows a plan. */
  public void show(Optional<Performance> plan) {
    played = plan;
    rebuild();
  }

  /** Shows a plan of which some notes are not played yet. */
  public void show(Optional<Performance> plan, Set<Note> notYet) {
    later = notYet;
    show(plan);
  }

  /** Draws the line at a tick and turns to its page; without one where nothing is heard. */
  public void follow(OptionalInt tick) {
    if (layout == null || tick.isEmpty()) {
      standStill();
      return;
    }
    int at = tick.getAsInt();
    layout
        .systemAtTick(at)
        .ifPresent(s -> runAlong(layout.x(s, at), s.y() + 4, s.y() + layout.systemHeight() - 4));
  }

  @Override
  protected double layOut(double width) {
    if (played.isEmpty()) {
      layout = null;
      return -1;
    }
    layout = new StripLayout(played.get(), width, zoom);
    return layout.height();
  }

  @Override
  protected List<Double> cuts() {
    return layout == null ? List.of() : layout.cuts();
  }

  @Override
  protected void paint(GraphicsContext on, double top, double width, double height) {
    StripChoice nothing =
        new StripChoice(
            SlotRange.Span.NONE,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            List.of(),
            Set.of(),
            Optional.empty(),
            later);
    painters
        .computeIfAbsent(on, g -> new StripPainter(g, palette))
        .paint(layout, nothing, viewing.namingProperty().get(), top, width, height);
  }
}
