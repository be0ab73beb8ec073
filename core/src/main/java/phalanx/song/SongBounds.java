package phalanx.song;

import java.util.List;
import java.util.Optional;
import phalanx.melody.BarTune;
import phalanx.text.Phrase;

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
    longest("a title", title, LONGEST_NAME);
    longest("a composer’s name", credits.composer(), LONGEST_NAME);
    longest("an arranger’s name", credits.arranger(), LONGEST_NAME);
    chart(chart);
    words(words);
    most(
        "notes",
        tune.bars().values().stream().map(BarTune::notes).mapToInt(List::size).sum(),
        MOST_NOTES);
    Patterns patterns = picking.patterns();
    most(
        "patterns",
        patterns.sections().size() + patterns.bars().size() + patterns.slots().size(),
        MOST_PATTERNS);
    most(
        "strokes played otherwise",
        patterns.changed().values().stream().mapToInt(List::size).sum(),
        MOST_CHANGED);
    most(
        "pins",
        pins.shapes().size()
            + pins.frets().size()
            + pins.strings().size()
            + pins.damps().size()
            + pins.ringing().size()
            + pins.accepted().size(),
        MOST_PINS);
    pins.accepted().values().forEach(n -> longest("a note on a hard spot", n, LONGEST_NAME));
  }

  private static void words(Lyrics words) {
    most("lines of words", words.lines().size(), MOST_LINES);
    words.lines().forEach(l -> longest("a line of words", l, LONGEST_LINE));
    int signs = words.lines().stream().mapToInt(String::length).sum();
    for (BarLyrics bar : words.bars().values()) {
      most("verses under a bar", bar.verses().size(), BarLyrics.MOST_VERSES);
      for (List<BarLyrics.Piece> verse : bar.verses()) {
        verse.forEach(p -> longest("words under a bar", p.text(), LONGEST_LINE));
        signs += verse.stream().mapToInt(p -> p.text().length()).sum();
      }
    }
    most("signs of words", signs, MOST_TEXT);
  }

  private static void chart(Chart chart) {
    int bars = 0;
    int chords = 0;
    int unread = 0;
    most("sections", chart.sections().size(), MOST_BARS);
    for (Section section : chart.sections()) {
      longest("a section’s name", section.label(), LONGEST_NAME);
      bars += section.bars().size();
      for (Bar bar : section.bars()) {
        chords += bar.changes().size();
        unread += bar.changes().stream().mapToInt(c -> unread(c.harmony())).sum();
      }
    }
    most("bars", bars, MOST_BARS);
    most("chords", chords, MOST_CHORDS);
    most("signs of chords that cannot be read", unread, MOST_TEXT);
  }

  private static int unread(Harmony harmony) {
    Optional<String> text =
        harmony instanceof Harmony.Unread u ? Optional.of(u.text()) : Optional.empty();
    text.ifPresent(t -> longest("a chord", t, LONGEST_NAME));
    return text.map(String::length).orElse(0);
  }

  private static void longest(String what, String text, int most) {
    if (text.length() > most) {
      throw new TooLarge(Phrase.of("%s has %d signs at most", what, most));
    }
  }

  private static void most(String what, int found, int most) {
    if (found > most) {
      throw new TooLarge(
          Phrase.of("a song has %d %s at most, and this one has %d", most, what, found));
    }
  }
}
