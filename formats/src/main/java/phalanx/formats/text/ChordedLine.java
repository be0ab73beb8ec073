package phalanx.formats.text;

import java.util.ArrayList;
import java.util.List;
import phalanx.song.Harmony;
import phalanx.song.SongBounds;
import phalanx.theory.Quoted;

/**
 * A line of words with chords in it.
 *
 * @param chords the chords by place
 * @param words the words without them
 */
public record ChordedLine(List<At> chords, String words) {

  /**
   * A chord and where in the words it stands.
   *
   * @param place signs of the words before it; beyond their end where the chord comes later
   */
  public record At(int place, Harmony harmony) {}

  public ChordedLine {
    chords = List.copyOf(chords);
  }

  /** Whether there are words, not only chords. */
  boolean isSung() {
    return !words.isBlank();
  }

  /** The words before the first chord. */
  String lead() {
    int to = chords.isEmpty() ? 0 : Math.min(words.length(), chords.get(0).place());
    return Quoted.start(words.substring(0, to).strip(), SongBounds.LONGEST_LINE);
  }

  /**
   * The words from one chord to the next; with the first those before it as well. A word that a
   * chord parts has a hyphen there, as under notes.
   */
  public List<String> pieces() {
    List<String> pieces = new ArrayList<>();
    for (int c = 0; c < chords.size(); c++) {
      int from = c == 0 ? 0 : Math.min(words.length(), chords.get(c).place());
      int to =
          c + 1 < chords.size()
              ? Math.min(words.length(), chords.get(c + 1).place())
              : words.length();
      String piece = words.substring(Math.min(from, to), to).strip();
      pieces.add(Quoted.start(piece, SongBounds.LONGEST_LINE) + (parts(to) ? "-" : ""));
    }
    return pieces;
  }

  private boolean parts(int place) {
    return place > 0
        && place < words.length()
        && Character.isLetter(words.charAt(place - 1))
        && Character.isLetter(words.charAt(place));
  }

  /**
   * Chords that stand above their words, which are rarely placed to the sign: one above the second
   * or the last letter of a word belongs to that word or to the next.
   */
  static ChordedLine above(List<At> chords, String words) {
    List<At> moved = new ArrayList<>();
    for (At at : chords) {
      int place = at.place();
      ChordedLine line = new ChordedLine(List.of(), words);
      if (line.parts(place) && !line.parts(place - 1)) {
        place--;
      } else if (line.parts(place) && !line.parts(place + 1) && place + 2 < words.length()) {
        place += 2;
      }
      boolean later = moved.isEmpty() || place > moved.get(moved.size() - 1).place();
      moved.add(later ? new At(place, at.harmony()) : at);
    }
    return new ChordedLine(moved, words);
  }

  /** How many signs each chord has to itself. */
  public List<Integer> gaps() {
    List<Integer> gaps = new ArrayList<>();
    for (int c = 0; c + 1 < chords.size(); c++) {
      gaps.add(Math.max(0, chords.get(c + 1).place() - chords.get(c).place()));
    }
    if (!chords.isEmpty()) {
      gaps.add(Math.max(0, words.length() - chords.get(chords.size() - 1).place()));
    }
    return gaps;
  }
}
