package phalanx.planning;

import java.util.*;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.*;
import phalanx.picking.PatternHeard;
import phalanx.song.*;

class DumpTest {
  @Test
  void dump() {
    Map<String, Song> all = new LinkedHashMap<>(OwnSongs.all());
    for (var s : HeardChordsTest.tunes()) all.put(s.name(), OldTunesTest.song(s));
    all.putAll(MoreOwnSongs.all());
    String only = System.getProperty("only", "");
    for (var e : all.entrySet()) {
      if (!only.isEmpty() && !e.getKey().contains(only)) continue;
      Arrangement a = new Arranger().arrange(e.getValue());
      Integer before = null;
      for (Slot slot : a.slots()) {
        if (!(slot.played().harmony() instanceof Harmony.Sounding s)) continue;
        List<Note> notes = a.notesFrom(slot.fromTick(), slot.toTick());
        int capo = a.song().guitar().capo();
        List<Integer> miss = new ArrayList<>(PatternHeard.telling(s.chord()));
        miss.removeIf(t -> notes.stream().anyMatch(n -> Math.floorMod(n.midi() - capo, 12) == t));
        Integer bass =
            notes.stream()
                .filter(n -> n.part() == Note.Part.BASS)
                .map(Note::midi)
                .findFirst()
                .orElse(null);
        boolean leap = bass != null && before != null && Math.abs(bass - before) >= 12;
        before = bass;
        boolean late =
            notes.stream()
                .filter(n -> n.tick() == slot.fromTick())
                .min(Comparator.comparing(Note::midi))
                .filter(n -> Math.floorMod(n.midi() - capo, 12) == s.chord().bass().chroma())
                .isEmpty();
        if (miss.isEmpty() && !leap && !late && only.isEmpty()) continue;
        StringBuilder t = new StringBuilder();
        for (Note n : notes)
          t.append(
              String.format(
                  " %.1f:%d/%d%s",
                  (n.tick() - slot.fromTick()) / 5040.0,
                  6 - n.string(),
                  n.fret(),
                  n.part().name().substring(0, 1)));
        System.out.printf(
            "DUMP %s bar %d %s %s miss %s%s%s |%s%n",
            e.getKey(),
            slot.played().bar(),
            s.chord(),
            slot.held().fretText(),
            miss,
            leap ? " LEAP" : "",
            late ? " LATE" : "",
            t);
      }
    }
  }
}
