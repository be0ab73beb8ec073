package phalanx.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BinaryOperator;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.picking.PatternHeard;
import phalanx.song.Harmony;
import phalanx.theory.Chord;

/**
 * Figures of how an arrangement sounds, to be added up over songs (what is wanted: common practice,
 * no source).
 *
 * @param thirds chords with a third, or what stands for it; how many have it struck
 * @param sevenths chords with a seventh; how many have it struck
 * @param basses chords that something is struck of; how many come with their own bass, below all
 *     that is struck with it
 * @param leaps steps of the bass from one chord to the next; how many are an octave or more
 * @param repeats places where one string is struck alone three times running beside the tune
 * @param bars how many there are; how many have an open string struck
 * @param open open strings that are struck, counted once a bar
 */
public record MusicFigures(
    Share thirds, Share sevenths, Share basses, Share leaps, int repeats, Share bars, int open) {

  /** Nothing. */
  public static final MusicFigures NONE =
      new MusicFigures(Share.NONE, Share.NONE, Share.NONE, Share.NONE, 0, Share.NONE, 0);

  private static final int OCTAVE = 12;
  private static final int RUN = 3;

  /**
   * So many of so many.
   *
   * @param of how many there are
   * @param are how many are so
   */
  public record Share(int of, int are) {
    static final Share NONE = new Share(0, 0);

    private Share and(boolean is) {
      return new Share(of + 1, are + (is ? 1 : 0));
    }

    private static final BinaryOperator<Share> SUM =
        (a, b) -> new Share(a.of + b.of, a.are + b.are);

    /** In hundredths; 0 of nothing. */
    public double percent() {
      return of == 0 ? 0 : 100.0 * are / of;
    }
  }

  /** The figures of one arrangement. */
  public static MusicFigures of(Arrangement a) {
    Share thirds = Share.NONE;
    Share sevenths = Share.NONE;
    Share basses = Share.NONE;
    Share leaps = Share.NONE;
    Optional<Integer> before = Optional.empty();
    Optional<Harmony> last = Optional.empty();
    for (int i = 0; i < a.slots().size(); i++) {
      Slot slot = a.slots().get(i);
      if (slot.played().isPart()) {
        continue;
      }
      boolean comes = !last.equals(Optional.of(slot.played().harmony()));
      last = Optional.of(slot.played().harmony());
      List<Note> notes = a.notesFrom(slot.fromTick(), a.slots().get(lastPart(a, i)).toTick());
      if (!(slot.played().harmony() instanceof Harmony.Sounding s) || notes.isEmpty()) {
        continue;
      }
      Optional<Integer> third = PatternHeard.third(s.chord());
      Optional<Integer> seventh = PatternHeard.seventh(s.chord());
      thirds = third.isPresent() ? thirds.and(has(a, notes, third.get())) : thirds;
      sevenths = seventh.isPresent() ? sevenths.and(has(a, notes, seventh.get())) : sevenths;
      basses = comes ? basses.and(comesWithItsBass(a, slot, s.chord())) : basses;
      Optional<Integer> bass = firstBass(notes);
      if (bass.isPresent() && before.isPresent() && !bass.equals(before)) {
        leaps = leaps.and(Math.abs(bass.get() - before.get()) >= OCTAVE);
      }
      before = bass.or(() -> Optional.empty());
    }
    List<Integer> open =
        a.timeline().bars().stream()
            .map(
                b ->
                    (int)
                        a.notesFrom(b.startTick(), b.endTick()).stream()
                            .filter(n -> n.fret() == 0 && n.pick().isPresent())
                            .map(Note::string)
                            .distinct()
                            .count())
            .toList();
    return new MusicFigures(
        thirds,
        sevenths,
        basses,
        leaps,
        repeats(a),
        new Share(open.size(), (int) open.stream().filter(o -> o > 0).count()),
        open.stream().mapToInt(o -> o).sum());
  }

  /** The last part of a chord that is held in several shapes. */
  private static int lastPart(Arrangement a, int slot) {
    int last = slot;
    while (last + 1 < a.slots().size() && a.slots().get(last + 1).played().isPart()) {
      last++;
    }
    return last;
  }

  /** The figures of more songs. */
  public MusicFigures and(MusicFigures other) {
    return new MusicFigures(
        Share.SUM.apply(thirds, other.thirds),
        Share.SUM.apply(sevenths, other.sevenths),
        Share.SUM.apply(basses, other.basses),
        Share.SUM.apply(leaps, other.leaps),
        repeats + other.repeats,
        Share.SUM.apply(bars, other.bars),
        open + other.open);
  }

  private static boolean has(Arrangement a, List<Note> notes, int chroma) {
    return notes.stream().anyMatch(n -> a.chroma(n) == chroma);
  }

  /** Whether the first that is struck of a chord, apart from a tune before it, is its bass. */
  private static boolean comesWithItsBass(Arrangement a, Slot slot, Chord chord) {
    List<Note> first =
        a.notesFrom(slot.fromTick(), slot.toTick()).stream()
            .filter(n -> n.tick() == slot.fromTick())
            .toList();
    return first.stream()
        .min((x, y) -> Integer.compare(x.midi(), y.midi()))
        .filter(n -> a.chroma(n) == chord.bass().chroma())
        .isPresent();
  }

  private static Optional<Integer> firstBass(List<Note> notes) {
    return notes.stream().filter(n -> n.part() == Note.Part.BASS).map(Note::midi).findFirst();
  }

  /** Moments without the tune at which one and the same string is struck alone, three running. */
  private static int repeats(Arrangement a) {
    TreeMap<Integer, List<Note>> moments = new TreeMap<>();
    a.notes().stream()
        .filter(n -> n.pick().isPresent())
        .forEach(n -> moments.computeIfAbsent(n.tick(), t -> new ArrayList<>()).add(n));
    int repeats = 0;
    int row = 0;
    int last = -1;
    for (List<Note> at : moments.values()) {
      boolean alone = at.size() == 1 && at.get(0).part() != Note.Part.TUNE;
      int string = alone ? at.get(0).string() : -1;
      row = !alone ? 0 : string == last ? row + 1 : 1;
      last = string;
      if (row == RUN) {
        repeats++;
      }
    }
    return repeats;
  }
}
