package phalanx.formats.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import phalanx.formats.FileProblem;
import phalanx.formats.Texts;
import phalanx.song.Harmony;
import phalanx.song.SongBounds;
import phalanx.theory.Quoted;

/** Words with chords in square brackets, each before the syllable it comes on. */
public final class Bracketed {

  private Bracketed() {}

  /**
   * Reads a line.
   *
   * @param chord what a word in brackets means
   * @param problems takes what is in brackets and no chord
   */
  public static ChordedLine read(
      String line,
      int number,
      Function<String, Optional<Harmony>> chord,
      List<FileProblem> problems) {
    StringBuilder words = new StringBuilder();
    List<ChordedLine.At> chords = new ArrayList<>();
    int at = 0;
    while (at < line.length()) {
      int open = line.indexOf('[', at);
      int close = open < 0 ? -1 : line.indexOf(']', open);
      if (close < 0) {
        words.append(line.substring(at));
        break;
      }
      words.append(line, at, open);
      String symbol = line.substring(open + 1, close).strip();
      // A star marks what stands above the words and is no chord (ChordPro, annotations).
      if (!symbol.isEmpty() && !symbol.startsWith("*")) {
        int column = open + 2;
        Harmony harmony =
            chord
                .apply(symbol)
                .orElseGet(
                    () -> {
                      problems.add(
                          new FileProblem(
                              number,
                              column,
                              Texts.of("bracketed.expectedAChordFound", Quoted.of(symbol))));
                      return new Harmony.Unread(Quoted.start(symbol, SongBounds.LONGEST_NAME));
                    });
        chords.add(new ChordedLine.At(words.length(), harmony));
      }
      at = close + 1;
    }
    return new ChordedLine(chords, words.toString().stripTrailing());
  }
}
