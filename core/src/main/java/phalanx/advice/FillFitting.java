package phalanx.advice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;
import phalanx.embellishment.Ending;
import phalanx.embellishment.Fill;
import phalanx.melody.BarTune;
import phalanx.melody.Want;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Chord;
import phalanx.theory.Ticks;

/**
 * Tries fills at the end of one bar, over its last chord: what the tune had there gives way, and
 * both hands are planned anew. Not for several threads at once.
 */
public final class FillFitting {

  /** From the lowest note that lies above a thumb's bass to the highest before the body. */
  private static final int LOWEST = 50;

  private static final int HIGHEST = 79;
  private static final int OCTAVE = 12;

  /** Where nothing is fretted the hand is taken to be in first position. */
  private static final int FIRST_POSITION = 3;

  /** Frets outside the place of the hand, a note: more is another part of the neck. */
  private static final int FAR = 4;

  /** To be so far is worse than one thing that is hard. */
  private static final int TOO_FAR = 2;

  /** What a fret outside the place of the hand weighs, as a cost of the plan; by judgement. */
  private static final double AWAY = 0.3;

  /** The longest fill. */
  private static final int LONGEST = Fill.MOST_BEATS * Ticks.PER_QUARTER;

  private final BarTrial trial;
  private final Song song;
  private final Stretch stretch;
  private final Chord chord;
  private final Optional<Chord> meets;

  /**
   * For a bar of a song.
   *
   * @param at where its last chord is written
   */
  public FillFitting(Arranger arranger, Song song, SlotRef at, Chord chord) {
    this(arranger, song, at, Stretch.of(song, at, chord, LONGEST), chord);
  }

  private FillFitting(Arranger arranger, Song song, SlotRef at, Stretch stretch, Chord chord) {
    this(new BarTrial(arranger, song, at, stretch.bars()), stretch, chord);
  }

  private FillFitting(BarTrial trial, Stretch stretch, Chord chord) {
    this.trial = trial;
    this.stretch = stretch;
    this.chord = chord;
    song = trial.song();
    meets = stretch.next(song);
  }

  /**
   * The same with the bars around alone, in a moment; the song of what it finds is only these bars.
   */
  public FillFitting inShort() {
    return new FillFitting(trial.inShort(stretch.bars()), stretch, chord);
  }

  /** Tries a fill, its last note played in some way. */
  public FillTry of(Fill fill, Fill.Colour colour, Ending ending) {
    int room = stretch.length();
    if (room < fill.beats() * Ticks.PER_QUARTER) {
      String has = Phrase.shown("%.1f", room / (double) Ticks.PER_QUARTER);
      return not(
          fill, colour, Texts.of("fillFitting.itLastsQuartersAnd", fill.beats(), chord, has));
    }
    Optional<FittedRun> fitted = fitted(fill, colour, ending);
    if (fitted.isEmpty()) {
      return not(fill, colour, Texts.of("fillFitting.noOctaveOfIt"));
    }
    Optional<String> hard =
        fitted.get().hard().stream().findFirst().map(f -> f.finding().message());
    Optional<String> lost =
        isLost(ending, fitted.get())
            ? Optional.of(Texts.of("fillFitting.noFingerCanSlide"))
            : Optional.empty();
    return new FillTry(
        fill,
        colour,
        fitted,
        fill.clash(colour, chord).or(() -> hard).or(() -> lost).or(() -> far(fitted.get())),
        landing(fitted.get()));
  }

  /** How many frets its notes lie outside the place of the hand, a fret on either side allowed. */
  private int away(FittedRun fitted) {
    int[] pressed = trial.held().frets().stream().filter(f -> f > 0).mapToInt(f -> f).toArray();
    int low = IntStream.of(pressed).min().orElse(1) - 1;
    int high = IntStream.of(pressed).max().orElse(FIRST_POSITION) + 1;
    return fitted.notes().stream()
        .mapToInt(Note::fret)
        .filter(f -> f > 0)
        .map(f -> Math.max(0, Math.max(low - f, f - high)))
        .sum();
  }

  private static int slurs(FittedRun fitted) {
    return (int) fitted.notes().stream().filter(n -> n.attack() != Attack.PLUCKED).count();
  }

