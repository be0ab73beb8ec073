package phalanx.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.fretting.Reach;
import phalanx.instrument.StringSign;
import phalanx.song.Clock;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.text.Texts;

/**
 * The strings that are stopped, those the player wants stopped at a chord included.
 *
 * @param slots the slots, with a remark where nothing is free to stop a string
 * @param all every damp, by time
 */
record WantedDamps(List<Slot> slots, List<Damp> all) {

  static WantedDamps of(Song song, Timeline timeline, FingeredNotes fingered, Reach reach) {
    if (song.pins().damps().isEmpty()) {
      return new WantedDamps(fingered.slots(), fingered.damps());
    }
    Clock clock = Clock.of(song, timeline);
    Damping damping =
        new Damping(
            fingered.notes(), fingered.gestures(), clock, song.tempo(), song.school(), reach);
    List<Damp> all = new ArrayList<>(fingered.damps());
    List<Slot> remarked = new ArrayList<>();
    for (Slot slot : fingered.slots()) {
      List<Remark> remarks = new ArrayList<>(slot.found());
      Set<Integer> wanted =
          damping.isAfterAnyStroke(slot) ? song.pins().damped(slot.played().ref()) : Set.of();
      List<Damp> stopped = damping.stopping(slot, wanted);
      all.addAll(stopped);
      wanted.stream()
          .filter(s -> stopped.stream().noneMatch(d -> d.strings().contains(s)))
          .forEach(s -> remarks.add(nothingFree(slot, s)));
      boolean same = remarks.size() == slot.found().size();
      remarked.add(same ? slot : slot.withRemarks(remarks));
    }
    all.sort(Comparator.comparingInt(Damp::tick));
    return new WantedDamps(remarked, all);
  }

  private static Remark nothingFree(Slot slot, int string) {
    return Remark.at(
        Remark.Kind.PIN,
        Texts.of("wantedDamps.isToBeStopped", StringSign.of(string)),
        slot.fromTick(),
        string,
        new Remark.Figure(0, 1, "fingers"));
  }
}
