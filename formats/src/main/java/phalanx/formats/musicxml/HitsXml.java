package phalanx.formats.musicxml;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.audiveris.proxymusic.Instrument;
import org.audiveris.proxymusic.MidiInstrument;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.Notehead;
import org.audiveris.proxymusic.NoteheadValue;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.OtherPlacementText;
import org.audiveris.proxymusic.ScoreInstrument;
import org.audiveris.proxymusic.ScorePart;
import org.audiveris.proxymusic.Step;
import org.audiveris.proxymusic.Technical;
import org.audiveris.proxymusic.Unpitched;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.notation.Rhythm;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.song.Timeline.PlayedBar;

/**
 * Percussive hits as a voice of unpitched notes with crossed heads on the notation staff. Each kind
 * is an instrument of the part with its note of the General MIDI percussion map.
 */
final class HitsXml {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  /** The voice after those of fingers and thumb on the first staff. */
  private static final int VOICE = 3;

  /** Percussion sounds on the tenth channel of General MIDI. */
  private static final int PERCUSSION_CHANNEL = 10;

  private final Arrangement arrangement;
  private final Map<HitKind, ScoreInstrument> instruments = new EnumMap<>(HitKind.class);

  HitsXml(Arrangement arrangement) {
    this.arrangement = arrangement;
  }

  /** Adds to a part the instruments its hits need; none where nothing is hit. */
  void declare(ScorePart part) {
    for (Gesture gesture : arrangement.gestures()) {
      if (gesture instanceof Gesture.Hit hit) {
        instruments.computeIfAbsent(hit.kind(), k -> instrument("P1-" + k.written(), k.words()));
      }
    }
    if (instruments.isEmpty()) {
      return;
    }
    // The first instrument is that of every note that names none.
    part.getScoreInstrument().add(instrument("P1-guitar", "Guitar"));
    part.getScoreInstrument().addAll(instruments.values());
    instruments.forEach(
        (kind, instrument) -> {
          MidiInstrument midi = FACTORY.createMidiInstrument();
          midi.setId(instrument);
          midi.setMidiChannel(PERCUSSION_CHANNEL);
          // MusicXML counts MIDI notes from 1.
          midi.setMidiUnpitched(kind.percussionKey() + 1);
          part.getMidiDeviceAndMidiInstrument().add(midi);
        });
  }

  private static ScoreInstrument instrument(String id, String name) {
    ScoreInstrument instrument = FACTORY.createScoreInstrument();
    instrument.setId(id);
    instrument.setInstrumentName(name);
    return instrument;
  }

  /** The voice of a bar; empty where nothing is hit. */
  List<Note> notes(PlayedBar bar) {
    List<Gesture.Hit> hits = new ArrayList<>();
    for (Gesture gesture : arrangement.gesturesFrom(bar.startTick(), bar.endTick())) {
      if (gesture instanceof Gesture.Hit hit) {
        hits.add(hit);
      }
    }
    List<Note> written = new ArrayList<>();
    if (hits.isEmpty()) {
      return written;
    }
    List<Rhythm.Span> spans = new ArrayList<>();
    int first = bar.inMetre(hits.get(0).tick());
    if (first > bar.metreTick()) {
      spans.add(new Rhythm.Span(bar.metreTick(), first));
    }
    int rests = spans.size();
    for (int h = 0; h < hits.size(); h++) {
      int end = h + 1 < hits.size() ? hits.get(h + 1).tick() : bar.endTick();
      spans.add(new Rhythm.Span(bar.inMetre(hits.get(h).tick()), bar.inMetre(end)));
    }
    for (Rhythm.Piece piece : Rhythm.of(spans, bar.meter())) {
      boolean strikes = piece.span() >= rests && piece.first();
      written.add(
          strikes
              ? hit(piece, hits.get(piece.span() - rests))
              : PieceXml.rest(blank(piece), piece));
    }
    return written;
  }

  private Note hit(Rhythm.Piece piece, Gesture.Hit hit) {
    Note note = blank(piece);
    Unpitched unpitched = FACTORY.createUnpitched();
    unpitched.setDisplayStep(Step.E);
    unpitched.setDisplayOctave(4);
    note.setUnpitched(unpitched);
    Instrument instrument = FACTORY.createInstrument();
    instrument.setId(instruments.get(hit.kind()));
    note.getInstrument().add(instrument);
    Notehead head = FACTORY.createNotehead();
    head.setValue(NoteheadValue.X);
    note.setNotehead(head);
    if (hit.force() == Force.SOFT) {
      note.setDynamics(BigDecimal.valueOf(60));
    }
    Technical technical = FACTORY.createTechnical();
    OtherPlacementText words = FACTORY.createOtherPlacementText();
    words.setValue(hit.kind().words());
    technical.getUpBowOrDownBowOrHarmonic().add(FACTORY.createTechnicalOtherTechnical(words));
    Notations notations = FACTORY.createNotations();
    TupletXml.mark(notations, piece);
    notations.getTiedOrSlurOrTuplet().add(technical);
    note.getNotations().add(notations);
    return note;
  }

  private static Note blank(Rhythm.Piece piece) {
    return PieceXml.blank(piece, 1, VOICE);
  }
}
