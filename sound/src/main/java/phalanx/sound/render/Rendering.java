package phalanx.sound.render;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import java.util.function.DoublePredicate;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import phalanx.performance.Performance;
import phalanx.song.Timeline.PlayedBar;
import phalanx.sound.Layer;
import phalanx.sound.Texts;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Sequencer;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;

/**
 * A performance rendered into frames, block by block. The first onset stands at its time from the
 * first frame; behind the last bar what rings on is heard and faded. The same performance gives the
 * same samples.
 */
public final class Rendering {

  /** What is heard after the last bar, s, and how long of it the fade takes. */
  static final double TAIL = 3.5;

  private static final double FADE = 2;

  private static final int BLOCK = 1024;

  private final Sequencer sequencer;
  private final RenderOptions options;
  private final long frames;
  private final double lead;
  private final float[] block = new float[2 * BLOCK];
  private final Samples samples;
  private long done;
  private float peak;
  private final Loudness loudness;

  /**
   * Gets ready to render.
   *
   * @throws IllegalArgumentException if a bar is asked for that the performance does not have; the
   *     message says which there are
   */
  public Rendering(Performance performance, RenderOptions options) {
    this.options = options;
    loudness = new Loudness(options.rate());
    Playing playing = options.playing();
    EventSequence whole = EventSequence.of(performance, playing.interpretation());
    double from = 0;
    double to = whole.seconds();
    int first = 0;
    if (options.bars().isPresent()) {
      List<PlayedBar> bars = performance.arrangement().timeline().bars();
      first = place(bars, options.bars().get().first());
      from = whole.bars().get(first);
      to = whole.bars().get(place(bars, options.bars().get().last()) + 1);
    }
    CountIn before = CountIn.of(whole, first, options.countIn());
    boolean counts = options.countIn() > 0;
    Levels levels = options.levels();
    Instrument instrument = guitar(whole, options, levels);
    sequencer = new Sequencer(part(whole, from, to), instrument, levels);
    boolean clicks = levels.isHeard(Layer.CLICK);
    sequencer.clicks(clicks ? Sequencer.Clicks.BEATS : Sequencer.Clicks.NOTHING);
    sequencer.go(from, counts ? before : CountIn.NONE);
    lead = from - sequencer.position();
    frames = Math.round((to - sequencer.position() + TAIL) * options.rate());
    samples = new Samples(options.bits());
    // A body of the player’s own answers a little late: what comes before that is left out.
    for (int late = instrument.latency(); late > 0; late -= BLOCK) {
      sequencer.render(block, Math.min(late, BLOCK));
    }
  }

  private static Instrument guitar(EventSequence score, RenderOptions options, Levels levels) {
    Playing playing = options.playing();
    Instrument guitar = new Instrument(score.guitar(), options.rate(), levels);
    Consumer<Instrument> set =
        i -> {
          i.tuneTo(playing.a4());
          i.room(playing.room());
          i.body(playing.body());
          i.room(playing.hall());
        };
    set.accept(guitar);
    playing.loudness().ifPresent(l -> guitar.gain(SongLoudness.gain(score, l, set)));
    return guitar;
  }

  private static int place(List<PlayedBar> bars, int number) {
    for (int b = 0; b < bars.size(); b++) {
      if (bars.get(b).number() == number) {
        return b;
      }
    }
    String there =
        bars.isEmpty()
            ? Texts.of("rendering.thereAreNoBars")
            : Texts.of(
                "rendering.theBarsAreTo", bars.get(0).number(), bars.get(bars.size() - 1).number());
    throw new IllegalArgumentException("bar " + number + " is not there: " + there);
  }

  /** What is struck within a part; what was struck there still ends at its time. */
  private static EventSequence part(EventSequence whole, double from, double to) {
    int first = whole.firstFrom(from - 1e-6);
    int last = whole.firstFrom(to - 1e-6);
    return new EventSequence(whole.guitar(), whole.events().subList(first, last), whole.bars());
  }

  /** How many frames there will be. */
  public long frames() {
    return frames;
  }

  /** How long is counted in before the first bar, s. */
  public double lead() {
    return lead;
  }

  /** How loud what was rendered so far is, and how high its peaks are. */
  public Loudness loudness() {
    return loudness;
  }

  /** The highest sample so far, 0 to 1. */
  public double peak() {
    return peak;
  }

  /** The format of the samples. */
  public AudioFormat format() {
    return new AudioFormat(options.rate(), options.bits(), options.channels(), true, false);
  }

  /** The next frames, left and right in turns, at most a block; none when it is over. */
  public Optional<float[]> next() {
    int now = (int) Math.min(BLOCK, frames - done);
    if (now == 0) {
      return Optional.empty();
    }
    float[] out = now == BLOCK ? block : new float[2 * now];
    sequencer.render(out, now);
    long fadeFrom = frames - Math.round(FADE * options.rate());
    for (int n = 0; n < now; n++) {
      long left = frames - 1 - (done + n);
      if (done + n >= fadeFrom) {
        double share = (double) left / (frames - fadeFrom);
        float gain = (float) (share * share);
        out[2 * n] *= gain;
        out[2 * n + 1] *= gain;
      }
    }
    done += now;
    loudness.add(out, now);
    for (float sample : out) {
      peak = Math.max(peak, Math.abs(sample));
    }
    return Optional.of(out);
  }

  /**
   * Writes everything as a WAVE file (RIFF, linear PCM).
   *
   * @param goOn is told how much is done, 0 to 1, now and then; false stops it
   * @throws CancellationException if it was stopped
   */
  public void write(OutputStream file, DoublePredicate goOn) throws IOException {
    try (AudioInputStream audio = new AudioInputStream(new Bytes(goOn), format(), frames)) {
      AudioSystem.write(audio, AudioFileFormat.Type.WAVE, file);
    }
  }

  /** The frames as the bytes of the format. */
  private final class Bytes extends InputStream {

    private final DoublePredicate goOn;
    private byte[] bytes = new byte[0];
    private int at;

    Bytes(DoublePredicate goOn) {
      this.goOn = goOn;
    }

    private boolean fill() {
      if (at < bytes.length) {
        return true;
      }
      if (!goOn.test((double) done / frames)) {
        throw new CancellationException("the rendering was stopped");
      }
      bytes = next().map(Bytes.this::channels).map(samples::bytes).orElse(new byte[0]);
      at = 0;
      return bytes.length > 0;
    }

    /** One channel is the mean of both. */
    private float[] channels(float[] both) {
      if (options.channels() == 2) {
        return both;
      }
      float[] one = new float[both.length / 2];
      for (int n = 0; n < one.length; n++) {
        one[n] = (both[2 * n] + both[2 * n + 1]) / 2;
      }
      return one;
    }

    @Override
    public int read() {
      return fill() ? bytes[at++] & 0xff : -1;
    }

    @Override
    public int read(byte[] to, int from, int most) {
      if (!fill()) {
        return -1;
      }
      int now = Math.min(most, bytes.length - at);
      System.arraycopy(bytes, at, to, from, now);
      at += now;
      return now;
    }
  }
}
