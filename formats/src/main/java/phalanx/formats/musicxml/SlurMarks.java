package phalanx.formats.musicxml;

import jakarta.xml.bind.JAXBElement;
import java.util.Optional;
import org.audiveris.proxymusic.HammerOnPullOff;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.Slide;
import org.audiveris.proxymusic.Slur;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.StartStopContinue;
import org.audiveris.proxymusic.Technical;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;

/** Hammer-ons, pull-offs and slides: a mark where each starts, and one where it stops. */
final class SlurMarks {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  private SlurMarks() {}

  static void mark(Notations notations, Note note, Arrangement arrangement) {
    if (note.manner().isSlur()) {
      mark(notations, note.manner(), StartStop.STOP);
    }
    next(note, arrangement).ifPresent(n -> mark(notations, n.manner(), StartStop.START));
  }

  /** The note that is slurred from this one. */
  private static Optional<Note> next(Note note, Arrangement arrangement) {
    int end = note.tick() + note.lengthTicks();
    return arrangement.notesFrom(end, end + 1).stream()
        .filter(n -> n.string() == note.string() && n.manner().isSlur())
        .findFirst();
  }

  private static void mark(Notations notations, Note.Manner manner, StartStop type) {
    if (manner == Note.Manner.SLID) {
      Slide slide = FACTORY.createSlide();
      slide.setType(type);
      notations.getTiedOrSlurOrTuplet().add(slide);
      return;
    }
    Slur slur = FACTORY.createSlur();
    slur.setType(type == StartStop.START ? StartStopContinue.START : StartStopContinue.STOP);
    notations.getTiedOrSlurOrTuplet().add(slur);
    HammerOnPullOff mark = FACTORY.createHammerOnPullOff();
    mark.setType(type);
    JAXBElement<HammerOnPullOff> element;
    if (manner == Note.Manner.HAMMERED) {
      mark.setValue(type == StartStop.START ? "H" : "");
      element = FACTORY.createTechnicalHammerOn(mark);
    } else {
      mark.setValue(type == StartStop.START ? "P" : "");
      element = FACTORY.createTechnicalPullOff(mark);
    }
    Technical technical = FACTORY.createTechnical();
    technical.getUpBowOrDownBowOrHarmonic().add(element);
    notations.getTiedOrSlurOrTuplet().add(technical);
  }
}
