package phalanx.melody;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import phalanx.theory.Meter;

/**
 * The tune of one bar.
 *
 * @param heldTicks how long the last note of the bar before goes on into this one; 0 if it does not
 * @param notes the notes that begin here, in order, none before the held one ends
 * @throws IllegalArgumentException if a note begins before the one before it ends, or the time held
 *     is below 0
 */
public record BarTune(int heldTicks, List<TuneNote> notes) {

  /** The longest a bar's tune can be, ticks: a bar of 32 halves. */
  public static final int LONGEST = Meter.LONGEST_TICKS;

  /** A bar without a tune. */
  public static final BarTune SILENT = new BarTune(0, List.of());

  public BarTune {
    notes = List.copyOf(notes);
    int free = heldTicks;
    for (TuneNote note : notes) {
      if (note.tick() < free) {
        throw new IllegalArgumentException("a note of the tune begins before the last one ends");
      }
      free = note.endTick();
    }
    if (free > LONGEST || heldTicks < 0) {
      throw new IllegalArgumentException("a bar’s tune is 32 halves long at most");
    }
  }

  /** With every pitch and place changed. */
  public BarTune moved(UnaryOperator<Want> change) {
    return new BarTune(heldTicks, notes.stream().map(n -> n.moved(change)).toList());
  }

  /** The same with every note plucked, none slurred. */
  public BarTune plucked() {
    return new BarTune(heldTicks, notes.stream().map(TuneNote::plucked).toList());
  }

  /** With the note at a tick of the bar changed. */
  public BarTune withNote(int tick, UnaryOperator<TuneNote> change) {
    return new BarTune(
        heldTicks, notes.stream().map(n -> n.tick() == tick ? change.apply(n) : n).toList());
  }

  /** Without the note at a tick of the bar. */
  public BarTune withoutNote(int tick) {
    return new BarTune(heldTicks, notes.stream().filter(n -> n.tick() != tick).toList());
  }

  /** With silence from one tick of the bar up to another; what sounds on into it ends there. */
  public BarTune silencing(int from, int to) {
    List<TuneNote> kept = new ArrayList<>();
    for (TuneNote note : notes) {
      if (note.tick() < from) {
        kept.add(note.endTick() > from ? note.lasting(from - note.tick()) : note);
      } else if (note.tick() >= to) {
        kept.add(note);
      }
    }
    return new BarTune(from < heldTicks ? from : heldTicks, kept);
  }

  /** With a note in place of whatever begins while it sounds. */
  public BarTune placing(TuneNote note) {
    List<TuneNote> all = new ArrayList<>(silencing(note.tick(), note.endTick()).notes());
    all.add(note);
    all.sort(Comparator.comparingInt(TuneNote::tick));
    return new BarTune(Math.min(heldTicks, note.tick()), all);
  }

  /** Whether nothing sounds. */
  public boolean isSilent() {
    return heldTicks == 0 && notes.isEmpty();
  }
}
