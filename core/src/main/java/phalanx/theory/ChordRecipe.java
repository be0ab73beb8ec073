package phalanx.theory;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import phalanx.text.Texts;

/**
 * The parts of a chord symbol gathered while it is read: triad, seventh, highest extension,
 * alterations, additions, omissions. Mutable, and private to one reading.
 */
final class ChordRecipe {

  private enum Third {
    MAJOR,
    MINOR,
    SECOND,
    FOURTH
  }

  private enum Seventh {
    NONE,
    MINOR,
    MAJOR,
    DIMINISHED
  }

  /** What the next number belongs to. */
  private enum Waiting {
    NONE,
    ALTERATION,
    ADDITION,
    OMISSION
  }

  private Third third = Third.MAJOR;
  private Seventh seventh = Seventh.NONE;
  private int fifthAlteration;
  private boolean diminished;
  private boolean augmented;
  private boolean power;
  private boolean majorAsked;
  private boolean altered;
  private boolean sixth;
  private int extension;
  private int sign;
  private boolean plusPending;
  private Waiting waiting = Waiting.NONE;
  private final TreeMap<Integer, TreeSet<Integer>> alterations = new TreeMap<>();
  private final TreeSet<Integer> additions = new TreeSet<>();
  private final TreeSet<Integer> omissions = new TreeSet<>();
  private Optional<String> fault = Optional.empty();

  /** Before or, as some write it, behind the seventh it makes major: C7M. */
  void major() {
    majorAsked = true;
    if (seventh == Seventh.MINOR) {
      seventh = Seventh.MAJOR;
    }
  }

  void majorSeventh() {
    majorAsked = true;
    seventh = Seventh.MAJOR;
    extension = Math.max(extension, 7);
  }

  void minor() {
    third = Third.MINOR;
  }

  /** A minus is minor right after the root, and a flat before a 5, 9 or 13 later on. */
  void minorOrFlat() {
    if (extension > 0) {
      alter(-1);
    } else {
      minor();
    }
  }

  void diminished() {
    third = Third.MINOR;
    fifthAlteration = -1;
    diminished = true;
  }

  void halfDiminished() {
    third = Third.MINOR;
    alteration(5, -1);
    seventh = Seventh.MINOR;
    extension = 7;
  }

  void augmented() {
    fifthAlteration = 1;
    augmented = true;
  }

  /** A plus is an augmented fifth, but after a seventh and before a number it is a sharp. */
  void augmentedOrSharp() {
    if (extension == 0) {
      augmented();
    } else {
      alter(1);
      plusPending = true;
    }
  }

  /** The altered dominant in its commonest form, ♯5 and ♯9 (common practice, no source). */
  void altered() {
    altered = true;
    seventh = Seventh.MINOR;
    extension = 7;
    fifthAlteration = 1;
    alteration(9, 1);
  }

  void suspended(int step) {
    third = step == 2 ? Third.SECOND : Third.FOURTH;
  }

  void add() {
    waiting = Waiting.ADDITION;
  }

  void omit() {
    waiting = Waiting.OMISSION;
  }

  void alter(int by) {
    sign = by;
    waiting = waiting == Waiting.ADDITION ? waiting : Waiting.ALTERATION;
  }

  boolean hasSixth() {
    return sixth;
  }

  void number(int n) {
    Waiting now = waiting;
    waiting = Waiting.NONE;
    plusPending = false;
    switch (now) {
      case ALTERATION -> alteration(n, sign);
      case ADDITION -> addition(n);
      case OMISSION -> omission(n);
      case NONE -> plain(n);
    }
    if (now != Waiting.NONE) {
      sign = 0;
    }
  }

  private void alteration(int n, int by) {
    boolean usual = n == 5 || n == 9 || n == 11 || n == 13 || n == 6;
    if (!usual) {
      fault = Optional.of(Texts.of("chordRecipe.orAfterTheAccidental"));
      return;
    }
    alterations.computeIfAbsent(n == 6 ? 13 : n, k -> new TreeSet<>()).add(by);
  }

  private void addition(int n) {
    int degree =
        switch (n) {
          case 2, 9 -> 9;
          case 4, 11 -> 11;
          case 6, 13 -> 13;
          default -> 0;
        };
    if (degree == 0) {
      fault = Optional.of(Texts.of("chordRecipe.orAfterAdd"));
    } else if (sign != 0) {
      alteration(degree, sign);
    } else {
      additions.add(degree);
    }
  }

  private void omission(int n) {
    if (n == 3 || n == 5) {
      omissions.add(n);
    } else {
      fault = Optional.of(Texts.of("chordRecipe.orAfterNo"));
    }
  }

  private void plain(int n) {
    switch (n) {
      case 2 -> suspended(2);
      case 4 -> suspended(4);
      case 5 -> power = true;
      case 6 -> sixth = true;
      case 69 -> {
        sixth = true;
        additions.add(9);
      }
      case 7, 9, 11, 13 -> extend(n);
      default -> fault = Optional.of(Texts.of("chordRecipe.or"));
    }
  }

  private void extend(int n) {
    if (sixth && n == 9) {
      additions.add(9);
      return;
    }
    extension = Math.max(extension, n);
    if (majorAsked) {
      seventh = Seventh.MAJOR;
    } else if (diminished) {
      seventh = Seventh.DIMINISHED;
    } else if (seventh == Seventh.NONE) {
      seventh = Seventh.MINOR;
    }
  }

