package phalanx.formats.musicxml;

import jakarta.xml.bind.JAXBElement;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.audiveris.proxymusic.Arpeggiate;
import org.audiveris.proxymusic.Articulations;
import org.audiveris.proxymusic.EmptyPlacement;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.UpDown;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.picking.Force;
import phalanx.picking.Touch;
import phalanx.technique.Technique;

/** Arpeggio arrows for rolls and brushes, accents, and the marks of techniques. */
final class StrokeMarks {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  /** The mark of each technique that MusicXML 4.0 has one for (its chapter on articulations). */
  private static final Map<Technique, Function<EmptyPlacement, JAXBElement<EmptyPlacement>>>
      TECHNIQUES =
          Map.of(
              Technique.Plain.STOPPED, FACTORY::createArticulationsStaccato,
              Technique.Plain.SOFT, FACTORY::createArticulationsUnstress);

  private StrokeMarks() {}

  /**
   * Marks a note.
   *
   * @param articulated whether arrows and accents stand on this staff, not on the other one
   */
  static void mark(Notations notations, Note note, Arrangement arrangement, boolean articulated) {
    if (articulated && (note.group() == Group.ROLL || note.isBrushed())) {
      Arpeggiate arpeggiate = FACTORY.createArpeggiate();
      arpeggiate.setDirection(towardsTreble(note, arrangement) ? UpDown.UP : UpDown.DOWN);
      notations.getTiedOrSlurOrTuplet().add(arpeggiate);
    }
    Articulations articulations = FACTORY.createArticulations();
    List<JAXBElement<?>> marks = articulations.getAccentOrStrongAccentOrStaccato();
    if (note.force() == Force.ACCENTED) {
      marks.add(FACTORY.createArticulationsAccent(FACTORY.createEmptyPlacement()));
    }
    note.techniques().stream()
        .sorted(Comparator.comparing(Technique::word))
        .map(t -> TECHNIQUES.get(t))
        .filter(Objects::nonNull)
        .forEach(mark -> marks.add(mark.apply(FACTORY.createEmptyPlacement())));
    if (articulated && !marks.isEmpty()) {
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
