package phalanx.embellishment;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.melody.Want;
import phalanx.text.Texts;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * A short run at a phrase's end, written by the degrees of its chord, so that it goes over any of
 * its kind.
 *
 * @param name what it is called
 * @param about what it does, in a few words
 * @param beats how long it is, quarters
 * @param lines its notes in each colour: as docs/tune.md writes them, with degrees for letters
 * @param over the kinds of chords it is written over
 * @throws IllegalArgumentException if it lasts not 1 to 8 beats, or lacks a colour
 */
public record Fill(
    String name, String about, int beats, Map<Colour, String> lines, Set<Kind> over) {

  /** Longest fill, quarters. */
  public static final int MOST_BEATS = 8;

  /** Which notes it uses where there is a choice. */
  public enum Colour {
    MAJOR,
    BLUESY;

    /** Its word in files. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Chords by what a fill has to agree with. */
  public enum Kind {
    MAJOR,
    SEVENTH,
    MINOR;

    /** Its word in files. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** The kind of a chord: by its third, then by a minor seventh; major where it has no third. */
    public static Kind of(Chord chord) {
      Set<Integer> above =
          chord.intervals().stream().map(Interval::semitones).collect(Collectors.toSet());
      boolean minor = above.contains(MINOR_THIRD) && !above.contains(MAJOR_THIRD);
      return minor ? MINOR : above.contains(MINOR_SEVENTH) ? SEVENTH : MAJOR;
    }
  }

  /** Where nothing is said. */
  public static final Set<Kind> USUALLY_OVER = Set.of(Kind.MAJOR, Kind.SEVENTH);

  private static final int MINOR_THIRD = 3;
  private static final int MAJOR_THIRD = 4;
  private static final int MINOR_SEVENTH = 10;
  private static final int OCTAVE = 12;
  private static final int MIDDLE_C = 60;
  private static final NoteName C = NoteName.parse("C").orElseThrow();

  /** A degree; what stands in brackets behind a note, and its string, are left. */
  private static final Pattern DEGREE =
      Pattern.compile("\\([^)]*\\)|@[1-6]|(bb|[b#]?)([1-7])('{0,2}|,{0,2})");

  public Fill {
    lines = new EnumMap<>(lines);
    over = Set.copyOf(over);
    if (beats < 1 || beats > MOST_BEATS || lines.size() < Colour.values().length) {
      throw new IllegalArgumentException("a fill has 1 to 8 beats and both colours");
    }
  }

  /** One over major chords and sevenths. */
  public Fill(String name, String about, int beats, Map<Colour, String> lines) {
    this(name, about, beats, lines, USUALLY_OVER);
  }

  /**
   * The colours that differ over a chord: a minor chord has its own third and seventh, so that
   * there is one (common practice, no source).
   */
  public static List<Colour> colours(Chord chord) {
    return Kind.of(chord) == Kind.MINOR ? List.of(Colour.BLUESY) : List.of(Colour.values());
  }

  /** Why it does not go over a chord; empty if it does. */
  public Optional<String> clash(Colour colour, Chord chord) {
    Kind kind = Kind.of(chord);
    if (kind == Kind.MAJOR && colour == Colour.MAJOR && has(colour, MINOR_SEVENTH)) {
      return Optional.of(Texts.of("fill.itsFlatSeventhMakes", chord));
    }
    if (over.contains(kind)) {
      return Optional.empty();
    }
    if (kind != Kind.MINOR) {
      return Optional.of(Texts.of("fill.itIsWrittenOver", words(over), chord));
    }
    return has(colour, MAJOR_THIRD)
        ? Optional.of(Texts.of("fill.itsMajorThirdGrates", chord))
        : Optional.empty();
  }

  private static String words(Set<Kind> kinds) {
    return kinds.stream()
        .sorted()
        .map(
            k ->
                k == Kind.SEVENTH
                    ? Texts.of("fill.seventhChords")
                    : Texts.of("fill.chords", k.word()))
        .collect(Collectors.joining(Texts.of("fill.or")));
  }

  private boolean has(Colour colour, int above) {
    return degrees(colour).stream().anyMatch(d -> Math.floorMod(d, OCTAVE) == above);
  }

  /** Its notes one after the other, semitones above the root. */
  public List<Integer> degrees(Colour colour) {
    return over(colour, MIDDLE_C, C).notes().stream()
        .flatMap(n -> n.wants().stream())
        .map(w -> ((Want.Sound) w).pitch().midi() - MIDDLE_C)
        .toList();
  }

  /**
   * How unlike another fill is: a degree more, less or other counts one, a quarter more or less
   * two.
   */
  public int unlike(Fill other, Colour colour) {
    return distance(degrees(colour), other.degrees(colour)) + 2 * Math.abs(beats - other.beats);
  }

  /** Levenshtein's distance. */
  private static int distance(List<Integer> a, List<Integer> b) {
    int[] before = IntStream.rangeClosed(0, b.size()).toArray();
    for (int i = 1; i <= a.size(); i++) {
      int[] now = new int[b.size() + 1];
      now[0] = i;
      for (int j = 1; j <= b.size(); j++) {
        int other = before[j - 1] + (a.get(i - 1).equals(b.get(j - 1)) ? 0 : 1);
        now[j] = Math.min(other, 1 + Math.min(before[j], now[j - 1]));
      }
      before = now;
    }
    return before[b.size()];
  }

  /** Its metre on its own. */
  public Meter meter() {
    return new Meter(beats, 4);
  }

  /**
   * Its notes over a chord, from the time it begins.
   *
   * @param root MIDI note of its first degree
   * @param name what that is called
   */
  public BarTune over(Colour colour, int root, NoteName name) {
    return read(colour, root, name).tune();
  }

  /** The same with what could not be read of it. */
  TuneReader.Result read(Colour colour, int root, NoteName name) {
    Matcher m = DEGREE.matcher(lines.get(colour));
    StringBuilder text = new StringBuilder();
    while (m.find()) {
      String word = m.group(2) == null ? m.group() : note(m, root, name);
      m.appendReplacement(text, Matcher.quoteReplacement(word));
    }
    return TuneReader.read(m.appendTail(text).toString(), meter());
  }

  private static String note(Matcher m, int root, NoteName tonic) {
    int degree = Integer.parseInt(m.group(2)) - 1;
    int shift = m.group(3).startsWith("'") ? m.group(3).length() : -m.group(3).length();
    int altered = m.group(1).startsWith("b") ? -m.group(1).length() : m.group(1).length();
    int midi = root + Mode.MAJOR.degree(degree).semitones() + altered + OCTAVE * shift;
    Mode mode = altered < 0 ? Mode.MINOR : Mode.MAJOR;
    NoteName name = new Key(tonic, mode).nameOf(Math.floorMod(midi, OCTAVE)).simplified();
    String letter = name.ascii();
    return letter.substring(0, 1).toLowerCase(Locale.ROOT)
        + letter.substring(1)
        + Pitch.of(midi, name).octave();
  }
}
