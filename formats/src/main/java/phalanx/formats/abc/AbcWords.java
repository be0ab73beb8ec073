package phalanx.formats.abc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.formats.imported.ImportedBar;
import phalanx.song.BarLyrics;
import phalanx.song.SongBounds;
import phalanx.theory.Quoted;

/** The syllables that stand under the notes of a line. */
final class AbcWords {

  private static final Pattern SYLLABLE = Pattern.compile("\\||\\*|_|[^\\s|*_-]+-?|-");

  private List<NotePlace> lineNotes = new ArrayList<>();
  private int verse;

  /** A note that a syllable may stand under. */
  private record NotePlace(ImportedBar bar, int tick) {}

  /** Another line of notes begins. */
  void begin() {
    lineNotes = new ArrayList<>();
    verse = 0;
  }

  /** A note is struck. */
  void struck(ImportedBar bar, int tick) {
    lineNotes.add(new NotePlace(bar, tick));
  }

  /** Syllables under the notes of the line before. */
  void words(String line) {
    if (verse >= BarLyrics.MOST_VERSES) {
      return;
    }
    Map<ImportedBar, StringBuilder> byBar = new HashMap<>();
    Map<ImportedBar, Integer> from = new HashMap<>();
    int at = 0;
    Matcher token = SYLLABLE.matcher(line.replace("\\-", "‑").replace('~', '\u00A0'));
    while (token.find() && at < lineNotes.size()) {
      String syllable = token.group();
      NotePlace here = lineNotes.get(at);
      if (syllable.equals("|")) {
        ImportedBar done = here.bar();
        boolean none = at > 0 && lineNotes.get(at - 1).bar() != done;
        if (!none || byBar.containsKey(done)) {
          while (at < lineNotes.size() && lineNotes.get(at).bar() == done) {
            at++;
          }
        }
        continue;
      }
      if (!syllable.equals("*") && !syllable.equals("_") && !syllable.equals("-")) {
        StringBuilder text = byBar.computeIfAbsent(here.bar(), b -> new StringBuilder());
        from.putIfAbsent(here.bar(), here.tick());
        text.append(syllable).append(syllable.endsWith("-") ? "" : " ");
      }
      at++;
    }
    int number = verse++;
    byBar.forEach(
        (where, text) -> {
          List<List<BarLyrics.Piece>> verses = new ArrayList<>(where.words.verses());
          while (verses.size() <= number) {
            verses.add(List.of());
          }
          String words =
              Quoted.start(
                  text.toString().replace('\u00A0', ' ').replace('‑', '-').strip(),
                  SongBounds.LONGEST_LINE);
          verses.set(number, List.of(new BarLyrics.Piece(from.get(where), words)));
          where.words = new BarLyrics(verses);
        });
  }
}
