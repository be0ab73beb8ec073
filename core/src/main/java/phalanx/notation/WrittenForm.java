package phalanx.notation;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.song.Bar;
import phalanx.song.Section;
import phalanx.song.Timeline.PlayedBar;

/**
 * The bars of an arrangement as they stand on a page. A passage that is played again the same is
 * written once with its repeat signs and endings; where the hands do something else the second time
 * the section is written out, so that the page is never untrue.
 *
 * @param bars the bars in the order they are written
 */
public record WrittenForm(List<WrittenBar> bars) {

  /**
   * One bar on the page.
   *
   * @param bar the bar as it is played the first time
   * @param number what players call it: its place on the page, 0 for a pick-up
   * @param opens whether its section begins with it
   * @param repeatStart whether a repeated passage starts with it
   * @param plays how often the passage ending here is played; 1 where no repeat ends
   * @param passes the times through in which it is played; empty for all
   * @param endingOpens whether the bracket of an ending starts here
   * @param endingCloses whether it stops here
   */
  public record WrittenBar(
      PlayedBar bar,
      int number,
      boolean opens,
      boolean repeatStart,
      int plays,
      Set<Integer> passes,
      boolean endingOpens,
      boolean endingCloses) {

    public WrittenBar {
      passes = Set.copyOf(passes);
    }
  }

  public WrittenForm {
    bars = List.copyOf(bars);
  }

  /** Whether some passage stands once and is played more often. */
  public boolean hasRepeats() {
    return bars.stream().anyMatch(b -> b.plays() > 1);
  }

  /** The written form of an arrangement. */
  public static WrittenForm of(Arrangement arrangement) {
    Map<Integer, List<PlayedBar>> bySection = new LinkedHashMap<>();
    arrangement
        .timeline()
        .bars()
        .forEach(b -> bySection.computeIfAbsent(b.section(), s -> new ArrayList<>()).add(b));
    List<WrittenBar> all = new ArrayList<>();
    int first = arrangement.song().firstBarNumber();
    bySection.forEach(
        (place, played) -> {
          Section section = arrangement.song().sections().get(place);
          boolean folds = repeatsAgree(arrangement, played);
          all.addAll(folds ? folded(section, played, all.isEmpty()) : unrolled(played));
        });
    List<WrittenBar> numbered = new ArrayList<>();
    for (int b = 0; b < all.size(); b++) {
      numbered.add(numbered(all, b, first + b));
    }
    return new WrittenForm(numbered);
  }

  private static List<WrittenBar> unrolled(List<PlayedBar> played) {
    List<WrittenBar> bars = new ArrayList<>();
    for (PlayedBar bar : played) {
      bars.add(new WrittenBar(bar, 0, bars.isEmpty(), false, 1, Set.of(), false, false));
    }
    return bars;
  }

  private static List<WrittenBar> folded(
      Section section, List<PlayedBar> played, boolean firstOfAll) {
    Map<Integer, PlayedBar> first = new HashMap<>();
    played.forEach(b -> first.putIfAbsent(b.written(), b));
    List<WrittenBar> bars = new ArrayList<>();
    for (Bar bar : section.bars()) {
      PlayedBar once = first.get(bar.id());
      if (once != null) {
        bars.add(
            new WrittenBar(
                once,
                0,
                bars.isEmpty(),
                bar.repeatStart() || bars.isEmpty() && !firstOfAll && goesBack(section),
                bar.plays(),
                bar.passes(),
                false,
                false));
      }
    }
    return bars;
  }

  /** Whether the first repeat of a section has no sign where it starts: its start is meant. */
  private static boolean goesBack(Section section) {
    for (Bar bar : section.bars()) {
      if (bar.repeatStart()) {
        return false;
      } else if (bar.plays() > 1) {
        return true;
      }
    }
    return false;
  }

  /** With its number, and its ending's bracket up to where another or none follows. */
  private static WrittenBar numbered(List<WrittenBar> all, int place, int number) {
    WrittenBar bar = all.get(place);
    boolean ends = !bar.passes().isEmpty();
    boolean goesOn =
        place > 0
            && all.get(place - 1).passes().equals(bar.passes())
            && all.get(place - 1).plays() == 1
            && !bar.opens();
    boolean closes =
        place + 1 == all.size()
            || !all.get(place + 1).passes().equals(bar.passes())
            || bar.plays() > 1
            || all.get(place + 1).opens();
    return new WrittenBar(
        bar.bar(),
        number,
        bar.opens(),
        bar.repeatStart(),
        bar.plays(),
        bar.passes(),
        ends && !goesOn,
        ends && closes);
  }

  /** Whether every bar of a section is played the same each time. */
  private static boolean repeatsAgree(Arrangement arrangement, List<PlayedBar> played) {
    Map<Integer, Set<Struck>> first = new HashMap<>();
    for (PlayedBar bar : played) {
      Set<Struck> now = struck(arrangement, bar);
      Set<Struck> before = first.putIfAbsent(bar.written(), now);
      if (before != null && !before.equals(now)) {
        return false;
      }
    }
    return true;
  }

  /** What tells one playing of a bar from another. */
  private record Struck(int tick, int string, int fret, phalanx.arrangement.Attack attack) {}

  private static Set<Struck> struck(Arrangement arrangement, PlayedBar bar) {
    Set<Struck> struck = new HashSet<>();
    for (Note note : arrangement.notesFrom(bar.startTick(), bar.endTick())) {
      struck.add(
          new Struck(note.tick() - bar.startTick(), note.string(), note.fret(), note.attack()));
    }
    return struck;
  }
}
