package phalanx.song;

import java.util.LinkedHashMap;
import java.util.Map;
import phalanx.instrument.UsualTuning;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.ThumbRoute;
import phalanx.theory.Key;

/**
 * Twelve songs of our own as players bring them: common chords, tunes within reach, keys, tempos,
 * patterns and tunings of all kinds. None was written to be easy or hard.
 */
public final class OwnSongs {

  private OwnSongs() {}

  /** The songs by name. */
  public static Map<String, Song> all() {
    Map<String, Song> songs = new LinkedHashMap<>();
    songs.put("Gravel Lane", gravelLane());
    songs.put("Copper Kettle Morning", copperKettleMorning());
    songs.put("Two Ferries", twoFerries());
    songs.put("Barley Stair", barleyStair());
    songs.put("Winter Wheel", winterWheel());
    songs.put("Ash Tree Ballad", ashTreeBallad());
    songs.put("Blue Shutters", blueShutters());
    songs.put("Night Tram", nightTram());
    songs.put("Pebble Song", pebbleSong());
    songs.put("Long Pier", longPier());
    songs.put("Heron", heron());
    songs.put("Kitchen Swing", kitchenSwing());
    return songs;
  }

  private static Song named(String title, String key, double tempo, Song song) {
    return song.withTitle(title).withKey(Key.parse(key)).withTempo(tempo);
  }

  private static Song gravelLane() {
    Song song = TestSongs.of("G D/F# | Em7 C | G D | C G", "Am7 C | G D/F# | Em C | D7 G");
    return named(
            "Gravel Lane",
            "G",
            96,
            TestSongs.singing(
                song,
                "b4 . a g",
                "e4 g g .",
                "b4 d5 a4 .",
                "g4 e g .",
                "c5 . b4 a",
                "b4 g a .",
                "g4 . e g",
                "a4 f# g ."))
        .withPattern(AlternatingThumb.FINGERS_BETWEEN);
  }

  private static Song copperKettleMorning() {
    return named(
        "Copper Kettle Morning",
        "C",
        112,
        TestSongs.of("C | Am7 | Dm7 | G7", "F | Fm | C/E A7 | Dm7 G7 | C"));
  }

  private static Song twoFerries() {
    Song song = TestSongs.of("D | A/C# | Bm | F#m", "G | D/F# | Em7 | A7sus4 A7");
    return named(
        "Two Ferries",
        "D",
        84,
        TestSongs.singing(
            song,
            "a4 . d5 .",
            "c#5 . a4 .",
            "b4 . d5 c#",
            "a4 . . .",
            "b4 . g .",
            "a4 . f# .",
            "g4 f# e .",
            "e4 . d c#"));
  }

  private static Song barleyStair() {
    return named(
            "Barley Stair",
            "A",
            120,
            TestSongs.of("A E/G# | F#m D | A/C# D | E7 A", "Bm7 E | A F#m | D Dm | A"))
        .withThumb(ThumbRoute.WALKING);
  }

  private static Song winterWheel() {
    Song song = TestSongs.of("Em | Em/D | Cmaj7 | B7", "G | D/F# | Am7 | B7 Em");
    return named(
        "Winter Wheel",
        "Em",
        72,
        TestSongs.singing(
            song,
            "e4 g b .",
            "b4 . a g",
            "g4 . e g",
            "f#4 . d# .",
            "b4 d5 b4 .",
            "a4 . f# .",
            "c5 b4 a g",
            "f#4 . e ."));
  }

  private static Song ashTreeBallad() {
    Song song = TestSongs.of("F | C/E | Dm | Bb", "F/A | Gm7 | C7 | F");
    return named(
        "Ash Tree Ballad",
        "F",
        66,
        TestSongs.singing(
            song,
            "a4 . c5 .",
            "g4 . e .",
            "f4 a a .",
            "bb4 . a g",
            "a4 c5 f .",
            "d5 . bb4 .",
            "g4 . bb .",
            "a4 . . ."));
  }

  private static Song blueShutters() {
    return named(
        "Blue Shutters", "E", 108, TestSongs.of("E | G#m | A | B7", "C#m | A | F#m7 B7 | E"));
  }

  private static Song nightTram() {
    return named(
        "Night Tram",
        "Bb",
        100,
        TestSongs.of(
            "Bbmaj7 Gm7 | Cm7 F7 | Dm7 G7 | Cm7 F7", "Ebmaj7 | Ebm6 | Bb/D G7 | C7 F7 | Bb6"));
  }

  private static Song pebbleSong() {
    Song song = TestSongs.of("D | G | A | D", "Bm | G | Em | A");
    return named(
        "Pebble Song",
        "D",
        92,
        TestSongs.singing(
            song.withGuitar(song.guitar().withTuning(UsualTuning.DROP_D.tuning())),
            "f#4 . a .",
            "b4 a g .",
            "a4 c#5 e .",
            "d5 . a4 .",
            "d5 . b4 .",
            "b4 . g .",
            "g4 e g .",
            "a4 . . ."));
  }

  private static Song longPier() {
    Song song = TestSongs.of("D | G/D | Bm7 | A", "Em7 | G | Asus4 A | D");
    return named(
        "Long Pier",
        "D",
        88,
        song.withGuitar(song.guitar().withTuning(UsualTuning.DADGAD.tuning())));
  }

  private static Song heron() {
    Song song = TestSongs.of("Am | E7/G# | Gm6 | D/F#", "F | C/E | Dm6 E7 | Am");
    return named(
        "Heron",
        "Am",
        76,
        TestSongs.singing(
            song.withGuitar(song.guitar().withCapo(2)),
            "c5 . b4 a",
            "b4 . g# .",
            "bb4 . g .",
            "a4 . f# .",
            "a4 . f .",
            "g4 . e .",
            "f4 . e d",
            "c4 e a ."));
  }

  private static Song kitchenSwing() {
    return named(
            "Kitchen Swing",
            "C",
            132,
            TestSongs.of(
                "C C#dim7 | Dm7 G7 | Em7 A7 | Dm7 G7", "C7 | F F#dim7 | C/G A7 | D9 G13 | C6"))
        .withThumb(ThumbRoute.STEADY);
  }
}
