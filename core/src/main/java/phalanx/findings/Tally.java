package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import phalanx.text.Phrase;
import phalanx.text.Texts;

/**
 * How many findings there are of each grade.
 *
 * @param cannot that cannot be done
 * @param heard that will be heard
 * @param notes that are worth knowing
 */
public record Tally(int cannot, int heard, int notes) implements Comparable<Tally> {

  /** Counts findings. */
  public static Tally of(List<Found> findings) {
    return new Tally(
        count(findings, Grade.CANNOT), count(findings, Grade.HEARD), count(findings, Grade.NOTE));
  }

  private static int count(List<Found> findings, Grade grade) {
    return (int) findings.stream().filter(f -> f.finding().grade() == grade).count();
  }

  /** Those the player has to do something about. */
  public int hard() {
    return cannot + heard;
  }

  /** All of them. */
  public int all() {
    return hard() + notes;
  }

  /**
   * In a sentence: {@code 1 cannot be done, 3 will be heard}; what is worth knowing is left out.
   */
  public String words() {
    List<String> parts = new ArrayList<>();
    if (cannot > 0) {
      parts.add(Phrase.of("%d %s", cannot, Grade.CANNOT.words()));
    }
    if (heard > 0) {
      parts.add(Phrase.of("%d %s", heard, Grade.HEARD.words()));
    }
    return parts.isEmpty() ? Texts.of("tally.nothingIsHard") : String.join(", ", parts);
  }

  /** The fewer of the worst kind the less; with as many of it, the next kind counts. */
  @Override
  public int compareTo(Tally other) {
    return cannot != other.cannot
        ? Integer.compare(cannot, other.cannot)
        : heard != other.heard
            ? Integer.compare(heard, other.heard)
            : Integer.compare(notes, other.notes);
  }
}
