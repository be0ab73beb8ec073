package phalanx.formats.musicxml;

import java.math.BigDecimal;
import org.audiveris.proxymusic.Grace;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.NoteType;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.YesNo;
import phalanx.notation.Rhythm;

/** A piece of rhythm as a written value, before it is known what sounds on it. */
final class PieceXml {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  private PieceXml() {}

  /** A note without pitch. */
  static Note blank(Rhythm.Piece piece, int staff, int voice) {
    Note note = inVoice(staff, voice);
    note.setDuration(BigDecimal.valueOf(piece.ticks()));
    NoteType type = FACTORY.createNoteType();
    type.setValue(piece.value().type());
    note.setType(type);
    if (piece.value().dotted()) {
      note.getDot().add(FACTORY.createEmptyPlacement());
    }
    piece.ratio().ifPresent(r -> note.setTimeModification(TupletXml.modification(r)));
    return note;
  }

  /** A short note before another, without a length; one alone with a stroke through its flag. */
  static Note grace(boolean alone, int staff, int voice) {
    Note note = inVoice(staff, voice);
    Grace grace = FACTORY.createGrace();
    grace.setSlash(alone ? YesNo.YES : YesNo.NO);
    note.setGrace(grace);
    NoteType type = FACTORY.createNoteType();
    type.setValue(alone ? "eighth" : "16th");
    note.setType(type);
    return note;
  }

  private static Note inVoice(int staff, int voice) {
    Note note = FACTORY.createNote();
    note.setStaff(MusicXmlWriter.whole(staff));
    note.setVoice(String.valueOf(voice));
    return note;
  }

  /** Makes a rest of a note without pitch. */
  static Note rest(Note blank, Rhythm.Piece piece) {
    blank.setRest(FACTORY.createRest());
    Notations notations = FACTORY.createNotations();
    TupletXml.mark(notations, piece);
    if (!notations.getTiedOrSlurOrTuplet().isEmpty()) {
      blank.getNotations().add(notations);
    }
    return blank;
  }
}
