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
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;

/** Hammer-ons, pull-offs and slides: a mark where each starts, and one where it stops. */
final class SlurMarks {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  private SlurMarks() {}

  static void mark(Notations notations, Note note, Arrangement arrangement) {
    if (note.attack().isSlur()) {
      mark(notations, note.attack(), StartStop.STOP);
    }
    next(note, arrangement).ifPresent(n -> mark(notations, n.attack(), StartStop.START));
  }

  /** The note that is slurred from this one. */
  private static Optional<Note> next(Note note, Arrangement arrangement) {
    int end = note.tick() + note.lengthTicks();
    return arrangement.notesFrom(end, end + 1).stream()
        .filter(n -> n.string() == note.string() && n.attack().isSlur())
        .findFirst();
  }

  private static void mark(Notations notations, Attack attack, StartStop type) {
    if (attack == Attack.SLID) {
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
    if (attack == Attack.HAMMERED) {
      mark.setValue(type == StartStop.START ? attack.sign() : "");
      element = FACTORY.createTechnicalHammerOn(mark);
    } else {
      mark.setValue(type == StartStop.START ? attack.sign() : "");
      element = FACTORY.createTechnicalPullOff(mark);
    }
    Technical technical = FACTORY.createTechnical();
    technical.getUpBowOrDownBowOrHarmonic().add(element);
    notations.getTiedOrSlurOrTuplet().add(technical);
  }
}
