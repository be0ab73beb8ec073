package phalanx.sound.sequence;

import java.util.Optional;
import phalanx.sound.Layer;
import phalanx.sound.strings.Beat;
import phalanx.sound.strings.ImpulseResponse;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;

/**
 * Plays a score on an instrument, sample by sample: each event at its time, at any tempo without a
 * change of pitch, in loops, over edits. Knows no clock and no device; not safe for several
 * threads.
 */
public final class Sequencer {

  /** Slowest and fastest against the song's own tempo. */
  public static final double SLOWEST = 0.3;

  public static final double FASTEST = 1.5;

  /** An event this much after the place reached is due: half a sample at the usual rates. */
  private static final double DUE = 1e-5;

  /** What rings on behind the end is faded, s to −60 dB, and left after this time, s. */
  private static final double FADES = 4;

  private static final double RINGS_ON = 3;

  /** What the metronome clicks. */
  public enum Clicks {
    NOTHING,
    BEATS,
    BETWEEN
  }

  /** From one time to another, seconds of the score. */
  public record Loop(double from, double to) {
    public Loop {
      if (!(to > from)) {
        throw new IllegalArgumentException("a loop ends after it begins: " + from + " to " + to);
      }
    }
  }

  /** Is told what is rendered from which frame on, whenever that does not go on by itself. */
  public interface Course {
    /** From a frame of what is rendered on, a score is played from a place at a tempo. */
    void from(long frame, EventSequence score, double position, double tempo);
  }

  private record Coming(EventSequence score, Optional<Loop> loop) {}

  private final Instrument instrument;
  private EventSequence score;
  private Levels levels;
  private Optional<Coming> coming = Optional.empty();
  private Optional<Loop> loop = Optional.empty();
  private CountIn countIn = CountIn.NONE;
  private Clicks clicks = Clicks.NOTHING;
  private double tempo = 1;
  private double position;
  private double start;
  private int next;
  private int nextCount;
  private boolean ended;
  private long rendered;
  private Course course = (frame, played, place, speed) -> {};

  public Sequencer(EventSequence score, Instrument instrument, Levels levels) {
    this.score = score;
    this.instrument = instrument;
    this.levels = levels;
    instrument.levels(levels);
  }

  /**
   * Goes to a place; what sounds is stopped.
   *
   * @param seconds of the score
   * @param before clicks before it
   */
  public void go(double seconds, CountIn before) {
    instrument.quiet();
    countIn = before;
    nextCount = 0;
    start = Math.max(0, Math.min(seconds, score.seconds()));
    position = start - before.seconds();
    next = score.firstFrom(start - DUE);
    mark();
  }

  /** Tells how it goes on. */
  public void follow(Course follower) {
    course = follower;
    mark();
  }

  private void mark() {
    course.from(rendered, score, position, tempo);
  }

  /** Goes round between two places from now on, at once if it is past them, or not any more. */
  public void loop(Optional<Loop> between) {
    loop = between;
    if (between.isPresent() && position >= between.get().to() - DUE) {
      jump(between.get().from());
    }
  }

  /** Against the song's own tempo, 0.3 to 1.5. */
  public void tempo(double other) {
    tempo = Math.max(SLOWEST, Math.min(FASTEST, other));
    mark();
  }

  /** What the metronome clicks from now on. */
  public void clicks(Clicks other) {
    clicks = other;
  }

  /** In another room, 0 for none, to 1 for a hall. */
  public void room(double size) {
    instrument.room(size);
  }

  /** With a body and a room of the player’s own; empty for ours. */
  public void sounding(Optional<ImpulseResponse> body, Optional<ImpulseResponse> hall) {
    instrument.body(body);
    instrument.room(hall);
  }

  /** Everything louder or softer by a factor. */
  public void gain(double factor) {
    instrument.gain(factor);
  }

  /** How loud each layer is from now on. */
  public void levels(Levels other) {
    levels = other;
    instrument.levels(other);
  }

  /**
   * Goes over to another score at the next bar line.
   *
   * @param between the loop in it
   */
  public void change(EventSequence other, Optional<Loop> between) {
    coming = Optional.of(new Coming(other, between));
  }

  /** Stops the strings and does nothing any more. */
  public void silence() {
    instrument.quiet();
    next = score.events().size();
    nextCount = countIn.clicks().size();
    loop = Optional.empty();
    coming = Optional.empty();
  }

  /** The score that is played now. */
  public EventSequence score() {
    return score;
  }

  /** Where it is, seconds of the score; before the start while it counts in. */
  public double position() {
    return position;
  }

  /** The tempo now, against the song's own. */
  public double tempo() {
    return tempo;
  }

