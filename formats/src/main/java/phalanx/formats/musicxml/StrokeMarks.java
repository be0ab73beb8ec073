package phalanx.formats.musicxml;

import org.audiveris.proxymusic.Arpeggiate;
import org.audiveris.proxymusic.Articulations;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.UpDown;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.picking.Force;
import phalanx.picking.Touch;

/** Arpeggio arrows for rolls and brushes, accents. */
final class StrokeMarks {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  private StrokeMarks() {}

  static void mark(Notations notations, Note note, Arrangement arrangement) {
    if (note.group() == Group.ROLL || note.isBrushed()) {
      Arpeggiate arpeggiate = FACTORY.createArpeggiate();
      arpeggiate.setDirection(towardsTreble(note, arrangement) ? UpDown.UP : UpDown.DOWN);
      notations.getTiedOrSlurOrTuplet().add(arpeggiate);
    }
    if (note.force() == Force.ACCENTED) {
      Articulations articulations = FACTORY.createArticulations();
      articulations
          .getAccentOrStrongAccentOrStaccato()
          .add(FACTORY.createArticulationsAccent(FACTORY.createEmptyPlacement()));
      notations.getTiedOrSlurOrTuplet().add(articulations);
    }
  }

  private static boolean towardsTreble(Note note, Arrangement arrangement) {
    return arrangement.gesturesFrom(note.tick(), note.tick() + 1).stream()
        .anyMatch(
            g ->
                g instanceof Gesture.Brush b && note.isBrushed() && b.towardsTreble()
                    || g instanceof Gesture.Roll r
                        && note.group() == Group.ROLL
                        && r.towardsTreble());
  }

  /** Whether the note belongs to a brush of the fingers' nails. */
  static boolean byNails(Note note, Arrangement arrangement) {
    return note.isBrushed()
        && arrangement.gesturesFrom(note.tick(), note.tick() + 1).stream()
            .anyMatch(g -> g instanceof Gesture.Brush b && b.touch() == Touch.NAILS);
  }
}
