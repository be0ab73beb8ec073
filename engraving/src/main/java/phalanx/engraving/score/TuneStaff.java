package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntToDoubleFunction;
import java.util.stream.Stream;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.font.Sign;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.notation.Rhythm;
import phalanx.notation.WrittenForm.WrittenBar;
import phalanx.notation.WrittenNote;
import phalanx.picking.Force;
import phalanx.song.NoteRef;
import phalanx.song.Timeline.PlayedBar;
import phalanx.technique.TechniqueText;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Pitch;

/**
 * A tune on five lines, bar by bar, where somebody else says where each time stands: the same
 * heads, stems, beams and rests as on the page. Measures are staff spaces from the top line.
 */
public final class TuneStaff {

  private static final SheetOptions STAFF =
      SheetOptions.USUAL
          .with(SheetOptions.Show.TABLATURE, false)
          .with(SheetOptions.Show.LETTERS, false)
          .with(SheetOptions.Show.FINGERS, false);

  private final KeySignature key;
  private final Accidentals accidentals;
  private List<Want> sounding = List.of();

  /**
   * A bar.
   *
   * @param marks everything
   * @param heads the heads of each note by its tick in the bar, to be told apart by colour
   */
  public record Engraved(List<Mark> marks, Map<Integer, List<Mark>> heads) {}

  /** A tune in a key; none is C major’s signature. */
  public TuneStaff(Optional<Key> key) {
    this.key = new KeySignature(key);
    accidentals = new Accidentals(this.key);
  }

  /** How much room clef, key and metre take at the beginning of a line. */
  public double signatureWidth(Optional<Meter> metre) {
    return SystemDrawing.music(STAFF, key, metre);
  }

  /** Clef, key and metre at the beginning of a line. */
  public List<Mark> signature(Optional<Meter> metre) {
    Drawing drawing = new Drawing();
    drawing.add(new Mark.Glyph(Role.CLEF, Sign.TREBLE_CLEF, 0.4, 3, 1));
    SystemDrawing.signature(drawing, key, metre);
    return drawing.marks();
  }

  /**
   * The next bar.
   *
   * @param tune its notes by their pitches
   * @param lengthTicks how long it is; a pick-up is shorter than its metre
   * @param goesOn whether its last note goes on into the bar behind
   * @param x where the left edge of the head at a tick of the bar stands
   * @param left its left bar line
   * @param right its right bar line
   */
  public Engraved bar(
      BarTune tune,
      Meter meter,
      int lengthTicks,
      boolean goesOn,
      IntToDoubleFunction x,
      double left,
      double right) {
    accidentals.nextBar();
    PlayedBar bar =
        new PlayedBar(1, 0, 1, 0, lengthTicks, meter, meter.barTicks() - lengthTicks, 100);
    List<WrittenNote> voice = voice(tune, bar, goesOn);
    if (voice.stream().allMatch(WrittenNote::isRest)) {
      return new Engraved(List.of(), Map.of());
    }
    Map<WrittenNote, WrittenHeads> heads = new HashMap<>();
    Map<Note, Integer> graces = new HashMap<>();
    for (WrittenNote note : voice) {
      heads.put(note, heads(note));
      note.graces().forEach(g -> graces.put(g, note.tick()));
    }
    List<List<Stroke>> groups = new ArrayList<>();
    List<Stroke> strokes = new ArrayList<>();
    WrittenBar written = new WrittenBar(bar, 1, false, false, 1, Set.of(), false, false);
    BarContent.Reader.strokes(voice, Optional.empty(), heads, written, groups, strokes);
    BarContent content =
        new BarContent(
            written,
            strokes,
            List.of(),
            groups,
            graces.keySet().stream().sorted(Comparator.comparingInt(Note::tick)).toList(),
            graces,
            List.of(),
            List.of(),
            List.of());
    TreeMap<Integer, Column> columns = Columns.of(content, STAFF);
    Map<Integer, Double> at = new TreeMap<>();
    columns.keySet().forEach(t -> at.put(t, x.applyAsDouble(t)));
    Placed placed = new Placed(content, left, right, columns, at);
    return drawn(placed, strokes);
  }

  private static Engraved drawn(Placed placed, List<Stroke> strokes) {
    Drawing drawing = new Drawing();
    Map<Integer, List<Mark>> heads = new HashMap<>();
    placed
        .columns()
        .values()
        .forEach(
            c ->
                c.staff.forEach(
                    m -> {
                      Mark there = m.placed(placed.x(c.tick), 0, 1);
                      drawing.add(there);
                      if (m.role() == Role.HEAD) {
                        heads.computeIfAbsent(c.tick, t -> new ArrayList<>()).add(there);
                      }
                    }));
    StemsAndBeams.draw(placed, drawing);
    for (int s = 0; s < strokes.size(); s++) {
      tie(placed, strokes, s, drawing);
    }
    return new Engraved(List.copyOf(drawing.marks()), heads);
  }

  private static void tie(Placed placed, List<Stroke> strokes, int s, Drawing drawing) {
    Stroke stroke = strokes.get(s);
    boolean up = !stroke.up();
    for (Head head : stroke.heads()) {
      double x = placed.x(stroke.tick());
      if (stroke.written().tiedFrom() && s == 0) {
        drawing.add(StaffDrawing.tie(placed.left() + 0.3, x - 0.1, head, up));
      }
      if (stroke.written().tiedTo()) {
        double to =
            s + 1 < strokes.size() ? placed.x(strokes.get(s + 1).tick()) - 0.1 : placed.right();
        drawing.add(StaffDrawing.tie(x + Measures.HEAD + 0.1, to, head, up));
      }
    }
  }

