package phalanx.formats.text;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.song.Harmony;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

/** A word that stands for a chord: a symbol, or a degree of the song’s key. */
public final class ChordWord {

  private static final Pattern NO_CHORD = Pattern.compile("(?i)\\(?n\\.?\\s?c\\.?\\)?");

  /**
   * A degree in figures, as session players write it: {@code 1}, {@code 6m}, {@code b7}, {@code
   * 5/7}.
   */
  private static final Pattern FIGURE =
      Pattern.compile(
          "([b#♭♯]?)([1-7])(-|m|maj7|m7|7|°|o|dim|sus4|sus2|add9)?(?:/([b#♭♯]?)([1-7]))?");

  /** A degree in roman numerals, small where its third is minor. */
  private static final Pattern ROMAN =
      Pattern.compile(
          "([b#♭♯]?)(VII|III|IV|VI|II|V|I|vii|iii|iv|vi|ii|v|i)(maj7|m7b5|ø7?|°7?|dim7?|\\+|7|6|9|sus4|sus2|add9)?");

  private static final java.util.List<String> ROMANS =
      java.util.List.of("I", "II", "III", "IV", "V", "VI", "VII");

  /** No chord has a longer symbol; what is pasted may have. */
  private static final int LONGEST = 40;

  private ChordWord() {}

  /** The chord of a symbol such as {@code Am7} or {@code N.C.}; empty where it is none. */
  public static Optional<Harmony> symbol(String word) {
    if (word.length() > LONGEST) {
      return Optional.empty();
    }
    String bare = word.replaceAll("^[(\\[{]+|[)\\]},*]+$", "").replace("’", "'");
    bare = closed(word) ? word : bare;
    if (NO_CHORD.matcher(word).matches()) {
      return Optional.of(new Harmony.NoChord());
    }
    return ChordReader.read(bare) instanceof ChordReading.Read read
        ? Optional.of(new Harmony.Sounding(read.chord()))
        : Optional.empty();
  }

  /** Brackets that belong to the symbol, as in {@code C(add9)}. */
  private static boolean closed(String word) {
    return word.indexOf('(') > 0 && word.endsWith(")");
  }

  /** The chord of a degree in a key; empty where the word is none. */
  public static Optional<Harmony> degree(String word, Key key) {
    if (word.length() > LONGEST) {
      return Optional.empty();
    }
    Matcher figure = FIGURE.matcher(word);
    if (figure.matches()) {
      int degree = figure.group(2).charAt(0) - '1';
      String how = figure.group(3) == null ? "" : figure.group(3);
      String suffix =
          switch (how) {
            case "-", "m" -> "m";
            case "°", "o", "dim" -> "dim";
            default -> how;
          };
      if (how.isEmpty() && key.mode() != Mode.MAJOR && figure.group(1).isEmpty()) {
        suffix = own(key, degree);
      }
      String bass =
          figure.group(5) == null
              ? ""
              : "/" + root(key, figure.group(4), figure.group(5).charAt(0) - '1').ascii();
      return symbol(root(key, figure.group(1), degree).ascii() + suffix + bass);
    }
    Matcher roman = ROMAN.matcher(word);
    if (!roman.matches()) {
      return Optional.empty();
    }
    boolean minor = Character.isLowerCase(roman.group(2).charAt(0));
    int degree = ROMANS.indexOf(roman.group(2).toUpperCase(Locale.ROOT));
    String how = roman.group(3) == null ? "" : roman.group(3);
    String suffix =
        switch (how) {
          case "ø", "ø7", "m7b5" -> "m7b5";
          case "°", "dim" -> "dim";
          case "°7", "dim7" -> "dim7";
          case "+" -> "aug";
          default -> (minor ? "m" : "") + how;
        };
    return symbol(root(key, roman.group(1), degree).ascii() + suffix);
  }

  /** Figures alone mean the key’s own triads. */
  private static String own(Key key, int degree) {
    NoteName root = key.degree(degree);
    int third = Math.floorMod(key.degree((degree + 2) % 7).chroma() - root.chroma(), 12);
    int fifth = Math.floorMod(key.degree((degree + 4) % 7).chroma() - root.chroma(), 12);
    return third == 3 ? (fifth == 6 ? "dim" : "m") : "";
  }

  /** Degrees are counted in the key’s scale; a sign moves them by a semitone in the major one. */
  private static NoteName root(Key key, String sign, int degree) {
    if (sign.isEmpty()) {
      return key.degree(degree).simplified();
    }
    int by = sign.equals("b") || sign.equals("♭") ? -1 : 1;
    return key.tonic().plus(Interval.of(degree + 1, by)).simplified();
  }

  /** A chord as it is written in plain letters. */
  public static String ascii(Harmony harmony) {
    return harmony.sounding().map(Chord::ascii).orElse(harmony.label());
  }
}
