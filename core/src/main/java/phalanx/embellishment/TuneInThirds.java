package phalanx.embellishment;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.Timeline.PlayedSlot;
import phalanx.song.TunePitches;
import phalanx.theory.Chord;
import phalanx.theory.Key;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * A second voice under the tune in thirds, or in sixths where the third does not belong to the
 * chord (common practice, no source). Under a note that is held longer than a beat it is a tone of
 * the chord, or there is none: a sixth left standing would name another chord. It joins single
 * plucked notes that begin on a beat and stays above the bass strings; no note of the tune is
 * changed.
 */
public final class TuneInThirds {

  /** Semitones below: thirds before sixths. */
  private static final List<Integer> INTERVALS = List.of(3, 4, 8, 9);

  /** Below the open ④ a second voice is heard as a bass, semitones over the open ④. */
  private static final int LOWEST = 2;

  private static final int D_STRING = 2;

  private final Song song;
  private final Set<Integer> bars;
  private final Map<Integer, BarTune> voiced = new HashMap<>();

  private TuneInThirds(Song song, Collection<Integer> bars) {
    this.song = song;
    this.bars = new HashSet<>(bars);
  }

  /**
   * The song with it.
   *
   * @param bars identities of the bars
   * @return empty where no note can have one
   */
  public static Optional<Song> in(Song song, Collection<Integer> bars) {
    return new TuneInThirds(song, bars).voiced();
  }

  private Optional<Song> voiced() {
    Timeline timeline = Timeline.of(song);
    Song more = song;
    for (PlayedBar bar : timeline.bars()) {
      if (bars.contains(bar.written()) && !voiced.containsKey(bar.written())) {
        BarTune tune = song.tune().at(bar.written(), song.chart());
        BarTune two = voiced(tune, bar, timeline);
        voiced.put(bar.written(), two);
        if (!two.equals(tune)) {
          more = more.withTune(more.tune().with(bar.written(), two));
        }
      }
    }
    return Optional.of(more).filter(s -> !s.equals(song));
  }

  private BarTune voiced(BarTune tune, PlayedBar bar, Timeline timeline) {
    List<TuneNote> notes = new ArrayList<>();
    for (TuneNote note : tune.notes()) {
      int tick = bar.inMetre(bar.startTick()) + note.tick();
      int beat = bar.meter().beatTicks();
      boolean plain =
          note.wants().size() == 1
              && note.slur().isEmpty()
              && note.graces().isEmpty()
              && note.techniques().isEmpty()
              && tick % beat == 0;
      Optional<Chord> chord =
          timeline.slots().stream()
              .filter(s -> s.bar() == bar.number())
              .filter(s -> s.tick() <= bar.startTick() + note.tick())
              .reduce((first, second) -> second)
              .map(PlayedSlot::harmony)
              .filter(Harmony.Sounding.class::isInstance)
              .map(h -> ((Harmony.Sounding) h).chord());
      Optional<Want> under = plain ? chord.flatMap(c -> under(note, c, beat)) : Optional.empty();
      notes.add(under.map(note::with).orElse(note));
    }
    return new BarTune(tune.heldTicks(), notes);
  }

  /** A tone of the chord, else under a short note of the key, a third or a sixth below. */
  private Optional<Want> under(TuneNote note, Chord chord, int beat) {
    int top = TunePitches.of(song, note.wants().get(0)).pitch().midi();
    int lowest = song.guitar().shapeMidi(D_STRING, LOWEST);
    for (int interval : INTERVALS) {
      int midi = top - interval;
      Optional<NoteName> name = chord.spelling(Math.floorMod(midi, 12));
      if (midi >= lowest && name.isPresent()) {
        return Optional.of(new Want.Sound(Pitch.of(midi, name.get()), Optional.empty()));
      }
    }
    Optional<Key> key = song.key().filter(k -> note.lengthTicks() <= beat);
    for (int interval : INTERVALS) {
      int midi = top - interval;
      boolean scale = key.filter(k -> k.degreeOf(Math.floorMod(midi, 12)).isPresent()).isPresent();
      if (midi >= lowest && scale) {
        NoteName name = key.orElseThrow().nameOf(Math.floorMod(midi, 12));
        return Optional.of(new Want.Sound(Pitch.of(midi, name), Optional.empty()));
      }
    }
    return Optional.empty();
  }
}
