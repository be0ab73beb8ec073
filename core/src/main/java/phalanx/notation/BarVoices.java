package phalanx.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.melody.TuneNote;
import phalanx.picking.PickFinger;
import phalanx.song.Timeline.PlayedBar;

/**
 * The two voices in which a bar is written. Where the bar has a note of the tune, the tune is the
 * upper one at its full length and everything else the lower one; elsewhere the fingers are above
 * and the thumb below (common practice in guitar scores, no source). The accompaniment is written
 * up to its next stroke, whatever rings on.
 *
 * @param upper the voice whose stems go up; empty where nothing of it sounds
 * @param lower the voice whose stems go down
 */
public record BarVoices(List<WrittenNote> upper, List<WrittenNote> lower) {

  public BarVoices {
    upper = List.copyOf(upper);
    lower = List.copyOf(lower);
  }

  /** The voices of a bar as it is played. */
  public static BarVoices of(Arrangement arrangement, PlayedBar bar) {
    boolean sings =
        !arrangement.song().tune().at(bar.written(), arrangement.song().chart()).isSilent();
    List<Note> graces = graces(arrangement, bar);
    List<Note> tune = sings ? tuneIn(arrangement, bar) : List.of();
    List<Note> struck =
        arrangement.notesFrom(bar.startTick(), bar.endTick()).stream()
            .filter(n -> !graces.contains(n))
            .toList();
    if (!tune.isEmpty()) {
      return new BarVoices(
          held(arrangement, tune, graces, bar),
          strokes(struck, n -> !tune.contains(n), graces, bar));
    }
    return new BarVoices(
        strokes(struck, n -> !n.isPickedBy(PickFinger.P), graces, bar),
        strokes(struck, n -> n.isPickedBy(PickFinger.P), graces, bar));
  }

  /** Where a note ends on paper: those that short notes take their time from are written full. */
  private static int onPaper(int end, List<Note> graces) {
    int until = end;
    for (Note grace : graces) {
      if (grace.tick() <= until && until < grace.endTick()) {
        until = grace.endTick();
      }
    }
    return until;
  }

  /** The short notes before those of a bar, and before the first of the next. */
  private static List<Note> graces(Arrangement arrangement, PlayedBar bar) {
    int reach = Math.max(0, bar.startTick() - TuneNote.MOST_GRACES * TuneNote.GRACE_TICKS);
    return arrangement.notesFrom(reach, bar.endTick()).stream()
        .filter(arrangement::isGrace)
        .toList();
  }

  /** The notes of the tune that sound in a bar, those first that go on from the bar before. */
  private static List<Note> tuneIn(Arrangement arrangement, PlayedBar bar) {
    int reach = Math.max(0, bar.startTick() - bar.meter().barTicks());
    return arrangement.notesFrom(reach, bar.endTick()).stream()
        .filter(n -> arrangement.isOfTune(n) && !arrangement.isGrace(n))
        .filter(n -> n.tick() >= bar.startTick() || n.endTick() > bar.startTick())
        .toList();
  }

  /** A voice of notes that last as long as they are written. */
  private static List<WrittenNote> held(
      Arrangement arrangement, List<Note> notes, List<Note> graces, PlayedBar bar) {
    TreeMap<Integer, List<Note>> at = byTick(notes, arrangement::writtenTick);
    Spans spans = new Spans(bar);
    int free = bar.startTick();
    for (var stroke : at.entrySet()) {
      Integer next = at.higherKey(stroke.getKey());
      int longest = stroke.getValue().stream().mapToInt(Note::endTick).max().orElse(0);
      longest = onPaper(longest, graces);
      int until = next == null ? longest : Math.min(next, longest);
      int from = Math.max(bar.startTick(), stroke.getKey());
      if (until <= from) {
        continue;
      }
      spans.add(free, from, List.of(), false, false);
      int end = Math.min(until, bar.endTick());
      Integer before = at.lowerKey(stroke.getKey());
      int played = stroke.getValue().get(0).tick();
      List<Note> mine =
          graces.stream()
              .filter(g -> g.tick() < played && (before == null || g.tick() > before))
              .toList();
      boolean goesOn = stroke.getKey() < from;
      spans.add(from, end, stroke.getValue(), goesOn, until > bar.endTick(), mine);
      free = end;
    }
    spans.add(free, bar.endTick(), List.of(), false, false);
    return spans.written();
  }

  /** A voice of strokes, each written up to the next. */
  private static List<WrittenNote> strokes(
      List<Note> struck, Predicate<Note> mine, List<Note> graces, PlayedBar bar) {
    TreeMap<Integer, List<Note>> at = byTick(struck.stream().filter(mine).toList(), Note::tick);
    if (at.isEmpty()) {
      return List.of();
    }
    Spans spans = new Spans(bar);
    int free = bar.startTick();
    for (var stroke : at.entrySet()) {
      Integer next = at.higherKey(stroke.getKey());
      int longest = stroke.getValue().stream().mapToInt(Note::endTick).max().orElse(0);
      int until = Math.min(next == null ? bar.endTick() : next, onPaper(longest, graces));
      spans.add(free, stroke.getKey(), List.of(), false, false);
      spans.add(stroke.getKey(), until, stroke.getValue(), false, false);
      free = Math.max(free, until);
    }
    spans.add(free, bar.endTick(), List.of(), false, false);
    return spans.written();
  }

  private static TreeMap<Integer, List<Note>> byTick(List<Note> notes, ToIntFunction<Note> tick) {
    TreeMap<Integer, List<Note>> at = new TreeMap<>();
    notes.forEach(n -> at.computeIfAbsent(tick.applyAsInt(n), t -> new ArrayList<>()).add(n));
    return at;
  }

  /** Spans of a bar that follow each other, with what sounds in each. */
  private static final class Spans {

    private record Filled(List<Note> notes, boolean from, boolean to, List<Note> graces) {}

    private final PlayedBar bar;
    private final List<Rhythm.Span> spans = new ArrayList<>();
    private final List<Filled> filled = new ArrayList<>();

    Spans(PlayedBar bar) {
      this.bar = bar;
    }

    void add(int from, int to, List<Note> notes, boolean tiedFrom, boolean tiedTo) {
      add(from, to, notes, tiedFrom, tiedTo, List.of());
    }

    void add(
        int from, int to, List<Note> notes, boolean tiedFrom, boolean tiedTo, List<Note> graces) {
      if (to > from) {
        spans.add(new Rhythm.Span(bar.inMetre(from), bar.inMetre(to)));
        filled.add(new Filled(notes, tiedFrom, tiedTo, graces));
      }
    }

    List<WrittenNote> written() {
      List<WrittenNote> written = new ArrayList<>();
      int tick = bar.startTick();
      for (Rhythm.Piece piece : Rhythm.of(spans, bar.meter())) {
        Filled of = filled.get(piece.span());
        boolean sounds = !of.notes().isEmpty();
        boolean struck = piece.first() && !of.from();
        written.add(
            new WrittenNote(
                tick,
                piece,
                of.notes(),
                sounds && !struck,
                sounds && (of.to() || !piece.last()),
                struck ? of.graces() : List.of()));
        tick += piece.ticks();
      }
      return written;
    }
  }
}
