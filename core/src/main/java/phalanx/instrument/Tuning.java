package phalanx.instrument;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.theory.NoteName;
import phalanx.theory.NoteNaming;
import phalanx.theory.Pitch;

/**
 * The pitches of six open strings.
 *
 * @param strings low to high: string ⑥ first
 * @throws IllegalArgumentException if there are not six strings, or one is out of range
 */
public record Tuning(List<Pitch> strings) {

  /** Strings on the guitar. */
  public static final int STRINGS = 6;

  private static final int[] STANDARD_MIDI = {40, 45, 50, 55, 59, 64};

  /**
   * How far a string may be from standard, semitones: basses with six strings lie an octave lower,
   * strings of half a twelve-string set an octave higher (common practice, no source).
   */
  private static final int FURTHEST = 12;

  /** A note among others in one word. */
  private static final Pattern TOGETHER = Pattern.compile("[A-H](?:is|es|s|[#♯b♭])?+\\d?+");

  /** E A D G B E. */
  public static final Tuning STANDARD = parse("E2 A2 D3 G3 B3 E4").orElseThrow();

  /** A string is taken to be tuned at most this many semitones from standard. */
  private static final int FURTHEST_FROM_STANDARD = 6;

  public Tuning {
    strings = List.copyOf(strings);
    if (strings.size() != STRINGS) {
      throw new IllegalArgumentException("six strings wanted, got " + strings.size());
    }
    for (int s = 0; s < STRINGS; s++) {
      int off = Math.abs(strings.get(s).midi() - STANDARD_MIDI[s]);
      if (off > FURTHEST) {
        throw new IllegalArgumentException("each string within an octave of standard tuning");
      }
    }
  }

  /**
   * Reads six notes, low to high, as {@code D A D G A D}, with octaves, or in one word as players
   * say it, {@code DADGAD}. A note without octave is the one nearest to that string in standard
   * tuning.
   *
   * @return the tuning; empty if the text is not six notes, each within an octave of standard
   */
  public static Optional<Tuning> parse(String text) {
    List<String> words = words(text);
    if (words.size() != STRINGS) {
      return Optional.empty();
    }
    List<Pitch> pitches = new ArrayList<>();
    for (int s = 0; s < STRINGS; s++) {
      Optional<Pitch> pitch = pitch(words.get(s), s);
      if (pitch.isEmpty()) {
        return Optional.empty();
      }
      pitches.add(pitch.get());
    }
    try {
      return Optional.of(new Tuning(pitches));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** The same, with notes as a player calls them. */
  public static Optional<Tuning> parse(String text, NoteNaming naming) {
    List<String> english = new ArrayList<>();
    for (String word : words(text)) {
      String octave = word.replaceFirst("^.*?(-?\\d?)$", "$1");
      String name = word.substring(0, word.length() - octave.length());
      english.add(naming.parse(name).map(NoteName::ascii).orElse("?") + octave);
    }
    return parse(String.join(" ", english));
  }

  /** Notes with something between them, or written together. */
  private static List<String> words(String text) {
    List<String> apart = List.of(text.strip().split("[\\s,;-]++"));
    if (apart.size() != 1) {
      return apart;
    }
    String word = apart.get(0);
    // In small letters alone a b is the note: nobody writes a flat so.
    boolean small = word.equals(word.toLowerCase(Locale.ROOT));
    String letters = small ? word.toUpperCase(Locale.ROOT) : word;
    List<String> notes = new ArrayList<>();
    int read = 0;
    Matcher note = TOGETHER.matcher(letters);
    while (note.lookingAt()) {
      notes.add(note.group());
      read = note.end();
      note.region(read, letters.length());
    }
    return read == letters.length() ? notes : List.of();
  }

  private static Optional<Pitch> pitch(String word, int string) {
    return Pitch.parse(word).or(() -> NoteName.parse(word).map(n -> nearStandard(n, string)));
  }

  private static Pitch nearStandard(NoteName name, int string) {
    int standard = STANDARD_MIDI[string];
    int up = Math.floorMod(name.chroma() - standard, 12);
    return Pitch.of(standard + (up > FURTHEST_FROM_STANDARD ? up - 12 : up), name);
  }

  /**
   * Whether two strings or more are tuned otherwise than in standard tuning, as a whole lower or
   * higher: such a tuning is chosen for its open strings (common practice, no source).
   */
  public boolean isOpen() {
    int[] count = new int[2 * FURTHEST + 1];
    int most = 0;
    for (int s = 0; s < STRINGS; s++) {
      int off = strings.get(s).midi() - STANDARD_MIDI[s] + FURTHEST;
      most = Math.max(most, ++count[off]);
    }
    return STRINGS - most >= 2;
  }

  /** MIDI number of an open string, 0 for ⑥ to 5 for ①. */
  public int midi(int string) {
    return strings.get(string).midi();
  }

  /** All six MIDI numbers, low to high. */
  public int[] midi() {
    return strings.stream().mapToInt(Pitch::midi).toArray();
  }

  /** The note names low to high, {@code E A D G B E}. */
  @Override
  public String toString() {
    return String.join(" ", strings.stream().map(p -> p.name().toString()).toList());
  }
}
