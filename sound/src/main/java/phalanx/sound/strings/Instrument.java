package phalanx.sound.strings;

import java.util.Arrays;
import java.util.Optional;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.sound.Layer;

/**
 * A guitar that sounds, with a metronome beside it. It is told what is done to it and asked for the
 * samples in between. Not safe for several threads.
 */
public final class Instrument {

  /** What all of it is multiplied with so that a song is about as loud as songs are to be. */
  private static final double MASTER = 0.24;

  private static final double QUIET = 0.03;

  /** Partitions of a body’s response, heard so much later, and of a room’s, samples. */
  private static final int BODY_BLOCK = 128;

  private static final int ROOM_BLOCK = 1024;

  /** How loud a body of the player’s own is, and a room at its usual size. */
  private static final double OWN_BODY = 0.6;

  private static final double OWN_ROOM = 0.2;

  /** Another gain takes hold within this, s. */
  private static final double RAMP = 0.05;

  private static final double A4 = 440;
  private static final int A4_MIDI = 69;

  private final double rate;

  /** How much higher everything sounds than at the usual pitch, as a factor. */
  private double sharp = 1;

  private final StringSet strings;
  private final Layer[] layers = new Layer[Tuning.STRINGS];
  private final Percussion percussion;
  private final Room room;
  private Body body;
  private Optional<Convolution> ownBody = Optional.empty();
  private Optional<Convolution> ownRoom = Optional.empty();
  private double roomSize = Room.USUAL;
  private Material material;
  private Levels levels;
  private double gain = 1;

  /** What samples are multiplied with now, on its way to what is wanted. */
  private double loud;

  private double[] force = new double[0];
  private double[] left = new double[0];
  private double[] right = new double[0];

  /**
   * A guitar.
   *
   * @param rate samples a second
   */
  public Instrument(Guitar guitar, double rate, Levels levels) {
    this.rate = rate;
    this.levels = levels;
    material = Material.of(guitar);
    body = new Body(Modes.of(material), rate);
    room = new Room(rate);
    percussion = new Percussion(rate);
    strings = new StringSet(guitar, rate, this::sounding);
    loud = MASTER * levels.volume();
  }

  /** The frequency of a MIDI note, Hz, equal temperament at A4 = 440. */
  public static double hertz(double midi) {
    return A4 * Math.pow(2, (midi - A4_MIDI) / 12);
  }

  /**
   * Tunes it to another pitch than the usual one, from the next note on.
   *
   * @param a4 frequency of A4, Hz
   */
  public void tuneTo(double a4) {
    sharp = a4 / A4;
    strings.freeIdle();
  }

  private double sounding(double midi) {
    return sharp * hertz(midi);
  }

  /** Samples a second. */
  public double rate() {
    return rate;
  }

  /** Another guitar from the next pluck on; what sounds rings on. */
  public void restring(Guitar other) {
    strings.restring(other);
    if (material != Material.of(other)) {
      material = Material.of(other);
      body = new Body(Modes.of(material), rate);
    }
  }

  /** Other levels, heard within a few hundredths of a second. */
  public void levels(Levels other) {
    levels = other;
    for (int s = 0; s < layers.length; s++) {
      if (layers[s] != null) {
        strings.level(s, levels.gain(layers[s]));
      }
    }
  }

  /**
   * Everything louder or softer, so that songs are equally loud.
   *
   * @param factor of all samples, before the ceiling
   */
  public void gain(double factor) {
    gain = factor;
    if (isSilent()) {
      loud = gain * MASTER * levels.volume();
    }
  }

  /**
   * In another room.
   *
   * @param size 0 for none, to 1 for a hall
   */
  public void room(double size) {
    room.size(size);
    roomSize = size;
  }

  /** With a body of the player’s own in place of ours; empty for ours. */
  public void body(Optional<ImpulseResponse> response) {
    ownBody = response.map(r -> new Convolution(r.at(rate, 0), BODY_BLOCK));
  }

  /**
   * In a room of the player’s own; empty for ours. What of it comes before it can be heard, as the
   * straight sound, is left out.
   */
  public void room(Optional<ImpulseResponse> response) {
    ownRoom = response.map(r -> new Convolution(r.at(rate, ROOM_BLOCK), ROOM_BLOCK));
  }

  /** How much later than asked for everything is heard, samples. */
  public int latency() {
    return ownBody.map(Convolution::latency).orElse(0);
  }

