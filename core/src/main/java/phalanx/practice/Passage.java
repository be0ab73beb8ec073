package phalanx.practice;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;

/**
 * Bars that are learnt together, as played.
 *
 * @param label what the player calls it
 * @param bars one after the other, at least one
 */
public record Passage(String label, List<PlayedBar> bars) {

  /** So many bars are learnt layer by layer at once; a longer section is parted. */
  static final int MOST_BARS = 8;

  public Passage {
    bars = List.copyOf(bars);
    if (bars.isEmpty()) {
      throw new IllegalArgumentException("no bars: " + label);
    }
  }

  int fromTick() {
    return bars.get(0).startTick();
  }

  int toTick() {
    return bars.get(bars.size() - 1).endTick();
  }

  int fromBar() {
    return bars.get(0).number();
  }

  int toBar() {
    return bars.get(bars.size() - 1).number();
  }

  /** Its bars in words: {@code bar 16}, {@code bars 5–12}. */
  public String span() {
    return fromBar() == toBar() ? "bar " + fromBar() : Texts.of("passage.bars", fromBar(), toBar());
  }

  /** The sections of a song, each as it is played the first time. */
  public static List<Passage> sections(Arrangement arrangement) {
    List<Passage> sections = new ArrayList<>();
    List<PlayedBar> bars = new ArrayList<>();
    for (PlayedBar bar : arrangement.timeline().bars()) {
      if (!bars.isEmpty() && bars.get(0).section() != bar.section()) {
        sections.add(new Passage(label(arrangement, bars.get(0)), bars));
        bars.clear();
      }
      bars.add(bar);
    }
    if (!bars.isEmpty()) {
      sections.add(new Passage(label(arrangement, bars.get(0)), bars));
    }
    return sections;
  }

  /** Bars of the player’s own, by their numbers as played; empty where there are none such. */
  public static Optional<Passage> between(Arrangement arrangement, int first, int last) {
    List<PlayedBar> bars =
        arrangement.timeline().bars().stream()
            .filter(b -> first <= b.number() && b.number() <= last)
            .toList();
    return bars.isEmpty()
        ? Optional.empty()
        : Optional.of(new Passage(label(arrangement, bars.get(0)), bars));
  }

  private static String label(Arrangement arrangement, PlayedBar bar) {
    String label = arrangement.song().sections().get(bar.section()).label();
    return label.isBlank() ? Texts.of("passage.section", bar.section() + 1) : label;
  }

  /** The parts in which it is learnt: each written bar once, few enough to keep in mind. */
  List<Passage> parts() {
    List<List<PlayedBar>> runs = new ArrayList<>();
    Set<Integer> seen = new HashSet<>();
    boolean open = false;
    for (PlayedBar bar : bars) {
      if (!seen.add(bar.written())) {
        open = false;
        continue;
      }
      if (!open) {
        runs.add(new ArrayList<>());
      }
      runs.get(runs.size() - 1).add(bar);
      open = true;
    }
    List<Passage> parts = new ArrayList<>();
    for (List<PlayedBar> run : runs) {
      int pieces = (run.size() + MOST_BARS - 1) / MOST_BARS;
      int size = (run.size() + pieces - 1) / pieces;
      size = pieces > 1 ? (size + 1) / 2 * 2 : size;
      for (int b = 0; b < run.size(); b += size) {
        parts.add(new Passage(label, run.subList(b, Math.min(run.size(), b + size))));
      }
    }
    return parts;
  }
}
