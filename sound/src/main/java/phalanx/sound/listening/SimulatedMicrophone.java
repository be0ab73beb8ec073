package phalanx.sound.listening;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import phalanx.arrangement.Arrangement;
import phalanx.fretting.Shape;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.practice.ExpectedStroke;
import phalanx.practice.MatchedStroke;
import phalanx.practice.SimulatedPlayer;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.Event;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Sequencer;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;

/**
 * A simulated player heard through a microphone, for demonstration and tests: the strokes of {@link
 * SimulatedPlayer} on the program’s own strings, with noise, hum and a lead before.
 *
 * @param rate samples a second
 * @param lead silence before the first bar, s
 * @param noise white noise, as a share of the loudest sample: 0.01 is −40 dB
 * @param hum a hum of 50 Hz and its third, the same way
 * @param gain how loud it all is
 * @param a4 what the guitar is tuned to, Hz
 */
public record SimulatedMicrophone(
    int rate, double lead, double noise, double hum, double gain, double a4) {

  private static final double TAIL = 1.5;

  /** A quiet room. */
  public static final SimulatedMicrophone QUIET_ROOM =
      new SimulatedMicrophone(44_100, 0, 0.003, 0.002, 0.8, 440);

  /** A stroke may go to another string: where, by stroke. */
  public float[] hear(
      Performance performance,
      SimulatedPlayer.Playing playing,
      Map<ExpectedStroke, Integer> elsewhere,
      long seed) {
    Map<Object, MatchedStroke> played = new HashMap<>();
    playing.played().forEach(m -> played.put(m.stroke().note(), m));
    List<Event> events = new ArrayList<>();
    double last = 0;
    for (Sounded note : performance.notes()) {
      MatchedStroke stroke = played.get(note.note());
      if (stroke == null && note.note().pick().isPresent()) {
        continue;
      }
      double late = stroke == null ? 0 : stroke.heard() - note.onset();
      Integer string = stroke == null ? null : elsewhere.get(stroke.stroke());
      events.addAll(moved(note, performance, late, string));
      last = Math.max(last, note.onset() + late);
    }
    return mixed(performance, events, last, seed);
  }

  /** The events of one note at the time it was played. */
  private List<Event> moved(Sounded note, Performance performance, double late, Integer elsewhere) {
    List<Event> events = new ArrayList<>();
    for (Event event : EventSequence.of(alone(performance, note)).events()) {
      double at = Math.max(0, event.at() + late);
      if (event instanceof Event.Pluck p) {
        int string = elsewhere == null ? p.string() : elsewhere;
        double midi = elsewhere == null ? p.midi() : held(performance, note, elsewhere);
        events.add(new Event.Pluck(at, string, midi, p.stroke(), p.layer()));
      } else if (event instanceof Event.Stop s) {
        events.add(new Event.Stop(at, s.string(), s.seconds(), s.layer()));
      } else if (event instanceof Event.Slur s) {
        events.add(new Event.Slur(at, s.string(), s.midi(), s.pulled(), s.layer()));
      } else if (event instanceof Event.Harmonic h) {
        events.add(new Event.Harmonic(at, h.string(), h.midi(), h.stroke(), h.layer()));
      }
    }
    return events;
  }

  /** What a string sounds under the shape that is held. */
  private static int held(Performance performance, Sounded note, int string) {
    Arrangement a = performance.arrangement();
    int fret = a.slots().get(a.slotAt(note.note().tick())).held().frets().get(string);
    return a.song().guitar().midi(string, fret == Shape.SILENT ? 0 : fret);
  }

  private static Performance alone(Performance whole, Sounded note) {
    return new Performance(whole.arrangement(), whole.clock(), List.of(note), List.of(), List.of());
  }

  private float[] mixed(Performance performance, List<Event> events, double last, long seed) {
    var guitar = performance.arrangement().song().guitar();
    EventSequence sequence = EventSequence.of(guitar, events, last + TAIL);
    Instrument instrument = new Instrument(guitar, rate, Levels.FILE);
    instrument.tuneTo(a4);
    Sequencer sequencer = new Sequencer(sequence, instrument, Levels.FILE);
    sequencer.clicks(Sequencer.Clicks.NOTHING);
    sequencer.go(0, CountIn.NONE);
    int before = (int) Math.round(lead * rate);
    int frames = (int) Math.round((last + TAIL) * rate);
    float[] heard = new float[before + frames];
    float[] block = new float[2048];
    float peak = 1e-6f;
    for (int done = 0; done < frames; done += 1024) {
      int now = Math.min(1024, frames - done);
      sequencer.render(block, now);
      for (int n = 0; n < now; n++) {
        heard[before + done + n] = (block[2 * n] + block[2 * n + 1]) / 2;
        peak = Math.max(peak, Math.abs(heard[before + done + n]));
      }
    }
    Random chance = new Random(seed);
    for (int n = 0; n < heard.length; n++) {
      double turn = 2 * Math.PI * 50 * n / rate;
      double hums = hum * (Math.sin(turn) + 0.5 * Math.sin(3 * turn));
      double hisses = noise * chance.nextGaussian();
      heard[n] = (float) (gain * (heard[n] / peak + hums + hisses));
    }
    return heard;
  }
}
