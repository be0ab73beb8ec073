package phalanx.arrangement.tune;

import java.util.Comparator;
import java.util.stream.IntStream;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.technique.TechniqueText;

/**
 * In which octave a tune lies at hand: on the neck below fret 7 of string ①, where the shapes of
 * chords are, and not among the strings of the thumb (common practice, no source). A tune typed as
 * it is sung often lies an octave too high.
 */
public final class TuneOctave {

  /** From this fret of ① on the hand has to leave most shapes. */
  public static final int HIGH_FRET = 7;

  /** The lowest string a tune still goes along well with a thumb below it: ④. */
  private static final int LOW_STRING = 2;

  private static final int OCTAVE = 12;

  /** Of so many notes one may lie away without a word. */
  private static final int ONE_IN = 4;

  private TuneOctave() {}

  /** How many notes a tune of pitches has; those at places of their own are not counted. */
  public static int notes(Song song) {
    return tops(song).length;
  }

  /**
   * How many notes of the tune lie away from the hand.
   *
   * @param octaves how far it is moved, octaves
   */
  public static int away(Song song, int octaves) {
    return away(tops(song), song.guitar(), octaves);
  }

  private static int away(int[] tops, Guitar guitar, int octaves) {
    int high = guitar.shapeMidi(Tuning.STRINGS - 1, HIGH_FRET);
    int low = guitar.shapeMidi(LOW_STRING, 0);
    int away = 0;
    for (int top : tops) {
      int midi = top + OCTAVE * octaves;
      away += midi >= high || midi < low ? 1 : 0;
    }
    return away;
  }

  /**
   * Whether nearly all of the tune lies at hand, and all of it on the neck.
   *
   * @param octaves how far it is moved, octaves
   */
  public static boolean isAtHand(Song song, int octaves) {
    return isAtHand(tops(song), song.guitar(), octaves);
  }

  private static boolean isAtHand(int[] tops, Guitar guitar, int octaves) {
    return isOnNeck(tops, guitar, octaves) && away(tops, guitar, octaves) * ONE_IN <= tops.length;
  }

  /**
   * Octaves to move the tune so that it lies at hand; 0 where it does, or nothing better is. What
   * the neck has not is never better.
   */
  public static int best(Song song) {
    int[] tops = tops(song);
    Guitar guitar = song.guitar();
    if (isAtHand(tops, guitar, 0)) {
      return 0;
    }
    int now = away(tops, guitar, 0);
    boolean onNeck = isOnNeck(tops, guitar, 0);
    return IntStream.of(-1, 1, -2, 2)
        .filter(by -> isOnNeck(tops, guitar, by) && (!onNeck || 2 * away(tops, guitar, by) <= now))
        .boxed()
        .min(Comparator.comparing(by -> away(tops, guitar, by)))
        .orElse(0);
  }

  /**
   * Whether the neck has every note of the tune.
   *
   * @param octaves how far it is moved, octaves
   */
  public static boolean isOnNeck(Song song, int octaves) {
    return isOnNeck(tops(song), song.guitar(), octaves);
  }

  private static boolean isOnNeck(int[] tops, Guitar guitar, int octaves) {
    int highest = guitar.shapeMidi(Tuning.STRINGS - 1, guitar.frets() - guitar.capo());
    int lowest = guitar.shapeMidi(0, 0);
    for (int top : tops) {
      int midi = top + OCTAVE * octaves;
      if (midi < lowest || midi > highest) {
        return false;
      }
    }
    return true;
  }

  /** The highest pitch of each note, as MIDI counts them from the capo. */
  private static int[] tops(Song song) {
    return song.tune().bars().values().stream()
        .flatMap(bar -> bar.notes().stream())
        .flatMapToInt(TuneOctave::top)
        .toArray();
  }

  private static IntStream top(TuneNote note) {
    // A harmonic lies where its node is, whatever its pitch.
    boolean touched = note.techniques().stream().anyMatch(TechniqueText::isHarmonic);
    return touched ? IntStream.empty() : fretted(note);
  }

  private static IntStream fretted(TuneNote note) {
    return note.wants().stream()
        .flatMapToInt(
            w -> w instanceof Want.Sound s ? IntStream.of(s.pitch().midi()) : IntStream.empty())
        .max()
        .stream();
  }
}
