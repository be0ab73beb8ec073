package phalanx.formats.musicxml;

import static phalanx.formats.musicxml.MusicXmlWriter.whole;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.audiveris.proxymusic.Fingering;
import org.audiveris.proxymusic.Fret;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.Pitch;
import org.audiveris.proxymusic.PlacementText;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.Stem;
import org.audiveris.proxymusic.StemValue;
import org.audiveris.proxymusic.Step;
import org.audiveris.proxymusic.Technical;
import org.audiveris.proxymusic.Tie;
import org.audiveris.proxymusic.Tied;
import org.audiveris.proxymusic.TiedType;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.notation.BarVoices;
import phalanx.notation.Rhythm;
import phalanx.notation.Spelling;
import phalanx.notation.WrittenNote;
import phalanx.picking.Force;
import phalanx.song.Timeline.PlayedBar;

/**
 * One voice of one bar on one staff, as the page has it ({@link BarVoices}). A note that rings
 * longer than it is written carries a let-ring tie.
 */
final class VoiceXml {

  /** The staves, in the order they are written. */
  enum Staff {
    NOTATION,
    TABLATURE
  }

  /** How loud a soft stroke is, in hundredths of a usual one. */
  private static final BigDecimal SOFT = BigDecimal.valueOf(60);

  private static final ObjectFactory FACTORY = new ObjectFactory();
  private final Arrangement arrangement;
  private final Spelling spelling;
  private final PlayedBar bar;
  private final Staff staff;
  private final boolean lower;
  private final List<WrittenNote> voice;
  private final BeamMarks beams;
  private final List<org.audiveris.proxymusic.Note> written = new ArrayList<>();

  /** A voice. */
  VoiceXml(Arrangement arrangement, Spelling spelling, PlayedBar bar, Staff staff, boolean lower) {
    this.spelling = spelling;
    this.arrangement = arrangement;
    this.bar = bar;
    this.staff = staff;
    this.lower = lower;
    BarVoices voices = BarVoices.of(arrangement, bar);
    List<WrittenNote> mine = lower ? voices.lower() : voices.upper();
    voice = mine.stream().allMatch(WrittenNote::isRest) ? rests(lower) : mine;
    beams = new BeamMarks(voice, bar);
  }

  /** An upper voice always fills its bar, so that a bar has something in it. */
  private List<WrittenNote> rests(boolean none) {
    if (none) {
      return List.of();
    }
    List<WrittenNote> rests = new ArrayList<>();
    int tick = bar.startTick();
    Rhythm.Span whole = new Rhythm.Span(bar.inMetre(tick), bar.inMetre(bar.endTick()));
    for (Rhythm.Piece piece : Rhythm.of(List.of(whole), bar.meter())) {
      rests.add(new WrittenNote(tick, piece, List.of(), false, false));
      tick += piece.ticks();
    }
    return rests;
  }

  /** The notes and rests of the whole bar; none where the lower voice is silent. */
  List<org.audiveris.proxymusic.Note> notes() {
    for (WrittenNote note : voice) {
      if (note.isRest()) {
        written.add(PieceXml.rest(blank(note.piece()), note.piece()));
      } else {
        stroke(note);
      }
    }
    return written;
  }

  private void grace(Note played, boolean alone) {
    org.audiveris.proxymusic.Note note = PieceXml.grace(alone, staff.ordinal() + 1, voice());
    note.setStem(stem(StemValue.UP));
    note.setPitch(pitch(played));
    Notations notations = FACTORY.createNotations();
    SlurMarks.mark(notations, played, arrangement);
    TechniqueXml.mark(note, notations, played.techniques());
    notations.getTiedOrSlurOrTuplet().add(technical(played, true));
    note.getNotations().add(notations);
    written.add(note);
  }

