package phalanx.sound.strings;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
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

  /** Where the right hand plucks: from the bridge, mm (common practice, no source). */
  private static final double THUMB_MM = 150;

  private static final double FINGER_MM = 125;

  /** How much a slur adds to what sounds, against a pluck. */
  private static final double HAMMERED = 0.3;

  private static final double PULLED = 0.42;

  /** What all of it is multiplied with so that a song’s peaks lie near −5 dB. */
  private static final double MASTER = 0.24;

  private static final double QUIET = 0.03;

  private static final double A4 = 440;
  private static final int A4_MIDI = 69;

  private final double rate;

  /** How much higher everything sounds than at the usual pitch, as a factor. */
  private double sharp = 1;

  private Guitar guitar;
  private Material material;
  private final StringVoice[] strings = new StringVoice[Tuning.STRINGS];
  private final Layer[] layers = new Layer[Tuning.STRINGS];
  private final Body body;
  private final Room room;
  private final Map<HitKind, double[]> hits = new EnumMap<>(HitKind.class);
  private final Map<Beat, double[]> clicks = new EnumMap<>(Beat.class);
  private final List<Struck> struck = new ArrayList<>();
  private Levels levels;
  private double[] force = new double[0];
  private double[] left = new double[0];
  private double[] right = new double[0];

  /** A hit or a click under way. */
  private static final class Struck {
    final double[] sound;
    final double level;
    final Layer layer;
    final boolean always;
    int at;

    Struck(double[] sound, double level, Layer layer, boolean always) {
      this.always = always;
      this.sound = sound;
      this.level = level;
      this.layer = layer;
    }
  }

  /**
   * A guitar.
   *
   * @param rate samples a second
   */
  public Instrument(Guitar guitar, double rate, Levels levels) {
    this.rate = rate;
    this.guitar = guitar;
    this.levels = levels;
    material = Material.of(guitar);
    body = new Body(rate);
    room = new Room(rate);
    for (int s = 0; s < strings.length; s++) {
      strings[s] = new StringVoice(rate);
    }
    for (HitKind kind : HitKind.values()) {
      hits.put(kind, Impact.of(kind, rate));
    }
    for (Beat beat : Beat.values()) {
      clicks.put(beat, Impact.click(beat, rate));
    }
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
    guitar = other;
    material = Material.of(other);
  }

  /** Other levels, heard within a few hundredths of a second. */
  public void levels(Levels other) {
    levels = other;
    for (int s = 0; s < strings.length; s++) {
      if (layers[s] != null) {
        strings[s].level(levels.gain(layers[s]));
      }
    }
  }

  private LoopFilter filter(int string, double midi, boolean open) {
    double hertz = sounding(midi);
    return LoopFilter.of(
        hertz,
        rate,
        material.decay(hertz, open),
        Math.max(Material.BRIGHT_HZ, 2 * hertz),
        material.brightDecay(string, hertz, open));
  }

  private boolean isOpen(int string, double midi) {
    return midi <= guitar.midi(string, 0);
  }

  /**
   * Plucks a string.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param midi its pitch, capo included
   */
  public void pluck(int string, double midi, Plucker plucker, Force how, Layer layer) {
    pluck(string, midi, plucker, how, layer, isOpen(string, midi));
  }

  /**
   * Plucks a string that is touched at a node and let go: no finger presses it, so it rings on as
   * long as an open one does.
   */
  public void harmonic(int string, double midi, Plucker plucker, Force how, Layer layer) {
    pluck(string, midi, plucker, how, layer, true);
  }

  private void pluck(
      int string, double midi, Plucker plucker, Force how, Layer layer, boolean open) {
    double period = rate / sounding(midi);
    double sounding =
        guitar.scaleLength() * Math.pow(2, -(midi - guitar.tuning().midi(string)) / 12);
    double from = plucker == Plucker.FLESH ? THUMB_MM : FINGER_MM;
    double[] bend =
        Pluck.of(
            period,
            Math.min(0.5, from / sounding),
            Plucker.level(how),
            plucker.roundedHz(how) / rate,
            plucker.scrape(),
            rate,
            31L * string + (long) (midi * 100));
    layers[string] = layer;
    LoopFilter filter = filter(string, midi, open);
    strings[string].pluck(period, filter, bend, levels.gain(layer));
  }

  /** A finger hammers on, or pulls off, what sounds on a string. */
  public void slur(int string, double midi, boolean pulled, Layer layer) {
    double period = rate / sounding(midi);
    double share = pulled ? 0.15 : 0.4;
    double level = pulled ? PULLED : HAMMERED;
    double rounded = (pulled ? 2200 : 1400) / rate;
    double[] bend = Pluck.of(period, share, level, rounded, 0, rate, 1);
    layers[string] = layer;
    strings[string].level(levels.gain(layer));
    strings[string].slur(period, filter(string, midi, isOpen(string, midi)), bend);
  }

  /** A sliding finger comes over a fret while the string sounds. */
  public void pass(int string, double midi) {
    strings[string].pass(rate / sounding(midi), filter(string, midi, false));
  }

  /** A sliding finger stays on a fret: what sounds is this layer's note from now on. */
  public void arrive(int string, double midi, Layer layer) {
    layers[string] = layer;
    strings[string].level(levels.gain(layer));
    pass(string, midi);
    strings[string].fade(0);
  }

  /**
   * A string is stopped, if it is this layer's note that sounds on it.
   *
   * @param seconds until 60 dB below
   */
  public void stop(int string, double seconds, Layer layer) {
    if (layers[string] == layer) {
      strings[string].fade(seconds);
    }
  }

  /** All strings are stopped quickly, without a click. */
  public void quiet() {
    fade(QUIET);
  }

  /** All strings are faded, seconds to −60 dB. */
  public void fade(double seconds) {
    for (StringVoice string : strings) {
      string.fade(seconds);
    }
  }

  /** A hit on strings or wood. */
  public void hit(HitKind kind, Force how) {
    struck.add(new Struck(hits.get(kind), Plucker.level(how), Layer.HITS, false));
  }

  /** A click of the metronome. */
  public void click(Beat beat) {
    struck.add(new Struck(clicks.get(beat), 1, Layer.CLICK, false));
  }

  /** A click that counts in: heard though the metronome is not. */
  public void count(Beat beat) {
    struck.add(new Struck(clicks.get(beat), 1, Layer.CLICK, true));
  }

  /** Whether nothing sounds but the room. */
  public boolean isSilent() {
    boolean quiet = struck.isEmpty();
    for (StringVoice string : strings) {
      quiet &= string.isSilent();
    }
    return quiet;
  }

  /**
   * What is heard next, left and right in turns, −1 to 1.
   *
   * @param from frame of the buffer to begin with
   * @param frames how many
   */
  public void render(float[] out, int from, int frames) {
    ready(frames);
    for (StringVoice string : strings) {
      string.add(force, 0, frames);
    }
    addStruck(Layer.HITS, force, force, frames);
    body.add(force, left, right, 0, frames);
    room.add(left, right, 0, frames);
    addStruck(Layer.CLICK, left, right, frames);
    for (int n = 0; n < frames; n++) {
      out[2 * (from + n)] = (float) Ceiling.bent(MASTER * levels.volume() * left[n]);
      out[2 * (from + n) + 1] = (float) Ceiling.bent(MASTER * levels.volume() * right[n]);
    }
  }

  private void ready(int frames) {
    if (force.length < frames) {
      force = new double[frames];
      left = new double[frames];
      right = new double[frames];
    }
    java.util.Arrays.fill(force, 0, frames, 0);
    java.util.Arrays.fill(left, 0, frames, 0);
    java.util.Arrays.fill(right, 0, frames, 0);
  }

  private void addStruck(Layer layer, double[] one, double[] other, int frames) {
    for (Iterator<Struck> all = struck.iterator(); all.hasNext(); ) {
      Struck s = all.next();
      if (s.layer != layer) {
        continue;
      }
      double level = s.level * (s.always ? 1 : levels.gain(layer));
      int last = Math.min(frames, s.sound.length - s.at);
      for (int n = 0; n < last; n++) {
        double v = level * s.sound[s.at + n];
        one[n] += v;
        if (other != one) {
          other[n] += v;
        }
      }
      s.at += last;
      if (s.at == s.sound.length) {
        all.remove();
      }
    }
  }
}
