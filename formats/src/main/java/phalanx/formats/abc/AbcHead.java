package phalanx.formats.abc;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.song.SongBounds;
import phalanx.theory.Key;
import phalanx.theory.Letter;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Quoted;
import phalanx.theory.Ticks;

/** What the fields before the notes say. */
final class AbcHead {

  private static final Pattern FRACTION = Pattern.compile("(\\d{1,4})/(\\d{1,4})");
  private static final Pattern TEMPO =
      Pattern.compile("(?:(\\d{1,3})/(\\d{1,3})[^=]{0,60}=)?\\s*(\\d{1,4}(?:\\.\\d{1,3})?)");
  private static final List<String> MODES =
      List.of("maj", "ion", "min", "aeo", "mix", "dor", "phr", "lyd", "loc");

  String title = "";
  String composer = "";
  Meter meter = Meter.FOUR_FOUR;
  Optional<Integer> unit = Optional.empty();
  Optional<Double> tempo = Optional.empty();
  Signed key = new Signed(Optional.empty(), Map.of(), false);
  AbcOctaves octaves = AbcOctaves.UNSAID;

  /**
   * A key as it is written.
   *
   * @param key the key; empty where none is meant
   * @param signs what its signature makes of each letter
   * @param doubtful whether something of it was not understood
   */
  record Signed(Optional<Key> key, Map<Letter, Integer> signs, boolean doubtful) {}

  void title(String value) {
    if (title.isEmpty()) {
      title = Quoted.start(value, SongBounds.LONGEST_NAME);
    }
  }

  /** The unit length where none is said: a sixteenth in a metre below three quarters. */
  int unitTicks() {
    boolean shortBars = meter.barTicks() < Ticks.PER_WHOLE * 3 / 4;
    return unit.orElse(shortBars ? Ticks.PER_WHOLE / 16 : Ticks.PER_WHOLE / 8);
  }

  static Optional<Meter> meter(String value) {
    String text = value.strip();
    if (text.equals("C")) {
      return Optional.of(Meter.FOUR_FOUR);
    } else if (text.equals("C|")) {
      return Optional.of(new Meter(2, 2));
    }
    Matcher sum =
        Pattern.compile("\\(?(\\d{1,2}(?:\\+\\d{1,2}){0,7})\\)?/(\\d{1,2})").matcher(text);
    if (!sum.matches()) {
      return Optional.empty();
    }
    int count = 0;
    for (String part : sum.group(1).split("\\+")) {
      count += Integer.parseInt(part);
    }
    return Meter.parse(count + "/" + sum.group(2));
  }

  /** A note length such as {@code 1/8} in ticks. */
  static Optional<Integer> length(String value) {
    Matcher m = FRACTION.matcher(value.strip());
    if (value.strip().equals("1")) {
      return Optional.of(Ticks.PER_WHOLE);
    }
    if (!m.matches() || Integer.parseInt(m.group(2)) == 0) {
      return Optional.empty();
    }
    long ticks =
        (long) Ticks.PER_WHOLE * Integer.parseInt(m.group(1)) / Integer.parseInt(m.group(2));
    return ticks < 1 || ticks > 4L * Ticks.PER_WHOLE ? Optional.empty() : Optional.of((int) ticks);
  }

  /** Quarter notes a minute; a number alone counts units, words between quotes are passed over. */
  Optional<Double> tempo(String value) {
    Matcher m = TEMPO.matcher(value.replaceAll("\"[^\"]*\"", "").strip());
    if (!m.matches()) {
      return Optional.empty();
    }
    double beats = Double.parseDouble(m.group(3));
    if (m.group(1) == null) {
      return Optional.of(beats * unitTicks() / Ticks.PER_QUARTER);
    }
    int under = Math.max(1, Integer.parseInt(m.group(2)));
    return Optional.of(beats * 4 * Integer.parseInt(m.group(1)) / under);
  }

  /** Reads what stands behind {@code K:}. */
  static Signed key(String value) {
    String text = withoutClef(value);
    if (text.isEmpty() || text.equalsIgnoreCase("none")) {
      return new Signed(Optional.empty(), Map.of(), false);
    } else if (text.startsWith("HP") || text.startsWith("Hp")) {
      Map<Letter, Integer> pipes = new TreeMap<>(Map.of(Letter.F, 1, Letter.C, 1));
      return new Signed(Key.parse("D"), pipes, false);
    }
    Optional<NoteName.Prefix> tonic = NoteName.atStartOf(text);
    if (tonic.isEmpty()) {
      return new Signed(Optional.empty(), Map.of(), true);
    }
    String rest = text.substring(tonic.get().length()).strip();
    String word = rest.split("[\\s^_=]", 2)[0].toLowerCase(Locale.ROOT);
    Mode mode = mode(word).orElse(Mode.MAJOR);
    boolean doubtful = mode(word).isEmpty() && !word.isEmpty();
    Key key = new Key(tonic.get().note(), mode);
    Map<Letter, Integer> signs = new TreeMap<>();
    for (int degree = 0; degree < Mode.DEGREES; degree++) {
      signs.put(key.degree(degree).letter(), key.degree(degree).alteration());
    }
    Matcher own = Pattern.compile("([\\^_=]{1,2})([a-gA-G])").matcher(rest);
    while (own.find()) {
      char sign = own.group(1).charAt(0);
      int by = sign == '=' ? 0 : (sign == '^' ? 1 : -1) * own.group(1).length();
      signs.put(Letter.valueOf(own.group(2).toUpperCase(Locale.ROOT)), by);
    }
    boolean playable = Math.abs(key.fifths()) <= 11;
    return new Signed(playable ? Optional.of(key) : Optional.empty(), signs, doubtful);
  }

  /** Whether a line {@code K:} is about the clef alone and leaves the key as it is. */
  static boolean isClefAlone(String value) {
    return !value.isBlank() && withoutClef(value).isEmpty();
  }

  private static String withoutClef(String value) {
    return value
        .replaceAll("\\b(?:clef|octave|middle|transpose|stafflines|staffscale)=\\S*", "")
        .replaceAll("\\b(?:treble|bass|alto|tenor|perc)\\S*", "")
        .strip();
  }

  private static Optional<Mode> mode(String word) {
    if (word.isEmpty()) {
      return Optional.of(Mode.MAJOR);
    } else if (word.equals("m")) {
      return Optional.of(Mode.MINOR);
    }
    int at = word.length() < 3 ? -1 : MODES.indexOf(word.substring(0, 3));
    return switch (at) {
      case 0, 1 -> Optional.of(Mode.MAJOR);
      case 2, 3 -> Optional.of(Mode.MINOR);
      case 4 -> Optional.of(Mode.MIXOLYDIAN);
      case 5 -> Optional.of(Mode.DORIAN);
      case 6 -> Optional.of(Mode.PHRYGIAN);
      case 7 -> Optional.of(Mode.LYDIAN);
      case 8 -> Optional.of(Mode.LOCRIAN);
      default -> Optional.empty();
    };
  }
}
