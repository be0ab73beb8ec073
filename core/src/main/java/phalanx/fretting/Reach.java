package phalanx.fretting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.instrument.Finger;
import phalanx.instrument.Fretboard;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;

/**
 * Distances between fingers on one guitar, set against what one hand reaches; all in mm. Safe for
 * use by several threads.
 *
 * <p>Every fingertip position is worked out once, because the shape search asks for spans many
 * thousand times.
 */
public final class Reach {

  private static final int FINGERS = 5;

  /** Shapes of which the stretches are kept besides those a plan asks for. */
  private static final int KEPT = 500;

  private final Guitar guitar;
  private final Hand hand;
  private final int highestFret;
  private final double[] tipX;
  private final double[][] tipY;
  private final double[][] apart;
  private final double[][] comfortable = new double[FINGERS][FINGERS];
  private final double[][] limit = new double[FINGERS][FINGERS];
  private final RecentlyUsed<Shape, ShapeStretches> stretches = new RecentlyUsed<>(KEPT);

  public Reach(Guitar guitar, Hand hand) {
    this.guitar = guitar;
    this.hand = hand;
    Fretboard board = new Fretboard(guitar);
    highestFret = board.highestFret();
    tipX = new double[highestFret + 1];
    tipY = new double[Tuning.STRINGS][highestFret + 1];
    for (int fret = 1; fret <= highestFret; fret++) {
      tipX[fret] = board.fingertipX(fret);
      for (int s = 0; s < Tuning.STRINGS; s++) {
        tipY[s][fret] = board.stringY(s, tipX[fret]);
      }
    }
    apart = measured();
    for (int a = FingerCode.INDEX; a <= FingerCode.LITTLE; a++) {
      for (int b = FingerCode.INDEX; b <= FingerCode.LITTLE; b++) {
        comfortable[a][b] = hand.comfortable(Finger.numbered(a), Finger.numbered(b));
        limit[a][b] = hand.limit(Finger.numbered(a), Finger.numbered(b));
      }
    }
  }

  /** The stretches of a shape, kept: each is asked for with every pattern that it is under. */
  ShapeStretches stretches(Shape shape) {
    return stretches.get(shape, s -> new ShapeStretches(s, this));
  }

  /** Between two plans: lets go of the stretches that the last ones did not ask for. */
  void forgetUnused() {
    stretches.turn();
  }

  /** The guitar these distances are for. */
  public Guitar guitar() {
    return guitar;
  }

  /** The hand these limits are for. */
  public Hand hand() {
    return hand;
  }

  /** Highest fret, counted from the capo, that the neck has. */
  public int highestFret() {
    return highestFret;
  }

  /** How far apart along the neck fingertips on two frets are. */
  double along(int fret, int other) {
    return Math.abs(tipX[fret] - tipX[other]);
  }

  /** Distance between two grips: of their fingertips, or of the nearest points of barres. */
  public double distance(Grip a, Grip b) {
    return distance(
        a.fret(), a.lowString(), a.highString(), b.fret(), b.lowString(), b.highString());
  }

  double distance(int fretA, int lowA, int highA, int fretB, int lowB, int highB) {
    if (lowA > highB) {
      return apart[place(lowA, fretA)][place(highB, fretB)];
    }
    if (lowB > highA) {
      return apart[place(lowB, fretB)][place(highA, fretA)];
    }
    return along(fretA, fretB);
  }

  private int place(int string, int fret) {
    return string * (highestFret + 1) + fret;
  }

  /** Distances between all pairs of fingertips on different strings. */
  private double[][] measured() {
    int places = Tuning.STRINGS * (highestFret + 1);
    double[][] distances = new double[places][places];
    for (int a = 1; a < Tuning.STRINGS; a++) {
      for (int b = 0; b < a; b++) {
        for (int fretA = 1; fretA <= highestFret; fretA++) {
          for (int fretB = 1; fretB <= highestFret; fretB++) {
            double dx = tipX[fretA] - tipX[fretB];
            double dy = tipY[a][fretA] - tipY[b][fretB];
            distances[place(a, fretA)][place(b, fretB)] = Math.sqrt(dx * dx + dy * dy);
          }
        }
      }
    }
    return distances;
  }

  double comfortable(int fingerA, int fingerB) {
    return comfortable[fingerA][fingerB];
  }

  double limit(int fingerA, int fingerB) {
    return limit[fingerA][fingerB];
  }

  /** Whether two fingers can be in two places at once; the thumb has no measured span. */
  public boolean spans(Finger a, Grip there, Finger b, Grip yonder) {
    boolean inOrder =
        there.fret() == yonder.fret() || a.compareTo(b) < 0 == there.fret() < yonder.fret();
    return a == Finger.THUMB
        || b == Finger.THUMB
        || inOrder && distance(there, yonder) <= hand.limit(a, b);
  }

  /** The span of a shape that comes nearest to its limit; empty with fewer than two fingers. */
  public Optional<Span> widestSpan(Shape shape) {
    return spans(shape).stream().reduce((a, b) -> b.shareOfLimit() > a.shareOfLimit() ? b : a);
  }

  /** The spans between all fingers of a shape but the thumb. */
  List<Span> spans(Shape shape) {
    List<Span> spans = new ArrayList<>();
    Map<Finger, Grip> grips = shape.grips();
    for (Map.Entry<Finger, Grip> a : grips.entrySet()) {
      for (Map.Entry<Finger, Grip> b : grips.entrySet()) {
        if (a.getKey() != Finger.THUMB && a.getKey().compareTo(b.getKey()) < 0) {
          spans.add(span(a.getKey(), a.getValue(), b.getKey(), b.getValue()));
        }
      }
    }
    return spans;
  }

  /** The distance between two fingers that hold something, the lower first. */
  Span span(Finger a, Grip there, Finger b, Grip yonder) {
    return new Span(a, b, distance(there, yonder), hand.comfortable(a, b), hand.limit(a, b));
  }

  /**
   * The distance between two fingers of a shape.
   *
   * @param from the lower finger
   * @param to the higher finger
   * @param millimetres the distance, mm
   * @param comfortable what this hand spans at ease between them, mm
   * @param limit the most it spans, mm
   */
  public record Span(Finger from, Finger to, double millimetres, double comfortable, double limit) {

    /** 1 at the limit of the hand. */
    public double shareOfLimit() {
      return millimetres / limit;
    }

    /** Whether it is wider than comfortable. */
    public boolean isStretch() {
      return millimetres > comfortable;
    }
  }
}
