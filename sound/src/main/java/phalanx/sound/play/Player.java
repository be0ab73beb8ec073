package phalanx.sound.play;

import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import phalanx.sound.Texts;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Sequencer;
import phalanx.sound.sequence.Sequencer.Clicks;
import phalanx.sound.sequence.Sequencer.Loop;
import phalanx.sound.strings.ImpulseResponse;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;

/**
 * Plays scores on a card from a thread of its own. Everything here may be called from any thread
 * and returns at once; what the card does to the thread behind never reaches the caller.
 */
public final class Player implements AutoCloseable {

  /** Frames a second. */
  public static final int RATE = 44100;

  /** Frames rendered at a time: 12 ms. */
  public static final int BLOCK = 512;

  /** Frames a card holds: 46 ms, so that what is asked for is heard within 100 ms. */
  public static final int BUFFER = 4 * BLOCK;

  /** After a stop the strings get this many blocks to fall silent in. */
  private static final int LAST_BLOCKS = 4;

  /** A card is given back within this time after a stop, ms. */
  private static final long LONGEST_STOP = 400;

  /** A card that takes nothing for this long is given up, ns. */
  private static final long PATIENCE = 2_000_000_000L;

  /** Is told what happens, on the player's thread. */
  public interface Listener {

    /** It plays now, or not any more. */
    void playing(boolean now);

    /** The card in use. */
    void card(AudioDevice card);

    /** It stopped because of the card; in the player's words. */
    void trouble(String words);

    /** A fault of the program's own. */
    void fault(Throwable fault);
  }

  private final Listener listener;
  private final LongSupplier nanos;
  private volatile AudioDevice card;
  private volatile Run run;

  /**
   * A player.
   *
   * @param card what is played on first
   */
  public Player(AudioDevice card, Listener listener) {
    this(card, listener, System::nanoTime);
  }

  Player(AudioDevice card, Listener listener, LongSupplier nanos) {
    this.card = card;
    this.listener = listener;
    this.nanos = nanos;
  }

  /** Plays on another card from the next start on. */
  public void use(AudioDevice other) {
    card = other;
  }

  /** The card it plays on. */
  public AudioDevice card() {
    return card;
  }

  /**
   * Plays; what was played before is stopped.
   *
   * @param start says what, asked for on the player's thread
   */
  public synchronized void play(Supplier<Start> start) {
    stop();
    Run next = new Run(card, start, run);
    run = next;
    next.thread.start();
  }

  /** Stops; what sounds falls silent within a few hundredths of a second. */
  public synchronized void stop() {
    Run now = run;
    if (now != null) {
      now.stopping = true;
    }
  }

  /** Whether it plays, or falls silent after a stop. */
  public boolean isPlaying() {
    Run now = run;
    return now != null && !now.over && !now.stopping;
  }

  /** What is heard now, the card's delay counted in; empty where nothing is played. */
  public Optional<Heard> heard() {
    Run now = run;
    if (now == null || now.over || now.line == null) {
      return Optional.empty();
    }
    return now.track.at(now.line.heard());
  }

  /**
   * Goes over to another score at the next bar line.
   *
   * @param score the score, asked for on the player's thread
   * @param loop the loop in it
   */
  public void change(Supplier<EventSequence> score, Function<EventSequence, Optional<Loop>> loop) {
    order(
        s -> {
          EventSequence next = score.get();
          s.change(next, loop.apply(next));
        });
  }

  /** Goes to another place, seconds of the score. */
  public void go(double seconds) {
    order(s -> s.go(seconds, CountIn.NONE));
  }

  /** Against the song's own tempo. */
  public void tempo(double tempo) {
    order(s -> s.tempo(tempo));
  }

  /** Goes round between two places, or not any more. */
  public void loop(Optional<Loop> loop) {
    order(s -> s.loop(loop));
  }

  /** What the metronome clicks. */
  public void clicks(Clicks clicks) {
    order(s -> s.clicks(clicks));
  }

  /** In another room, 0 for none, to 1 for a hall. */
  public void room(double size) {
    order(s -> s.room(size));
  }

  /** With a body and a room of the player’s own; empty for ours. */
  public void sounding(Optional<ImpulseResponse> body, Optional<ImpulseResponse> hall) {
    order(s -> s.sounding(body, hall));
  }

  /** Everything louder or softer by a factor. */
  public void gain(double factor) {
    order(s -> s.gain(factor));
  }

  /** The highest sample of what is rendered now, 0 to 1; 0 where nothing is played. */
  public double peak() {
    Run now = run;
    return now == null || now.over ? 0 : now.peak;
  }