  /** What is wrong with the mark just read, as what was expected in its place. */
  Optional<String> fault() {
    return fault;
  }

  /** Ends the symbol; says what is still missing. */
  Optional<String> close() {
    if (waiting == Waiting.ALTERATION && plusPending) {
      augmented();
      return Optional.empty();
    }
    return switch (waiting) {
      case NONE -> Optional.empty();
      case ALTERATION -> Optional.of(Texts.of("chordRecipe.orAfterTheAccidental"));
      case ADDITION -> Optional.of(Texts.of("chordRecipe.orAfterAdd"));
      case OMISSION -> Optional.of(Texts.of("chordRecipe.orAfterNo"));
    };
  }

  /** The chord's tones, ascending by number. */
  List<ChordTone> tones() {
    List<ChordTone> tones = new ArrayList<>();
    tones.add(new ChordTone(Interval.UNISON, true));
    addThird(tones);
    addFifth(tones);
    if (sixth) {
      tones.add(new ChordTone(Interval.of(6, 0), true));
    }
    addSeventh(tones);
    addExtensions(tones);
    tones.sort(Comparator.comparing(ChordTone::interval));
    return tones;
  }

  private void addThird(List<ChordTone> tones) {
    // A dominant eleventh leaves out the third, which would grate against it.
    boolean eleventh =
        extension == 11 && seventh == Seventh.MINOR && third == Third.MAJOR && !majorAsked;
    if (power || eleventh || omissions.contains(3)) {
      return;
    }
    switch (third) {
      case MAJOR -> tones.add(new ChordTone(Interval.of(3, 0), true));
      case MINOR -> tones.add(new ChordTone(Interval.of(3, -1), true));
      case SECOND -> tones.add(new ChordTone(Interval.of(2, 0), true));
      case FOURTH -> tones.add(new ChordTone(Interval.of(4, 0), true));
    }
  }

  private void addFifth(List<ChordTone> tones) {
    if (alterations.containsKey(5)) {
      alterations.get(5).forEach(a -> tones.add(new ChordTone(Interval.of(5, a), true)));
    } else if (fifthAlteration != 0) {
      tones.add(new ChordTone(Interval.of(5, fifthAlteration), true));
    } else if (!omissions.contains(5) && !flatThirteenth()) {
      tones.add(new ChordTone(Interval.of(5, 0), power));
    }
  }

  /** A flat thirteenth is the same key as a sharp fifth and takes the plain fifth's place. */
  private boolean flatThirteenth() {
    return alterations.containsKey(13) && alterations.get(13).contains(-1);
  }

  private void addSeventh(List<ChordTone> tones) {
    switch (seventh) {
      case NONE -> {}
      case MINOR -> tones.add(new ChordTone(Interval.of(7, -1), true));
      case MAJOR -> tones.add(new ChordTone(Interval.of(7, 0), true));
      case DIMINISHED -> tones.add(new ChordTone(Interval.of(7, -2), true));
    }
  }

  private void addExtensions(List<ChordTone> tones) {
    for (int degree : new int[] {9, 11, 13}) {
      if (alterations.containsKey(degree)) {
        for (int a : alterations.get(degree)) {
          tones.add(new ChordTone(Interval.of(degree, a), true));
        }
      } else if (additions.contains(degree) || extension == degree) {
        // Six strings seldom hold the ninth below a named ♯11 as well.
        boolean top = additions.contains(degree) || alterations.tailMap(degree, false).isEmpty();
        tones.add(new ChordTone(Interval.of(degree, 0), top));
      } else if (extension > degree && degree == 9) {
        tones.add(new ChordTone(Interval.of(9, 0), false));
      }
    }
  }

  /** The canonical suffix in plain characters. */
  String suffix() {
    if (altered) {
      return "7alt";
    }
    if (power) {
      return "5";
    }
    StringBuilder s = new StringBuilder();
    boolean sharpFifthInSeventh = augmented && extension > 0;
    if (diminished) {
      s.append("dim");
    } else if (third == Third.MINOR) {
      s.append('m');
    } else if (augmented && !sharpFifthInSeventh) {
      s.append("aug");
    }
    s.append(numberText());
    if (third == Third.SECOND) {
      s.append("sus2");
    } else if (third == Third.FOURTH) {
      s.append("sus4");
    }
    appendChanges(s, sharpFifthInSeventh);
    return s.toString();
  }

  private String numberText() {
    if (sixth) {
      return additions.contains(9) ? "6/9" : "6";
    }
    if (extension == 0) {
      return "";
    }
    String major = third == Third.MINOR ? "Maj" : "maj";
    return (seventh == Seventh.MAJOR ? major : "") + extension;
  }

  private void appendChanges(StringBuilder s, boolean sharpFifth) {
    if (sharpFifth && !alterations.containsKey(5)) {
      s.append("#5");
    }
    StringBuilder changes = new StringBuilder();
    alterations.forEach(
        (degree, by) -> by.forEach(a -> changes.append(a < 0 ? 'b' : '#').append(degree)));
    // Straight after a root, b5 would read as a flat root: Cb5 is brackets' work.
    boolean ambiguous = s.length() == 0 && changes.length() > 0;
    s.append(ambiguous ? "(" + changes + ")" : changes);
    additions.stream().filter(d -> !(sixth && d == 9)).forEach(d -> s.append("add").append(d));
    omissions.forEach(d -> s.append("no").append(d));
  }
}
