package phalanx.sound.strings;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;

/** The six strings on their bridge. Not safe for several threads. */
final class StringSet {

  /** How much a slur adds to what sounds, against a pluck. */
  private static final double HAMMERED = 0.2;

  private static final double PULLED = 0.34;

  /** A heel at the bridge: how long the fundamental rings, and high partials, s. */
  private static final Material.Ring MUTED = new Material.Ring(0.45, 0.08, 1000);

  /** A struck string beats against the frets, against its pluck; so does one plucked very hard. */
  private static final double SLAPPED = 0.5;

  private static final double POPPED = 0.8;
  private static final double HARD = 1.35;
  private static final double BUZZ = 0.06;

  /** A stroke as they are on average, by which slurred notes are evened out. */
  private static final double USUAL_SHARE = 0.2;

  private static final double USUAL_HZ = 3000;

  private static final double MOST = 2;

  private final double rate;
  private final DoubleUnaryOperator sounding;
  private final StringVoice[] strings = new StringVoice[Tuning.STRINGS];
  private final double[] incoming = new double[StringVoice.MOST];
  private final double[] moved = new double[StringVoice.MOST];
  private final Map<Integer, Stiffness> stiff = new HashMap<>();
  private Guitar guitar;
  private Material material;
  private Bridge bridge;
  private Evenness evenness;
  private double shares;

  /** What evens out the note that was plucked, and how far the one it was slurred to differs. */
  private final double[] plucked = new double[Tuning.STRINGS];

  private final double[] slurred = new double[Tuning.STRINGS];

  /**
   * Strings.
   *
   * @param sounding the frequency of a MIDI note, Hz
   */
  StringSet(Guitar guitar, double rate, DoubleUnaryOperator sounding) {
    this.rate = rate;
    this.sounding = sounding;
    for (int s = 0; s < strings.length; s++) {
      strings[s] = new StringVoice(rate);
      plucked[s] = 1;
      slurred[s] = 1;
    }
    string(guitar);
  }

  private void string(Guitar other) {
    guitar = other;
    if (material != Material.of(other)) {
      material = Material.of(other);
      Modes body = Modes.of(material);
      bridge = new Bridge(body, rate);
      evenness = new Evenness(body, rate);
    }
    stiff.clear();
    shares = 0;
    for (int s = 0; s < strings.length; s++) {
      strings[s].holds(material.share(s));
      shares += strings[s].share() * strings[s].share();
    }
    freeIdle();
  }

  /** Another guitar from the next pluck on; what sounds rings on. */
  void restring(Guitar other) {
    if (!guitar.equals(other)) {
      string(other);
    }
  }

  /** Strings that nobody has plucked lie open at the pitch they have now. */
  void freeIdle() {
    for (int s = 0; s < strings.length; s++) {
      if (strings[s].isIdle()) {
        free(s);
      }
    }
  }

  private void free(int string) {
    strings[string].free(tuned(string, guitar.midi(string, 0), true));
  }

  private StringVoice.Tuned tuned(int string, double midi, boolean open) {
    return tuned(string, midi, material.ring(string, sounding.applyAsDouble(midi), open));
  }

  private StringVoice.Tuned tuned(int string, double midi, Material.Ring ring) {
    double hertz = sounding.applyAsDouble(midi);
    LoopFilter losses = ring.losses(hertz, rate);
    LoopFilter along = ring.longer(Material.ALONG_LONGER).losses(hertz, rate);
    Stiffness stiffness = stiffness(string, midi, losses);
    double omega = 2 * Math.PI * hertz / rate;
    double period = rate / hertz - stiffness.delay(omega);
    double share = strings[string].share();
    return new StringVoice.Tuned(
        period - losses.delay(omega) - bridge.delay(omega, share),
        (period - along.delay(omega)) * Material.ALONG_FLAT,
        losses,
        along,
        stiffness);
  }

  /** Fitted once for each fret of each string. */
  private Stiffness stiffness(int string, double midi, LoopFilter losses) {
    int key = (int) Math.round(midi) * Tuning.STRINGS + string;
    return stiff.computeIfAbsent(
        key,
        k -> {
          double hertz = sounding.applyAsDouble(Math.round(midi));
          double open = sounding.applyAsDouble(guitar.tuning().midi(string));
          return Stiffness.of(hertz, material.stiffness(string, hertz / open), rate, losses);
        });
  }

  private boolean isOpen(int string, double midi) {
    return midi <= guitar.midi(string, 0);
  }

