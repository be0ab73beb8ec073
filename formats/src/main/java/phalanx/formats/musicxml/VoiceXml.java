package phalanx.formats.musicxml;

import static phalanx.formats.musicxml.MusicXmlWriter.whole;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
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
import phalanx.arrangement.Slot;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.notation.Rhythm;
import phalanx.picking.Force;
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

  /** How loud a soft stroke is, in hundredths of a usual one. */
  private static final BigDecimal SOFT = BigDecimal.valueOf(60);

  private static final ObjectFactory FACTORY = new ObjectFactory();
  private static final NoteName[] SHARPS =
      "C C# D D# E F F# G G# A A# B"
          .replace(' ', '\n')
          .lines()
          .map(n -> NoteName.parse(n).orElseThrow())
          .toArray(NoteName[]::new);

  private final Arrangement arrangement;
  private final Map<Note, Integer> rings;
  private final PlayedBar bar;
  private final Staff staff;
  private final boolean thumb;
  private final List<org.audiveris.proxymusic.Note> written = new ArrayList<>();

  /**
   * A voice.
   *
   * @param rings how long each note of the arrangement rings, ticks
   */
  VoiceXml(
      Arrangement arrangement,
      Map<Note, Integer> rings,
      PlayedBar bar,
      Staff staff,
      boolean thumb) {
    this.rings = rings;
    this.arrangement = arrangement;
    this.bar = bar;
    this.staff = staff;
    this.thumb = thumb;
  }

  /** The notes and rests of the whole bar. */
  List<org.audiveris.proxymusic.Note> notes() {
    TreeMap<Integer, List<Note>> strokes = new TreeMap<>();
    int end = bar.endTick();
    for (Note note : arrangement.notesFrom(bar.startTick(), end)) {
      if (note.isPickedBy(PickFinger.P) == thumb) {
        strokes.computeIfAbsent(note.tick(), t -> new ArrayList<>()).add(note);
      }
    }
    List<Rhythm.Span> spans = new ArrayList<>();
    List<List<Note>> struck = new ArrayList<>();
    int at = bar.startTick();
    for (Map.Entry<Integer, List<Note>> stroke : strokes.entrySet()) {
      Integer next = strokes.higherKey(stroke.getKey());
      int longest = stroke.getValue().stream().mapToInt(Note::lengthTicks).max().orElse(0);
      int until = Math.min(next == null ? end : next, stroke.getKey() + longest);
      add(spans, struck, at, stroke.getKey(), List.of());
      add(spans, struck, stroke.getKey(), until, stroke.getValue());
      at = until;
    }
    add(spans, struck, at, end, List.of());
    for (Rhythm.Piece piece : Rhythm.of(spans, bar.meter())) {
      int span = piece.span();
      if (struck.get(span).isEmpty()) {
        rest(piece);
      } else {
        stroke(struck.get(span), spans.get(span), piece);
      }
    }
    return written;
  }

  private void add(
      List<Rhythm.Span> spans, List<List<Note>> struck, int from, int to, List<Note> notes) {
    if (to > from) {
      spans.add(new Rhythm.Span(bar.inMetre(from), bar.inMetre(to)));
      struck.add(notes);
    }
  }

  private void rest(Rhythm.Piece piece) {
    written.add(PieceXml.rest(blank(piece), piece));
  }

  private void stroke(List<Note> together, Rhythm.Span span, Rhythm.Piece piece) {
    for (int n = 0; n < together.size(); n++) {
      org.audiveris.proxymusic.Note note = blank(piece);
      if (n > 0) {
        note.setChord(FACTORY.createEmpty());
      }
      Note played = together.get(n);
      note.setPitch(pitch(played));
      if (played.force() == Force.SOFT) {
        note.setDynamics(SOFT);
      }
      Notations notations = FACTORY.createNotations();
      tie(note, notations, piece.first(), piece.last());
      if (piece.last() && rings.get(played) > span.to() - span.from()) {
        notations.getTiedOrSlurOrTuplet().add(tied(TiedType.LET_RING));
      }
      if (n == 0) {
        TupletXml.mark(notations, piece);
      }
      if (piece.first()) {
        StrokeMarks.mark(notations, played, arrangement);
        SlurMarks.mark(notations, played, arrangement);
        TechniqueXml.mark(note, notations, played.techniques());
      }
      if (piece.first() || staff == Staff.TABLATURE) {
        notations.getTiedOrSlurOrTuplet().add(technical(played, piece.first()));
      }
      if (!notations.getTiedOrSlurOrTuplet().isEmpty()) {
        note.getNotations().add(notations);
      }
      written.add(note);
    }
  }

  private org.audiveris.proxymusic.Note blank(Rhythm.Piece piece) {
    int voice = staff.ordinal() * 4 + (thumb ? 2 : 1);
    org.audiveris.proxymusic.Note note = PieceXml.blank(piece, staff.ordinal() + 1, voice);
    Stem stem = FACTORY.createStem();
    stem.setValue(thumb ? StemValue.DOWN : StemValue.UP);
    note.setStem(stem);
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
        arrangement.slotsFrom(bar.startTick(), bar.endTick() + 1).stream()
            .filter(s -> s.fromTick() <= note.tick() && note.tick() < s.toTick())
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
      note.pick()
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
