package phalanx.desktop.strip;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Note;
import phalanx.desktop.model.FingerChoice;
import phalanx.desktop.model.LoopBars;
import phalanx.desktop.model.SlotRange;
import phalanx.findings.Grade;

/**
 * What the player has chosen in the strip, and what is marked there.
 *
 * @param slots the chords selected
 * @param note the note chosen
 * @param dragged the string and fret it is being dragged to
 * @param finger the finger looked at
 * @param marks the findings
 * @param looked the ticks of the one looked at
 * @param loop the bars that are played round and round
 * @param later notes that are not played yet: they are drawn pale
 */
record StripChoice(
    SlotRange.Span slots,
    Optional<Note> note,
    Optional<Target> dragged,
    Optional<FingerChoice> finger,
    List<Mark> marks,
    Set<Integer> looked,
    Optional<LoopBars> loop,
    Set<Note> later) {

  /** A finding at a tick. */
  record Mark(int tick, Grade grade) {}

  /** Where a note would be. */
  record Target(int string, int fret) {}

  /** Whether a bar, by its number as played, is one of those that are played round and round. */
  boolean loops(int bar) {
    return loop.filter(l -> l.first() <= bar && bar <= l.last()).isPresent();
  }

  /** Whether a note stands out: no finger is looked at, or its own is. */
  boolean shows(Note n) {
    return !later.contains(n)
        && finger
            .map(
                f ->
                    f instanceof FingerChoice.Picking p
                        ? n.isPickedBy(p.finger())
                        : n.fretFinger().equals(Optional.of(((FingerChoice.Fretting) f).finger())))
            .orElse(true);
  }

  /** Whether a fretting finger's holds stand out. */
  boolean shows(phalanx.instrument.Finger held) {
    return finger.map(f -> f instanceof FingerChoice.Fretting t && t.finger() == held).orElse(true);
  }
}