  /**
   * Plucks a string.
   *
   * @param whole whether no finger presses it though it sounds higher than open: a harmonic
   * @param loudness a factor of what is heard of it
   */
  void pluck(int string, double midi, Excitation stroke, boolean whole, double loudness) {
    double hertz = sounding.applyAsDouble(midi);
    double length = guitar.scaleLength() * Math.pow(2, -(midi - guitar.tuning().midi(string)) / 12);
    double share = Math.min(0.5, stroke.place() / length);
    double rounded = material.darkened(stroke.plucker().roundedHz(stroke.strength()));
    double even = evenness.gain(hertz, share, rounded);
    plucked[string] = even;
    slurred[string] = 1;
    boolean open = whole || isOpen(string, midi);
    double[] bend =
        Pluck.of(
            rate / hertz,
            share,
            even * stroke.strength(),
            rounded / rate,
            stroke.plucker().scrape(),
            rattle(stroke, open),
            rate,
            stroke.seed() ^ (31L * string + (long) (midi * 100)));
    boolean muted = stroke.contact() == Excitation.Contact.MUTED;
    boolean rested = stroke.contact() == Excitation.Contact.RESTED;
    strings[string].pluck(
        muted ? tuned(string, midi, MUTED) : tuned(string, midi, open), bend, loudness, rested);
  }

  private static double rattle(Excitation stroke, boolean open) {
    return switch (stroke.contact()) {
      case SLAPPED -> SLAPPED;
      case POPPED -> POPPED;
      case MUTED, RESTED -> 0;
      case FREE -> open ? 0 : BUZZ * Math.max(0, stroke.strength() - HARD);
    };
  }

  /** A finger hammers on, or pulls off, what sounds on a string. */
  void slur(int string, double midi, boolean pulled, double loudness) {
    double hertz = sounding.applyAsDouble(midi);
    double share = pulled ? 0.15 : 0.4;
    double rounded = pulled ? 2200 : 1400;
    double level = (pulled ? PULLED : HAMMERED) * plucked[string];
    double[] bend = Pluck.of(rate / hertz, share, level, rounded / rate, 0, 0, rate, 1);
    goOn(string, hertz);
    level(string, loudness);
    strings[string].slur(tuned(string, midi, isOpen(string, midi)), bend);
  }

  /** What sounds goes on as another note: the body answers that one more or less. */
  private void goOn(int string, double hertz) {
    slurred[string] = evenness.gain(hertz, USUAL_SHARE, USUAL_HZ) / plucked[string];
    slurred[string] = Math.max(1 / MOST, Math.min(MOST, slurred[string]));
  }

  /** A sliding finger comes over a fret while the string sounds. */
  void pass(int string, double midi) {
    strings[string].pass(tuned(string, midi, false));
  }

  /** A sliding finger stays on a fret. */
  void arrive(int string, double midi, double loudness) {
    goOn(string, sounding.applyAsDouble(midi));
    level(string, loudness);
    pass(string, midi);
    strings[string].fade(0);
  }

  /** Other loudness, without a step. */
  void level(int string, double loudness) {
    strings[string].level(loudness * slurred[string]);
  }

  /**
   * A string is stopped by something soft.
   *
   * @param seconds until 60 dB below
   */
  void stop(int string, double seconds) {
    strings[string].fade(seconds);
  }

  /** All strings are faded, seconds to −60 dB. */
  void fade(double seconds) {
    for (StringVoice string : strings) {
      string.fade(seconds);
    }
  }

  /** Whether no string moves. */
  boolean isSilent() {
    for (StringVoice string : strings) {
      if (!string.isSilent()) {
        return false;
      }
    }
    return true;
  }

  /** Adds what is heard: all strings at once, because they move the bridge and it moves them. */
  void add(double[] force, int frames) {
    if (isSilent()) {
      return;
    }
    for (int done = 0; done < frames; ) {
      int count = Math.min(frames - done, StringVoice.MOST);
      for (StringVoice string : strings) {
        count = Math.min(count, string.room());
      }
      Arrays.fill(incoming, 0, count, 0);
      for (StringVoice string : strings) {
        string.come(incoming, count);
      }
      bridge.move(incoming, shares, moved, count);
      for (StringVoice string : strings) {
        string.go(moved, force, done, count);
      }
      done += count;
    }
    for (int s = 0; s < strings.length; s++) {
      if (strings[s].isOver()) {
        free(s);
      }
    }
  }
}
