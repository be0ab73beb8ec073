package phalanx.formats.chordpro;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import phalanx.formats.text.ChordedLine;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;

/**
 * The words behind a grid laid under its bars: each of their chords is the next of the grid that is
 * the same.
 */
final class GridWords {

  /** Where a chord of the grid stands. */
  private record Place(int bar, int tick, Harmony harmony) {}

  private final List<Place> places = new ArrayList<>();
  private final Map<Integer, List<List<BarLyrics.Piece>>> words = new HashMap<>();
  private int at;
  private int verse = -1;
  private boolean fits = true;

  /** The words behind the bars of one grid. */
  GridWords(List<Bar> bars) {
    Harmony now = new Harmony.NoChord();
    for (Bar bar : bars) {
      boolean begins = bar.changes().stream().anyMatch(c -> c.tick() == 0);
      if (!begins) {
        places.add(new Place(bar.id(), 0, now));
      }
      for (ChordChange change : bar.changes()) {
        now = change.harmony();
        places.add(new Place(bar.id(), change.tick(), now));
      }
    }
  }

  /** The words of another time through. */
  void nextVerse() {
    verse++;
    at = 0;
  }

  /** Lays a line under the bars; false where its chords are not those of the grid. */
  boolean line(ChordedLine line) {
    if (verse < 0) {
      nextVerse();
    }
    List<String> pieces = line.pieces();
    for (int c = 0; c < line.chords().size(); c++) {
      int found = find(line.chords().get(c).harmony());
      if (found < 0) {
        fits = false;
        return false;
      }
      at = found + 1;
      if (!pieces.get(c).isEmpty()) {
        add(places.get(found), pieces.get(c));
      }
    }
    return true;
  }

  private int find(Harmony harmony) {
    for (int p = at; p < places.size(); p++) {
      if (places.get(p).harmony().equals(harmony)) {
        return p;
      }
    }
    return -1;
  }

  private void add(Place place, String text) {
    List<List<BarLyrics.Piece>> verses = words.computeIfAbsent(place.bar(), b -> new ArrayList<>());
    while (verses.size() <= verse) {
      verses.add(new ArrayList<>());
    }
    verses.get(verse).add(new BarLyrics.Piece(place.tick(), text));
  }

  /** Whether every line found its chords. */
  boolean fits() {
    return fits;
  }

  /** The words by bar. */
  Map<Integer, BarLyrics> words() {
    Map<Integer, BarLyrics> laid = new HashMap<>();
    words.forEach(
        (bar, verses) -> {
          if (verses.size() <= BarLyrics.MOST_VERSES) {
            laid.put(bar, new BarLyrics(verses));
          }
        });
    return laid;
  }
}
