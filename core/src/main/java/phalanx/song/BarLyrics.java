package phalanx.song;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The words under one bar, a verse for each time it is sung.
 *
 * @param verses the verses in order; one that has nothing here is empty
 * @throws IllegalArgumentException if the pieces of a verse are out of order
 */
public record BarLyrics(List<List<Piece>> verses) {

  public static final BarLyrics NONE = new BarLyrics(List.of());

  /** Verses that fit under a bar. */
  public static final int MOST_VERSES = 16;

  private static final String PIECES = "|";
  private static final String VERSES = "//";

  /**
   * Words that begin together.
   *
   * @param tick where in the bar, 0 or more
   * @param text the words
   */
  public record Piece(int tick, String text) {
    public Piece {
      text = text.strip();
      if (tick < 0) {
        throw new IllegalArgumentException("words before their bar: " + tick);
      }
    }
  }

  public BarLyrics {
    List<List<Piece>> kept = new ArrayList<>();
    for (List<Piece> verse : verses) {
      for (int p = 1; p < verse.size(); p++) {
        if (verse.get(p).tick() <= verse.get(p - 1).tick()) {
          throw new IllegalArgumentException("words out of order in a bar");
        }
      }
      kept.add(verse.stream().filter(p -> !p.text().isEmpty()).toList());
    }
    while (!kept.isEmpty() && kept.get(kept.size() - 1).isEmpty()) {
      kept.remove(kept.size() - 1);
    }
    verses = List.copyOf(kept);
  }

  /** Words from the start of a bar. */
  public static BarLyrics of(String text) {
    return new BarLyrics(List.of(List.of(new Piece(0, text))));
  }

  /** Whether nothing stands under the bar. */
  public boolean isEmpty() {
    return verses.isEmpty();
  }

  /**
   * Reads what a player types: words, a stroke before those of the next chord, two slashes before
   * the next verse.
   *
   * @param ticks where in the bar its chords begin
   * @param barTicks how long the bar is
   */
  public static BarLyrics read(String typed, List<Integer> ticks, int barTicks) {
    List<List<Piece>> verses = new ArrayList<>();
    for (String verse : typed.split(VERSES, MOST_VERSES)) {
      List<Piece> pieces = new ArrayList<>();
      String[] parts = verse.split("\\|", -1);
      for (int p = 0; p < parts.length; p++) {
        int last = pieces.isEmpty() ? -1 : pieces.get(pieces.size() - 1).tick();
        int at = p < ticks.size() ? ticks.get(p) : p * barTicks / parts.length;
        at = p == 0 ? 0 : Math.max(at, last + 1);
        if (!parts[p].isBlank()) {
          pieces.add(new Piece(at, parts[p]));
        }
      }
      verses.add(pieces);
    }
    return new BarLyrics(verses);
  }

  /** The words as {@link #read} takes them. */
  public String typed(List<Integer> ticks) {
    return verses.stream()
        .map(v -> verse(v, ticks))
        .collect(Collectors.joining(" " + VERSES + " "));
  }

  private static String verse(List<Piece> verse, List<Integer> ticks) {
    StringBuilder typed = new StringBuilder();
    int chord = 0;
    for (Piece piece : verse) {
      while (chord + 1 < ticks.size() && ticks.get(chord + 1) <= piece.tick()) {
        chord++;
        typed.append(typed.isEmpty() ? PIECES : " " + PIECES);
      }
      if (!typed.isEmpty()) {
        typed.append(' ');
      }
      typed.append(piece.text());
    }
    return typed.toString();
  }

  /** The words of a verse in a row. */
  public String verse(int number) {
    return number < verses.size()
        ? verses.get(number).stream().map(Piece::text).collect(Collectors.joining(" "))
        : "";
  }
}
