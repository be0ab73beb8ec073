package phalanx.desktop.strip;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.desktop.drawing.ShapeWords;
import phalanx.desktop.texts.Texts;
import phalanx.picking.PickFinger;
import phalanx.song.Timeline.PlayedBar;

/** What stands on the strip in words, for those who hear the screen instead of seeing it. */
final class StripWords {

  private StripWords() {}

  /**
   * A chord and how it is held: {@code bar 3, beat 1, G, finger 2 on string 5 fret 2, open 4 3 2}.
   */
  static String of(Arrangement a, Slot slot) {
    List<String> parts = new ArrayList<>();
    parts.add(place(a, slot.played().tick()));
    parts.add(slot.played().harmony().label());
    slot.shape()
        .ifPresentOrElse(
            s -> parts.addAll(ShapeWords.held(s)),
            () -> parts.add(Texts.of("stripWords.nothingHeld")));
    if (slot.pinned()) {
      parts.add(Texts.of("stripWords.pinned"));
    }
    return String.join(", ", parts);
  }

  /** A note: {@code bar 3, beat 2, G, finger 3 on string 6 fret 3, thumb}. */
  static String of(Arrangement a, Note note) {
    List<String> parts = new ArrayList<>();
    parts.add(place(a, note.tick()));
    int slot = a.slotAt(note.tick());
    if (slot >= 0 && slot < a.slots().size()) {
      parts.add(a.slots().get(slot).played().harmony().label());
    }
    parts.add(
        note.fret() == 0
            ? Texts.of("stripWords.openString", ShapeWords.number(note.string()))
            : ShapeWords.on(note.place().finger(), note.string(), note.fret()));
    parts.add(
        note.attack().isSlur()
            ? Texts.of("stripWords.slurred")
            : note.pick()
                .map(p -> p == PickFinger.P ? Texts.of("stripWords.thumb") : p.words())
                .orElse(Texts.of("stripWords.notPlucked")));
    if (a.isOfTune(note)) {
      parts.add(Texts.of("stripWords.tune"));
    }
    return String.join(", ", parts);
  }

  private static String place(Arrangement a, int tick) {
    PlayedBar bar = a.timeline().barAt(tick);
    int beat = bar.meter().beatTicks();
    int at = bar.inMetre(tick);
    String after = at % beat == 0 ? "" : Texts.of("stripWords.after");
    return Texts.of("stripWords.barBeat", bar.number(), after, 1 + at / beat);
  }
}
