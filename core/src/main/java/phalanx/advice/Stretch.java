package phalanx.advice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.theory.Chord;

/**
 * The bars over which one chord is held up to the end of a bar, as they are played the first time:
 * a run may begin in a bar before where the chord sounds there already.
 *
 * @param parts what belongs to it of each bar, one after the other
 */
record Stretch(List<Part> parts) {

  /**
   * The end of a bar.
   *
   * @param bar the bar's identity
   * @param from where the chord begins in it, ticks
   * @param to where the bar ends, ticks
   */
  record Part(int bar, int from, int to) {}

  Stretch {
    parts = List.copyOf(parts);
  }

  /**
   * As far back as the chord is held.
   *
   * @param at where the chord is written, the last of its bar
   * @param most no longer than this, ticks
   */
  static Stretch of(Song song, SlotRef at, Chord chord, int most) {
    List<Timeline.PlayedBar> played = Timeline.of(song).bars();
    int index = 0;
    while (index < played.size() && played.get(index).written() != at.bar()) {
      index++;
    }
    List<Part> parts = new ArrayList<>();
    if (index == played.size()) {
      return new Stretch(parts);
    }
    parts.add(new Part(at.bar(), at.tick(), played.get(index).lengthTicks()));
    int length = played.get(index).lengthTicks() - at.tick();
    while (parts.get(0).from() == 0 && index > 0 && length < most) {
      index--;
      Timeline.PlayedBar bar = played.get(index);
      Optional<Integer> from = from(song.chart(), bar.written(), chord);
      boolean again = parts.stream().anyMatch(p -> p.bar() == bar.written());
      if (from.isEmpty() || again) {
        break;
      }
      parts.add(0, new Part(bar.written(), from.get(), bar.lengthTicks()));
      length += bar.lengthTicks() - from.get();
    }
    return new Stretch(parts);
  }

  /** Where the last chord of a bar begins, if it is this one. */
  private static Optional<Integer> from(Chart chart, int bar, Chord chord) {
    List<ChordChange> changes = chart.changes(chart.bar(bar).orElseThrow());
    return changes.isEmpty()
        ? Optional.empty()
        : Optional.of(changes.get(changes.size() - 1))
            .filter(c -> c.harmony().sounding().equals(Optional.of(chord)))
            .map(ChordChange::tick);
  }

  /** How long the chord is held, ticks. */
  int length() {
    return parts.stream().mapToInt(p -> p.to() - p.from()).sum();
  }

  /** The chord that is played after it, the first time; empty where none sounds. */
  Optional<Chord> next(Song song) {
    int bar = parts.get(parts.size() - 1).bar();
    List<Timeline.PlayedSlot> slots = Timeline.of(song).slots();
    int last = -1;
    for (int i = 0; i < slots.size() && (last < 0 || slots.get(i).ref().bar() == bar); i++) {
      last = slots.get(i).ref().bar() == bar ? i : last;
    }
    return last >= 0 && last + 1 < slots.size()
        ? slots.get(last + 1).harmony().sounding()
        : Optional.empty();
  }

  /** Its bars. */
  Set<Integer> bars() {
    return parts.stream().map(Part::bar).collect(Collectors.toSet());
  }

  /**
   * A song with a run at the end; what the tune had there gives way.
   *
   * @param ticks how long the run is
   * @return the song, and where in the last bar that a note begins in the last note begins
   */
  Placed placed(Song song, BarTune run, int ticks) {
    Song placed = song;
    SlotRef last = new SlotRef(parts.get(parts.size() - 1).bar(), 0);
    int start = ticks - length();
    for (Part part : parts) {
      int end = start + part.to() - part.from();
      // In the time of the run: what of it lies in this part, moved to the bar's time.
      int shift = part.from() - start;
      int begin = Math.max(0, start);
      if (begin < end) {
        BarTune tune =
            placed.tune().at(part.bar(), song.chart()).silencing(begin + shift, part.to());
        int held = begin == start && begin > 0 ? held(run, begin, end) : 0;
        for (TuneNote note : run.notes()) {
          if (note.tick() >= begin && note.tick() < end) {
            last = new SlotRef(part.bar(), note.tick() + shift);
            tune = tune.placing(at(note, note.tick() + shift, end + shift));
          }
        }
        tune = held > 0 ? new BarTune(held, tune.notes()) : tune;
        placed = placed.withTune(placed.tune().with(part.bar(), tune));
      }
      start = end;
    }
    return new Placed(placed, last);
  }

  /** A song with a run, and where its last note begins. */
  record Placed(Song song, SlotRef last) {}

  /** How long a note that began in the part before goes on in this one, ticks. */
  private static int held(BarTune run, int begin, int end) {
    return run.notes().stream()
        .filter(n -> n.tick() < begin && n.endTick() > begin)
        .mapToInt(n -> Math.min(n.endTick(), end) - begin)
        .findFirst()
        .orElse(0);
  }

  private static TuneNote at(TuneNote note, int tick, int end) {
    return new TuneNote(
        tick,
        Math.min(note.lengthTicks(), end - tick),
        note.wants(),
        note.slur(),
        note.graces(),
        note.techniques());
  }
}