  /** Whether the score is over and nothing sounds any more but the room. */
  public boolean isOver() {
    return ended && (instrument.isSilent() || position >= score.seconds() + RINGS_ON * tempo);
  }

  /**
   * What is heard next.
   *
   * @param out left and right in turns
   */
  public void render(float[] out, int frames) {
    double perFrame = perSample();
    int done = 0;
    mark();
    while (done < frames) {
      int room = frames - done;
      double until = Math.ceil((boundary() - position - DUE) / perFrame);
      int now = (int) Math.max(0, Math.min(room, until));
      if (now > 0) {
        instrument.render(out, done, now);
        position += now * perFrame;
        done += now;
        rendered += now;
      }
      if (now < room || until <= room) {
        reach();
        if (now == 0 && boundary() <= position + DUE) {
          // Whatever is due and was not done must not hold time up.
          instrument.render(out, done, 1);
          position += perFrame;
          done++;
          rendered++;
        }
      }
    }
    boolean over = loop.isEmpty() && position >= score.seconds() - DUE;
    if (over && !ended) {
      instrument.fade(FADES);
    }
    ended = over;
  }

  /** The next time at which something happens. */
  private double boundary() {
    double at = Double.MAX_VALUE;
    if (next < score.events().size()) {
      at = score.events().get(next).at();
    }
    // While it is counted in, nothing of the score is played before its place.
    at = Math.max(at, start);
    if (nextCount < countIn.clicks().size()) {
      at = Math.min(at, start + countIn.clicks().get(nextCount).at());
    }
    if (loop.isPresent()) {
      at = Math.min(at, turning());
    }
    if (coming.isPresent()) {
      at = Math.min(at, nextBarLine());
    }
    return at;
  }

  /** Where a loop goes round: at its end, or at the end of the song where that was passed. */
  private double turning() {
    double end = loop.orElseThrow().to();
    return position < end + perSample() ? end : score.seconds();
  }

  /** Where it goes over to a coming score: the next bar line, and not while it counts in. */
  private double nextBarLine() {
    double from = Math.max(position, start);
    if (position < start && isBarLine(start)) {
      return start;
    }
    int bar = score.barAt(from + DUE);
    double line = score.bars().get(bar + 1);
    return line > from + DUE ? line : Double.MAX_VALUE;
  }

  private boolean isBarLine(double at) {
    int bar = score.barAt(at + perSample());
    return Math.abs(score.bars().get(bar) - at) <= perSample() + DUE;
  }

  /** Does what is due where it has come to. */
  private void reach() {
    if (loop.isPresent() && position >= turning() - DUE) {
      jump(loop.get().from());
    }
    if (coming.isPresent() && atBarLine()) {
      turn();
    }
    while (nextCount < countIn.clicks().size()
        && start + countIn.clicks().get(nextCount).at() <= position + DUE) {
      instrument.count(countIn.clicks().get(nextCount++).beat());
    }
    while (position >= start - DUE
        && next < score.events().size()
        && score.events().get(next).at() <= position + DUE) {
      apply(score.events().get(next++));
    }
  }

  private double perSample() {
    return tempo / instrument.rate();
  }

  private void jump(double to) {
    instrument.quiet();
    position = to;
    start = to;
    next = score.firstFrom(to - DUE);
    countIn = CountIn.NONE;
    mark();
  }

  private boolean atBarLine() {
    return position >= start - DUE && isBarLine(position) || position >= score.seconds() - DUE;
  }

  /** Takes the coming score over, in the same bar as far as it has one. */
  private void turn() {
    EventSequence other = coming.orElseThrow().score();
    loop = coming.orElseThrow().loop();
    coming = Optional.empty();
    boolean counting = position < start - DUE;
    int bar = score.barAt(Math.max(position, start) + perSample());
    boolean over = position >= score.seconds() - DUE;
    double within = Math.max(position, start) - score.bars().get(bar);
    double lead = counting ? start - position : 0;
    score = other;
    instrument.restring(other.guitar());
    double there =
        over || bar >= other.barCount() ? other.seconds() : other.bars().get(bar) + within;
    start = there;
    position = there - lead;
    next = score.firstFrom(there - DUE);
    mark();
  }

  private void apply(Event event) {
    if (event instanceof Event.Click click) {
      boolean wanted =
          clicks == Clicks.BETWEEN || clicks == Clicks.BEATS && click.beat() != Beat.BETWEEN;
      if (wanted && levels.isHeard(Layer.CLICK)) {
        click.apply(instrument);
      }
    } else if (event instanceof Event.Stop || levels.isHeard(event.layer())) {
      // What was plucked before its layer was muted still ends when it should.
      event.apply(instrument);
    }
  }
}
