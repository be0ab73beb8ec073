package phalanx.draft;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;

/**
 * What an edit must not change: the tune note for note and the bass on the first beat of each bar.
 *
 * @param tune sounding pitches and their times, so that a capo changes nothing
 * @param downbeats pitch class of the bass by the number of the bar as played
 */
record KeptNotes(Set<List<Integer>> tune, Map<Integer, Integer> downbeats) {

  static KeptNotes of(Arrangement a) {
    Set<List<Integer>> tune = new HashSet<>();
    a.notes().stream()
        .filter(a::isOfTune)
        .filter(n -> !a.isGrace(n))
        .forEach(n -> tune.add(List.of(n.tick(), n.midi())));
    Map<Integer, Integer> basses = new HashMap<>();
    a.timeline()
        .bars()
        .forEach(
            bar ->
                a.notesFrom(bar.startTick(), bar.startTick() + 1).stream()
                    .filter(n -> n.part() == Note.Part.BASS)
                    .findFirst()
                    .ifPresent(n -> basses.put(bar.number(), n.midi() % 12)));
    return new KeptNotes(tune, basses);
  }

  /** Whether all of it sounds in another plan, and no other bass where there was one. */
  boolean areIn(Arrangement other) {
    KeptNotes there = of(other);
    return there.tune.containsAll(tune)
        && downbeats.entrySet().stream()
            .allMatch(e -> e.getValue().equals(there.downbeats.get(e.getKey())));
  }
}
