package phalanx.performance;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Muting;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.song.Clock;
import phalanx.song.Timeline.PlayedBar;
import phalanx.technique.Technique;

/** Finds what stops each string, string by string. */
final class StringEnds {

  /** A possible end: when, how much later than written, and of which kind. */
  private record End(int tick, int delay, Ending ending) {

    End earlier(End other) {
      return other.tick + other.delay < tick + delay ? other : this;
    }
  }

  private final Arrangement a;
  private final Clock clock;
  private final int songEnd;
  private final List<List<Hold>> holds = new ArrayList<>();
  private final List<TreeSet<Integer>> touched = new ArrayList<>();
  private final Map<Shape, List<Muting.Muted>> quiet = new HashMap<>();
  private final List<TreeSet<Integer>> stopped = new ArrayList<>();
  private final Set<Integer> tuneTicks = new HashSet<>();

  StringEnds(Arrangement a, Clock clock) {
    this.a = a;
    this.clock = clock;
    songEnd = a.timeline().lengthTicks();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      holds.add(new ArrayList<>());
      touched.add(new TreeSet<>());
      stopped.add(new TreeSet<>());
    }
    a.notes().stream()
        .filter(n -> n.part() == Note.Part.TUNE)
        .forEach(n -> tuneTicks.add(n.tick()));
    for (Hold hold : a.holds()) {
      for (int s = hold.lowString(); s <= hold.highString(); s++) {
        holds.get(s).add(hold);
      }
    }
    a.slots().forEach(this::touches);
    for (Gesture gesture : a.gestures()) {
      if (gesture instanceof Gesture.Hit hit) {
        hit.damped().forEach(s -> stopped.get(s).add(hit.tick()));
      }
    }
    for (Damp damp : a.damps()) {
      damp.strings().forEach(s -> stopped.get(s).add(damp.tick()));
    }
  }

  /** The strings that a shape keeps quiet by touching them, with fingers that do not rest. */
  private void touches(Slot slot) {
    if (slot.shape().isPresent()) {
      for (Muting.Muted muted : quiet.computeIfAbsent(slot.shape().get(), Muting::of)) {
        boolean rests = muted.by().filter(slot.resting()::contains).isPresent();
        if (muted.reason() != Muting.Reason.NOT_STRUCK && !rests) {
          touched.get(muted.string()).add(slot.fromTick());
        }
      }
    }
  }

  /** Every note with its end, in the arrangement's order. */
  List<Sounded> notes() {
    Note[] next = new Note[a.notes().size()];
    Note[] before = new Note[next.length];
    Note[] last = new Note[Tuning.STRINGS];
    int[] lastAt = new int[Tuning.STRINGS];
    Arrays.fill(lastAt, -1);
    for (int n = 0; n < next.length; n++) {
      Note note = a.notes().get(n);
      int s = note.string();
      before[n] = last[s];
      if (lastAt[s] >= 0) {
        next[lastAt[s]] = note;
      }
      last[s] = note;
      lastAt[s] = n;
    }
    int[] firstHold = new int[Tuning.STRINGS];
    List<Sounded> sounded = new ArrayList<>();
    for (int n = 0; n < next.length; n++) {
      Note note = a.notes().get(n);
      End end = end(note, Optional.ofNullable(next[n]), firstHold);
      sounded.add(
          new Sounded(
              note,
              clock.seconds(note.tick(), note.delayTicks()),
              clock.seconds(end.tick(), end.delay()),
              end.tick(),
              end.ending(),
              Optional.ofNullable(before[n]).filter(b -> note.attack().isSlur())));
    }
    return sounded;
  }

  /**
   * What ends a note first.
   *
   * @param firstHold where on each string the holds begin that are not over yet; moves on
   */
  private End end(Note note, Optional<Note> next, int[] firstHold) {
    int s = note.string();
    End end = new End(songEnd, 0, Ending.RINGS_ON);
    if (next.isPresent()) {
      boolean slurred = next.get().attack().isSlur();
      Ending how = slurred ? Ending.FRETTED_ANEW : Ending.PLUCKED_ANEW;
      end = end.earlier(new End(next.get().tick(), next.get().delayTicks(), how));
    }
    if (isBeforeRest(note)) {
      end = end.earlier(new End(note.endTick(), 0, Ending.DAMPED));
    }
    Integer stop = stopped.get(s).higher(note.tick());
    // A finger leans on a string only when what rings there has had its time.
    Integer touch = touched.get(s).ceiling(Math.max(note.tick() + 1, note.endTick()));
    for (Integer tick : new Integer[] {stop, touch}) {
      end = tick == null ? end : end.earlier(new End(tick, 0, Ending.DAMPED));
    }
    return byFingers(note, holds.get(s), firstHold, end);
  }

  /** Whether the tune has a rest behind a note of it: what is written as silence is silent. */
  private boolean isBeforeRest(Note note) {
    int at = note.endTick();
    if (note.part() != Note.Part.TUNE || at >= songEnd || tuneTicks.contains(at)) {
      return false;
    }
    PlayedBar bar = a.timeline().barAt(at);
    return !a.song().tune().at(bar.written(), a.song().chart()).isSilent();
  }

  private static End byFingers(Note note, List<Hold> onString, int[] firstHold, End until) {
    int s = note.string();
    while (firstHold[s] < onString.size() && onString.get(firstHold[s]).toTick() <= note.tick()) {
      firstHold[s]++;
    }
    End end = until;
    int held = note.tick();
    for (int h = firstHold[s]; h < onString.size(); h++) {
      Hold hold = onString.get(h);
      if (hold.fromTick() > end.tick()) {
        break;
      }
      boolean own =
          hold.fret() == note.fret() && note.fretFinger().equals(Optional.of(hold.finger()));
      if (own && hold.fromTick() <= held) {
        held = Math.max(held, hold.toTick());
      } else if (hold.fromTick() > note.tick() && hold.fret() > note.fret()) {
        end = end.earlier(new End(hold.fromTick(), 0, Ending.FRETTED_ANEW));
      }
    }
    boolean untouched =
        note.fret() == 0
            || note.techniques().stream().anyMatch(Technique.NaturalHarmonic.class::isInstance);
    return untouched
        ? end
        : end.earlier(new End(Math.max(held, note.endTick()), 0, Ending.FINGER_LIFTED));
  }
}
