package phalanx.sound.play;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import phalanx.sound.sequence.EventSequence;

/** Which frame is which place of which score, for as long as frames wait in a card. */
final class Track {

  private static final int MOST = 512;

  private record Mark(long frame, EventSequence score, double position, double tempo) {}

  private final Deque<Mark> marks = new ArrayDeque<>();
  private final double rate;

  Track(double rate) {
    this.rate = rate;
  }

  /** From a frame on the score is played from a place, at a tempo. */
  synchronized void mark(long frame, EventSequence score, double position, double tempo) {
    marks.addLast(new Mark(frame, score, position, tempo));
    if (marks.size() > MOST) {
      marks.removeFirst();
    }
  }

  /** The place of a frame. */
  synchronized Optional<Heard> at(long frame) {
    Mark found = null;
    for (Mark mark : marks) {
      if (mark.frame() > frame) {
        break;
      }
      found = mark;
    }
    if (found == null) {
      return Optional.empty();
    }
    double seconds = found.position() + (frame - found.frame()) * found.tempo() / rate;
    return Optional.of(new Heard(found.score(), seconds));
  }
}
