package phalanx.desktop.neck;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.CanvasWidth;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ShapeWords;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.Tuning;

/** The whole neck with the places of its natural harmonics, larger where they speak more easily. */
public final class HarmonicsView extends Canvas {

  /** Half the width of the octave's sign, px. */
  private static final double LARGEST = 8;

  private static final double SMALLEST = 2.6;

  /** A click this near to a harmonic means it, px. */
  private static final double TOUCH = 12;

  private final Palette palette;
  private final NeckPainter painter;
  private final ReadOnlyBooleanProperty leftHanded;
  private Optional<Guitar> guitar = Optional.empty();
  private Hand hand = Hand.MEDIUM;
  private Shape held = Shape.OPEN;
  private Optional<HarmonicNode> cursor = Optional.empty();
  private List<Integer> spans = List.of();
  private Optional<HarmonicNode> sameAs = Optional.empty();
  private Optional<NeckLayout> shownLayout = Optional.empty();

  /**
   * A neck without a guitar yet.
   *
   * @param leftHanded whether it is turned round, nut to the right
   */
  public HarmonicsView(
      double width, double height, Palette palette, ReadOnlyBooleanProperty leftHanded) {
    super(width, height);
    this.palette = palette;
    this.leftHanded = leftHanded;
    painter = new NeckPainter(getGraphicsContext2D(), palette, NeckSize.LONG);
    setId("harmonics");
    setAccessibleText(Texts.of("harmonicsView.neckWithThePlaces"));
    leftHanded.addListener(o -> repaint());
  }

  /** Takes the width there is. */
  public void fill(Region room, double beside) {
    CanvasWidth.follow(this, room, beside, this::repaint);
  }

  /** Shows a guitar, how far a hand spans on it from some frets, and all places of one harmonic. */
  public void show(Guitar shown, Hand spanning, List<Integer> from, Optional<HarmonicNode> same) {
    sameAs = same;
    spans = from;
    guitar = Optional.of(shown);
    hand = spanning;
    repaint();
  }

  private void repaint() {
    guitar.ifPresent(this::paint);
    cursor.ifPresent(
        n ->
            setAccessibleText(
                Texts.of(
                    "harmonicsView.at",
                    ShapeWords.number(n.string()),
                    HarmonicNode.over(n.fret()),
                    NeckWords.name(n.midi()))));
  }

  /** The shape held on the neck that is shown next. */
  public void hold(Shape shape) {
    held = shape;
  }

  /**
   * Calls back with the harmonic nearest to where the neck is clicked, or with the one that the
   * arrows went to and Enter takes.
   */
  public void onTouch(Consumer<HarmonicNode> touched) {
    setFocusTraversable(true);
    focusedProperty().addListener(o -> repaint());
    setOnMouseClicked(
        e -> {
          requestFocus();
          nodeAt(e.getX(), e.getY()).ifPresent(n -> touch(n, touched));
        });
    setOnKeyPressed(e -> key(e, touched));
  }

  private void touch(HarmonicNode node, Consumer<HarmonicNode> touched) {
    cursor = Optional.of(node);
    touched.accept(node);
    repaint();
  }

  private void key(KeyEvent event, Consumer<HarmonicNode> touched) {
    int turned = leftHanded.get() ? -1 : 1;
    switch (event.getCode()) {
      case UP -> move(1, 0);
      case DOWN -> move(-1, 0);
      case RIGHT -> move(0, turned);
      case LEFT -> move(0, -turned);
      case ENTER -> cursor.ifPresent(n -> touch(n, touched));
      default -> {
        return;
      }
    }
    event.consume();
    repaint();
  }

  /** To the next node along the string, or to the nearest on the string beside it. */
  private void move(int strings, int along) {
    List<HarmonicNode> shown = shown();
    HarmonicNode from =
        cursor
            .or(() -> shown.stream().filter(n -> n.harmonic() == 2).reduce((a, b) -> b))
            .orElse(null);
    if (from == null) {
      return;
    }
    int string = Math.max(0, Math.min(Tuning.STRINGS - 1, from.string() + strings));
    List<HarmonicNode> there = shown.stream().filter(n -> n.string() == string).toList();
    int near = nearest(there, from.fret());
    cursor = Optional.of(there.get(Math.max(0, Math.min(there.size() - 1, near + along))));
  }