  /** How loud each layer is. */
  public void levels(Levels levels) {
    order(s -> s.levels(levels));
  }

  private void order(Consumer<Sequencer> order) {
    Run now = run;
    if (now != null) {
      now.orders.add(order);
    }
  }

  /** Gives a card up that takes nothing any more; called now and then while it plays. */
  public synchronized void watch() {
    Run now = run;
    boolean stuck = now != null && !now.over && nanos.getAsLong() - now.lastTaken > PATIENCE;
    if (stuck) {
      now.giveUp();
    }
  }

  @Override
  public void close() {
    stop();
  }

  /** From a start to its end, on a thread of its own. */
  private final class Run {

    private final AudioDevice on;
    private final Supplier<Start> asked;
    private final Optional<Thread> before;
    private final Queue<Consumer<Sequencer>> orders = new ConcurrentLinkedQueue<>();
    private final Track track = new Track(RATE);
    private final Thread thread;
    private volatile AudioDevice.Line line;
    private volatile long lastTaken = nanos.getAsLong();
    private volatile boolean stopping;
    private volatile boolean over;
    private final float[] block = new float[2 * BLOCK];
    private volatile float peak;
    private long written;

    Run(AudioDevice on, Supplier<Start> asked, Run before) {
      this.before = Optional.ofNullable(before).map(b -> b.thread);
      this.on = on;
      this.asked = asked;
      thread = new Thread(this::run, "sound");
      thread.setDaemon(true);
      thread.setPriority(Thread.MAX_PRIORITY);
    }

    private void run() {
      if (before.isPresent() && !isBack(before.get())) {
        return;
      }
      try {
        Start start = asked.get();
        play(start);
      } catch (AudioDeviceTrouble e) {
        if (!over) {
          listener.trouble(e.getMessage());
        }
      } catch (InterruptedException e) {
        // Given up by watch(), which has said so.
        Thread.currentThread().interrupt();
      } catch (RuntimeException | Error e) {
        listener.fault(e);
      } finally {
        end();
      }
    }

    private void play(Start start) throws AudioDeviceTrouble, InterruptedException {
      if (stopping) {
        return;
      }
      try (AudioDevice.Line opened = on.open(RATE, BUFFER)) {
        if (stopping) {
          return;
        }
        line = opened;
        listener.card(on);
        listener.playing(true);
        playOn(start);
      }
    }

    /** Waits until the run before has given its card back, which only one can have. */
    private boolean isBack(Thread before) {
      try {
        before.join(LONGEST_STOP);
        return true;
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        end();
        return false;
      }
    }

    private void playOn(Start start) throws AudioDeviceTrouble, InterruptedException {
      Instrument instrument = new Instrument(start.score().guitar(), RATE, start.levels());
      instrument.tuneTo(start.stage().a4());
      instrument.room(start.stage().room());
      instrument.body(start.stage().body());
      instrument.room(start.stage().hall());
      instrument.gain(start.stage().gain());
      Sequencer sequencer = new Sequencer(start.score(), instrument, start.levels());
      sequencer.tempo(start.tempo());
      sequencer.clicks(start.clicks());
      sequencer.loop(start.loop());
      sequencer.go(start.from(), start.countIn());
      sequencer.follow(track::mark);
      while (!stopping && !sequencer.isOver()) {
        for (Consumer<Sequencer> o = orders.poll(); o != null; o = orders.poll()) {
          o.accept(sequencer);
        }
        write(sequencer);
      }
      sequencer.silence();
      for (int b = 0; b < LAST_BLOCKS; b++) {
        write(sequencer);
      }
      // What is written is heard before the card is given back.
      for (int wait = 0; line.heard() < written && wait < BUFFER / BLOCK + 2; wait++) {
        Thread.sleep(1000L * BLOCK / RATE);
      }
    }

    private void write(Sequencer sequencer) throws AudioDeviceTrouble, InterruptedException {
      sequencer.render(block, BLOCK);
      float most = 0;
      for (float sample : block) {
        most = Math.max(most, Math.abs(sample));
      }
      peak = most;
      line.write(block, BLOCK);
      written += BLOCK;
      lastTaken = nanos.getAsLong();
    }

    private void giveUp() {
      over = true;
      // A card that comes back meanwhile must not play on.
      stopping = true;
      thread.interrupt();
      listener.trouble(Texts.of("player.takesNoSoundAny", on.name()));
      listener.playing(false);
    }

    private void end() {
      boolean before = over;
      over = true;
      if (!before && run == this) {
        listener.playing(false);
      }
    }
  }
}
