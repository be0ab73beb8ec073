package phalanx.engraving;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a sheet shows and on which paper.
 *
 * @param kind what sort of sheet
 * @param paper the paper
 * @param landscape whether it lies on its long side
 * @param staff how high a staff of five lines is, points, 12 to 30
 * @param shows what stands in it
 * @param bars the written bars shown, from and to, counted from 1; empty for all
 */
public record SheetOptions(
    Kind kind, Paper paper, boolean landscape, double staff, Set<Show> shows, Optional<Bars> bars) {

  /** Lowest and highest staff, points. */
  public static final double SMALLEST = 12;

  public static final double LARGEST = 30;

  /** A staff of 6 mm, as much guitar music is printed (common practice, no source). */
  public static final double USUAL_STAFF = 17;

  /** Both staves on A4. */
  public static final SheetOptions USUAL =
      new SheetOptions(
          Kind.TAB,
          Paper.A4,
          false,
          USUAL_STAFF,
          EnumSet.of(Show.NOTATION, Show.TABLATURE, Show.LETTERS, Show.FINGERS, Show.WORDS),
          Optional.empty());

  public SheetOptions {
    staff = Math.max(SMALLEST, Math.min(LARGEST, staff));
    shows = Set.copyOf(shows);
  }

  /** A range of bars, both included. */
  public record Bars(int from, int to) {}

  /** The sorts of sheets. */
  public enum Kind {
    TAB(Texts.of("sheetOptions.tab")),
    CHART(Texts.of("sheetOptions.chart")),
    LEARN(Texts.of("sheetOptions.learnIt"));

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** What players call it. */
    public String words() {
      return words;
    }

    /** The kind with a short name on the command line. */
    public static Optional<Kind> named(String name) {
      return Stream.of(values())
          .filter(k -> k.name().toLowerCase(Locale.ROOT).equals(name.toLowerCase(Locale.ROOT)))
          .findFirst();
    }
  }

  /** What may stand in a sheet or not. */
  public enum Show {
    NOTATION(Texts.of("sheetOptions.notation")),
    TABLATURE(Texts.of("sheetOptions.tablature")),
    LETTERS(Texts.of("sheetOptions.pickingLetters")),
    COUNT(Texts.of("sheetOptions.count")),
    FINGERS(Texts.of("sheetOptions.fingering")),
    HOLDS(Texts.of("sheetOptions.holdChart")),
    NUMERALS(Texts.of("sheetOptions.romanNumerals")),
    WORDS(Texts.of("sheetOptions.words")),
    /** Pictures of shapes as a left-handed player sees them: the low string on the right. */
    LEFT_HANDED(Texts.of("sheetOptions.leftHanded"));

    private final String words;

    Show(String words) {
      this.words = words;
    }

    /** What players call it. */
    public String words() {
      return words;
    }
  }

  /** Whether something stands in the sheet. */
  public boolean has(Show show) {
    return shows.contains(show);
  }

  /** With or without something. */
  public SheetOptions with(Show show, boolean on) {
    List<Show> others = shows.stream().filter(s -> s != show).toList();
    Set<Show> now = new HashSet<>(others);
    if (on) {
      now.add(show);
    }
    return new SheetOptions(kind, paper, landscape, staff, now, bars);
  }

  /** As another kind. */
  public SheetOptions of(Kind other) {
    return new SheetOptions(other, paper, landscape, staff, shows, bars);
  }

  /** On other paper. */
  public SheetOptions on(Paper other, boolean lies) {
    return new SheetOptions(kind, other, lies, staff, shows, bars);
  }

  /** With a staff of another height, points. */
  public SheetOptions withStaff(double other) {
    return new SheetOptions(kind, paper, landscape, other, shows, bars);
  }

  /** Of some bars only. */
  public SheetOptions of(Optional<Bars> other) {
    return new SheetOptions(kind, paper, landscape, staff, shows, other);
  }
}
