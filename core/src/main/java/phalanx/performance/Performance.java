package phalanx.performance;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.song.Clock;

/**
 * An arrangement in time: the one account of what sounds when. A string sounds one note at a time;
 * a fretted note ends when its finger leaves, an open string rings until something stops it.
 *
 * @param arrangement what is played
 * @param clock turns written ticks into seconds: tempo, swing
 * @param notes every note, in the order of {@link Arrangement#notes()}
 * @param hits percussive hits with their times, by time
 * @param damps strings that are stopped, with their times, by time
 */
public record Performance(
    Arrangement arrangement,
    Clock clock,
    List<Sounded> notes,
    List<TimedHit> hits,
    List<TimedDamp> damps) {

  /** A hit and when it sounds, seconds from the start of the song. */
  public record TimedHit(Gesture.Hit hit, double onset) {}

  /** A damp and when it is done, seconds from the start of the song. */
  public record TimedDamp(Damp damp, double at) {}

  public Performance {
    notes = List.copyOf(notes);
    hits = List.copyOf(hits);
    damps = List.copyOf(damps);
  }

  /** An arrangement in time. */
  public static Performance of(Arrangement a) {
    Clock clock = Clock.of(a.song(), a.timeline());
    return new Performance(
        a,
        clock,
        new StringEnds(a, clock).notes(),
        a.gestures().stream()
            .filter(Gesture.Hit.class::isInstance)
            .map(Gesture.Hit.class::cast)
            .map(h -> new TimedHit(h, clock.seconds(h.tick(), 0)))
            .toList(),
        a.damps().stream().map(d -> new TimedDamp(d, clock.seconds(d.tick(), 0))).toList());
  }

  /** How long the song lasts, seconds. */
  public double seconds() {
    return clock.seconds();
  }

  /**
   * When a note is struck if the whole song had the tempo it begins with, in ticks: what lies
   * between two of them is in proportion to seconds.
   */
  public int evened(Note note) {
    return clock.evened(note.tick(), note.delayTicks());
  }
}
