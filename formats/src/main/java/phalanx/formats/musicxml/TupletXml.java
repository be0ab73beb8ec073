package phalanx.formats.musicxml;

import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.TimeModification;
import org.audiveris.proxymusic.Tuplet;
import phalanx.notation.Rhythm;

/** The marks of triplets, quintuplets and their kin. */
final class TupletXml {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  private TupletXml() {}

  /** How the written values of a tuplet are played. */
  static TimeModification modification(Rhythm.Ratio ratio) {
    TimeModification modification = FACTORY.createTimeModification();
    modification.setActualNotes(MusicXmlWriter.whole(ratio.actual()));
    modification.setNormalNotes(MusicXmlWriter.whole(ratio.normal()));
    return modification;
  }

  /** Opens or closes the bracket of a tuplet. A tuplet of one note needs none. */
  static void mark(Notations notations, Rhythm.Piece piece) {
    if (piece.opens() != piece.closes()) {
      Tuplet tuplet = FACTORY.createTuplet();
      tuplet.setType(piece.opens() ? StartStop.START : StartStop.STOP);
      notations.getTiedOrSlurOrTuplet().add(tuplet);
    }
  }
}
