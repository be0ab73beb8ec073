package phalanx.form;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.song.Bar;
import phalanx.song.Harmony;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.theory.Chord;
import phalanx.theory.Key;
import phalanx.theory.Meter;

/**
 * The phrases of a song as it is written: rows of bars within its sections. A phrase begins where
 * the player said so; elsewhere where the tune breathes before it, a cadence ends, chords begin
 * again, and so that most phrases have two, four or eight bars. The best row of a section is found
 * by dynamic programming. What speaks for a beginning: common practice, no source; the weights are
 * judged.
 *
 * @param spans the phrases in order, every written bar in one of them
 */
public record Phrases(List<Span> spans) {

  /**
   * One phrase.
   *
   * @param bars the identities of its bars in order, at least one
   */
  public record Span(List<Integer> bars) {
    public Span {
      bars = List.copyOf(bars);
    }
  }

  /** The tune rests for a beat or more before it. */
  private static final double REST = 2;

  /** The tune ends before it on a note of half a bar or more. */
  private static final double LONG_NOTE = 1.5;

  /** The bars before it close on the tonic, or open on the dominant. */
  private static final double CADENCE = 1;

  /** Two bars from it on have the chords with which the section begins. */
  private static final double AGAIN = 1.5;

  /** What the player said outweighs all that is found. */
  private static final double SAID = 1_000;

  /** The longest phrase that is looked for, bars. */
  private static final int LONGEST = 16;

  public Phrases {
    spans = List.copyOf(spans);
  }

  /** The phrases of a song. */
  public static Phrases of(Song song) {
    List<Span> spans = new ArrayList<>();
    Finder all = new Finder(song);
    for (Section section : song.sections()) {
      spans.addAll(all.spans(section.bars()));
    }
    return new Phrases(spans);
  }

  /** Whether a phrase begins with a bar. */
  public boolean begins(int bar) {
    return starts().contains(bar);
  }

  /** The bars with which phrases begin. */
  public Set<Integer> starts() {
    return spans.stream().map(s -> s.bars().get(0)).collect(Collectors.toCollection(TreeSet::new));
  }

  /** Finds the phrases of one section after the other. */
  private static final class Finder {

    private final Optional<Key> key;
    private final Map<Integer, Meter> meters;
    private final Map<Integer, BarTune> tunes;
    private final Map<Integer, List<Chord>> chords = new HashMap<>();
    private List<Bar> bars = List.of();

    Finder(Song song) {
      key = song.key();
      meters = song.chart().meters(song.meter());
      tunes = song.tune().along(song.chart());
      song.chart()
          .harmonies()
          .forEach(
              (bar, in) ->
                  chords.put(
                      bar,
                      in.values().stream()
                          .map(Harmony::sounding)
                          .flatMap(Optional::stream)
                          .toList()));
    }

    List<Span> spans(List<Bar> section) {
      bars = section;
      int n = bars.size();
      double[] best = new double[n + 1];
      int[] from = new int[n + 1];
      for (int end = 1; end <= n; end++) {
        best[end] = Double.NEGATIVE_INFINITY;
        for (int start = Math.max(0, end - LONGEST); start < end; start++) {
          double worth =
              best[start] + beginning(start) + length(end - start) + unbroken(start, end);
          if (worth > best[end]) {
            best[end] = worth;
            from[end] = start;
          }
        }
      }
      List<Span> spans = new ArrayList<>();
      for (int end = n; end > 0; end = from[end]) {
        spans.add(0, new Span(bars.subList(from[end], end).stream().map(Bar::id).toList()));
      }
      return spans;
    }

    /** Four bars are usual, two and eight are common, and a single bar is hardly a phrase. */
    private static double length(int count) {
      return switch (count) {
        case 4 -> 1;
        case 2 -> 0;
        case 8 -> 0.6;
        case 1 -> -2;
        case 3, 5, 6 -> -0.3;
        default -> -0.8;
      };
    }

    /** A beginning that the player wants is not passed over. */
    private double unbroken(int start, int end) {
      double worth = 0;
      for (int i = start + 1; i < end; i++) {
        worth -= bars.get(i).phrase().equals(Optional.of(true)) ? SAID : 0;
      }
      return worth;
    }

    /** What speaks for a phrase that begins with a bar. */
    private double beginning(int at) {
      if (at == 0) {
        return 0;
      }
      if (bars.get(at).phrase().isPresent()) {
        return bars.get(at).phrase().get() ? 0 : -SAID;
      }
      double worth = breath(at) + cadence(at);
      boolean again =
          at + 1 < bars.size()
              && at >= 2
              && same(at, 0)
              && same(at + 1, 1)
              && !chords.get(bars.get(at).id()).isEmpty();
      return worth + (again ? AGAIN : 0);
    }

    private boolean same(int a, int b) {
      return chords.get(bars.get(a).id()).equals(chords.get(bars.get(b).id()));
    }

    /** A rest or a long note of the tune just before. */
    private double breath(int at) {
      Bar before = bars.get(at - 1);
      BarTune tune = tunes.getOrDefault(before.id(), BarTune.SILENT);
      BarTune next = tunes.getOrDefault(bars.get(at).id(), BarTune.SILENT);
      if (next.heldTicks() > 0) {
        return -LONG_NOTE;
      }
      if (tune.notes().isEmpty()) {
        return 0;
      }
      Meter meter = meters.get(before.id());
      TuneNote last = tune.notes().get(tune.notes().size() - 1);
      int rest = meter.barTicks() - last.endTick();
      if (rest >= meter.beatTicks()) {
        return REST;
      }
      return 2 * last.lengthTicks() >= meter.barTicks() ? LONG_NOTE : 0;
    }

    /** Dominant and tonic just before: or the dominant, and the tonic comes. */
    private double cadence(int at) {
      List<Chord> before = chords.get(bars.get(at - 1).id());
      if (key.isEmpty() || before.isEmpty()) {
        return 0;
      }
      int tonic = key.get().tonic().chroma();
      int last = before.get(before.size() - 1).root().chroma();
      int dominant = (tonic + 7) % 12;
      int earlier =
          before.size() > 1 ? before.get(before.size() - 2).root().chroma() : ends(at - 2);
      List<Chord> next = chords.get(bars.get(at).id());
      boolean comesHome = !next.isEmpty() && next.get(0).root().chroma() == tonic;
      boolean closes = last == tonic && earlier == dominant;
      boolean opens = last == dominant && comesHome;
      return closes ? CADENCE : opens ? CADENCE / 2 : 0;
    }

    /** The root that a bar ends on; -1 with none. */
    private int ends(int at) {
      List<Chord> there = at < 0 ? List.of() : chords.get(bars.get(at).id());
      return there.isEmpty() ? -1 : there.get(there.size() - 1).root().chroma();
    }
  }
}