  /** The tune of a bar as it is written, rests between its notes. */
  private List<WrittenNote> voice(BarTune tune, PlayedBar bar, boolean goesOn) {
    List<Rhythm.Span> spans = new ArrayList<>();
    List<Optional<TuneNote>> filled = new ArrayList<>();
    boolean held = tune.heldTicks() > 0 && !sounding.isEmpty();
    int free = 0;
    if (held) {
      TuneNote before =
          new TuneNote(
              0,
              Math.min(bar.lengthTicks(), tune.heldTicks()),
              sounding,
              Optional.empty(),
              List.of());
      free = add(spans, filled, bar, 0, before.endTick(), Optional.of(before));
    }
    for (TuneNote note : tune.notes()) {
      Stream.concat(note.wants().stream(), note.graces().stream())
          .map(w -> ((Want.Sound) w).pitch())
          .forEach(p -> spelled.put(p.midi(), p));
      if (note.tick() < bar.lengthTicks()) {
        free = add(spans, filled, bar, free, note.tick(), Optional.empty());
        free =
            add(
                spans,
                filled,
                bar,
                free,
                Math.min(bar.lengthTicks(), note.endTick()),
                Optional.of(note));
        sounding = note.wants();
      }
    }
    boolean sounds = free == bar.lengthTicks() && goesOn;
    add(spans, filled, bar, free, bar.lengthTicks(), Optional.empty());
    List<WrittenNote> voice = new ArrayList<>();
    int tick = 0;
    List<Rhythm.Piece> pieces = Rhythm.of(spans, bar.meter());
    for (int p = 0; p < pieces.size(); p++) {
      Rhythm.Piece piece = pieces.get(p);
      Optional<TuneNote> note = filled.get(piece.span());
      boolean last = p + 1 == pieces.size();
      voice.add(
          new WrittenNote(
              tick,
              piece,
              note.map(TuneStaff::notes).orElse(List.of()),
              note.isPresent() && (!piece.first() || held && piece.span() == 0),
              note.isPresent() && (!piece.last() || last && sounds),
              piece.first() ? note.map(TuneStaff::graces).orElse(List.of()) : List.of()));
      tick += piece.ticks();
    }
    return voice;
  }

  private static int add(
      List<Rhythm.Span> spans,
      List<Optional<TuneNote>> filled,
      PlayedBar bar,
      int from,
      int to,
      Optional<TuneNote> note) {
    if (to > from) {
      spans.add(new Rhythm.Span(bar.inMetre(from), bar.inMetre(to)));
      filled.add(note);
    }
    return Math.max(from, to);
  }

  /** A note for each pitch: where it lies on the neck nobody asks here. */
  private static List<Note> notes(TuneNote tune) {
    List<Note> notes = new ArrayList<>();
    for (Want want : tune.wants()) {
      notes.add(note(tune, want, notes.size(), tune.tick(), tune.lengthTicks()));
    }
    return notes;
  }

  private static List<Note> graces(TuneNote tune) {
    List<Note> notes = new ArrayList<>();
    int from = tune.tick() - TuneNote.GRACE_TICKS * tune.graces().size();
    for (Want want : tune.graces()) {
      int tick = from + TuneNote.GRACE_TICKS * notes.size();
      notes.add(note(tune, want, notes.size(), tick, TuneNote.GRACE_TICKS));
    }
    return notes;
  }

  private static Note note(TuneNote tune, Want want, int number, int tick, int length) {
    return new Note(
        new Note.Time(tick, length, 0),
        new Note.Place(number % 6, 0, ((Want.Sound) want).pitch().midi(), Optional.empty()),
        Optional.empty(),
        Note.Part.TUNE,
        new NoteRef(1, tune.tick(), phalanx.picking.Role.TUNE),
        new Note.Manner(Attack.PLUCKED, Group.ALONE, tune.techniques(), Force.PLAIN));
  }

  private final Map<Integer, Pitch> spelled = new HashMap<>();

  private WrittenHeads heads(WrittenNote at) {
    List<Head> graces = new ArrayList<>();
    for (Note note : at.graces()) {
      Pitch pitch = pitch(note);
      int position = BarContent.position(pitch);
      Optional<Integer> accidental = accidentals.before(pitch, position);
      graces.add(new Head(note, position, Sign.HEAD_BLACK, accidental, false, 0));
    }
    List<Head> heads = new ArrayList<>();
    for (Note note : at.notes()) {
      Pitch pitch = pitch(note);
      int position = BarContent.position(pitch);
      boolean touched = note.techniques().stream().anyMatch(TechniqueText::isHarmonic);
      boolean black = at.piece().value().isBlack();
      Sign sign =
          touched
              ? black ? Sign.DIAMOND_BLACK : Sign.DIAMOND_WHITE
              : !at.piece().value().hasStem()
                  ? Sign.HEAD_WHOLE
                  : black ? Sign.HEAD_BLACK : Sign.HEAD_HALF;
      heads.add(
          new Head(
              note,
              position,
              sign,
              at.tiedFrom() ? Optional.empty() : accidentals.before(pitch, position),
              false,
              0));
    }
    heads.sort(Comparator.comparingInt(Head::position));
    return new WrittenHeads(heads, graces);
  }

  private Pitch pitch(Note note) {
    return spelled.getOrDefault(note.midi(), Pitch.of(note.midi(), natural(note.midi())));
  }

  private static phalanx.theory.NoteName natural(int midi) {
    return Key.parse("C").orElseThrow().nameOf(Math.floorMod(midi, 12));
  }
}
