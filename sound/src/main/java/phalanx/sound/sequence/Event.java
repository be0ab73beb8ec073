package phalanx.sound.sequence;

import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.sound.Layer;
import phalanx.sound.strings.Beat;
import phalanx.sound.strings.Excitation;
import phalanx.sound.strings.HandNoise;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Plucker;

/** Something done to the instrument. What techniques do is made of these, too. */
public sealed interface Event {

  /** When, seconds from the start of the song at its own tempo. */
  double at();

  /** What it belongs to; it is left out where that is not heard. */
  Layer layer();

  /** Does it. */
  void apply(Instrument instrument);

  /** A string is plucked; 0 for ⑥ to 5 for ①, pitch as MIDI note. */
  record Pluck(double at, int string, double midi, Excitation stroke, Layer layer)
      implements Event {

    /** With nothing special about it. */
    public Pluck(double at, int string, double midi, Plucker plucker, Force force, Layer layer) {
      this(at, string, midi, Excitation.of(plucker, force), layer);
    }

    @Override
    public void apply(Instrument instrument) {
      instrument.pluck(string, midi, stroke, layer);
    }
  }

  /** A string is plucked whole while a finger touches it at a node, and rings on as an open one. */
  record Harmonic(double at, int string, double midi, Excitation stroke, Layer layer)
      implements Event {
    @Override
    public void apply(Instrument instrument) {
      instrument.harmonic(string, midi, stroke, layer);
    }
  }

  /** A finger hammers on or pulls off what sounds. */
  record Slur(double at, int string, double midi, boolean pulled, Layer layer) implements Event {
    @Override
    public void apply(Instrument instrument) {
      instrument.slur(string, midi, pulled, layer);
    }
  }

  /** A sliding finger comes over a fret. */
  record Pass(double at, int string, double midi, Layer layer) implements Event {
    @Override
    public void apply(Instrument instrument) {
      instrument.pass(string, midi);
    }
  }

  /** A sliding finger comes to the fret it slides to, and what sounds goes on as its note. */
  record Arrival(double at, int string, double midi, Layer layer) implements Event {
    @Override
    public void apply(Instrument instrument) {
      instrument.arrive(string, midi, layer);
    }
  }

  /** What sounds on a string is stopped; seconds to −60 dB. */
  record Stop(double at, int string, double seconds, Layer layer) implements Event {
    @Override
    public void apply(Instrument instrument) {
      instrument.stop(string, seconds, layer);
    }
  }

  /** A hit; its strength against a plain one, and a seed of what no two have alike. */
  record Hit(double at, HitKind kind, double strength, long seed) implements Event {

    /** A hit of a force, always the same. */
    public Hit(double at, HitKind kind, Force force) {
      this(at, kind, Excitation.strength(force), kind.ordinal());
    }

    @Override
    public Layer layer() {
      return Layer.HITS;
    }

    @Override
    public void apply(Instrument instrument) {
      instrument.hit(kind, strength, seed);
    }
  }

  /** A small noise of the hands beside a layer’s notes. */
  record Noise(double at, HandNoise kind, double strength, long seed, Layer layer)
      implements Event {
    @Override
    public void apply(Instrument instrument) {
      instrument.noise(kind, strength, seed, layer);
    }
  }

  /** A click of the metronome. */
  record Click(double at, Beat beat) implements Event {
    @Override
    public Layer layer() {
      return Layer.CLICK;
    }

    @Override
    public void apply(Instrument instrument) {
      instrument.click(beat);
    }
  }
}
