package phalanx.notation;

import java.util.ArrayList;
import java.util.List;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Meter;

/**
 * Which notes of a voice stand under one beam: those of a beat; of half a bar in four quarters
 * where nothing is shorter than an eighth; of a dotted quarter in compound metres (Gould, Behind
 * Bars, 2011, “Beaming according to the metre”, from memory).
 */
public final class BeamGroups {

  private BeamGroups() {}

  /** The groups of a voice in order, a note without a beam alone; rests belong to none. */
  public static List<List<WrittenNote>> of(List<WrittenNote> voice, PlayedBar bar) {
    List<List<WrittenNote>> groups = new ArrayList<>();
    List<WrittenNote> open = new ArrayList<>();
    int beat = -1;
    for (WrittenNote note : voice) {
      boolean beams = !note.isRest() && note.piece().value().flags() > 0;
      int now = group(bar, voice, bar.inMetre(note.tick()));
      if (!open.isEmpty() && (!beams || now != beat)) {
        groups.add(List.copyOf(open));
        open.clear();
      }
      if (beams) {
        open.add(note);
        beat = now;
      } else if (!note.isRest()) {
        groups.add(List.of(note));
      }
    }
    if (!open.isEmpty()) {
      groups.add(List.copyOf(open));
    }
    return groups;
  }

  private static int group(PlayedBar bar, List<WrittenNote> voice, int tick) {
    Meter meter = bar.meter();
    int half = meter.barTicks() / 2;
    boolean halves = meter.count() == 4 && meter.unit() == 4;
    if (halves && eighthsOnly(bar, voice, tick / half * half, half)) {
      return tick / half * 2;
    }
    return 1000 + tick / meter.beatTicks();
  }

  private static boolean eighthsOnly(PlayedBar bar, List<WrittenNote> voice, int from, int length) {
    return voice.stream()
        .filter(n -> bar.inMetre(n.tick()) >= from && bar.inMetre(n.tick()) < from + length)
        .allMatch(n -> n.piece().value().flags() <= 1 && n.piece().ratio().isEmpty());
  }
}
