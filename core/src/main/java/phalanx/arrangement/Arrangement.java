package phalanx.arrangement;

import java.util.List;
import java.util.Optional;
import java.util.function.ToIntFunction;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.Stance;
import phalanx.song.Song;
import phalanx.song.Timeline;

/**
 * What both hands do with a song.
 *
 * @param song the song it was made from
 * @param timeline its bars with the repeats unrolled
 * @param slots its chords with their shapes, in playing order
 * @param notes everything that sounds, by time and then from low to high string
 * @param gestures hits, brushes and rolls by time
 * @param damps strings stopped without being struck, by time
 * @param holds what each fretting finger holds, by time
 * @param plan the plan the shapes come from; slot i here is slot i there
 */
public record Arrangement(
    Song song,
    Timeline timeline,
    List<Slot> slots,
    List<Note> notes,
    List<Gesture> gestures,
    List<Damp> damps,
    List<Hold> holds,
    ShapePlan plan) {

  public Arrangement {
    slots = List.copyOf(slots);
    notes = List.copyOf(notes);
    gestures = List.copyOf(gestures);
    damps = List.copyOf(damps);
    holds = List.copyOf(holds);
  }

  /**
   * The same plan for a song that differs only in what planning does not depend on.
   *
   * @throws IllegalArgumentException if it differs in more
   */
  public Arrangement of(Song other) {
    if (!other.planned().equals(song.planned())) {
      throw new IllegalArgumentException("this song has another plan");
    }
    return new Arrangement(other, timeline, slots, notes, gestures, damps, holds, plan);
  }

  /** How the hand stands when it comes to a slot, what of the tune it holds there included. */
  public Stance coming(int slot) {
    return plan.chosen(slot).entry().correcting(slots.get(slot).resting());
  }

  /** How the hand stands when it leaves a slot. */
  public Stance leaving(int slot) {
    return plan.chosen(slot).exit().correcting(slots.get(slot).resting());
  }

  /** The pitch class of a note counted from the capo, as chords are: 0 for C to 11. */
  public int chroma(Note note) {
    return Math.floorMod(note.midi() - song.guitar().capo(), 12);
  }

  /** The notes struck from one tick up to, not including, another. */
  public List<Note> notesFrom(int from, int to) {
    return between(notes, Note::tick, from, to);
  }

  /** The gestures made from one tick up to, not including, another. */
  public List<Gesture> gesturesFrom(int from, int to) {
    return between(gestures, Gesture::tick, from, to);
  }

  /** The strings stopped from one tick up to, not including, another. */
  public List<Damp> dampsFrom(int from, int to) {
    return between(damps, Damp::tick, from, to);
  }

  /** The slots that begin from one tick up to, not including, another. */
  public List<Slot> slotsFrom(int from, int to) {
    return between(slots, s -> s.played().tick(), from, to);
  }

  /** The number of the slot that the hand is on at a tick; the first before any. */
  public int slotAt(int tick) {
    return Math.max(0, firstFrom(slots, Slot::fromTick, tick + 1) - 1);
  }

  /** The note that sounds a note of the tune; empty where it is out of reach. */
  public Optional<Note> played(MelodyNote sung) {
    int sounding = sung.midi() + song.guitar().capo();
    return notesFrom(sung.tick(), sung.tick() + 1).stream()
        .filter(n -> n.part() == Note.Part.TUNE && n.midi() == sounding)
        .findFirst();
  }

  /**
   * Whether a note sounds a note of the song’s written tune, not what a pattern strikes on the
   * highest string.
   */
  public boolean isOfTune(Note note) {
    return melody(note).isPresent();
  }

  /** Whether a note is a short one just before a note of the written tune. */
  public boolean isGrace(Note note) {
    return melody(note).filter(MelodyNote::grace).isPresent();
  }

  /**
   * When a note stands on paper: where it is struck, but for a note of the tune that comes late for
   * short ones played on its beat.
   */
  public int writtenTick(Note note) {
    return melody(note)
        .map(m -> timeline.barAt(note.tick()).startTick() + m.barTick())
        .map(tick -> Math.min(tick, note.tick()))
        .orElse(note.tick());
  }

  /** The note of the written tune that a note sounds; empty where it sounds none. */
  private Optional<MelodyNote> melody(Note note) {
    if (note.part() != Note.Part.TUNE || slots.isEmpty()) {
      return Optional.empty();
    }
    int slot = slotAt(note.tick());
    return slots.subList(Math.max(0, slot - 1), Math.min(slots.size(), slot + 2)).stream()
        .flatMap(s -> s.tune().stream())
        .filter(m -> m.tick() == note.tick() && m.midi() + song.guitar().capo() == note.midi())
        .findFirst();
  }

  /** The part of a list, ordered by tick, that lies between two ticks; found by halving. */
  private static <T> List<T> between(List<T> list, ToIntFunction<T> tick, int from, int to) {
    return list.subList(firstFrom(list, tick, from), firstFrom(list, tick, to));
  }

  private static <T> int firstFrom(List<T> list, ToIntFunction<T> tick, int from) {
    int low = 0;
    int high = list.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (tick.applyAsInt(list.get(middle)) < from) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }
}
