package phalanx.advice;

import phalanx.arrangement.tune.TuneOctave;
import phalanx.chart.Transposition;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.song.Pins;
import phalanx.song.Song;

/**
 * A way to play a song: its shapes so much higher, its capo elsewhere, its strings tuned otherwise,
 * its tune an octave away.
 *
 * @param semitones how much higher the shapes are written, 0 to 11, taken within an octave
 * @param capo fret the capo lies on, 0 for none
 * @param tuning the open strings
 * @param octaves how far the tune is moved besides, octaves
 */
public record Way(int semitones, int capo, Tuning tuning, int octaves) {

  private static final int OCTAVE = 12;

  /** The way a song is played now. */
  public static Way now(Song song) {
    return new Way(0, song.guitar().capo(), song.guitar().tuning(), 0);
  }

  /** A way with the tune in the octave in which it lies at hand. */
  static Way of(Song song, int semitones, int capo, Tuning tuning) {
    Way asTyped = new Way(semitones, capo, tuning, 0);
    return new Way(semitones, capo, tuning, TuneOctave.best(asTyped.of(song)));
  }

  /** Whether a song still sounds in its key. */
  public boolean soundsAs(Song song) {
    return Math.floorMod(semitones + capo - song.guitar().capo(), OCTAVE) == 0;
  }

  /** Whether the neck has every note of the tune then. */
  boolean hasTune(Song song) {
    return TuneOctave.isOnNeck(of(song), 0);
  }

  /**
   * The song played so. Chords, tune and pattern stay as they are but for the key; pins stay where
   * chord and strings do.
   */
  public Song of(Song song) {
    Song moved = semitones == 0 ? song : Transposition.bySemitones(song, semitones);
    Guitar guitar = song.guitar().withTuning(tuning);
    boolean retuned = !tuning.equals(song.guitar().tuning());
    Song tuned = moved.withGuitar(capo == song.guitar().capo() ? guitar : guitar.withCapo(capo));
    Song sung = octaves == 0 ? tuned : tuned.withTune(tuned.tune().octaves(octaves));
    return retuned ? sung.withPins(Pins.NONE) : sung;
  }
}
