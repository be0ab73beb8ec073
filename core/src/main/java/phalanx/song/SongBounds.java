package phalanx.song;

import java.util.List;
import java.util.Optional;
import phalanx.melody.BarTune;
import phalanx.text.Texts;

/**
 * How large a song may be: far larger than any that is played, small enough that whatever is made
 * can be kept in a file and read from it again. The readers of files have more room than that.
 */
public final class SongBounds {

  /** Signs of a title, of a section’s name, of a chord that cannot be read. */
  public static final int LONGEST_NAME = 400;

  /** Lines of words. */
  public static final int MOST_LINES = 4_000;

  /** Signs of a line of words. */
  public static final int LONGEST_LINE = 1_000;

  /** Bars, those of sections that are like others included. */
  public static final int MOST_BARS = 4_000;

  /** Chords of all bars together. */
  public static final int MOST_CHORDS = 40_000;

  /** Notes of the tune. */
  static final int MOST_NOTES = 60_000;

  /** Patterns for sections, bars and chords, and single strokes that bars play otherwise. */
  public static final int MOST_PATTERNS = 1_000;

  public static final int MOST_CHANGED = 10_000;

  /** Pins, damping marks and accepted spots together. */
  public static final int MOST_PINS = 6_000;

  /** Signs of all words and all chords that cannot be read. */
  static final int MOST_TEXT = 1_000_000;

  private SongBounds() {}

  /** A song, or a part of one, is larger than can be kept; the message is for the player. */
  public static final class TooLarge extends IllegalArgumentException {
    private static final long serialVersionUID = 1;

    TooLarge(String message) {
      super(message);
    }
  }

  /**
   * Refuses what could not be kept.
   *
   * @throws TooLarge if a part of the song is beyond its bound
   */
  static void check(
      String title,
      Credits credits,
      PickingHand picking,
      Chart chart,
      Tune tune,
      Lyrics words,
      Pins pins) {
    longest(Texts.of("songBounds.aTitle"), title, LONGEST_NAME);
    longest(Texts.of("songBounds.aComposerSName"), credits.composer(), LONGEST_NAME);
    longest(Texts.of("songBounds.anArrangerSName"), credits.arranger(), LONGEST_NAME);
    chart(chart);
    words(words);
    most(
        Texts.of("songBounds.notes"),
        tune.bars().values().stream().map(BarTune::notes).mapToInt(List::size).sum(),
        MOST_NOTES);
    Patterns patterns = picking.patterns();
    most(
        Texts.of("songBounds.patterns"),
        patterns.sections().size() + patterns.bars().size() + patterns.slots().size(),
        MOST_PATTERNS);
    most(
        Texts.of("songBounds.strokesPlayedOtherwise"),
        patterns.changed().values().stream().mapToInt(List::size).sum(),
        MOST_CHANGED);
    most(
        Texts.of("songBounds.pins"),
        pins.shapes().size()
            + pins.frets().size()
            + pins.strings().size()
            + pins.damps().size()
            + pins.ringing().size()
            + pins.accepted().size(),
        MOST_PINS);
    pins.accepted()
        .values()
        .forEach(n -> longest(Texts.of("songBounds.aNoteOnA"), n, LONGEST_NAME));
  }

  private static void words(Lyrics words) {
    most(Texts.of("songBounds.linesOfWords"), words.lines().size(), MOST_LINES);
    words.lines().forEach(l -> longest(Texts.of("songBounds.aLineOfWords"), l, LONGEST_LINE));
    int signs = words.lines().stream().mapToInt(String::length).sum();
    for (BarLyrics bar : words.bars().values()) {
      most(Texts.of("songBounds.versesUnderABar"), bar.verses().size(), BarLyrics.MOST_VERSES);
      for (List<BarLyrics.Piece> verse : bar.verses()) {
        verse.forEach(p -> longest(Texts.of("songBounds.wordsUnderABar"), p.text(), LONGEST_LINE));
        signs += verse.stream().mapToInt(p -> p.text().length()).sum();
      }
    }
    most(Texts.of("songBounds.signsOfWords"), signs, MOST_TEXT);
  }

  private static void chart(Chart chart) {
    int bars = 0;
    int chords = 0;
    int unread = 0;
    most(Texts.of("songBounds.sections"), chart.sections().size(), MOST_BARS);
    for (Section section : chart.sections()) {
      longest(Texts.of("songBounds.aSectionSName"), section.label(), LONGEST_NAME);
      bars += section.bars().size();
      for (Bar bar : section.bars()) {
        chords += bar.changes().size();
        unread += bar.changes().stream().mapToInt(c -> unread(c.harmony())).sum();
      }
    }
    most(Texts.of("songBounds.bars"), bars, MOST_BARS);
    most(Texts.of("songBounds.chords"), chords, MOST_CHORDS);
    most(Texts.of("songBounds.signsOfChordsThat"), unread, MOST_TEXT);
  }

  private static int unread(Harmony harmony) {
    Optional<String> text =
        harmony instanceof Harmony.Unread u ? Optional.of(u.text()) : Optional.empty();
    text.ifPresent(t -> longest(Texts.of("songBounds.aChord"), t, LONGEST_NAME));
    return text.map(String::length).orElse(0);
  }

  private static void longest(String what, String text, int most) {
    if (text.length() > most) {
      throw new TooLarge(Texts.of("songBounds.hasSignsAtMost", what, most));
    }
  }

  private static void most(String what, int found, int most) {
    if (found > most) {
      throw new TooLarge(Texts.of("songBounds.aSongHasAt", most, what, found));
    }
  }
}
