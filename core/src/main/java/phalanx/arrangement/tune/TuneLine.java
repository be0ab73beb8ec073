package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.MelodyNote;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.picking.Density;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedBar;
import phalanx.technique.TechniqueText;

/** The tune of a song with the repeats unrolled. */
public final class TuneLine {

  private TuneLine() {}

  /** Every note of the tune in order. */
  public static List<MelodyNote> of(Song song, Timeline timeline) {
    List<MelodyNote> line = new ArrayList<>();
    if (song.tune().isEmpty()) {
      return line;
    }
    for (PlayedBar bar : timeline.bars()) {
      if (isLeftToASinger(song, bar)) {
        continue;
      }
      BarTune tune = song.tune().at(bar.written(), song.chart());
      goOn(line, bar, tune.heldTicks());
      for (TuneNote note : tune.notes()) {
        // What stands beyond a bar that became shorter waits there unheard.
        if (note.tick() < bar.lengthTicks()) {
          int end = Math.min(note.endTick(), bar.lengthTicks());
          int late = graces(line, note, bar, song);
          for (Want want : note.wants()) {
            line.add(sung(want, note, bar, end, song).after(late));
          }
        }
      }
    }
    return line;
  }

  private static boolean isLeftToASinger(Song song, PlayedBar bar) {
    return song.picking()
        .densities()
        .at(bar.written(), song.chart())
        .filter(d -> d == Density.THUMB)
        .isPresent();
  }

  /**
   * Short notes take their time from the note before; where there is none, or it is too short, from
   * their own, which then comes so many ticks late.
   */
  private static int graces(List<MelodyNote> line, TuneNote note, PlayedBar bar, Song song) {
    int count = note.graces().size();
    if (count == 0) {
      return 0;
    }
    int tick = bar.startTick() + note.tick();
    int each = TuneNote.GRACE_TICKS;
    int ahead = tick - count * each;
    boolean room = ahead >= 0 && (line.isEmpty() || ahead > line.get(line.size() - 1).tick());
    if (!room) {
      each = Math.min(each, note.lengthTicks() / (2 * count));
    }
    if (each == 0) {
      return 0;
    }
    int from = room ? ahead : tick;
    for (int i = line.size() - 1; i >= 0 && line.get(i).endTick() > from; i--) {
      line.set(i, line.get(i).until(from));
    }
    for (Want grace : note.graces()) {
      TuneNote plain = new TuneNote(note.tick(), each, List.of(grace), Optional.empty(), List.of());
      MelodyNote sung = sung(grace, plain, bar, note.endTick(), song);
      line.add(sung.asGrace(from, from + each));
      from += each;
    }
    return room ? 0 : count * each;
  }

  private static MelodyNote sung(Want want, TuneNote note, PlayedBar bar, int end, Song song) {
    int tick = bar.startTick() + note.tick();
    int until = bar.startTick() + end;
    Want.Sound sound = TouchedPlaces.of(song, want, note.techniques());
    return new MelodyNote(
        tick,
        until,
        sound.pitch().midi(),
        sound.string(),
        sound.pitch().toString(),
        isHarmonic(note) ? Optional.empty() : note.slur(),
        bar.written(),
        note.tick(),
        note.techniques(),
        false,
        song.tune().ringing().contains(song.sections().get(bar.section()).id()));
  }

  /** A harmonic is plucked, whatever is written. */
  private static boolean isHarmonic(TuneNote note) {
    return note.techniques().stream().anyMatch(TechniqueText::isHarmonic);
  }

  /** The notes that end with the bar before go on into this one. */
  private static void goOn(List<MelodyNote> line, PlayedBar bar, int held) {
    for (int i = line.size() - 1; held > 0 && i >= 0; i--) {
      MelodyNote last = line.get(i);
      if (last.endTick() != bar.startTick()) {
        return;
      }
      line.set(i, last.until(bar.startTick() + Math.min(held, bar.lengthTicks())));
    }
  }

  /**
   * The notes that sound while each slot lasts, those that go on from before first.
   *
   * @param early how many ticks early each slot comes
   */
  public static List<List<MelodyNote>> bySlot(
      List<MelodyNote> line, Timeline timeline, int[] early) {
    List<List<MelodyNote>> slots = new ArrayList<>();
    int first = 0;
    for (int i = 0; i < timeline.slots().size(); i++) {
      int from = timeline.slots().get(i).tick() - early[i];
      int to = timeline.slots().get(i).endTick() - (i + 1 < early.length ? early[i + 1] : 0);
      List<MelodyNote> here = new ArrayList<>();
      while (first < line.size() && line.get(first).endTick() <= from) {
        first++;
      }
      for (int n = first; n < line.size() && line.get(n).tick() < to; n++) {
        if (line.get(n).endTick() > from) {
          here.add(line.get(n));
        }
      }
      slots.add(here);
    }
    return slots;
  }
}
