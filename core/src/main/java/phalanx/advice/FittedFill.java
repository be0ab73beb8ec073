package phalanx.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.laying.Arranger;
import phalanx.colour.Fill;
import phalanx.fretting.Reach;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.review.Found;
import phalanx.review.Review;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.theory.NoteName;
import phalanx.theory.Ticks;

/**
 * A fill put into the end of a bar, in the octave in which both hands play it most easily.
 *
 * @param song the song with it
 * @param arrangement its plan
 * @param tick a time in its bar, as played the first time
 * @param hard what is hard in that bar then and was not before
 * @param widestSpan the widest stretch of two fingers in that bar's shapes, mm; 0 with none
 */
public record FittedFill(
    Fill fill,
    Fill.Colour colour,
    Song song,
    Arrangement arrangement,
    int tick,
    List<Found> hard,
    double widestSpan) {

  /** From the lowest note that lies above a thumb's bass to the highest before the body. */
  private static final int LOWEST = 50;

  private static final int HIGHEST = 79;

  public FittedFill {
    hard = List.copyOf(hard);
  }

  /**
   * A fill over a chord, at the end of its bar; what the tune had there gives way.
   *
   * @param at the chord over which it is played, the last of its bar
   * @param root the chord's root
   * @return empty where the bar is too short, or no octave has all of its notes
   */
  public static Optional<FittedFill> of(
      Arranger arranger, Song song, SlotRef at, NoteName root, Fill fill, Fill.Colour colour) {
    List<Found> before = hard(Review.of(arranger.arrange(song)), at);
    List<FittedFill> fitted = new ArrayList<>();
    for (int octave : IntStream.rangeClosed(3, 6).toArray()) {
      int midi = 12 * octave + root.chroma();
      BarTune run = fill.over(colour, midi, root);
      Optional<Song> placed = isOnNeck(run) ? placed(song, at, fill, run) : Optional.empty();
      placed.ifPresent(s -> fitted.add(of(arranger.arrange(s), at, fill, colour, before)));
    }
    return fitted.stream()
        .min(
            Comparator.<FittedFill>comparingInt(f -> f.hard().size())
                .thenComparing(f -> f.arrangement().plan().cost()));
  }

  /** When it begins in its bar, as played the first time. */
  public int fromTick() {
    int end = arrangement.timeline().barAt(tick).endTick();
    return end - fill.beats() * Ticks.PER_QUARTER;
  }

  /** Its notes as they are played. */
  public List<Note> notes() {
    int end = arrangement.timeline().barAt(tick).endTick();
    return arrangement.notesFrom(fromTick(), end).stream()
        .filter(n -> n.part() == Note.Part.TUNE)
        .toList();
  }

  private static boolean isOnNeck(BarTune run) {
    return run.notes().stream()
        .flatMap(n -> n.wants().stream())
        .mapToInt(w -> ((Want.Sound) w).pitch().midi())
        .allMatch(midi -> midi >= LOWEST && midi <= HIGHEST);
  }

  private static Optional<Song> placed(Song song, SlotRef at, Fill fill, BarTune run) {
    int bar = song.chart().meters(song.meter()).get(at.bar()).barTicks();
    int from = bar - fill.beats() * Ticks.PER_QUARTER;
    if (from < at.tick()) {
      return Optional.empty();
    }
    BarTune tune = song.tune().at(at.bar(), song.chart()).silencing(from, bar);
    for (TuneNote note : run.notes()) {
      tune =
          tune.placing(
              new TuneNote(
                  from + note.tick(),
                  note.lengthTicks(),
                  note.wants(),
                  note.slur(),
                  note.graces(),
                  note.techniques()));
    }
    return Optional.of(song.withTune(song.tune().with(at.bar(), tune)));
  }

  private static FittedFill of(
      Arrangement a, SlotRef at, Fill fill, Fill.Colour colour, List<Found> before) {
    List<Found> hard =
        hard(Review.of(a), at).stream()
            .filter(f -> before.stream().noneMatch(b -> b.finding().equals(f.finding())))
            .toList();
    Reach reach = a.plan().problem().changes().reach();
    double span =
        a.slots().stream()
            .filter(s -> s.played().ref().bar() == at.bar())
            .flatMap(s -> s.shape().flatMap(reach::widestSpan).stream())
            .mapToDouble(Reach.Span::millimetres)
            .max()
            .orElse(0);
    int tick =
        a.slots().stream()
            .filter(s -> s.played().ref().equals(at))
            .mapToInt(s -> s.played().tick())
            .findFirst()
            .orElseThrow();
    return new FittedFill(fill, colour, a.song(), a, tick, hard, span);
  }

  private static List<Found> hard(Review review, SlotRef at) {
    return review.findings().stream()
        .filter(f -> f.finding().grade().isHard())
        .filter(f -> f.places().stream().anyMatch(p -> p.ref().bar() == at.bar()))
        .toList();
  }
}
