package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.engraving.font.Sign;
import phalanx.notation.BarVoices;
import phalanx.notation.BeamGroups;
import phalanx.notation.Spelling;
import phalanx.notation.WrittenForm.WrittenBar;
import phalanx.notation.WrittenNote;
import phalanx.theory.Pitch;

/**
 * Everything that stands in one bar, before it is known where.
 *
 * @param written the bar
 * @param upper the strokes of the upper voice
 * @param lower those of the lower voice
 * @param groups notes under one beam, or alone
 * @param notes everything that is struck, for the tablature
 * @param graces those of them that are short ones before another, with the time of that one
 * @param slots the chords that begin
 * @param gestures hits, brushes and rolls
 * @param damps strings stopped
 */
record BarContent(
    WrittenBar written,
    List<Stroke> upper,
    List<Stroke> lower,
    List<List<Stroke>> groups,
    List<Note> notes,
    Map<Note, Integer> graces,
    List<Slot> slots,
    List<Gesture> gestures,
    List<Damp> damps) {

  /** The letter step of the lowest line: E above middle C, sounding an octave lower. */
  private static final int LOWEST_LINE = 3 * 7 + 2;

  /** Reads bars one after another: accidentals and fingers depend on what came before. */
  static final class Reader {
    private final Arrangement arrangement;
    private final Spelling spelling;
    private final Accidentals accidentals;
    private final Set<Hold> numbered = new HashSet<>();

    Reader(Arrangement arrangement, KeySignature key) {
      this.arrangement = arrangement;
      accidentals = new Accidentals(key);
      spelling = new Spelling(arrangement);
    }

    BarContent read(WrittenBar written) {
      int from = written.bar().startTick();
      int to = written.bar().endTick();
      BarVoices voices = BarVoices.of(arrangement, written.bar());
      accidentals.nextBar();
      boolean both = has(voices.upper()) && has(voices.lower());
      Map<WrittenNote, WrittenHeads> heads = heads(voices);
      Map<Note, Integer> graces = new HashMap<>();
      heads.keySet().forEach(n -> n.graces().forEach(g -> graces.put(g, n.tick())));
      List<List<Stroke>> groups = new ArrayList<>();
      List<Stroke> upper = new ArrayList<>();
      List<Stroke> lower = new ArrayList<>();
      if (both || has(voices.upper())) {
        strokes(
            voices.upper(),
            both ? Optional.of(true) : Optional.empty(),
            heads,
            written,
            groups,
            upper);
      }
      if (has(voices.lower())) {
        strokes(
            voices.lower(),
            both ? Optional.of(false) : Optional.empty(),
            heads,
            written,
            groups,
            lower);
      }
      return new BarContent(
          written,
          upper,
          lower,
          groups,
          notes(from, to, graces.keySet()),
          graces,
          arrangement.slotsFrom(from, to),
          arrangement.gesturesFrom(from, to),
          arrangement.dampsFrom(from, to));
    }

    /** What is struck in a bar: short notes stand with what they lead to, also over a bar line. */
    private List<Note> notes(int from, int to, Set<Note> graces) {
      List<Note> notes = new ArrayList<>(graces);
      notes.sort(Comparator.comparingInt(Note::tick));
      arrangement.notesFrom(from, to).stream()
          .filter(n -> !arrangement.isGrace(n))
          .forEach(notes::add);
      return notes;
    }

    private static boolean has(List<WrittenNote> voice) {
      return voice.stream().anyMatch(n -> !n.isRest());
    }

    /** The heads of both voices in the order of time, so that accidentals stand once a bar. */
    private Map<WrittenNote, WrittenHeads> heads(BarVoices voices) {
      List<WrittenNote> all = new ArrayList<>(voices.upper());
      all.addAll(voices.lower());
      all.sort(Comparator.comparingInt(WrittenNote::tick));
      Map<WrittenNote, WrittenHeads> heads = new HashMap<>();
      for (WrittenNote note : all) {
        List<Head> graces = note.graces().stream().map(this::grace).toList();
        List<Head> mine = new ArrayList<>();
        for (Note n : note.notes()) {
          Pitch pitch = spelling.of(n);
          int position = position(pitch);
          mine.add(
              new Head(
                  n,
                  position,
                  sign(note, n),
                  note.tiedFrom() ? Optional.empty() : accidentals.before(pitch, position),
                  !note.tiedFrom() && isNumbered(n),
                  0));
        }
        mine.sort(Comparator.comparingInt(Head::position));
        heads.put(note, new WrittenHeads(mine, graces));
      }
      return heads;
    }

    private Head grace(Note note) {
      Pitch pitch = spelling.of(note);
      int position = position(pitch);
      Sign sign = note.harmonic().isPresent() ? Sign.DIAMOND_BLACK : Sign.HEAD_BLACK;
      return new Head(note, position, sign, accidentals.before(pitch, position), false, 0);
    }

    private static Sign sign(WrittenNote at, Note note) {
      boolean black = at.piece().value().isBlack();
      if (note.harmonic().isPresent()) {
        return black ? Sign.DIAMOND_BLACK : Sign.DIAMOND_WHITE;
      } else if (!at.piece().value().hasStem()) {
        return Sign.HEAD_WHOLE;
      }
      return black ? Sign.HEAD_BLACK : Sign.HEAD_HALF;
    }

    /** A finger is numbered when it comes, not with every stroke of what it holds. */
    private boolean isNumbered(Note note) {
      return note.fretFinger().isPresent()
          && arrangement.holds().stream()
              .filter(
                  h ->
                      h.finger() == note.fretFinger().get()
                          && h.fromTick() <= note.tick()
                          && note.tick() < h.toTick()
                          && h.lowString() <= note.string()
                          && note.string() <= h.highString())
              .findFirst()
              .map(numbered::add)
              .orElse(true);
    }

    static void strokes(
        List<WrittenNote> voice,
        Optional<Boolean> up,
        Map<WrittenNote, WrittenHeads> heads,
        WrittenBar bar,
        List<List<Stroke>> groups,
        List<Stroke> strokes) {
      TreeMap<Integer, Stroke> byTick = new TreeMap<>();
      for (List<WrittenNote> group : BeamGroups.of(voice, bar.bar())) {
        boolean goesUp = up.orElseGet(() -> isLow(group, heads));
        List<Stroke> mine = new ArrayList<>();
        for (WrittenNote note : group) {
          boolean flagged = group.size() == 1 && note.piece().value().flags() > 0;
          WrittenHeads those = heads.get(note);
          List<Head> seconds = Heads.spread(those.heads(), goesUp);
          Stroke stroke = new Stroke(note, seconds, those.graces(), goesUp, flagged);
          mine.add(stroke);
          byTick.put(note.tick(), stroke);
        }
        groups.add(mine);
      }
      for (WrittenNote note : voice) {
        if (note.isRest()) {
          byTick.put(note.tick(), new Stroke(note, List.of(), List.of(), up.orElse(true), false));
        }
      }
      strokes.addAll(byTick.values());
    }

    /** Stems of a voice that is alone go up where its notes lie below the middle line. */
    private static boolean isLow(List<WrittenNote> group, Map<WrittenNote, WrittenHeads> heads) {
      double sum = 0;
      int count = 0;
      for (WrittenNote note : group) {
        for (Head head : heads.get(note).heads()) {
          sum += head.position();
          count++;
        }
      }
      return sum / count < 4;
    }
  }

  /** Steps of a pitch above the lowest line. */
  static int position(Pitch pitch) {
    return pitch.octave() * 7 + pitch.name().letter().ordinal() - LOWEST_LINE;
  }

  /** Both voices sound. */
  boolean hasTwoVoices() {
    return !upper.isEmpty() && !lower.isEmpty();
  }
}
