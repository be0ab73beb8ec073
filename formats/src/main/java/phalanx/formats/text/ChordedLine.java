package phalanx.formats.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import phalanx.song.Harmony;
import phalanx.song.SongBounds;
import phalanx.theory.Quoted;

/**
 * A line of words with chords in it.
 *
 * @param chords the chords by place
 * @param words the words without them
 * @param times how often the line is played
 */
public record ChordedLine(List<At> chords, String words, int times) {

  /** A line that is played once. */
  public ChordedLine(List<At> chords, String words) {
    this(chords, words, 1);
  }

  /**
   * A chord and where in the words it stands.
   *
   * @param place signs of the words before it; beyond their end where the chord comes later
   */
  public record At(int place, Harmony harmony) {
    private At place(int other) {
      return other == place ? this : new At(other, harmony);
    }
  }

  public ChordedLine {
    String text = words;
    // No letter is cut in two, not even one that Java counts as two signs.
    chords = chords.stream().map(c -> c.place(letter(text, c.place()))).toList();
  }

  private static int letter(String words, int place) {
    boolean within =
        place > 0 && place < words.length() && Character.isLowSurrogate(words.charAt(place));
    return within ? place - 1 : place;
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
   * Chords that stand above their words, which are rarely placed to the sign: one that would part a
   * word where no syllable begins belongs to that word or comes behind it.
   */
  static ChordedLine above(List<At> chords, String words, int times) {
    List<At> moved = new ArrayList<>();
    for (At at : chords) {
      int place = syllable(words, at.place());
      boolean later = moved.isEmpty() || place > moved.get(moved.size() - 1).place();
      moved.add(later ? new At(place, at.harmony()) : at);
    }
    return new ChordedLine(moved, words, times);
  }

  /** The place itself where both halves of the word have a vowel, else an end of the word. */
  private static int syllable(String words, int place) {
    if (!new ChordedLine(List.of(), words).parts(place)) {
      return place;
    }
    int from = place;
    while (from > 0 && Character.isLetter(words.charAt(from - 1))) {
      from--;
    }
    int to = place;
    while (to < words.length() && Character.isLetter(words.charAt(to))) {
      to++;
    }
    int behind = to;
    while (behind < words.length() && !Character.isWhitespace(words.charAt(behind))) {
      behind++;
    }
    if (!hasVowel(words.substring(from, place))) {
      return from;
    }
    boolean ends = to - place < 2 || !hasVowel(words.substring(place, to));
    return ends ? behind : place;
  }

  private static boolean hasVowel(String letters) {
    // Letters beyond ASCII may be vowels of any language.
    return letters
        .toLowerCase(Locale.ROOT)
        .chars()
        .anyMatch(c -> c > 127 || "aeiouy".indexOf(c) >= 0);
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
