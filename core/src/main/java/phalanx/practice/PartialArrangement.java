package phalanx.practice;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.instrument.Guitar;
import phalanx.technique.TechniqueText;

/** An arrangement of which only some notes are played. */
final class PartialArrangement {

  private PartialArrangement() {}

  /** Some notes and hits; brushes and rolls come with their notes. */
  static Arrangement of(Arrangement a, List<Note> notes, List<Gesture> hits) {
    Set<Integer> swept = new HashSet<>();
    notes.stream().filter(n -> n.group() != Group.ALONE).forEach(n -> swept.add(n.tick()));
    List<Gesture> gestures =
        a.gestures().stream()
            .filter(g -> g instanceof Gesture.Hit ? hits.contains(g) : swept.contains(g.tick()))
            .toList();
    return with(a, inOrder(notes), gestures, false);
  }

  /** The whole of it between two ticks. */
  static Arrangement between(Arrangement a, int from, int to) {
    return with(a, a.notesFrom(from, to), a.gesturesFrom(from, to), false);
  }

  /** What is plucked between two ticks, on open strings, with nothing for the other hand. */
  static Arrangement open(Arrangement a, int from, int to) {
    Guitar guitar = a.song().guitar();
    List<Note> notes =
        a.notesFrom(from, to).stream()
            .filter(n -> n.pick().isPresent())
            .map(n -> open(n, guitar))
            .toList();
    return with(a, notes, a.gesturesFrom(from, to), true);
  }

  private static Note open(Note note, Guitar guitar) {
    int sounding = guitar.midi(note.string(), 0);
    Note there = note.with(new Note.Place(note.string(), 0, sounding, Optional.empty()));
    return there.played(
        note.techniques().stream()
            .filter(t -> TechniqueText.isOfStrokes(t) && t.higher() == 0)
            .collect(Collectors.toSet()),
        0,
        sounding);
  }

  private static List<Note> inOrder(List<Note> notes) {
    return notes.stream()
        .sorted(Comparator.comparingInt(Note::tick).thenComparingInt(Note::string))
        .toList();
  }

  private static Arrangement with(
      Arrangement a, List<Note> notes, List<Gesture> gestures, boolean open) {
    return new Arrangement(
        a.song(),
        a.timeline(),
        a.slots(),
        notes,
        gestures,
        open ? List.of() : a.damps(),
        open ? List.of() : a.holds(),
        a.plan());
  }
}