  private void stroke(WrittenNote at) {
    at.graces().forEach(g -> grace(g, at.graces().size() == 1));
    for (int n = 0; n < at.notes().size(); n++) {
      org.audiveris.proxymusic.Note note = blank(at.piece());
      if (n > 0) {
        note.setChord(FACTORY.createEmpty());
      } else {
        beams.mark(note, at);
      }
      Note played = at.notes().get(n);
      note.setPitch(pitch(played));
      if (played.force() == Force.SOFT) {
        note.setDynamics(SOFT);
      }
      Notations notations = FACTORY.createNotations();
      tie(note, notations, !at.tiedFrom(), !at.tiedTo());
      if (n == 0) {
        TupletXml.mark(notations, at.piece());
      }
      if (at.isStruck()) {
        StrokeMarks.mark(notations, played, arrangement, staff == Staff.NOTATION);
        SlurMarks.mark(notations, played, arrangement);
        TechniqueXml.mark(note, notations, played.techniques());
      }
      if (at.isStruck() || staff == Staff.TABLATURE) {
        notations.getTiedOrSlurOrTuplet().add(technical(played, at.isStruck()));
      }
      if (!notations.getTiedOrSlurOrTuplet().isEmpty()) {
        note.getNotations().add(notations);
      }
      written.add(note);
    }
  }

  private org.audiveris.proxymusic.Note blank(Rhythm.Piece piece) {
    org.audiveris.proxymusic.Note note = PieceXml.blank(piece, staff.ordinal() + 1, voice());
    note.setStem(stem(lower ? StemValue.DOWN : StemValue.UP));
    return note;
  }

  private int voice() {
    return staff.ordinal() * 4 + (lower ? 2 : 1);
  }

  private static Stem stem(StemValue way) {
    Stem stem = FACTORY.createStem();
    stem.setValue(way);
    return stem;
  }

  private static void tie(
      org.audiveris.proxymusic.Note note, Notations notations, boolean first, boolean last) {
    if (!first) {
      note.getTie().add(tie(StartStop.STOP));
      notations.getTiedOrSlurOrTuplet().add(tied(TiedType.STOP));
    }
    if (!last) {
      note.getTie().add(tie(StartStop.START));
      notations.getTiedOrSlurOrTuplet().add(tied(TiedType.START));
    }
  }

  private static Tie tie(StartStop type) {
    Tie tie = FACTORY.createTie();
    tie.setType(type);
    return tie;
  }

  private static Tied tied(TiedType type) {
    Tied tied = FACTORY.createTied();
    tied.setType(type);
    return tied;
  }

  /** The pitch as fretted, spelled as the page has it. */
  private Pitch pitch(Note note) {
    phalanx.theory.Pitch spelled = spelling.of(note);
    Pitch pitch = FACTORY.createPitch();
    pitch.setStep(Step.valueOf(spelled.name().letter().name()));
    if (spelled.name().alteration() != 0) {
      pitch.setAlter(BigDecimal.valueOf(spelled.name().alteration()));
    }
    pitch.setOctave(spelled.octave());
    return pitch;
  }

  private Technical technical(Note note, boolean first) {
    Technical technical = FACTORY.createTechnical();
    List<jakarta.xml.bind.JAXBElement<?>> marks = technical.getUpBowOrDownBowOrHarmonic();
    if (staff == Staff.TABLATURE) {
      org.audiveris.proxymusic.String string = FACTORY.createString();
      string.setValue(whole(StringSign.number(note.string())));
      marks.add(FACTORY.createTechnicalString(string));
      Fret fret = FACTORY.createFret();
      fret.setValue(whole(note.fret()));
      marks.add(FACTORY.createTechnicalFret(fret));
    }
    if (first) {
      note.fretFinger().ifPresent(f -> marks.add(FACTORY.createTechnicalFingering(fingering(f))));
      note.pick()
          .filter(p -> staff == Staff.NOTATION)
          .ifPresent(
              finger -> {
                PlacementText pluck = FACTORY.createPlacementText();
                pluck.setValue(finger.letter());
                marks.add(FACTORY.createTechnicalPluck(pluck));
              });
      if (StrokeMarks.byNails(note, arrangement)) {
        marks.add(FACTORY.createTechnicalFingernails(FACTORY.createEmptyPlacement()));
      }
    }
    return technical;
  }

  static Fingering fingering(Finger finger) {
    Fingering fingering = FACTORY.createFingering();
    fingering.setValue(finger.sign());
    return fingering;
  }
}
