package phalanx.advice;

import java.util.Comparator;
import java.util.stream.IntStream;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.chart.Retuning;
import phalanx.chart.Transposition;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.song.Song;

/**
 * A way to play a song: its shapes so much higher, its capo elsewhere, its strings tuned otherwise,
 * its tune an octave away.
 *
 * @param semitones how much higher the shapes are written, 0 to 11, taken within an octave
 * @param capo fret the capo lies on, 0 for none
 * @param tuning the open strings
 * @param octaves how far the tune is written higher than its key takes it, octaves
 */
public record SettingSuggestion(int semitones, int capo, Tuning tuning, int octaves) {

  private static final int OCTAVE = 12;

  /** The way a song is played now. */
  public static SettingSuggestion now(Song song) {
    return new SettingSuggestion(0, song.guitar().capo(), song.guitar().tuning(), 0);
  }

  /**
   * A way with the tune at hand: of octaves where it is, that in which it sounds most as before.
   */
  static SettingSuggestion of(Song song, int semitones, int capo, Tuning tuning) {
    SettingSuggestion plain = new SettingSuggestion(semitones, capo, tuning, 0);
    Song played = plain.of(song);
    return IntStream.rangeClosed(-1, 1)
        .filter(o -> TuneOctave.isAtHand(played, o))
        .mapToObj(o -> new SettingSuggestion(semitones, capo, tuning, o))
        .min(Comparator.comparing(w -> Math.abs(w.tuneHigher(song))))
        .orElseGet(() -> new SettingSuggestion(semitones, capo, tuning, TuneOctave.best(played)));
  }

  /** How much higher the tune sounds than it does now, semitones. */
  public int tuneHigher(Song song) {
    int moved = Transposition.tuneMoves(semitones);
    return moved + OCTAVE * octaves + capo - song.guitar().capo();
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
   * they still sound their chord.
   */
  public Song of(Song song) {
    Song moved = semitones == 0 ? song : Transposition.bySemitones(song, semitones);
    Song tuned = Retuning.of(moved, tuning);
    Guitar guitar = tuned.guitar();
    Song placed = capo == guitar.capo() ? tuned : tuned.withGuitar(guitar.withCapo(capo));
    return placed.withTune(placed.tune().octaves(octaves));
  }
}