  private static int nearest(List<HarmonicNode> nodes, double fret) {
    return IntStream.range(0, nodes.size())
        .boxed()
        .min(Comparator.comparingDouble(i -> Math.abs(nodes.get(i).fret() - fret)))
        .orElse(0);
  }

  /** The nodes that this neck is long enough for. */
  private List<HarmonicNode> shown() {
    int last = shownLayout.map(NeckLayout::lastFret).orElse(0);
    return guitar.stream()
        .flatMap(g -> HarmonicNode.all(g).stream())
        .filter(n -> n.fret() <= last + 0.5)
        .toList();
  }

  private Optional<HarmonicNode> nodeAt(double x, double y) {
    return shown().stream()
        .filter(n -> distance(n, x, y) <= TOUCH)
        .min(Comparator.comparingDouble(n -> distance(n, x, y)));
  }

  private double distance(HarmonicNode node, double x, double y) {
    NeckLayout layout = shownLayout.orElseThrow();
    double at = layout.touchX(node.fret());
    return Math.hypot(at - x, layout.stringY(node.string(), at) - y);
  }

  /** From the index finger at a fret: how far the little finger goes with ease, and at most. */
  private void paintSpan(NeckLayout layout, int fret) {
    double from = layout.tipX(fret);
    double ease = hand.comfortable(Finger.INDEX, Finger.LITTLE);
    double most = hand.limit(Finger.INDEX, Finger.LITTLE);
    double way = layout.isTurned() ? -1 : 1;
    double end = from + way * layout.length(most);
    band(layout, from, end, "reach-limit");
    band(layout, from, from + way * layout.length(ease), "reach");
  }

  private void band(NeckLayout layout, double from, double to, String colour) {
    GraphicsContext gc = getGraphicsContext2D();
    gc.setFill(palette.get(colour));
    gc.fillPolygon(
        new double[] {from, to, to, from},
        new double[] {
          layout.woodTop(from), layout.woodTop(to), layout.woodBottom(to), layout.woodBottom(from)
        },
        4);
  }

  private void paint(Guitar shown) {
    NeckLayout layout =
        new NeckLayout(
            shown,
            shown.frets(),
            NeckSize.LONG.margin(),
            getWidth(),
            getHeight(),
            leftHanded.get());
    NeckPicture open =
        new NeckPicture(
            shown,
            Hand.MEDIUM,
            held,
            Set.of(),
            Optional.empty(),
            List.of(),
            List.of(),
            OptionalInt.empty());
    shownLayout = Optional.of(layout);
    painter.paint(open, layout, getWidth(), getHeight());
    spans.stream().filter(f -> f <= layout.lastFret()).forEach(f -> paintSpan(layout, f));
    GraphicsContext gc = getGraphicsContext2D();
    gc.setStroke(palette.get("neck"));
    gc.setLineWidth(1);
    shown().forEach(node -> paintNode(gc, layout, node));
  }

  private void paintNode(GraphicsContext gc, NeckLayout layout, HarmonicNode node) {
    double x = layout.touchX(node.fret());
    double y = layout.stringY(node.string(), x);
    double half = Math.max(SMALLEST, LARGEST * node.ease());
    gc.setFill(palette.get(node.harmonic() <= 4 ? "harmonic" : "harmonic-far"));
    double[] across = {x - half, x, x + half, x};
    double[] down = {y, y - half, y, y + half};
    gc.fillPolygon(across, down, 4);
    gc.strokePolygon(across, down, 4);
    boolean same = sameAs.filter(s -> s.midi() == node.midi()).isPresent();
    boolean under = isFocused() && cursor.equals(Optional.of(node));
    if (same || under) {
      gc.setStroke(palette.get(under ? "ghost" : "finger"));
      gc.setLineWidth(2);
      gc.strokeOval(x - half - 3, y - half - 3, 2 * half + 6, 2 * half + 6);
      gc.setStroke(palette.get("neck"));
      gc.setLineWidth(1);
    }
  }
}