  /** Whether it lies in another part of the neck, which is no better than to be hard. */
  private boolean isFar(FittedRun fitted) {
    return away(fitted) > FAR * fitted.notes().size();
  }

  private Optional<String> far(FittedRun fitted) {
    return isFar(fitted) ? Optional.of(Texts.of("fillFitting.itLiesInAnother")) : Optional.empty();
  }

  /** Where its last note leads, seen from the chord that it meets. */
  private Optional<FillTry.Landing> landing(FittedRun fitted) {
    List<Note> notes = fitted.notes();
    if (notes.isEmpty() || meets.isEmpty()) {
      return Optional.empty();
    }
    int last = fitted.arrangement().chroma(notes.get(notes.size() - 1));
    int way =
        meets.get().notes().stream()
            .mapToInt(n -> Math.floorMod(n.chroma() - last, OCTAVE))
            .map(up -> Math.min(up, OCTAVE - up))
            .min()
            .orElse(OCTAVE);
    return Optional.of(new FillTry.Landing(meets.get(), way));
  }

  /** The best of all runs; what no hand slurs here may be plucked. */
  private Optional<FittedRun> fitted(Fill fill, Fill.Colour colour, Ending ending) {
    List<BarTune> runs = runs(fill, colour);
    Optional<FittedRun> slurred = best(fill, runs, ending);
    List<BarTune> plucked = runs.stream().map(BarTune::plucked).distinct().toList();
    boolean fits = slurred.filter(f -> f.hard().isEmpty() && !isFar(f)).isPresent();
    return fits || plucked.equals(runs)
        ? slurred
        : Stream.concat(slurred.stream(), best(fill, plucked, ending).stream()).min(order(ending));
  }

  /** The best of some runs, as both hands play them. */
  private Optional<FittedRun> best(Fill fill, List<BarTune> runs, Ending ending) {
    return runs.stream()
        .flatMap(run -> placed(fill, run, ending))
        .map(s -> trial.of(s, fill.beats()))
        .min(order(ending));
  }

  private Comparator<FittedRun> order(Ending ending) {
    return Comparator.<FittedRun>comparingInt(f -> f.hard().size() + (isFar(f) ? TOO_FAR : 0))
        .thenComparing(f -> isLost(ending, f))
        .thenComparing(f -> -slurs(f))
        .thenComparing(f -> f.arrangement().plan().cost() + AWAY * away(f));
  }

  /** Whether the last note is to be slid to and is not. */
  private static boolean isLost(Ending ending, FittedRun fitted) {
    List<Note> notes = fitted.notes();
    return ending == Ending.SLIDE
        && !notes.isEmpty()
        && notes.get(notes.size() - 1).attack() != Attack.SLID;
  }

  private static FillTry not(Fill fill, Fill.Colour colour, String why) {
    return new FillTry(fill, colour, Optional.empty(), Optional.of(why), Optional.empty());
  }

  /** The fill in every octave the neck has, on the strings it is written on and on any. */
  private List<BarTune> runs(Fill fill, Fill.Colour colour) {
    return IntStream.rangeClosed(2, 6)
        .mapToObj(
            octave -> fill.over(colour, OCTAVE * octave + chord.root().chroma(), chord.root()))
        .filter(this::isOnNeck)
        .flatMap(run -> Stream.of(run, run.moved(FillFitting::onAnyString)))
        .distinct()
        .toList();
  }

  private static Want onAnyString(Want want) {
    return new Want.Sound(((Want.Sound) want).pitch(), Optional.empty());
  }

  private boolean isOnNeck(BarTune run) {
    int lowest = Math.min(LOWEST, song.guitar().shapeMidi(2, 0));
    return run.notes().stream()
        .flatMap(n -> n.wants().stream())
        .mapToInt(w -> ((Want.Sound) w).pitch().midi())
        .allMatch(midi -> midi >= lowest && midi <= HIGHEST);
  }

  private Stream<Song> placed(Fill fill, BarTune run, Ending ending) {
    Stretch.Placed placed = stretch.placed(song, run, fill.beats() * Ticks.PER_QUARTER);
    return ending.ways(placed.song(), placed.last().bar(), placed.last().tick()).stream();
  }
}
