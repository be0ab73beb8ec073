package phalanx.song;

import java.util.Map;
import java.util.Optional;
import phalanx.instrument.HarmonicNode;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.TuneReader;
import phalanx.melody.Want;
import phalanx.theory.Key;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/** What the notes of a tune are called that a player asks for by their place on the neck. */
public final class TunePitches {

  private static final Key C = Key.parse("C").orElseThrow();

  private TunePitches() {}

  /**
   * What a player wants who points at a place: its pitch, named in the song's key, and its string.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param fret from the capo, 0 open
   */
  public static Want.Sound at(Song song, int string, int fret) {
    int midi = song.guitar().shapeMidi(string, fret);
    return new Want.Sound(Pitch.of(midi, name(song, midi)), Optional.of(string));
  }

  /** What a player wants who points at a harmonic: what sounds there, and its string. */
  public static Want.Sound at(Song song, HarmonicNode node) {
    int midi = node.midi() - song.guitar().capo();
    return new Want.Sound(Pitch.of(midi, name(song, midi)), Optional.of(node.string()));
  }

  /** What is to sound, by its pitch: a place on the neck is named as the song's key names it. */
  public static Want.Sound of(Song song, Want want) {
    return want instanceof Want.Place place
        ? at(song, place.string(), place.fret())
        : (Want.Sound) want;
  }

  /**
   * The last pitch before a bar, that its first note goes on from; one to begin with if none is.
   */
  public static Pitch before(Song song, int bar) {
    Pitch last = TuneReader.MIDDLE;
    Map<Integer, BarTune> tunes = song.tune().along(song.chart());
    for (Bar earlier : song.chart().bars()) {
      if (earlier.id() == bar) {
        return last;
      }
      for (TuneNote note : tunes.getOrDefault(earlier.id(), BarTune.SILENT).notes()) {
        if (note.wants().get(0) instanceof Want.Sound sound) {
          last = sound.pitch();
        }
      }
    }
    return last;
  }

  /** What a MIDI note is called in the song's key, C where it has none. */
  public static NoteName name(Song song, int midi) {
    return song.key().orElse(C).nameOf(Math.floorMod(midi, 12));
  }
}
