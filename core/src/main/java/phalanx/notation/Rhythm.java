package phalanx.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import phalanx.theory.Meter;

/**
 * Cuts the strokes and rests of one bar of one voice into written values. A beat that no row of
 * halved values divides, as one of triplets, becomes a tuplet of its own.
 */
public final class Rhythm {

  /** The shortest value, in ticks: what is a multiple of it needs no tuplet. */
  private static final int FINEST = 315;

  /**
   * A stroke or a rest.
   *
   * @param from its start in ticks from the start of a full bar
   * @param to its end
   */
  public record Span(int from, int to) {}

  /**
   * One written note or rest.
   *
   * @param span the place of its span in the row
   * @param value what is written
   * @param ticks how long it lasts
   * @param ratio the tuplet it belongs to
   * @param opens whether it is the first of its tuplet
   * @param closes whether it is the last of its tuplet
   * @param first whether it begins its span
   * @param last whether it ends its span
   */
  public record Piece(
      int span,
      NoteValue value,
      int ticks,
      Optional<Ratio> ratio,
      boolean opens,
      boolean closes,
      boolean first,
      boolean last) {}

  /**
   * A tuplet: so many in the time of so many others.
   *
   * @param actual how many are played
   * @param normal in the time of how many
   */
  public record Ratio(int actual, int normal) {}

  private final int beat;
  private final Meter meter;
  private final TreeSet<Integer> times = new TreeSet<>();
  private final List<Piece> pieces = new ArrayList<>();

  private Rhythm(Meter meter) {
    this.meter = meter;
    beat = meter.beatTicks();
  }

  /** The written values of spans that follow each other without a gap. */
  public static List<Piece> of(List<Span> spans, Meter meter) {
    Rhythm rhythm = new Rhythm(meter);
    for (Span span : spans) {
      rhythm.times.add(span.from());
      rhythm.times.add(span.to());
    }
    for (int s = 0; s < spans.size(); s++) {
      rhythm.write(s, spans.get(s));
    }
    return rhythm.pieces;
  }

  private void write(int index, Span span) {
    int at = span.from();
    while (at < span.to()) {
      int beatStart = at / beat * beat;
      Optional<Ratio> ratio = ratio(beatStart);
      int end =
          ratio.isPresent()
              ? Math.min(span.to(), beatStart + beat)
              : cut(at, Math.min(span.to(), regularUntil(at)));
      add(index, span, at, end, ratio, beatStart);
      at = end;
    }
  }

  /**
   * Where a value that begins between beats is cut so that the beat behind it shows: at the middle
   * of four beats, at the beats of a compound metre, elsewhere only where it takes two values
   * anyway (Gould, Behind Bars, 2011, “Representing the metre”, from memory).
   */
  private int cut(int at, int end) {
    int next = (at / beat + 1) * beat;
    if (end <= next || at % beat == 0 && !meter.isCompound()) {
      return end;
    }
    if (at % beat == 0) {
      return NoteValue.lasting(end - at).size() > 1 ? next : end;
    }
    int middle = meter.barTicks() / 2;
    boolean halves = meter.beats() % 2 == 0 && meter.beats() > 2 && !meter.isCompound();
    if (halves && at < middle && middle < end) {
      return middle;
    }
    return meter.isCompound() || NoteValue.lasting(end - at).size() > 1 ? next : end;
  }

  /** The next beat that is a tuplet begins here at the earliest. */
  private int regularUntil(int at) {
    int next = (at / beat + 1) * beat;
    while (ratio(next).isEmpty() && next <= times.last()) {
      next += beat;
    }
    return next;
  }

  /** The tuplet a beat has to be written as. */
  private Optional<Ratio> ratio(int beatStart) {
    int unit = beat;
    boolean regular = true;
    for (int time : times.subSet(beatStart, beatStart + beat)) {
      unit = gcd(unit, time - beatStart);
      regular &= (time - beatStart) % FINEST == 0;
    }
    if (regular) {
      return Optional.empty();
    }
    int actual = beat / unit;
    // A beat of three eighths halves into six sixteenths, which a row of five or seven replaces.
    int third = beat / FINEST % 3 == 0 ? 3 : 1;
    int normal = third * Math.max(1, Integer.highestOneBit(2 * actual / (third + 1)));
    return Optional.of(new Ratio(actual, Math.min(normal, beat / FINEST)));
  }

  private static int gcd(int a, int b) {
    return b == 0 ? a : gcd(b, a % b);
  }

  private void add(int index, Span span, int from, int to, Optional<Ratio> ratio, int beatStart) {
    int actual = ratio.map(Ratio::actual).orElse(1);
    int normal = ratio.map(Ratio::normal).orElse(1);
    List<NoteValue> values = NoteValue.lasting((int) ((long) (to - from) * actual / normal));
    int at = from;
    for (NoteValue value : values) {
      int ticks = value.ticks() * normal / actual;
      boolean opens = ratio.isPresent() && at == beatStart;
      boolean closes = ratio.isPresent() && at + ticks == beatStart + beat;
      boolean first = at == span.from();
      boolean last = at + ticks == span.to();
      pieces.add(new Piece(index, value, ticks, ratio, opens, closes, first, last));
      at += ticks;
    }
  }
}
