package phalanx.formats.musicxml;

import static phalanx.formats.musicxml.MusicXmlWriter.whole;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.audiveris.proxymusic.Fingering;
import org.audiveris.proxymusic.Fret;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.NoteType;
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
import phalanx.arrangement.Slot;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.picking.PickFinger;
import phalanx.song.Harmony;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.NoteName;

/**
 * One voice of one bar on one staff: the strokes of the thumb or of the fingers, each written up to
 * the next stroke of its voice. A note that rings longer carries a let-ring tie.
 */
final class VoiceXml {

  /** The staves, in the order they are written. */
  enum Staff {
    NOTATION,
    TABLATURE
  }

  private static final ObjectFactory FACTORY = new ObjectFactory();
  private static final NoteName[] SHARPS =
      "C C# D D# E F F# G G# A A# B"
          .replace(' ', '\n')
          .lines()
          .map(n -> NoteName.parse(n).orElseThrow())
          .toArray(NoteName[]::new);

  private final Arrangement arrangement;
  private final PlayedBar bar;
  private final Staff staff;
  private final boolean thumb;
  private final List<org.audiveris.proxymusic.Note> written = new ArrayList<>();

  VoiceXml(Arrangement arrangement, PlayedBar bar, Staff staff, boolean thumb) {
    this.arrangement = arrangement;
    this.bar = bar;
    this.staff = staff;
    this.thumb = thumb;
  }

  /** The notes and rests of the whole bar. */
  List<org.audiveris.proxymusic.Note> notes() {
    TreeMap<Integer, List<Note>> strokes = new TreeMap<>();
    int end = bar.startTick() + bar.lengthTicks();
    for (Note note : arrangement.notes()) {
      boolean mine = (note.pick() == PickFinger.P) == thumb;
      if (mine && note.tick() >= bar.startTick() && note.tick() < end) {
        strokes.computeIfAbsent(note.tick(), t -> new ArrayList<>()).add(note);
      }
    }
    int first = strokes.isEmpty() ? end : strokes.firstKey();
    rests(first - bar.startTick());
    strokes.forEach(
        (tick, together) -> {
          Integer next = strokes.higherKey(tick);
          stroke(together, (next == null ? end : next) - tick);
        });
    return written;
  }

  private void rests(int ticks) {
    for (NoteValue value : NoteValue.lasting(ticks)) {
      org.audiveris.proxymusic.Note rest = blank(value);
      rest.setRest(FACTORY.createRest());
      written.add(rest);
    }
  }

  private void stroke(List<Note> together, int ticks) {
    List<NoteValue> values = NoteValue.lasting(ticks);
    for (int v = 0; v < values.size(); v++) {
      boolean first = v == 0;
      boolean last = v == values.size() - 1;
      for (int n = 0; n < together.size(); n++) {
        org.audiveris.proxymusic.Note note = blank(values.get(v));
        if (n > 0) {
          note.setChord(FACTORY.createEmpty());
        }
        Note played = together.get(n);
        note.setPitch(pitch(played));
        Notations notations = FACTORY.createNotations();
        tie(note, notations, first, last);
        if (last && played.lengthTicks() > ticks) {
          notations.getTiedOrSlurOrTuplet().add(tied(TiedType.LET_RING));
        }
        if (first || staff == Staff.TABLATURE) {
          notations.getTiedOrSlurOrTuplet().add(technical(played, first));
        }
        if (!notations.getTiedOrSlurOrTuplet().isEmpty()) {
          note.getNotations().add(notations);
        }
        written.add(note);
      }
    }
  }

  private org.audiveris.proxymusic.Note blank(NoteValue value) {
    org.audiveris.proxymusic.Note note = FACTORY.createNote();
    note.setDuration(BigDecimal.valueOf(value.ticks()));
    NoteType type = FACTORY.createNoteType();
    type.setValue(value.type());
    note.setType(type);
    if (value.dotted()) {
      note.getDot().add(FACTORY.createEmptyPlacement());
    }
    Stem stem = FACTORY.createStem();
    stem.setValue(thumb ? StemValue.DOWN : StemValue.UP);
    note.setStem(stem);
    note.setStaff(whole(staff.ordinal() + 1L));
    note.setVoice(String.valueOf(staff.ordinal() * 4 + (thumb ? 2 : 1)));
    return note;
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

  /** The pitch as fretted, spelled as the chord spells it. */
  private Pitch pitch(Note note) {
    int fretted = note.midi() - arrangement.song().guitar().capo();
    int chroma = Math.floorMod(fretted, 12);
    NoteName name =
        arrangement.slots().stream()
            .filter(s -> s.played().tick() <= note.tick() && note.tick() < s.endTick())
            .map(Slot::played)
            .flatMap(
                p ->
                    p.harmony() instanceof Harmony.Sounding s
                        ? s.chord().spelling(chroma).stream()
                        : Stream.<NoteName>empty())
            .findFirst()
            .orElse(SHARPS[chroma]);
    phalanx.theory.Pitch spelled = phalanx.theory.Pitch.of(fretted, name);
    Pitch pitch = FACTORY.createPitch();
    pitch.setStep(Step.valueOf(name.letter().name()));
    if (name.alteration() != 0) {
      pitch.setAlter(BigDecimal.valueOf(name.alteration()));
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
      PlacementText pluck = FACTORY.createPlacementText();
      pluck.setValue(note.pick().letter());
      marks.add(FACTORY.createTechnicalPluck(pluck));
    }
    return technical;
  }

  static Fingering fingering(Finger finger) {
    Fingering fingering = FACTORY.createFingering();
    fingering.setValue(finger.sign());
    return fingering;
  }
}
