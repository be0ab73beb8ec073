package phalanx.planning;

import java.util.LinkedHashMap;
import java.util.Map;
import phalanx.instrument.UsualTuning;
import phalanx.picking.PatternReader;
import phalanx.picking.PickingStyle;
import phalanx.picking.ThumbRoute;
import phalanx.song.Song;

/**
 * Eleven more songs of our own, where arranging is hard: sevenths under a steady thumb, chords that
 * come where the pattern has no bass, tunes up the neck, open tunings, metres of three and six.
 */
final class MoreOwnSongs {

  private static final String BLOCK_OF_TWO =
      """
      name: Steady with two
      metre: 4/4
      upper  | . o | . . | . o | . . |
      middle | . . | . o | . . | . o |
      thumb  | o . | o . | o . | o . |
      """;

  private static final String BASS_ON_ONE_AND_THREE =
      """
      name: Up from one and three
      metre: 4/4
      tune   | . . | . o | . . | . o |
      upper  | . . | o . | . . | o . |
      middle | . o | . . | . o | . . |
      thumb  | o . | . . | o . | . . |
      """;

  private static final String WALTZ =
      """
      name: Three up
      metre: 3/4
      tune   | . . | . o | . . |
      upper  | . . | o . | o . |
      middle | . o | . . | . o |
      thumb  | o . | . . | . . |
      """;

  private static final String SIX =
      """
      name: Six up and back
      metre: 6/8
      tune   | . . . | o . . |
      upper  | . . o | . o . |
      middle | . o . | . . o |
      thumb  | o . . | . . . |
      """;

  private MoreOwnSongs() {}

  private static PickingStyle pattern(String text) {
    return PatternReader.read(text).patterns().get(0);
  }

  /** A pattern in three with one bass a bar. */
  static PickingStyle waltz() {
    return pattern(WALTZ);
  }

  private static Song song(String name, String meter, String key, String chords, String bars) {
    return OldTunesTest.song(new OldTunesTest.Old(name, "our own", meter, key, chords, bars))
        .withTitle(name);
  }

  private static Song tuned(Song song, UsualTuning tuning) {
    return song.withGuitar(song.guitar().withTuning(tuning.tuning()));
  }

  /** The songs by name. */
  static Map<String, Song> all() {
    Map<String, Song> songs = new LinkedHashMap<>();
    songs.put(
        "Tin Roof",
        song(
                "Tin Roof",
                "4/4",
                "E",
                "E7 | A7 | E7 | E7 | A7 | A7 | E7 | C#7 | F#7 | B7 | E7 A7 | E7 B7",
                ". | . | . | . | . | . | . | . | . | . | . | .")
            .withThumb(ThumbRoute.STEADY)
            .withPattern(pattern(BLOCK_OF_TWO)));
    songs.put(
        "Half Light",
        song(
                "Half Light",
                "4/4",
                "G",
                "G C G D | Em Am D7 G | C G Am D7 | G Em C D7 | G C D7 G",
                ". | . | . | . | .")
            .withPattern(pattern(BASS_ON_ONE_AND_THREE)));
    songs.put(
        "Elder Path",
        tuned(
            song(
                "Elder Path",
                "4/4",
                "D",
                "D | G | D | A7 | Bm | G | Em A7 | D",
                "d5 . e f# | g . f# e | f# . d . | e . c# . | d . f# b | a . g . | g f# e c# | d . . ."),
            UsualTuning.DADGAD));
    songs.put(
        "Slow Barge",
        tuned(
            song(
                "Slow Barge",
                "4/4",
                "G",
                "G | C | G | D7 | G | C | G D7 | G",
                "b4 . d5 . | e . d c | b4 . g . | a . f# . | b . d5 . | e . g . | d b4 a f# | g . . ."),
            UsualTuning.OPEN_G));
    songs.put(
        "High Window",
        song(
            "High Window",
            "4/4",
            "A",
            "A | D | E7 | A | F#m | Bm7 | E7 | A",
            "e5 . c# e | f# . a . | g# . e d | c# . . . | a4 c#5 f# a | d5 . f# b4 | e5 d c# b4 | a . . ."));
    songs.put(
        "Cellar Waltz",
        song(
                "Cellar Waltz",
                "3/4",
                "Em",
                "Em | Am7 | D7 | Gmaj7 | Cmaj7 | F#m7b5 | B7 | Em | Em | Am7 | B7 | Em",
                "b4 . g | a . . | a b c5 | b4 . . | g . e | f# . . | d# f# a | g . . | b . e5 | c . a4 | f# . d# | e . .")
            .withPattern(pattern(WALTZ)));
    songs.put(
        "Stone Jig",
        song(
                "Stone Jig",
                "6/8",
                "D",
                "D | G D | A7 | D | Bm G | D A7 | G A7 | D",
                "d5 . a4 f# . a | b . g a . f# | g . e c# . e | d . f# a . . | b . d5 b4 . g | a . f# e . c# | d . e f# . e | d . . . . .")
            .withPattern(pattern(SIX)));
    songs.put(
        "Late Kitchen",
        song(
            "Late Kitchen",
            "4/4",
            "Eb",
            "Ebmaj7 Cm7 | Fm7 Bb7 | Gm7 C7 | Fm7 Bb7 | Abmaj7 Abm6 | Gm7 C7 | Fm7 Bb7 | Eb6",
            "g4 . bb . | ab . f . | bb . g e | ab . . f | c5 . b4 . | bb . g . | ab f d f | eb . . ."));
    songs.put(
        "Ropewalk",
        song(
                "Ropewalk",
                "4/4",
                "C",
                "Cmaj7 | Am7 D7 | Dm7 G7 | C C7 | Fmaj7 Fm6 | C/G A7 | D9 G13 | C6",
                ". | . | . | . | . | . | . | .")
            .withThumb(ThumbRoute.STEADY)
            .withPattern(pattern(BASS_ON_ONE_AND_THREE)));
    songs.put(
        "Quick Water",
        song(
            "Quick Water",
            "4/4",
            "G",
            "G | C D7 | G | Am7 D7 | Em | Bm7 C | G D7 | G",
            "g4 a b d5 g4 b d5 b4 | c5 b4 a g f# a d f# | g4 a b d5 g4 b d5 b4 | c5 a e c5 a f# d f# | e4 g b g e g b g | f# a b d5 c5 g4 e g | b4 d5 b4 g a f# d f# | g4 . . ."));
    songs.put(
        "Low Bridge",
        tuned(
            song(
                "Low Bridge",
                "4/4",
                "D",
                "D | D/C | G/B | Gm/Bb | D/A | A7 | D G | D",
                "f#5 . e d | e . d . | d . b4 d5 | d . bb4 . | a . f# a | g . e . | f# d g b | a . . ."),
            UsualTuning.DROP_D));
    return songs;
  }
}
