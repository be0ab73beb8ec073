package phalanx.theory;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A metre such as 4/4 or 6/8.
 *
 * @param count the upper number, 1 to 32
 * @param unit the lower number: 2, 4, 8 or 16
 * @throws IllegalArgumentException if it is no metre
 */
public record Meter(int count, int unit) {

  public static final Meter FOUR_FOUR = new Meter(4, 4);

  private static final Pattern TEXT = Pattern.compile("(\\d{1,2})/(\\d{1,2})");
  private static final int MOST_COUNTS = 32;

  /** The longest bar there can be, ticks: 32/2. */
  public static final int LONGEST_TICKS = MOST_COUNTS * Ticks.PER_WHOLE / 2;

  public Meter {
    if (count < 1 || count > MOST_COUNTS || !List.of(2, 4, 8, 16).contains(unit)) {
      throw new IllegalArgumentException("not a metre: " + count + "/" + unit);
    }
  }

  /** Reads {@code 6/8}; empty for anything that is no metre. */
  public static Optional<Meter> parse(String text) {
    Matcher m = TEXT.matcher(text.trim());
    try {
      return m.matches()
          ? Optional.of(new Meter(Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2))))
          : Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** Length of a bar in ticks. */
  public int barTicks() {
    return count * Ticks.PER_WHOLE / unit;
  }

  /** Whether the counts are felt in threes, as in 6/8 or 12/8. */
  public boolean isCompound() {
    return unit >= 8 && count > 3 && count % 3 == 0;
  }

  /** Length of a felt beat in ticks: a dotted quarter in 6/8. */
  public int beatTicks() {
    return Ticks.PER_WHOLE / unit * (isCompound() ? 3 : 1);
  }

  /** Felt beats in a bar. */
  public int beats() {
    return barTicks() / beatTicks();
  }

  /** What a player counts, with the place of each word in the bar. */
  public List<Syllable> syllables() {
    List<Syllable> words = new ArrayList<>();
    int step = Ticks.PER_WHOLE / unit;
    for (int n = 0; n < count; n++) {
      boolean onBeat = !isCompound() || n % 3 == 0;
      words.add(new Syllable(n * step, String.valueOf(n + 1), onBeat));
      if (unit <= 4) {
        words.add(new Syllable(n * step + step / 2, "&", false));
      }
    }
    return words;
  }

  /**
   * What a player counts on a finer grid: {@code 1 e & a} in fours, {@code 1 trip let} in threes
   * (common practice, no source). Places without a word of their own are left out.
   *
   * @param parts equal parts of a beat
   */
  public List<Syllable> syllables(int parts) {
    if (isCompound() || unit > 4 || parts != 3 && parts % 4 != 0) {
      return syllables();
    }
    List<String> between = parts == 3 ? List.of("trip", "let") : List.of("e", "&", "a");
    List<Syllable> words = new ArrayList<>();
    int beat = Ticks.PER_WHOLE / unit;
    for (int n = 0; n < count; n++) {
      words.add(new Syllable(n * beat, String.valueOf(n + 1), true));
      for (int k = 0; k < between.size(); k++) {
        int tick = n * beat + (k + 1) * beat / (between.size() + 1);
        words.add(new Syllable(tick, between.get(k), false));
      }
    }
    return words;
  }

  @Override
  public String toString() {
    return count + "/" + unit;
  }

  /**
   * One word of the count.
   *
   * @param tick its place in ticks from the start of the bar
   * @param word the number, or &amp; between numbers
   * @param onBeat whether it falls on a felt beat
   */
  public record Syllable(int tick, String word, boolean onBeat) {}
}
