package phalanx.arrangement.board;

import java.util.function.Predicate;
import java.util.stream.IntStream;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.text.Texts;

/**
 * Which shapes a player wants to look at.
 *
 * @param thumb with or without the thumb over the neck
 * @param barre with or without a barre
 * @param stretch with or without a span beyond comfortable
 * @param ringing with or without open strings
 * @param position where on the neck
 */
public record ShapeFilter(Wish thumb, Wish barre, Wish stretch, Wish ringing, Position position) {

  /** Everything. */
  public static final ShapeFilter ALL =
      new ShapeFilter(Wish.EITHER, Wish.EITHER, Wish.EITHER, Wish.EITHER, Position.ANY);

  /** What a player wants of a property. */
  public enum Wish {
    EITHER,
    WITH,
    WITHOUT;

    boolean grants(boolean has) {
      return this == EITHER || has == (this == WITH);
    }

    /** The next one round, for a button that is pressed again. */
    public Wish next() {
      return values()[(ordinal() + 1) % values().length];
    }
  }

  /** A part of the neck, by the lowest finger. */
  public enum Position {
    ANY(Texts.of("shapeFilter.anywhere"), 0, 24),
    LOW(Texts.of("shapeFilter.frets"), 0, 4),
    MIDDLE(Texts.of("shapeFilter.frets2"), 5, 8),
    HIGH(Texts.of("shapeFilter.fretAndUp"), 9, 24);

    private final String words;
    private final int from;
    private final int to;

    Position(String words, int from, int to) {
      this.words = words;
      this.from = from;
      this.to = to;
    }

    /** What a player calls it. */
    public String words() {
      return words;
    }

    /** Whether a fret, from the capo, lies in it. */
    public boolean has(int fret) {
      return fret >= from && fret <= to;
    }
  }

  /** The filter as a test of shapes on a guitar for a hand. */
  public Predicate<Shape> on(Reach reach) {
    return shape -> {
      var grips = shape.grips();
      int lowest = grips.values().stream().mapToInt(g -> g.fret()).min().orElse(0);
      boolean open = IntStream.range(0, Tuning.STRINGS).anyMatch(shape::isOpen);
      return thumb.grants(grips.containsKey(Finger.THUMB))
          && barre.grants(grips.values().stream().anyMatch(g -> g.isBarre()))
          && stretch.grants(reach.widestSpan(shape).filter(Reach.Span::isStretch).isPresent())
          && ringing.grants(open)
          && position.has(lowest);
    };
  }
}
