package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.SheetOptions.Show;
import phalanx.engraving.font.Face;
import phalanx.instrument.Finger;
import phalanx.picking.PickFinger;
import phalanx.theory.Meter;

/** What stands below a system, a row each: stems of a tablature alone, letters, count, words. */
final class RowsBelow {

  private static final double PAD = 0.6;
  private static final double LANE = 1.15;

  private final Arrangement arrangement;
  private final SheetOptions options;
  private final List<Placed> bars;
  private final Drawing all;

  RowsBelow(Arrangement arrangement, SheetOptions options, List<Placed> bars, Drawing all) {
    this.arrangement = arrangement;
    this.options = options;
    this.bars = bars;
    this.all = all;
  }

  void draw(boolean stems) {
    if (stems) {
      bars.forEach(b -> new TabStems(b, all).draw());
    }
    if (options.has(Show.LETTERS)) {
      level(letters(), Measures.SMALL_SIZE, Face.BOLD_ITALIC, Role.LETTER);
    }
    TreeMap<Double, String> hits = hits();
    if (!hits.isEmpty()) {
      level(hits, Measures.COUNT_SIZE, Face.PLAIN, Role.SIGN);
    }
    if (options.has(Show.COUNT)) {
      level(count(), Measures.COUNT_SIZE, Face.PLAIN, Role.COUNT);
    }
    if (options.has(Show.HOLDS)) {
      holds();
    }
    if (options.has(Show.WORDS)) {
      words();
    }
  }

  private double floor() {
    return all.box().bottom();
  }

  /** A row of words around their middles; one that would touch the last goes a line lower. */
  private void level(TreeMap<Double, String> row, double size, Face face, Role role) {
    double height = size * 1.15;
    double top = floor() + PAD;
    List<Double> ends = new ArrayList<>(List.of(Double.NEGATIVE_INFINITY));
    for (Map.Entry<Double, String> word : row.entrySet()) {
      double width = face.width(word.getValue(), size);
      double left = word.getKey() - width / 2;
      int line = 0;
      while (line < ends.size() && ends.get(line) > left) {
        line++;
      }
      if (line == ends.size()) {
        ends.add(0.0);
      }
      ends.set(line, left + width + 0.3);
      double base = top + size * Mark.Text.CAPITAL + line * height;
      all.add(new Mark.Text(role, word.getValue(), left, base, face, size));
    }
  }

  private TreeMap<Double, String> letters() {
    TreeMap<Double, String> row = new TreeMap<>();
    for (Placed bar : bars) {
      TreeMap<Double, List<Note>> struck = new TreeMap<>();
      for (Note note : bar.content().notes()) {
        struck.computeIfAbsent(bar.middle(note), x -> new ArrayList<>()).add(note);
      }
      struck.forEach(
          (x, here) -> {
            String text = letters(here);
            if (!text.isEmpty()) {
              row.put(x, text);
            }
          });
    }
    return row;
  }

  private static String letters(List<Note> here) {
    String text =
        here.stream()
            .filter(n -> !n.attack().isSlur())
            .flatMap(n -> n.pick().stream())
            .distinct()
            .sorted()
            .map(PickFinger::letter)
            .collect(Collectors.joining());
    boolean brushed = here.stream().anyMatch(Note::isBrushed);
    return brushed && !text.isEmpty() ? text.substring(0, 1) : text;
  }

  private TreeMap<Double, String> hits() {
    TreeMap<Double, String> row = new TreeMap<>();
    for (Placed bar : bars) {
      for (Gesture gesture : bar.content().gestures()) {
        if (gesture instanceof Gesture.Hit hit) {
          row.put(bar.middle(hit.tick()), hit.kind().written());
        }
      }
    }
    return row;
  }

  private TreeMap<Double, String> count() {
    TreeMap<Double, String> row = new TreeMap<>();
    for (Placed bar : bars) {
      for (Meter.Syllable word : bar.written().bar().count()) {
        if (bar.columns().containsKey(word.tick())) {
          row.put(bar.middle(word.tick()), word.word());
        }
      }
    }
    return row;
  }

  /** A lane a finger: how long each stays down. */
  private void holds() {
    double top = floor() + PAD;
    List<Finger> lanes = Arrays.asList(Finger.values());
    int from = bars.get(0).written().bar().startTick();
    int to = bars.get(bars.size() - 1).written().bar().endTick();
    TreeSet<Finger> used = new TreeSet<>();
    for (Hold hold : arrangement.holds()) {
      if (hold.fromTick() < to && hold.toTick() > from) {
        used.add(hold.finger());
      }
    }
    List<Finger> shown = lanes.stream().filter(used::contains).toList();
    for (int lane = 0; lane < shown.size(); lane++) {
      Finger finger = shown.get(lane);
      double y = top + lane * LANE;
      all.add(
          new Mark.Text(
              Role.FINGER, finger.sign(), -1.2, y + 0.95, Face.PLAIN, Measures.COUNT_SIZE));
      for (Placed bar : bars) {
        holds(bar, finger, y);
      }
    }
  }

  private void holds(Placed bar, Finger finger, double y) {
    int start = bar.written().bar().startTick();
    int end = bar.written().bar().endTick();
    for (Hold hold : arrangement.holds()) {
      if (hold.finger() == finger && hold.fromTick() < end && hold.toTick() > start) {
        double x1 = x(bar, Math.max(start, hold.fromTick()));
        double x2 = hold.toTick() >= end ? bar.right() : x(bar, hold.toTick());
        if (x2 - x1 > 0.3) {
          all.add(new Mark.Bar(Role.HOLD, x1, y + 0.25, x2 - x1 - 0.2, LANE - 0.5, 0.3));
        }
      }
    }
  }

  /** A time between columns stands between them. */
  private static double x(Placed bar, int tick) {
    Integer below = bar.columns().floorKey(tick);
    Integer above = bar.columns().ceilingKey(tick);
    if (below == null) {
      return bar.left() + 0.5;
    }
    double from = bar.x(below);
    double to = above == null ? bar.right() : bar.x(above);
    int end = above == null ? bar.written().bar().endTick() : above;
    return below == end || below == tick
        ? from
        : from + (to - from) * (tick - below) / (end - below);
  }

  /**
   * The words of the song under their bars, verse under verse, in lines as wide as there is room.
   */
  private void words() {
    double size = Measures.WORD_SIZE;
    double line = size * 1.25;
    double top = floor() + PAD;
    int verse = -1;
    int deepest = 0;
    for (WordLines.Piece piece : WordLines.pieces(arrangement.song(), bars)) {
      if (piece.verse() != verse) {
        top += deepest * line;
        deepest = 0;
        verse = piece.verse();
      }
      List<String> lines = piece.lines(size);
      for (int k = 0; k < lines.size(); k++) {
        double base = top + k * line + size * Mark.Text.CAPITAL;
        all.add(new Mark.Text(Role.WORDS, lines.get(k), piece.x(), base, Face.PLAIN, size));
      }
      deepest = Math.max(deepest, lines.size());
    }
  }
}
