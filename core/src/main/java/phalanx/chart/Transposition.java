package phalanx.chart;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.melody.Want;
import phalanx.song.ChordChange;
import phalanx.song.Song;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/** Moves a song to another key. */
public final class Transposition {

  /** The key chords are spelled in where a chart names none. */
  private static final Key C = new Key(NoteName.parse("C").orElseThrow(), Mode.MAJOR);

  private static final int OCTAVE = 12;
  private static final int HALF_AN_OCTAVE = 6;

  /** The notes that MIDI has numbers for. */
  private static final int LOWEST_MIDI = 0;

  private static final int HIGHEST_MIDI = 127;

  private Transposition() {}

  /** Every chord and the key an interval higher; pins on chords that changed are let go. */
  public static Song up(Song song, Interval interval) {
    return song.editChart(chart -> chart.mapBars(b -> b.withChanges(up(b.changes(), interval))))
        .withKey(song.key().map(k -> k.up(interval)))
        .withTune(song.tune().moved(want -> moved(want, interval, song)));
  }

  /**
   * How much higher the tune goes with chords that go up: the shorter way, so perhaps down.
   *
   * @param up semitones, 0 to 11
   */
  public static int tuneMoves(int up) {
    return up > HALF_AN_OCTAVE ? up - OCTAVE : up;
  }

  /** The tune goes the shorter way, up or down, but never out of hearing. */
  private static Want moved(Want want, Interval interval, Song song) {
    int up = interval.semitones();
    int way = tuneMoves(up);
    if (want instanceof Want.Sound s && s.pitch().midi() + way < LOWEST_MIDI) {
      way = up;
    } else if (want instanceof Want.Sound s && s.pitch().midi() + way > HIGHEST_MIDI) {
      way = up - OCTAVE;
    }
    if (want instanceof Want.Sound sound) {
      Pitch pitch = sound.pitch();
      return new Want.Sound(
          Pitch.of(pitch.midi() + way, pitch.name().plus(interval)), sound.string());
    }
    Want.Place place = (Want.Place) want;
    int fret = place.fret() + way;
    if (fret >= 0 && fret <= Want.HIGHEST_FRET) {
      return new Want.Place(place.string(), fret);
    }
    // Off the neck it is on another string: which one is for the plan to find.
    int midi = song.guitar().shapeMidi(place.string(), 0) + fret;
    NoteName name = song.key().orElse(C).up(interval).nameOf(Math.floorMod(midi, OCTAVE));
    return new Want.Sound(Pitch.of(midi, name), Optional.empty());
  }

  private static List<ChordChange> up(List<ChordChange> changes, Interval interval) {
    return changes.stream().map(c -> new ChordChange(c.tick(), c.harmony().up(interval))).toList();
  }

  /** The song in the key on another tonic. */
  public static Song to(Song song, NoteName tonic) {
    return up(song, Interval.between(song.key().orElse(C).tonic(), tonic));
  }

  /**
   * By semitones up or down, taken within an octave, spelled with as few accidentals as the key
   * allows.
   */
  public static Song bySemitones(Song song, int semitones) {
    return up(song, interval(song.key(), semitones));
  }

  /** The interval a chart moves by for so many semitones up (taken within an octave). */
  public static Interval interval(Optional<Key> key, int semitones) {
    return key.orElse(C).intervalUp(Math.floorMod(semitones, 12));
  }

  /** From shapes counted from the capo to what they sound like. */
  public static Interval ofCapo(Song song) {
    return interval(song.key(), song.guitar().capo());
  }

  /** The twelve keys a song can be moved to, its own first, going up. */
  public static List<Key> keys(Song song) {
    Key from = song.key().orElse(C);
    return IntStream.range(0, 12).mapToObj(n -> from.up(from.intervalUp(n))).toList();
  }
}