  /**
   * Plucks a string.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param midi its pitch, capo included
   */
  public void pluck(int string, double midi, Plucker plucker, Force how, Layer layer) {
    pluck(string, midi, Excitation.of(plucker, how), layer);
  }

  /** The same by a stroke of any kind. */
  public void pluck(int string, double midi, Excitation stroke, Layer layer) {
    layers[string] = layer;
    strings.pluck(string, midi, stroke, false, levels.gain(layer));
  }

  /**
   * Plucks a string that is touched at a node and let go: no finger presses it, so it rings on as
   * long as an open one does.
   */
  public void harmonic(int string, double midi, Excitation stroke, Layer layer) {
    layers[string] = layer;
    strings.pluck(string, midi, stroke, true, levels.gain(layer));
  }

  /** A finger hammers on, or pulls off, what sounds on a string. */
  public void slur(int string, double midi, boolean pulled, Layer layer) {
    layers[string] = layer;
    strings.slur(string, midi, pulled, levels.gain(layer));
  }

  /** A sliding finger comes over a fret while the string sounds. */
  public void pass(int string, double midi) {
    strings.pass(string, midi);
  }

  /** A sliding finger stays on a fret: what sounds is this layer's note from now on. */
  public void arrive(int string, double midi, Layer layer) {
    layers[string] = layer;
    strings.arrive(string, midi, levels.gain(layer));
  }

  /**
   * A string is stopped, if it is this layer's note that sounds on it.
   *
   * @param seconds until 60 dB below
   */
  public void stop(int string, double seconds, Layer layer) {
    if (layers[string] == layer) {
      strings.stop(string, seconds);
    }
  }

  /** All strings are stopped quickly, without a click. */
  public void quiet() {
    fade(QUIET);
  }

  /** All strings are faded, seconds to −60 dB. */
  public void fade(double seconds) {
    strings.fade(seconds);
  }

  /** A hit on strings or wood. */
  public void hit(HitKind kind, Force how) {
    hit(kind, Excitation.strength(how), kind.ordinal());
  }

  /**
   * The same, no two alike.
   *
   * @param strength against a plain one
   * @param seed of what differs
   */
  public void hit(HitKind kind, double strength, long seed) {
    percussion.hit(kind, strength, seed);
  }

  /** A small noise of the hands, part of a layer. */
  public void noise(HandNoise kind, double strength, long seed, Layer layer) {
    percussion.noise(kind, strength, seed, layer);
  }

  /** A click of the metronome. */
  public void click(Beat beat) {
    percussion.click(beat, false);
  }

  /** A click that counts in: heard though the metronome is not. */
  public void count(Beat beat) {
    percussion.click(beat, true);
  }

  /** Whether nothing sounds but the room. */
  public boolean isSilent() {
    return percussion.isSilent() && strings.isSilent();
  }

  /**
   * What is heard next, left and right in turns, −1 to 1.
   *
   * @param from frame of the buffer to begin with
   * @param frames how many
   */
  public void render(float[] out, int from, int frames) {
    ready(frames);
    strings.add(force, frames);
    percussion.add(false, levels, force, force, frames);
    if (ownBody.isPresent()) {
      ownBody.get().add(force, OWN_BODY, left, right, frames);
    } else {
      body.add(force, left, right, 0, frames);
    }
    if (ownRoom.isPresent()) {
      for (int n = 0; n < frames; n++) {
        force[n] = (left[n] + right[n]) / 2;
      }
      ownRoom.get().add(force, OWN_ROOM * roomSize / Room.USUAL, left, right, frames);
    } else {
      room.add(left, right, 0, frames);
    }
    percussion.add(true, levels, left, right, frames);
    double goal = gain * MASTER * levels.volume();
    double step = (goal - loud) / Math.max(frames, RAMP * rate);
    for (int n = 0; n < frames; n++) {
      loud = Math.abs(goal - loud) <= Math.abs(step) ? goal : loud + step;
      out[2 * (from + n)] = (float) Ceiling.bent(loud * left[n]);
      out[2 * (from + n) + 1] = (float) Ceiling.bent(loud * right[n]);
    }
  }

  private void ready(int frames) {
    if (force.length < frames) {
      force = new double[frames];
      left = new double[frames];
      right = new double[frames];
    }
    Arrays.fill(force, 0, frames, 0);
    Arrays.fill(left, 0, frames, 0);
    Arrays.fill(right, 0, frames, 0);
  }
}
